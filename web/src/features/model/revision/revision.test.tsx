import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type Model, type Revision, type State } from '../../../api/client'
import { Around } from '../../../test/fixtures'
import { RevisionPart } from './RevisionPart'

const revision: Revision = {
  version: 4,
  fileName: 'second.json',
  members: 120,
  found: 0.98,
  differences: [
    { kind: 'gone', title: 'Members gone', what: 'beams', was: '', now: '', count: 2, parts: ['B7', 'B8'] },
    { kind: 'resized', title: 'Section', what: 'beams', was: '300 × 500', now: '300 × 600', count: 1, parts: ['B1'] },
  ],
  totals: [
    { loadCase: 'LL', wasKn: [0, 0, -1000], nowKn: [0, 0, -1300] },
    { loadCase: 'W', wasKn: [250, 0, 0], nowKn: null },
  ],
  own: [
    { fate: 'lost', what: 'loads in LL', reason: 'the member is gone', count: 1, members: ['B7'] },
    { fate: 'kept', what: 'section 350 × 700', reason: '', count: 1, members: ['B2'] },
  ],
  effects: ['L1-B07 is gone'],
}
const model = { fileName: 'first.json', units: 'SI' } as Model
const state = { version: 4, current: true } as State

const open = (at: string) =>
  render(
    <Around at={at}>
      <RevisionPart id="p" state={state} model={model} />
    </Around>,
  )

beforeEach(() => {
  vi.spyOn(api, 'revision').mockImplementation(() => Promise.resolve(revision))
})

describe('a newer model', () => {
  it('is told against the one in force: differences, sums, own changes, lines', async () => {
    open('/p/p/model?part=revision&revision=r')
    expect(await screen.findByText(/98 % of those in force/)).toBeInTheDocument()
    const row = screen.getByText('300 × 600').closest('tr')!
    await userEvent.click(within(row).getByRole('button', { name: '1 parts: Section, beams' }))
    expect(screen.getByText('B1')).toBeInTheDocument()
    expect(screen.getByText('+30.0 %')).toHaveClass('over-ink')
    expect(screen.getByText('gone')).toBeInTheDocument()
    expect(screen.getByText('the member is gone')).toBeInTheDocument()
    expect(screen.getByText('L1-B07 is gone')).toBeInTheDocument()
  })

  it('leaves own changes out where that is wished, and is adopted at the version that was compared', async () => {
    const adopt = vi.spyOn(api, 'adopt').mockResolvedValue({ version: 5 } as never)
    open('/p/p/model?part=revision&revision=r')
    expect(await screen.findByText('kept')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('checkbox', { name: /Keep own changes/ }))
    await waitFor(() => expect(screen.queryByText('kept')).not.toBeInTheDocument())
    await waitFor(() => expect(screen.getByRole('button', { name: 'Adopt the newer model' })).toBeEnabled())
    await userEvent.click(screen.getByRole('button', { name: 'Adopt the newer model' }))
    await waitFor(() => expect(adopt).toHaveBeenCalledWith('p', 'r', 4, false))
  })

  it('says so where it is hardly the same building', async () => {
    vi.spyOn(api, 'revision').mockResolvedValue({ ...revision, found: 0.1 })
    open('/p/p/model?part=revision&revision=r')
    expect(await screen.findByRole('alert')).toHaveTextContent('Hardly any member is found again')
  })

  it('tells what is wrong with it and lets another file be chosen', async () => {
    vi.spyOn(api, 'revision').mockRejectedValue(new ApiError(422, 'This cannot be done.', 'Add a support.'))
    open('/p/p/model?part=revision&revision=r')
    expect(await screen.findByText('This cannot be done.')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Choose another file' }))
    expect(await screen.findByText(/Drop the newer model here/)).toBeInTheDocument()
  })
})
