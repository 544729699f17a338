import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type Job } from '../../api/client'
import { Around } from '../../test/fixtures'
import { ProjectList } from './ProjectList'

/** Stands in for the browser's event source; the test says what the server sends. */
class Events {
  listener?: (e: MessageEvent) => void
  closed = false
  addEventListener(_: string, l: (e: MessageEvent) => void) {
    this.listener = l
  }
  close() {
    this.closed = true
  }
  send(job: Partial<Job>) {
    this.listener!({ data: JSON.stringify(job) } as MessageEvent)
  }
}

const job: Job = {
  id: 'j',
  kind: 'import',
  phase: 'running',
  doing: 'reading the model',
  done: 0,
  total: 0,
  findings: [],
  result: null,
}
const project = {
  id: 'p',
  name: 'Zaal',
  createdAt: '2026-01-01T00:00:00Z',
  changedAt: '2026-01-02T00:00:00Z',
  version: 1,
}
let events: Events

beforeEach(() => {
  events = new Events()
  vi.spyOn(api, 'projects').mockResolvedValue({ projects: [project] })
  vi.spyOn(api, 'deleted').mockResolvedValue({ projects: [] })
  vi.spyOn(api, 'upload').mockResolvedValue(job)
  vi.spyOn(api, 'jobEvents').mockImplementation(() => events as unknown as EventSource)
})

const open = () =>
  render(
    <Around>
      <ProjectList mode="light" onMode={() => {}} />
    </Around>,
  )
const drop = async (container: HTMLElement) =>
  userEvent.upload(container.querySelector<HTMLInputElement>('input[type=file]')!, new File(['{}'], 'm.json'))

describe('the project list', () => {
  it('lists projects and says what to do where there is none', async () => {
    open()
    expect(await screen.findByRole('link', { name: 'Zaal' })).toHaveAttribute('href', '/p/p/results')
    vi.spyOn(api, 'projects').mockResolvedValue({ projects: [] })
    open()
    expect(await screen.findByText(/No project yet/)).toBeInTheDocument()
  })

  it('brings a deleted project back, or removes it for good once that is confirmed', async () => {
    const rests = {
      id: 'd',
      name: 'Oude zaal',
      deletedAt: '2026-01-03T10:00:00Z',
      deletedBy: 'Zoë',
      until: '2026-02-02T10:00:00Z',
    }
    vi.spyOn(api, 'deleted').mockResolvedValue({ projects: [rests] })
    const back = vi.spyOn(api, 'bringBack').mockRejectedValue(new ApiError(404, 'There is no deleted project d.', ''))
    const remove = vi.spyOn(api, 'removeForGood').mockResolvedValue()
    open()
    await userEvent.click(await screen.findByText('One deleted project'))
    expect(screen.getByText(/by Zoë/)).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Bring back Oude zaal' }))
    expect(back).toHaveBeenCalledWith('d')
    expect(await screen.findByText('There is no deleted project d.')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Remove Oude zaal for good' }))
    expect(remove).not.toHaveBeenCalled()
    await userEvent.click(await screen.findByRole('button', { name: 'Remove for good' }))
    expect(remove).toHaveBeenCalledWith('d')
  })

  it('shows how far an import is and lets it be cancelled', async () => {
    const cancel = vi.spyOn(api, 'cancelJob').mockResolvedValue(job)
    const { container } = open()
    await drop(container)
    expect(await screen.findByText('reading the model…')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }))
    expect(cancel).toHaveBeenCalledWith('j')
    events.send({ ...job, phase: 'cancelled' })
    expect(await screen.findByText('Cancelled; nothing was stored.')).toBeInTheDocument()
    expect(events.closed).toBe(true)
  })

  it('lists every finding of a model that is refused', async () => {
    const { container } = open()
    await drop(container)
    await screen.findByText('reading the model…')
    events.send({
      ...job,
      phase: 'failed',
      findings: [
        {
          severity: 'fails',
          code: 'x',
          where: 'joint A',
          what: 'It is twice there.',
          mend: 'Rename one.',
          clause: '',
          combination: '',
        },
      ],
    })
    expect(await screen.findByText('joint A')).toBeInTheDocument()
    expect(screen.getByText(/Rename one/)).toBeInTheDocument()
  })

  it('says that the server cannot be reached and tries again', async () => {
    const list = vi
      .spyOn(api, 'projects')
      .mockRejectedValue(new ApiError(0, 'The server cannot be reached.', 'Check it.'))
    open()
    expect(await screen.findByText('The server cannot be reached.')).toBeInTheDocument()
    list.mockResolvedValue({ projects: [project] })
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }))
    await waitFor(() => expect(screen.getByRole('link', { name: 'Zaal' })).toBeInTheDocument())
  })

  it('offers every project as a file', async () => {
    render(<ProjectList mode="light" onMode={() => {}} />, { wrapper: Around })
    const link = await screen.findByRole('link', { name: 'Download Zaal' })
    expect(link).toHaveAttribute('href', api.exportUrl('p', 'project.zip'))
  })

  it('asks before it deletes', async () => {
    const remove = vi.spyOn(api, 'remove').mockResolvedValue(undefined)
    open()
    await userEvent.click(await screen.findByRole('button', { name: 'Delete' }))
    expect(remove).not.toHaveBeenCalled()
    await userEvent.click((await screen.findAllByRole('button', { name: 'Delete' })).at(-1)!)
    expect(remove).toHaveBeenCalledWith('p')
  })
})
