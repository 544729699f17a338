import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type Member, type State } from '../../api/client'
import { SI } from '../../lib/units'
import { Around, column, interaction } from '../../test/fixtures'
import { arrangementOf } from './arrangement'
import type { Bench, BenchBar } from './bench'
import { fromLift, sizeOf } from './fromLift'
import GiveBack from './GiveBack'

/** 400 × 400, cover 40, ties T10: bars of 25 mm in the corners stand 62.5 from the faces. */
const lift: Bench = {
  ...fromLift(column, column.lifts[0]!, interaction.demands, 'aci-318m-19', SI),
  bars: [
    { bar: 'T25', count: 2, x: -137.5, z: 62.5, x2: 137.5, z2: 62.5 },
    { bar: 'T25', count: 2, x: -137.5, z: 337.5, x2: 137.5, z2: 337.5 },
    { bar: 'T20', count: 2, x: -137.5, z: 154.2, x2: -137.5, z2: 245.8 },
    { bar: 'T20', count: 2, x: 137.5, z: 154.2, x2: 137.5, z2: 245.8 },
  ],
}
const row = (bar: string, x: number, z: number): BenchBar => ({ bar, count: 1, x, z, x2: x, z2: z })
const why = (b: Bench) => (arrangementOf(b) as { trouble: string }).trouble

describe('bars of the bench', () => {
  it('are rows along the faces of a rectangle', () => {
    expect(arrangementOf(lift)).toEqual({
      rows: { alongX: 2, alongY: 4, corner: 'T25', face: 'T20', heldX: [], heldY: [] },
      ring: null,
      legs: null,
    })
  })

  it('are a ring of a circle', () => {
    const round = {
      ...lift,
      shape: { ...lift.shape, shape: 'circle' as const, d: 500 },
      bars: Array.from({ length: 7 }, (_, i) => {
        const a = 0.3 + (2 * Math.PI * i) / 7
        return row('T25', 187.5 * Math.cos(a), 250 + 187.5 * Math.sin(a))
      }),
    }
    expect(arrangementOf(round)).toMatchObject({ ring: { count: 7, size: 'T25' }, rows: null })
    expect(why({ ...round, bars: [...round.bars.slice(1), row('T25', 0, 250)] })).toMatch(/one ring/)
    expect(why({ ...round, bars: round.bars.map((b, i) => ({ ...b, bar: i ? 'T25' : 'T20' })) })).toMatch(/one size/)
  })

  /** Legs 300 thick of 600 × 700: bars of 25 mm in the corners stand 62.5 from the faces, of 20 mm between them 60. */
  const legged = (shape: 'ell' | 'tee' | 'inverted-tee', bars: [string, number, number][]): Bench => ({
    ...lift,
    shape: { ...lift.shape, shape, bw: 300, h: 700, bf: 600, hf: 300 },
    bars: bars.map(([bar, x, z]) => row(bar, x, z)),
  })
  const ell: [string, number, number][] = [
    ...[-237.5, -62.5].map((x): [string, number, number] => ['T25', x, 62.5]),
    ...[-237.5, -62.5, 237.5].flatMap((x) => [462.5, 637.5].map((z): [string, number, number] => ['T25', x, z])),
    ...[-240, -60].map((x): [string, number, number] => ['T20', x, 262.5]),
    ...[460, 640].map((z): [string, number, number] => ['T20', 87.5, z]),
  ]

  it('are those of the legs of an ell', () => {
    const as = { overhangs: 1, web: 1, flange: 1, corner: 'T25', face: 'T20', heldWeb: [], heldFlange: [] }
    expect(arrangementOf(legged('ell', ell))).toEqual({ rows: null, ring: null, legs: as })
    const corners = ell.filter(([bar]) => bar === 'T25')
    expect(arrangementOf(legged('ell', corners))).toMatchObject({ legs: { web: 0, flange: 0, face: 'T25' } })
    expect(why(legged('ell', ell.slice(1)))).toMatch(/corners of its ties/)
    expect(why(legged('ell', [...ell, ['T20', 0, 300], ['T20', 10, 300]]))).toMatch(/corners of its ties/)
    expect(why(legged('ell', [...ell.slice(1), ['T16', -237.5, 62.5]]))).toMatch(/corners of its ties/)
    expect(why(legged('tee', ell))).toMatch(/corners of its ties/)
  })

  it('are those of the legs of a tee, whichever way up', () => {
    const tee: [string, number, number][] = [
      ...[-87.5, 87.5].map((x): [string, number, number] => ['T25', x, 62.5]),
      ...[-237.5, -87.5, 87.5, 237.5].flatMap((x) =>
        [462.5, 637.5].map((z): [string, number, number] => ['T25', x, z]),
      ),
      ...[-90, 90].flatMap((x) => [195.83, 329.17].map((z): [string, number, number] => ['T20', x, z])),
    ]
    const as = { legs: { overhangs: 2, web: 2, flange: 0, corner: 'T25', face: 'T20' } }
    expect(arrangementOf(legged('tee', tee))).toMatchObject(as)
    const onItsHead = tee.map(([bar, x, z]): [string, number, number] => [bar, x, 700 - z])
    expect(arrangementOf(legged('inverted-tee', onItsHead))).toMatchObject(as)
    expect(why(legged('inverted-tee', tee))).toMatch(/corners of its ties/)
  })

  it('are neither, and say why', () => {
    const { bars } = lift
    expect(why({ ...lift, bars: [...bars, row('T20', 0, 200)] })).toMatch(/away from the faces/)
    expect(why({ ...lift, bars: [...bars, row('T20', 0, 62.5)] })).toMatch(/as many bars/)
    expect(why({ ...lift, bars: [...bars, row('T16', 0, 62.5), row('T16', 0, 337.5)] })).toMatch(
      /one size in its corners/,
    )
    expect(why({ ...lift, bars: [...bars, row('T20', 40, 62.5), row('T20', 40, 337.5)] })).toMatch(/even distances/)
    expect(why({ ...lift, bars: bars.slice(1) })).toMatch(/each corner/)
    expect(why({ ...lift, cover: 70 })).toMatch(/against their ties/)
    expect(why({ ...lift, shape: { ...lift.shape, shape: 'ell' } })).toMatch(/corners of its ties/)
    expect(why({ ...lift, shape: { ...lift.shape, shape: 'polygon' } })).toMatch(/no polygon/)
    expect(why({ ...lift, bars: [] })).toMatch(/each corner/)
  })
})

describe('giving them back', () => {
  const set = vi.spyOn(api, 'columnSet')
  beforeEach(() => {
    set.mockReset()
    vi.spyOn(api, 'state').mockResolvedValue({ version: 7 } as State)
    vi.spyOn(api, 'member').mockResolvedValue({ column } as Member)
  })
  const from = { id: 'p', mark: 'C-A1', lift: 1, size: sizeOf(lift) }
  const open = (b: Bench = lift) =>
    render(
      <Around>
        <GiveBack bench={{ ...b, from }} />
      </Around>,
    )

  it('sets them by hand on the lift, the ties as they are', async () => {
    set.mockResolvedValue({} as Awaited<ReturnType<typeof api.columnSet>>)
    open()
    await userEvent.click(screen.getByRole('button', { name: 'Give to C-A1' }))
    await waitFor(() => expect(set).toHaveBeenCalled())
    expect(set.mock.calls[0]!.slice(0, 3)).toEqual(['p', 'C-A1', 7])
    expect(set.mock.calls[0]![3].lifts[1]).toMatchObject({ rows: { alongX: 2, alongY: 4 }, ties: null })
  })

  it('says why not', async () => {
    open({ ...lift, shape: { ...lift.shape, h: 450 } })
    await userEvent.click(screen.getByRole('button', { name: 'Give to C-A1' }))
    expect(await screen.findByText('The section is no longer that of the lift.')).toBeInTheDocument()
    expect(set).not.toHaveBeenCalled()
  })

  it('tells what the server refuses', async () => {
    set.mockRejectedValue(new ApiError(403, 'You may only read this project.', ''))
    open()
    await userEvent.click(screen.getByRole('button', { name: 'Give to C-A1' }))
    expect(await screen.findByText(/You may only read this project/)).toBeInTheDocument()
  })
})
