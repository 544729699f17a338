import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from '../../api/client'
import { SI } from '../../lib/units'
import { Around, column, curves, interaction } from '../../test/fixtures'
import { ColumnSection } from './ColumnSection'
import { ColumnSheet } from './ColumnSheet'
import { changeRing, changeRows, changeTies, keyed, release, toAlike, toggleHeld } from './lifts'

const lift = column.lifts[0]!
const byHand = {
  ...column,
  lifts: column.lifts.map((l) => (l.number === 0 ? { ...l, hand: { ...l.whole, ties: null } } : l)),
}
const round = {
  ...column,
  lifts: column.lifts.map((l) => ({
    ...l,
    whole: { ...l.whole, rows: null, ring: { count: 8, size: 'T25', spiral: false } },
  })),
}

/** The lower lift as an ell. */
const ell = (() => {
  const l = column.lifts[0]!
  const legs = {
    overhangs: 1,
    web: 1,
    flange: 0,
    corner: 'T20',
    face: 'T16',
    heldWeb: [true, true, true],
    heldFlange: [true, true],
  }
  return {
    ...l,
    section: {
      ...l.section,
      shape: 'ell',
      label: 'L 300 × 700',
      width: 700,
      depth: 700,
      webWidth: 300,
      flangeDepth: 300,
    },
    outline: {
      corners: [-250, -450, 50, -450, 50, -50, 450, -50, 450, 250, -250, 250],
      closed: [
        [-205, -405, 5, 205],
        [-205, -5, 405, 205],
      ],
      cross: [[-205, -225, 5, -225]],
    },
    whole: { ...l.whole, rows: null, legs },
  }
})()

describe('an ell', () => {
  it('is changed leg by leg, with keys as with numbers', () => {
    const stack = { ...column, lifts: [ell, column.lifts[1]!] }
    expect(keyed(stack, ell, 'ArrowRight', false)!.lifts[0]!.legs).toMatchObject({
      web: 2,
      heldWeb: [],
      heldFlange: [],
    })
    expect(keyed(stack, ell, 'ArrowLeft', true)!.lifts[0]!.legs).toMatchObject({ web: 1, flange: 0 })
    expect(keyed(stack, ell, ']', false)!.lifts[0]!.legs).toMatchObject({ corner: 'T25', face: 'T16' })
    const set = { ...ell, hand: { ...ell.hand, legs: ell.whole.legs } }
    expect(release({ ...stack, lifts: [set, column.lifts[1]!] }, set, 'bars').lifts[0]).toBeUndefined()
  })

  it('is drawn about its centroid, with the ties of both legs', () => {
    const stack = { ...column, lifts: [ell] }
    render(
      <Around>
        <ColumnSection column={stack} lift={ell} units={SI} onSave={() => undefined} />
      </Around>,
    )
    const picture = screen.getByRole('group', { name: /Section L 300/ })
    expect(picture.querySelectorAll('rect.tie')).toHaveLength(2)
    expect(picture.querySelectorAll('line.tie')).toHaveLength(1)
    const points = picture.querySelector('polygon')!.getAttribute('points')!.split(' ').map(Number)
    expect(Math.min(...points)).toBeCloseTo(12)
    expect(Math.max(...points)).toBeCloseTo(202)
  })
})

describe('what a change of a lift sets by hand', () => {
  it('sets bars with the counts asked for, and leaves to Kolonne which of them are held', () => {
    const rows = changeRows(column, lift, { alongX: 4 }).lifts[0]!.rows!
    expect(rows).toMatchObject({ alongX: 4, alongY: 3, corner: 'T25', face: 'T20', heldX: [], heldY: [] })
    expect(changeRows(column, lift, { alongX: 99 }).lifts[0]!.rows!.alongX).toBe(20)
    expect(changeRows(column, lift, { alongY: 0 }).lifts[0]!.rows!.alongY).toBe(2)
  })

  it('keeps legs set by hand while only a size changes', () => {
    const rows = changeRows(byHand, byHand.lifts[0]!, { corner: 'T32' }).lifts[0]!.rows!
    expect(rows.heldX).toEqual([true, false, true])
  })

  it('turns the leg of a bar over, on both faces at once', () => {
    const rows = toggleHeld(column, lift, 'x', 1).lifts[0]!.rows!
    expect(rows.heldX).toEqual([true, true, true])
    expect(rows.heldY).toEqual([true, false, true])
  })

  it('keeps ties at the ends no wider than those between', () => {
    const ties = (change: Parameters<typeof changeTies>[2]) => changeTies(column, lift, change).lifts[0]!.ties!
    expect(ties({ middle: 150 })).toMatchObject({ middle: 150, end: 150 })
    expect(ties({ end: 100, foot: 500, head: 500 })).toMatchObject({ middle: 200, end: 100, foot: 500 })
    expect(ties({ end: 300, foot: 500 })).toMatchObject({ middle: 300, end: 300 })
    expect(ties({ middle: 5 }).middle).toBe(25)
  })

  it('releases bars or ties or both, and leaves other lifts as they are', () => {
    expect(release(byHand, byHand.lifts[0]!, 'bars').lifts).toEqual({})
    expect(Object.keys(release(byHand, byHand.lifts[0]!, 'ties').lifts)).toEqual(['0'])
    expect(Object.keys(changeTies(byHand, byHand.lifts[1]!, { middle: 150 }).lifts)).toEqual(['0', '1'])
  })

  it('gives a whole cage to the lifts of the same section', () => {
    const all = toAlike(column, lift).lifts
    expect(all[1]).toEqual(lift.whole)
    expect(all[0]).toEqual(lift.whole)
  })

  it('answers to keys', () => {
    const rows = (key: string, shift = false) => keyed(column, lift, key, shift)!.lifts[0]!.rows!
    expect(rows('ArrowRight').alongX).toBe(4)
    expect(rows('ArrowLeft').alongX).toBe(2)
    expect(rows('ArrowRight', true).alongY).toBe(4)
    expect(rows(']').corner).toBe('T32')
    expect(rows('{').face).toBe('T16')
    expect(keyed(column, lift, '-', false)!.lifts[0]!.ties!.middle).toBe(175)
    expect(keyed(byHand, byHand.lifts[0]!, 'Delete', false)!.lifts).toEqual({})
    expect(keyed(round, round.lifts[0]!, 'ArrowRight', false)!.lifts[0]!.ring).toEqual({
      count: 9,
      size: 'T25',
      spiral: false,
    })
    expect(keyed(round, round.lifts[0]!, ']', false)!.lifts[0]!.ring!.size).toBe('T32')
    expect(keyed(column, lift, 'q', false)).toBeUndefined()
  })

  it('winds a spiral round a ring and keeps its bars', () => {
    expect(changeRing(round, round.lifts[0]!, { spiral: true }).lifts[0]!.ring).toEqual({
      count: 8,
      size: 'T25',
      spiral: true,
    })
  })

  it('keeps a ring between three bars and sixty', () => {
    expect(changeRing(round, round.lifts[0]!, { count: 1 }).lifts[0]!.ring!.count).toBe(3)
    expect(changeRing(round, round.lifts[0]!, { count: 99 }).lifts[0]!.ring!.count).toBe(60)
  })
})

describe('the cage of a lift on its sheet', () => {
  const set = vi.spyOn(api, 'columnSet')
  beforeEach(() => {
    vi.spyOn(api, 'interaction').mockResolvedValue(interaction)
    vi.spyOn(api, 'curves').mockResolvedValue(curves)
    vi.spyOn(api, 'calculation').mockResolvedValue({ heading: '', steps: [] })
    set.mockReset().mockResolvedValue({ version: 2, column: byHand })
  })
  const open = (of = column) =>
    render(
      <Around at="/">
        <ColumnSheet id="p" column={of} units={SI} />
      </Around>,
    )
  const sent = () => set.mock.calls.at(-1)![3].lifts[0]!

  it('is changed with its buttons and stored at once', async () => {
    open()
    await userEvent.click(screen.getByRole('button', { name: 'Bars along each face across: one more' }))
    await waitFor(() => expect(sent().rows!.alongX).toBe(4))
    expect(sent().ties).toBeNull()
  })

  it('is changed with keys, unless a field is being typed in', async () => {
    open()
    await userEvent.keyboard('{ArrowRight}')
    await waitFor(() => expect(set).toHaveBeenCalledTimes(1))
    await userEvent.click(screen.getByRole('textbox', { name: 'Spacing of ties between' }))
    await userEvent.keyboard('{ArrowLeft}')
    expect(set).toHaveBeenCalledTimes(1)
    await userEvent.keyboard('{Control>}a{/Control}150{Enter}')
    await waitFor(() => expect(sent().ties!.middle).toBe(150))
  })

  it('gives a bar a leg where it is clicked, or chosen with the keyboard', async () => {
    open()
    await userEvent.click(screen.getAllByRole('button', { name: 'Leg at bar 2 across' })[0]!)
    await waitFor(() => expect(sent().rows!.heldX).toEqual([true, true, true]))
    screen.getAllByRole('button', { name: 'Leg at bar 2 in depth' })[0]!.focus()
    await userEvent.keyboard('{Enter}')
    await waitFor(() => expect(sent().rows!.heldY).toEqual([true, true, true]))
  })

  it('says what is set by hand and releases it', async () => {
    open(byHand)
    await userEvent.click(screen.getByRole('button', { name: 'Release the bars' }))
    await waitFor(() => expect(set.mock.calls.at(-1)![3].lifts).toEqual({}))
    expect(screen.queryByRole('button', { name: 'Release the ties' })).not.toBeInTheDocument()
  })

  it('reaches over a part of the height where ties at the ends come closer for the first time', async () => {
    open()
    await userEvent.click(screen.getByRole('textbox', { name: 'Spacing of ties at ends' }))
    await userEvent.keyboard('{Control>}a{/Control}100{Enter}')
    await waitFor(() => expect(sent().ties).toMatchObject({ end: 100, middle: 200, foot: 500, head: 500 }))
  })

  it('walks the lifts up and down with keys', async () => {
    open()
    await userEvent.keyboard('{ArrowUp}')
    expect(screen.getByRole('heading', { name: 'Lift to L2' })).toBeInTheDocument()
    await userEvent.keyboard('{ArrowDown}{ArrowDown}')
    expect(screen.getByRole('heading', { name: 'Lift to L1' })).toBeInTheDocument()
  })

  it('offers other bars: pointing shows the column with them, a click sets them by hand', async () => {
    const hand = { ...column.lifts[0]!.whole, ties: null }
    const option = (bars: string, present: boolean) => ({
      hand,
      bars,
      utilisation: 0.9,
      kgPerM: 20,
      clearMm: 90,
      present,
    })
    vi.spyOn(api, 'arrangements').mockResolvedValue({ options: [option('8T25', false), option('4T25 + 4T20', true)] })
    const tried = vi.spyOn(api, 'tryColumn').mockResolvedValue({
      ...column,
      lifts: column.lifts.map((l) => ({ ...l, bars: '8T25' })),
    })
    open()
    await userEvent.click(screen.getByRole('button', { name: 'Others?' }))
    const other = await screen.findByRole('button', { name: '8T25' })
    expect(screen.getByRole('button', { name: '4T25 + 4T20' })).toBeDisabled()
    await userEvent.hover(other)
    await waitFor(() => expect(tried).toHaveBeenCalledWith('p', 'C-A1', { lifts: { 0: hand } }, expect.anything()))
    expect(await screen.findByRole('group', { name: 'Section 400 × 400 with 8T25' })).toBeInTheDocument()
    await userEvent.click(other)
    await waitFor(() => expect(sent()).toEqual(hand))
  })
})
