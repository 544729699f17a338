import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type ProjectData } from '../../api/client'
import { Around } from '../../test/fixtures'
import { nextIndex } from './Revisions'
import { SchedulesPage } from './SchedulesPage'

const data = (client: string, revisions: ProjectData['revisions'] = []): ProjectData => ({
  version: 1,
  texts: [
    { key: 'client', name: 'client', text: client, longest: 120 },
    { key: 'notes', name: 'notes', text: '', longest: 1000 },
    { key: 'paper', name: 'paper size', text: '', longest: 10 },
  ],
  revisions,
  logo: false,
})
const change = vi.spyOn(api, 'changeText')
const put = vi.spyOn(api, 'changeRevisions')

beforeEach(() => {
  vi.spyOn(api, 'projectData').mockResolvedValue(data('Stichting'))
  vi.spyOn(api, 'titleBlock').mockResolvedValue({
    sheet: 1,
    sheets: 1,
    width: 420,
    height: 297,
    marks: [],
    lines: [],
    discs: [],
    texts: [],
    logo: null,
  })
  change.mockReset()
  put.mockReset()
})

const open = () =>
  render(
    <Around at="/?kind=title">
      <SchedulesPage id="p" />
    </Around>,
  )

describe('the title block', () => {
  it('keeps a text when its field is left, with what it was before', async () => {
    change.mockResolvedValue(data('Archief'))
    open()
    const client = await screen.findByRole('textbox', { name: /client/ })
    await userEvent.clear(client)
    await userEvent.type(client, 'Archief{Enter}')
    await waitFor(() => expect(change).toHaveBeenCalledWith('p', 'client', 'Stichting', 'Archief'))
    await waitFor(() => expect(client).toHaveValue('Archief'))
  })

  it('chooses the paper of reports and schedules', async () => {
    change.mockResolvedValue(data('Stichting'))
    open()
    const sizes = await screen.findByRole('radiogroup', { name: 'Paper of reports and schedules' })
    await userEvent.click(within(sizes).getByText('Letter'))
    await waitFor(() => expect(change).toHaveBeenCalledWith('p', 'paper', '', 'Letter'))
    expect(screen.queryByRole('textbox', { name: /paper/ })).toBeNull()
  })

  it('gives up what was typed on Escape and sends nothing', async () => {
    open()
    const client = await screen.findByRole('textbox', { name: /client/ })
    await userEvent.type(client, ' x{Escape}')
    expect(client).toHaveValue('Stichting')
    await userEvent.tab()
    expect(change).not.toHaveBeenCalled()
  })

  it('keeps what was refused in its field and says why', async () => {
    change.mockRejectedValue(
      new ApiError(409, 'Somebody else changed the same meanwhile.', 'Look at it and type it again.'),
    )
    open()
    const client = await screen.findByRole('textbox', { name: /client/ })
    await userEvent.type(client, ' x{Enter}')
    expect(await screen.findByText('Somebody else changed the same meanwhile.')).toBeVisible()
    expect(client).toHaveValue('Stichting x')
    expect(client).toHaveAttribute('aria-invalid', 'true')
  })

  it('adds a revision under the next letter', async () => {
    const a = { index: 'A', date: '2026-10-02', what: 'First issue', by: 'RD' }
    vi.spyOn(api, 'projectData').mockResolvedValue(data('', [a]))
    put.mockResolvedValue(data('', [a]))
    open()
    await userEvent.click(await screen.findByRole('button', { name: 'Add a revision' }))
    await waitFor(() => expect(put).toHaveBeenCalled())
    expect(put.mock.calls[0]![1]).toEqual([a])
    expect(put.mock.calls[0]![2]![1]).toMatchObject({ index: 'B', what: '' })
  })

  it.each([
    [undefined, 'A'],
    ['A', 'B'],
    ['Z', 'AA'],
    ['P1', 'P2'],
    ['9', '10'],
  ])('after %s comes %s', (last, next) => expect(nextIndex(last)).toBe(next))
})
