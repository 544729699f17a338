import { act, render, renderHook, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type ResultRow, type ResultsPage as Page, type View } from '../../api/client'
import { elevationScene, marksIn, planScene } from '../../drawing/planScene'
import { shadeFrom, shadeOf } from '../../drawing/shade'
import { Around, drawn, state } from '../../test/fixtures'
import { groupsOf, marksOnGrid, onGrid } from './alike'
import { ResultsPage } from './ResultsPage'
import { useSelection } from './useSelection'

const row = (mark: string, over: Partial<ResultRow> = {}): ResultRow => ({
  id: mark,
  mark,
  role: 'beam',
  storeys: ['L1'],
  section: '300 × 600',
  check: 'Flexure, top',
  place: '',
  utilisation: 0.8,
  combination: '',
  clause: '',
  satisfied: true,
  overstressed: false,
  bars: '4T16',
  stirrups: 'T10-200',
  causes: [],
  finding: '',
  notes: 0,
  crowded: 0,
  local: [],
  parts: 2,
  steelKg: 100,
  handSet: false,
  type: '',
  ...over,
})
// two beams along grid line A (x = 0), one across at y = 5 m, and a column at the crossing
const view: View = {
  version: 1,
  marks: ['B1', 'B2', 'B3', 'C1'],
  grid: [
    { id: 'A', x1: 0, y1: -1000, x2: 0, y2: 12_000 },
    { id: '2', x1: -1000, y1: 5000, x2: 9000, y2: 5000 },
  ],
  storeys: [{ id: 'L1', name: 'L1', elevationMm: 3000 }],
  members: [
    drawn('b1', [0, 0, 3000, 0, 5000, 3000], 0),
    drawn('b2', [0, 5000, 3000, 0, 10_000, 3000], 1),
    drawn('b3', [0, 5000, 3000, 8000, 5000, 3000], 2),
    drawn('c1', [0, 5000, 0, 0, 5000, 3000], 3, 'column'),
  ],
}
const rows = [
  row('B1', { satisfied: false, utilisation: 1.2, causes: ['shear'] }),
  row('B2', { section: '400 × 700' }),
  row('B3'),
  row('C1', { role: 'column', parts: 1, section: '400 × 400', handSet: true }),
]

describe('a selection of many', () => {
  const hook = (id: string) =>
    renderHook(() => {
      const [primary, setPrimary] = useState<string>()
      return useSelection(id, primary, setPrimary)
    })
  const order = ['a', 'b', 'c', 'd']
  it('picks one, toggles with Ctrl, runs to another with Shift', () => {
    const { result } = hook('one')
    act(() => result.current.pick('b'))
    act(() => result.current.range(order, 'd'))
    expect([...result.current.all]).toEqual(['b', 'c', 'd'])
    expect(result.current.primary).toBe('d')
    act(() => result.current.pick('c', 'toggle'))
    expect([...result.current.all]).toEqual(['b', 'd'])
    act(() => result.current.pick('a', 'toggle'))
    expect(result.current.primary).toBe('a')
    act(() => result.current.pick('c'))
    expect([...result.current.all]).toEqual(['c'])
    act(() => result.current.range(['a', 'd'], 'd'))
    expect([...result.current.all], 'the list no longer shows c').toEqual(['c', 'd'])
    act(() => result.current.pick(undefined))
    expect(result.current.all.size).toBe(0)
  })
  it('outlives a look at another page', () => {
    const first = hook('two')
    act(() => first.result.current.set(['a', 'b']))
    first.unmount()
    const again = renderHook(() => useSelection('two', 'a', () => undefined))
    expect([...again.result.current.all]).toEqual(['a', 'b'])
  })
})

describe('others like it', () => {
  it('are those of its section, storey, cause, shape and grid line', () => {
    const of = (mark: string) =>
      Object.fromEntries(
        groupsOf(
          view,
          rows,
          rows.slice(0, 2),
          rows.find((r) => r.mark === mark),
        ).map((g) => [g.key, g.marks]),
      )
    expect(of('B1')).toEqual({
      list: ['B1', 'B2'],
      like: ['B1', 'B3'],
      section: ['B1', 'B3'],
      storey: ['B1', 'B2', 'B3'],
      'cause-shear': ['B1'],
      'grid-A': ['B1', 'B2', 'C1'],
    })
    expect(Object.keys(of('C1'))).toContain('grid-2')
    expect(marksOnGrid(view, view.grid[1]!)).toEqual(['B3', 'C1'])
  })
})

describe('the drawings', () => {
  it('show a grid line from its side, upwards, with what crosses it', () => {
    const g = view.grid[0]!
    const s = elevationScene(view, g, (m) => onGrid(m, g))
    expect(s.members.map((m) => [m.id, m.x1, m.y1, m.x2, m.y2])).toEqual([
      ['b1', 1000, -3000, 6000, -3000],
      ['b2', 6000, -3000, 11_000, -3000],
      ['c1', 6000, -0, 6000, -3000],
    ])
    expect(s.grid.map((q) => [q.id, q.x1])).toEqual([
      ['2', 6000],
      ['L1', -1200],
    ])
  })
  it('give the marks that a rectangle touches', () => {
    const s = planScene(view, 3000)
    expect(marksIn(s, { x1: 3000, y1: -5500, x2: 9000, y2: -4500 })).toEqual(['B3'])
    expect(marksIn(s, { x1: 100, y1: 100, x2: -100, y2: -1500 })).toEqual(['B1'])
  })
  it('shade by what is chosen, and by strength where the address says nonsense', () => {
    expect(shadeOf(view.members[0]!, 'strength')).toBe(0.5)
    expect(shadeOf(view.members[0]!, 'detailing')).toBe(0.99)
    expect(shadeOf(view.members[0]!, 'density')).toBe(0.5)
    expect(shadeFrom('<script>')).toBe('strength')
  })
})

describe('the results page', () => {
  const page: Page = {
    version: 5,
    total: 4,
    matching: 4,
    page: 0,
    size: 5000,
    rows,
    marks: rows.map((r) => r.mark),
    causes: { shear: 1 },
    rungs: [{ id: 'L1', name: 'L1', elevationM: 3, utilisations: [0.8], fails: 1 }],
  }
  const results = vi.spyOn(api, 'results')
  beforeEach(() => {
    results.mockReset()
    results.mockImplementation((_id, q) =>
      q === 'util>'
        ? Promise.reject(new ApiError(400, '“util>” is not understood: write for instance util>0.95.', ''))
        : Promise.resolve(page),
    )
    vi.spyOn(api, 'view').mockResolvedValue(view)
    vi.spyOn(api, 'edits').mockResolvedValue({ entries: [], canUndo: false, canRedo: false, modelVersion: 1 })
  })
  const open = (address: string) =>
    render(
      <Around at={address}>
        <ResultsPage id="p" mode="light" state={state} />
      </Around>,
    )

  it('keeps the last list while a query is not understood', async () => {
    open('/p/p/results')
    expect(await screen.findByText('4 of 4')).toBeInTheDocument()
    await userEvent.type(screen.getByLabelText('Query'), 'util>')
    expect(await screen.findByText(/is not understood/)).toBeInTheDocument()
    expect(screen.getByText('4 of 4')).toBeInTheDocument()
    expect(screen.getByLabelText('Plan of L1')).toBeInTheDocument()
  })

  it('opens where the address itself is not understood', async () => {
    open('/p/p/results?q=util%3E&view=nonsense&line=Q&label=x')
    expect(await screen.findByText(/is not understood/)).toBeInTheDocument()
    expect(await screen.findByLabelText('Plan of L1')).toBeInTheDocument()
  })

  it('sums up what is selected and changes all of it in one step', async () => {
    const resized = vi
      .spyOn(api, 'resized')
      .mockResolvedValue({ edits: [{ kind: 'section', members: ['b1'], section: '300x650' }] })
    const edit = vi
      .spyOn(api, 'edit')
      .mockResolvedValue({ id: 'p', name: '', createdAt: '', changedAt: '', version: 6 })
    open('/p/p/results?sel=B1')
    await screen.findByLabelText('Plan of L1')
    await userEvent.keyboard('{Control>}a{/Control}')
    expect(await screen.findByText('4 selected')).toBeInTheDocument()
    expect(screen.getByText('3 beam lines, 1 column')).toBeInTheDocument()
    expect(screen.getByRole('region', { name: 'Selected' })).toHaveTextContent('1 fails · worst B1 1.20')
    await userEvent.click(await screen.findByText('All at once…'))
    await userEvent.click(await screen.findByText('One step deeper'))
    await waitFor(() => expect(edit).toHaveBeenCalledWith('p', 5, expect.any(Array)))
    expect(resized).toHaveBeenCalledWith('p', ['b1', 'b2', 'b3', 'c1'], 1, 0)
    await userEvent.click(screen.getByText('Select…'))
    await userEvent.click(await screen.findByText('invert'))
    await waitFor(() => expect(screen.queryByText('4 selected')).toBeNull())
  })
})
