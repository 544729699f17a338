import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type SchedulePage } from '../../api/client'
import { Around } from '../../test/fixtures'
import { SchedulesPage } from './SchedulesPage'

const page = (title: string, total = 64): SchedulePage => ({
  title,
  total,
  page: 0,
  size: 30,
  columns: [
    { name: 'mark', width: 2, numeric: false },
    { name: 'util.', width: 1, numeric: true },
    { name: 'state', width: 1, numeric: false },
  ],
  rows: [
    ['L1-B01', '0.83', 'satisfied'],
    ['L1-B02', '1.21', 'fails'],
  ],
  shapes: [],
})
const schedule = vi.spyOn(api, 'schedule')

beforeEach(() => {
  schedule.mockReset().mockImplementation((_id, kind) => Promise.resolve(page(`Schedule of ${kind}`)))
  vi.spyOn(api, 'project').mockResolvedValue({ id: 'p', name: 'Veldhaven', createdAt: '', changedAt: '', version: 1 })
})

const open = (at = '/') =>
  render(
    <Around at={at}>
      <SchedulesPage id="p" />
    </Around>,
  )

describe('the schedules', () => {
  it('show the first page of the beams with the name of the project, figures aligned, failures marked', async () => {
    open()
    expect(await screen.findByText('Schedule of beams')).toBeInTheDocument()
    expect(await screen.findByText('Veldhaven')).toBeInTheDocument()
    expect(screen.getByText('page 1 of 3')).toBeInTheDocument()
    expect(screen.getByRole('cell', { name: '1.21' })).toHaveClass('num')
    expect(screen.getByRole('cell', { name: 'fails' })).toHaveClass('over-ink')
    expect(screen.getByRole('cell', { name: 'satisfied' })).not.toHaveClass('over-ink')
  })

  it('turn the page and keep the kind', async () => {
    open('/?kind=columns')
    await screen.findByText('Schedule of columns')
    await userEvent.click(screen.getByTitle('Next Page'))
    await waitFor(() => expect(schedule).toHaveBeenCalledWith('p', 'columns', 1, 30, expect.anything()))
    expect(await screen.findByText('page 2 of 3')).toBeInTheDocument()
  })

  it('begin another kind at its first page', async () => {
    open('/?kind=columns&page=2')
    await screen.findByText('page 3 of 3')
    await userEvent.click(screen.getByText('Bar list'))
    await waitFor(() => expect(schedule).toHaveBeenCalledWith('p', 'bars', 0, 30, expect.anything()))
  })

  it('ask for the calculations of the marks that are typed', async () => {
    open()
    await screen.findByText('Schedule of beams')
    const fetched = vi.spyOn(globalThis, 'fetch')
    fetched.mockResolvedValueOnce(
      new Response(JSON.stringify({ title: 'There is no beam line or column stack X9.', detail: 'Choose again.' }), {
        status: 404,
      }),
    )
    await userEvent.type(screen.getByLabelText('Marks for calculation sheets'), 'X9')
    await userEvent.click(screen.getByRole('button', { name: 'Report, PDF' }))
    expect(await screen.findByText('There is no beam line or column stack X9.')).toBeInTheDocument()
    const link = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined)
    URL.createObjectURL = () => 'blob:x'
    URL.revokeObjectURL = () => undefined
    fetched.mockResolvedValueOnce(new Response('%PDF'))
    await userEvent.clear(screen.getByLabelText('Marks for calculation sheets'))
    await userEvent.type(screen.getByLabelText('Marks for calculation sheets'), 'L1-B01, C-D3')
    expect(screen.queryByText(/There is no beam line/)).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Report, PDF' }))
    await waitFor(() => expect(link).toHaveBeenCalled())
    expect(fetched.mock.calls[1]![0]).toContain('calculations=named&sheets=L1-B01%2C%20C-D3')
    expect(screen.getByRole('link', { name: 'Schedules, XLSX' }).getAttribute('href')).toContain('schedules.xlsx')
  })

  it('show the shapes of bars with their letters', async () => {
    schedule.mockResolvedValue({
      ...page('Bar list'),
      shapes: [{ code: '11', lines: [[8, 52, 8, 20, 95, 20]], letters: [{ x: 15, y: 34, text: 'A' }] }],
    })
    open('/?kind=bars')
    const shape = await screen.findByRole('listitem', { name: 'Shape 11' })
    expect(shape.querySelector('polyline')).toHaveAttribute('points', '34 8 34 40 121 40')
    expect(shape).toHaveTextContent('11A')
  })

  it('say why they cannot be had, and try again', async () => {
    schedule.mockRejectedValueOnce(new ApiError(503, 'The database does not answer.', 'Try again in a moment.'))
    open()
    expect(await screen.findByText('The database does not answer.')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: /again/i }))
    expect(await screen.findByText('Schedule of beams')).toBeInTheDocument()
  })

  it('have an empty page for a building without columns', async () => {
    schedule.mockResolvedValue({ ...page('Schedule of columns', 0), rows: [] })
    open('/?kind=columns')
    expect(await screen.findByText('page 1 of 1')).toBeInTheDocument()
  })
})
