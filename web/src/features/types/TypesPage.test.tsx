import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type Job, type Member, type TypeCurve, type TypeRow, type View } from '../../api/client'
import { Around, state } from '../../test/fixtures'
import { RoleContext } from '../people/session'
import { TypesPage } from './TypesPage'

const type = (mark: string, members: string[], over: Partial<TypeRow> = {}): TypeRow => ({
  id: members.length > 1 ? `T-${mark}` : '',
  mark,
  role: 'beam',
  locked: false,
  members: members.map((m) => ({ mark: m, parts: 3, utilisation: 0.9, satisfied: true })),
  left: [],
  storeys: 'L1 to L3',
  section: '300 × 600',
  bars: '4T20 top, 3T20 bottom',
  stirrups: 'T10-200, 2 legs',
  governing: members[0]!,
  check: 'Flexure, top',
  utilisation: 0.97,
  satisfied: true,
  steelKg: 1000 * members.length,
  aloneKg: 950 * members.length,
  densityKgM3: 120,
  congestion: 0.92,
  sound: true,
  ...over,
})
const rows = [
  type('TB1', ['L1-B01', 'L2-B01', 'L3-B01']),
  type('TB2', ['L1-B02', 'L2-B02']),
  type('L3-B02', ['L3-B02']),
  type('TC3', ['C-A1', 'C-A2'], { role: 'column' }),
]
const curve: TypeCurve = {
  ready: true,
  members: 6,
  aloneKg: 5700,
  alonePieces: 900,
  points: [
    { types: 6, kg: 5700, pieces: 900, marks: 180 },
    { types: 4, kg: 5750, pieces: 905, marks: 181 },
    { types: 2, kg: 6400, pieces: 950, marks: 190 },
  ],
  suggested: 4,
  now: { types: 3, kg: 6000, pieces: 940, marks: 188 },
}
const job = (over: Partial<Job>): Job => ({
  id: 'j1',
  kind: 'types',
  phase: 'running',
  doing: 'merging types',
  done: 3,
  total: 6,
  findings: [],
  result: null,
  ...over,
})
const put = vi.spyOn(api, 'changeTypes')
const events = { addEventListener: vi.fn(), close: vi.fn() }

beforeEach(() => {
  vi.spyOn(api, 'types').mockResolvedValue({ version: 5, toleranceMm: 200, types: rows })
  vi.spyOn(api, 'typeCurve').mockResolvedValue(curve)
  vi.spyOn(api, 'typesAt').mockImplementation((_id, _role, types) =>
    Promise.resolve({
      types,
      kg: 5750,
      groups: [
        {
          members: ['L2-B10', 'L2-B9', 'L1-B01'],
          storeys: 'L1, L2',
          section: '300 × 600',
          heaviest: 'L1-B01',
          steelKg: 3100,
          aloneKg: 3000,
        },
        { members: ['L3-B02'], storeys: 'L3', section: '300 × 600', heaviest: 'L3-B02', steelKg: 900, aloneKg: 900 },
      ],
      fewer: [{ into: 'L1-B01', joins: 'L3-B02', lines: 1, extraKg: 650 }],
    }),
  )
  vi.spyOn(api, 'member').mockResolvedValue({ mark: 'x', role: 'beam', beam: null, column: null } as unknown as Member)
  vi.spyOn(api, 'view').mockResolvedValue({ version: 1, marks: [], members: [], grid: [], storeys: [] } as View)
  vi.spyOn(api, 'jobEvents').mockImplementation(() => events as unknown as EventSource)
  events.addEventListener.mockReset()
  put.mockReset().mockResolvedValue({ id: 'p', name: '', createdAt: '', changedAt: '', version: 6 })
  // the list draws the rows that are in sight: all of them
  vi.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(600)
  vi.spyOn(Element.prototype, 'clientWidth', 'get').mockReturnValue(600)
})

const open = (at = '/') =>
  render(
    <Around at={at}>
      <TypesPage id="p" state={state} />
    </Around>,
  )
const list = () => screen.findByRole('listbox', { name: 'Types' })

describe('the types', () => {
  it('are listed with what they cost, those that share a cage first', async () => {
    open()
    const options = await within(await list()).findAllByRole('option')
    expect(options.map((o) => o.querySelector('b')!.textContent)).toEqual(['TB1', 'TB2', 'L3-B02'])
    expect(options[0]).toHaveTextContent('+0.15')
    expect(screen.getByText('2 shared · 1 by themselves')).toBeInTheDocument()
    expect(await screen.findByText('3 types')).toBeInTheDocument()
    expect(screen.getByText('+5.3 %')).toBeInTheDocument()
    expect(screen.getByText('188 bar marks')).toBeInTheDocument()
    // how full and how dense each is, where the window is wide, and always beside the chosen one
    expect(options[0]).toHaveTextContent(/0\.92.*120/)
  })

  it('are looked at by moving the mark, and made by a press', async () => {
    open()
    const slider = await screen.findByRole('slider', { name: 'Number of types' })
    expect(slider).toHaveAttribute('aria-valuenow', '3')
    slider.focus()
    await userEvent.keyboard('{ArrowRight}')
    expect(slider).toHaveAttribute('aria-valuenow', '4')
    expect(await screen.findByText('L1-B01, L2-B9, L2-B10')).toBeInTheDocument()
    expect(screen.getByText(/One type fewer: the type of L1-B01 takes in that of L3-B02, \+0.7 t/)).toBeInTheDocument()
    expect(screen.getByText('and 1 member keeps a cage of its own')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Make these 4 types' }))
    expect(put).toHaveBeenCalledWith('p', 5, { action: 'adopt', role: 'beam', types: 4 })
    await waitFor(() => expect(slider).toHaveAttribute('aria-valuenow', '3'))
  })

  it('show the cage of the highest column where some end lower', async () => {
    const members = [
      { mark: 'C-A1', parts: 4, utilisation: 0.97, satisfied: true },
      { mark: 'C-A2', parts: 7, utilisation: 0.8, satisfied: true },
      { mark: 'C-A3', parts: 7, utilisation: 0.9, satisfied: true },
    ]
    const uneven = type('TC4', ['C-A1'], { id: 'T4', role: 'column', members })
    vi.spyOn(api, 'types').mockResolvedValue({ version: 5, toleranceMm: 200, types: [uneven] })
    open('/?role=column&type=TC4')
    expect(await screen.findByText(/As in C-A2. Columns that end lower have its lifts/)).toBeInTheDocument()
    expect(api.member).toHaveBeenCalledWith('p', 'C-A2', expect.anything())
    expect(screen.getByRole('link', { name: 'C-A1' })).toBeInTheDocument()
    uneven.governing = 'C-A3'
    open('/?role=column&type=TC4')
    expect(await screen.findByText(/As in C-A3/)).toBeInTheDocument()
  })

  it('are merged, split and locked with keys', async () => {
    open('/?type=TB1')
    const l = await list()
    l.focus()
    fireEvent.keyDown(l, { key: 'm' })
    expect(put).not.toHaveBeenCalled()
    fireEvent.keyDown(l, { key: 'l' })
    await waitFor(() => expect(put).toHaveBeenCalledWith('p', 5, { action: 'lock', type: 'T-TB1' }))
    fireEvent.keyDown(l, { key: 'ArrowDown', shiftKey: true })
    fireEvent.keyDown(l, { key: 'm' })
    await waitFor(() =>
      expect(put).toHaveBeenLastCalledWith('p', 6, {
        action: 'merge',
        members: ['L1-B01', 'L2-B01', 'L3-B01', 'L1-B02', 'L2-B02'],
      }),
    )
    fireEvent.keyDown(l, { key: 's' })
    await waitFor(() =>
      expect(put).toHaveBeenLastCalledWith('p', expect.anything(), { action: 'dissolve', type: 'T-TB2' }),
    )
  })

  it('are renamed, and a member is taken out or moved', async () => {
    open('/?type=TB1')
    const l = await list()
    fireEvent.keyDown(l, { key: 'F2' })
    const mark = screen.getByLabelText('Mark of the type')
    await userEvent.clear(mark)
    await userEvent.type(mark, 'B100{Enter}')
    expect(put).toHaveBeenCalledWith('p', 5, { action: 'rename', type: 'T-TB1', mark: 'B100' })
    await userEvent.click(screen.getByRole('button', { name: 'L2-B01' }))
    await waitFor(() => expect(screen.getByRole('button', { name: 'Take out' })).toBeEnabled())
    await userEvent.click(screen.getByRole('button', { name: 'Take out' }))
    await waitFor(() =>
      expect(put).toHaveBeenLastCalledWith('p', expect.anything(), { action: 'apart', members: ['L2-B01'] }),
    )
    await waitFor(() => expect(screen.getByLabelText('Move to type')).toBeEnabled())
    fireEvent.mouseDown(screen.getByLabelText('Move to type'))
    await userEvent.click(await screen.findByTitle('TB2'))
    await waitFor(() =>
      expect(put).toHaveBeenLastCalledWith('p', expect.anything(), {
        action: 'merge',
        members: ['L2-B01'],
        type: 'T-TB2',
      }),
    )
  })

  it('are named by a pattern that shows what comes of it, or why it cannot be', async () => {
    const pattern = vi
      .spyOn(api, 'typePattern')
      .mockImplementation((_id, _role, p) =>
        p.includes('{x}')
          ? Promise.reject(new ApiError(422, '{x} says nothing.', 'Write for instance {storey}-{role}{n}.'))
          : Promise.resolve({ marks: [{ type: 'T-TB1', was: 'TB1', mark: p.replace('{n}', '1') }] }),
      )
    open()
    await list()
    await userEvent.click(screen.getByRole('button', { name: 'Marks…' }))
    const field = await screen.findByLabelText('Pattern')
    expect(await screen.findByText('B1')).toBeInTheDocument()
    fireEvent.change(field, { target: { value: '{x}' } })
    expect(await screen.findByText('{x} says nothing.')).toBeInTheDocument()
    expect(screen.getByRole('button', { name: /^Name/ })).toBeDisabled()
    fireEvent.change(field, { target: { value: 'V{n}' } })
    await screen.findByText('V1')
    await userEvent.click(screen.getByRole('button', { name: 'Name 1 types' }))
    await waitFor(() => expect(put).toHaveBeenCalledWith('p', 5, { action: 'pattern', role: 'beam', mark: 'V{n}' }))
    expect(pattern).toHaveBeenCalled()
  })

  it('have their curve made when the page is opened, with progress, and it can be cancelled', async () => {
    vi.spyOn(api, 'typeCurve')
      .mockResolvedValueOnce({ ...curve, ready: false, points: [] })
      .mockResolvedValue(curve)
    const make = vi.spyOn(api, 'makeTypeCurve').mockResolvedValue(job({}))
    const cancel = vi.spyOn(api, 'cancelJob').mockResolvedValue(job({ phase: 'cancelled' }))
    open()
    await waitFor(() => expect(events.addEventListener).toHaveBeenCalled())
    const tell = (j: Job) =>
      act(() => (events.addEventListener.mock.calls[0]![1] as (e: unknown) => void)({ data: JSON.stringify(j) }))
    expect(make).toHaveBeenCalledTimes(1)
    tell(job({ done: 3 }))
    expect(await screen.findByText('merging types…')).toBeInTheDocument()
    expect(screen.getByText('50%')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Cancel' }))
    expect(cancel).toHaveBeenCalledWith('j1')
    tell(job({ phase: 'cancelled' }))
    expect(await screen.findByText(/The types in force stay as they are/)).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Make the curve' }))
    expect(make).toHaveBeenCalledTimes(2)
  })

  it('say what is not sound and who was left out', async () => {
    vi.spyOn(api, 'types').mockResolvedValue({
      version: 5,
      toleranceMm: 200,
      types: [
        type('TB1', ['L1-B01', 'L2-B01'], {
          sound: false,
          satisfied: false,
          left: [{ mark: 'L3-B01', why: 'parts of it are set by hand' }],
        }),
      ],
    })
    open('/?type=TB1')
    expect(await screen.findByText(/No common cage serves all of them/)).toBeInTheDocument()
    expect(screen.getByText(/L3-B01 \(parts of it are set by hand\)/)).toBeInTheDocument()
  })

  it('tell why a change is refused', async () => {
    put.mockRejectedValueOnce(
      new ApiError(422, 'This cannot be done.', '', [
        {
          code: 'types',
          severity: 'fails',
          where: 'types',
          what: 'L1-B01 and L1-B02 cannot share a cage.',
          mend: 'Choose members that are built alike.',
          clause: '',
          combination: '',
        },
      ]),
    )
    open('/?type=TB1')
    fireEvent.keyDown(await list(), { key: 'l' })
    expect(await screen.findByText(/cannot share a cage. Choose members that are built alike/)).toBeInTheDocument()
  })

  it('have no curve where there are no members of a role', async () => {
    vi.spyOn(api, 'typeCurve').mockResolvedValue({
      ...curve,
      members: 0,
      points: [{ types: 0, kg: 0, pieces: 0, marks: 0 }],
      suggested: 0,
      now: { types: 0, kg: 0, pieces: 0, marks: 0 },
    })
    open('/?role=column')
    expect(await screen.findByText('There are no columns in this model.')).toBeInTheDocument()
    expect(screen.queryByRole('slider')).toBeNull()
  })

  it('offers a reader no change', async () => {
    render(
      <Around at="/?type=TB1">
        <RoleContext.Provider value="reader">
          <TypesPage id="p" state={state} />
        </RoleContext.Provider>
      </Around>,
    )
    expect(await screen.findByRole('button', { name: /Split/ })).toBeDisabled()
    expect(screen.getByRole('button', { name: /Lock/ })).toBeDisabled()
    expect(screen.getByRole('button', { name: 'Marks…' })).toBeDisabled()
    expect(screen.getByLabelText('Tolerance of lengths')).toBeDisabled()
    expect(screen.queryByLabelText('Mark of the type')).toBeNull()
    expect(put).not.toHaveBeenCalled()
  })
})
