import { act, render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type DrawingSheet, type Job, type SchedulePage } from '../../api/client'
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
  pictures: [],
})
const drawn = (marks: string[], sheets = 1): DrawingSheet => ({
  sheet: 1,
  sheets,
  width: 200,
  height: 100,
  marks,
  lines: [],
  discs: [],
  texts: [{ x: 1, y: 1, height: 2, align: 'start', bold: false, text: '12T25' }],
  logo: null,
})
const job = (doing: string, done: number): Job => ({
  id: 'j',
  kind: 'export',
  phase: 'waiting',
  doing,
  done,
  total: 4,
  findings: [],
  result: null,
})
const columns = vi.spyOn(api, 'columnSchedule')
const schedule = vi.spyOn(api, 'schedule')

beforeEach(() => {
  schedule.mockReset().mockImplementation((_id, kind) => Promise.resolve(page(`Schedule of ${kind}`)))
  columns.mockReset().mockResolvedValue(drawn(['TC1', 'C-B2'], 3))
  vi.spyOn(api, 'project').mockResolvedValue({ id: 'p', name: 'Veldhaven', createdAt: '', changedAt: '', version: 1 })
})

const open = (at = '/') =>
  render(
    <Around at={at}>
      <SchedulesPage id="p" />
    </Around>,
  )

describe('the schedules', () => {
  it('charts the steel of every storey by size beneath the totals', async () => {
    vi.spyOn(api, 'steel').mockResolvedValue({
      sizes: ['T10', 'T20'],
      storeys: [
        { storey: 'L1', kg: [200, 600] },
        { storey: 'L2', kg: [100, 0] },
      ],
    })
    open('/?kind=totals&page=2')
    const chart = await screen.findByRole('img', { name: 'Steel of every storey by size of bar' })
    expect(within(chart).getByText('L2, T10: 100 kg')).toBeInTheDocument()
    expect(within(chart).getByText('800 kg')).toBeInTheDocument()
    // the highest on top, nothing for a size that is not there, each size its own pattern
    const storeys = [...chart.querySelectorAll('text.strong')].map((t) => t.textContent)
    expect(storeys).toEqual(['L2', 'L1'])
    const parts = [...chart.querySelectorAll('rect title')].map((t) => t.parentElement!.getAttribute('fill'))
    expect(parts).toEqual(['url(#steel-0)', 'url(#steel-0)', 'url(#steel-1)'])
    const wide = [...chart.querySelectorAll('rect title')].map((t) => Number(t.parentElement!.getAttribute('width')))
    expect(wide[2]! / wide[1]!).toBeCloseTo(3, 6)
  })

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
    open('/?kind=bars')
    await screen.findByText('Schedule of bars')
    await userEvent.click(screen.getByTitle('Next Page'))
    await waitFor(() => expect(schedule).toHaveBeenCalledWith('p', 'bars', '', 1, 30, expect.anything()))
    expect(await screen.findByText('page 2 of 3')).toBeInTheDocument()
  })

  it('begin another kind at its first page', async () => {
    open('/?kind=totals&page=2')
    await screen.findByText('page 3 of 3')
    await userEvent.click(screen.getByText('Bar list'))
    await waitFor(() => expect(schedule).toHaveBeenCalledWith('p', 'bars', '', 0, 30, expect.anything()))
  })

  it('show columns against storeys as they are drawn, page by page', async () => {
    open('/?kind=columns')
    const page = await screen.findByRole('img', { name: 'Columns against storeys: TC1, C-B2' })
    expect(page).toHaveTextContent('12T25')
    expect(screen.getByText('page 1 of 3')).toBeInTheDocument()
    await userEvent.click(screen.getByTitle('Next Page'))
    await waitFor(() => expect(columns).toHaveBeenCalledWith('p', '', 2, expect.anything()))
    expect(schedule).not.toHaveBeenCalled()
  })

  it('name a member once beside its rows, with its section beneath', async () => {
    schedule.mockResolvedValue({
      ...page('Beam schedule', 3),
      rows: [
        ['TB1', '0.83', ''],
        ['TB1', '0.91', ''],
        ['TB2', '0.72', ''],
      ],
      pictures: [drawn(['TB1'])],
    })
    open()
    const mark = await screen.findByRole('cell', { name: /TB1/ })
    expect(mark).toHaveAttribute('rowspan', '2')
    expect(within(mark).getByRole('img', { name: 'Section of TB1' })).toBeInTheDocument()
    expect(screen.getAllByRole('img', { name: /Section of/ })).toHaveLength(1)
  })

  it('are narrowed to the marks that are typed, and so are the files', async () => {
    open('/?kind=bars&page=1')
    await screen.findByText('page 2 of 3')
    await userEvent.type(screen.getByLabelText('Marks to schedule'), 'TB1, C-D3{Enter}')
    await waitFor(() => expect(schedule).toHaveBeenCalledWith('p', 'bars', 'TB1, C-D3', 0, 30, expect.anything()))
    const make = vi.spyOn(api, 'makeExport').mockRejectedValue(new ApiError(503, 'Not now.', 'Try again.'))
    await userEvent.click(screen.getByRole('button', { name: 'Schedules, PDF' }))
    expect(make).toHaveBeenCalledWith('p', 'schedules.pdf', { marks: 'TB1, C-D3' })
    schedule.mockRejectedValue(new ApiError(404, 'There is no beam line, column stack or type X9.', 'Choose again.'))
    await userEvent.clear(screen.getByLabelText('Marks to schedule'))
    await userEvent.type(screen.getByLabelText('Marks to schedule'), 'X9{Enter}')
    expect(await screen.findByText('There is no beam line, column stack or type X9.')).toBeInTheDocument()
    expect(screen.getByLabelText('Marks to schedule')).toHaveValue('X9')
  })

  it('ask for the calculations of the marks that are typed', async () => {
    open()
    await screen.findByText('Schedule of beams')
    const make = vi
      .spyOn(api, 'makeExport')
      .mockRejectedValueOnce(new ApiError(404, 'There is no beam line or column stack X9.', 'Choose again.'))
      .mockResolvedValueOnce(job('waiting', 0))
    const listeners: ((e: MessageEvent) => void)[] = []
    const events = {
      addEventListener: (_: string, l: (e: MessageEvent) => void) => listeners.push(l),
      close: vi.fn(),
    }
    vi.spyOn(api, 'jobEvents').mockImplementation(() => events as unknown as EventSource)
    const tell = (j: Job) =>
      act(() => listeners.forEach((l) => l(new MessageEvent('job', { data: JSON.stringify(j) }))))
    await userEvent.type(screen.getByLabelText('Marks for calculation sheets'), 'X9')
    await userEvent.click(screen.getByRole('button', { name: 'Report, PDF' }))
    expect(await screen.findByText('There is no beam line or column stack X9.')).toBeInTheDocument()
    await userEvent.clear(screen.getByLabelText('Marks for calculation sheets'))
    await userEvent.type(screen.getByLabelText('Marks for calculation sheets'), 'L1-B01, C-D3')
    expect(screen.queryByText(/There is no beam line/)).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Report, PDF' }))
    expect(make).toHaveBeenLastCalledWith('p', 'report.pdf', { calculations: 'named', sheets: 'L1-B01, C-D3' })
    expect(await screen.findByText('waiting…')).toBeInTheDocument()
    tell({ ...job('calculation of C-D3', 3), phase: 'running' })
    expect(screen.getByText('calculation of C-D3…')).toBeInTheDocument()
    expect(screen.getByText('75%')).toBeInTheDocument()
    const cancel = vi.spyOn(api, 'cancelJob').mockResolvedValue(job('', 0))
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }))
    expect(cancel).toHaveBeenCalledWith('j')
    const link = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined)
    tell({ ...job('done', 4), phase: 'done', result: 'j' })
    expect(link.mock.contexts[0]).toHaveAttribute('href', '/api/jobs/j/file')
    expect(screen.queryByRole('button', { name: 'Cancel' })).toBeNull()
    expect(screen.getByRole('button', { name: 'Report, PDF' })).toBeEnabled()
  })

  it('say why a file could not be made', async () => {
    open()
    await screen.findByText('Schedule of beams')
    vi.spyOn(api, 'makeExport').mockResolvedValueOnce(job('waiting', 0))
    let tell: (e: MessageEvent) => void = () => undefined
    const events = { addEventListener: (_: string, l: (e: MessageEvent) => void) => (tell = l), close: vi.fn() }
    vi.spyOn(api, 'jobEvents').mockImplementation(() => events as unknown as EventSource)
    await userEvent.click(screen.getByRole('button', { name: 'Schedules, XLSX' }))
    await screen.findByText('waiting…')
    const finding = {
      severity: 'fails',
      code: 'export.disk',
      where: 'schedules.xlsx',
      what: 'The server could not write the file.',
      mend: 'Make room on the server’s disk and ask for it again.',
      clause: '',
      combination: '',
    }
    act(() =>
      tell(new MessageEvent('job', { data: JSON.stringify({ ...job('', 0), phase: 'failed', findings: [finding] }) })),
    )
    expect(await screen.findByText(/could not write the file/)).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Schedules, XLSX' })).toBeEnabled()
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

  it('say so for a building without columns', async () => {
    columns.mockRejectedValue(new ApiError(404, 'There are no columns to schedule.', 'Choose another schedule.'))
    open('/?kind=columns')
    expect(await screen.findByText('There are no columns to schedule.')).toBeInTheDocument()
  })
})
