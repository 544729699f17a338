import type { Column, HandLift, HandLifts, Lift } from '../../api/client'

type Rows = NonNullable<HandLift['rows']>
type Legs = NonNullable<HandLift['legs']>
type Ties = NonNullable<HandLift['ties']>

export const MOST_ALONG = 20
/** Bars along a side of a leg, between its corners. */
export const MOST_IN_LEG = 18
export const FEWEST_ROUND = 3
export const MOST_ROUND = 60
const CLOSEST = 25
const FARTHEST = 1000

/** What is set by hand on the stack, less one lift, plus what it is to have. */
export function withLift(column: Column, number: number, hand: HandLift): HandLifts {
  const lifts: HandLifts['lifts'] = {}
  for (const l of column.lifts) {
    const h = l.number === number ? hand : l.hand
    if (h.rows || h.ring || h.legs || h.ties) lifts[l.number] = h
  }
  return { lifts }
}

/** Rows of a rectangular lift changed; with other counts Kolonne chooses anew which bars are held. */
export function changeRows(column: Column, lift: Lift, change: Partial<Rows>): HandLifts {
  const rows = { ...lift.whole.rows!, ...change }
  const counted = change.alongX !== undefined || change.alongY !== undefined
  rows.alongX = clamp(rows.alongX, 2, MOST_ALONG)
  rows.alongY = clamp(rows.alongY, 2, MOST_ALONG)
  const free = counted || !lift.hand.rows ? { heldX: [], heldY: [] } : {}
  return withLift(column, lift.number, { ...lift.hand, rows: { ...rows, ...free, ...heldOf(change) } })
}

const heldOf = (c: Partial<Rows>) => (c.heldX && c.heldY ? { heldX: c.heldX, heldY: c.heldY } : {})

/** Whether a leg holds a bar between the corners, turned over. @param face parallel to x or to y */
export function toggleHeld(column: Column, lift: Lift, face: 'x' | 'y', at: number): HandLifts {
  const rows = lift.whole.rows!
  const turned = (held: boolean[]) => held.map((h, i) => (i === at ? !h : h))
  return changeRows(column, lift, {
    heldX: face === 'x' ? turned(rows.heldX) : rows.heldX,
    heldY: face === 'y' ? turned(rows.heldY) : rows.heldY,
  })
}

/** Bars of a round lift changed. */
export function changeRing(
  column: Column,
  lift: Lift,
  change: { count?: number; size?: string; spiral?: boolean },
): HandLifts {
  const ring = { ...lift.whole.ring!, ...change }
  ring.count = clamp(ring.count, FEWEST_ROUND, MOST_ROUND)
  return withLift(column, lift.number, { ...lift.hand, ring })
}

/** Bars of an ell or a tee changed; with other counts Kolonne chooses anew which pairs are held. */
export function changeLegs(column: Column, lift: Lift, change: Partial<Legs>): HandLifts {
  const legs = { ...lift.whole.legs!, ...change }
  const counted = change.web !== undefined || change.flange !== undefined
  legs.web = clamp(legs.web, 0, MOST_IN_LEG)
  legs.flange = clamp(legs.flange, 0, MOST_IN_LEG)
  const free = counted || !lift.hand.legs ? { heldWeb: [], heldFlange: [] } : {}
  return withLift(column, lift.number, { ...lift.hand, legs: { ...legs, ...free } })
}

/** Ties changed. Closer ones at the ends stay no wider than those between, those in the joints no wider than those next to them. */
export function changeTies(column: Column, lift: Lift, change: Partial<Ties>): HandLifts {
  const t = { ...lift.whole.ties!, ...change }
  for (const k of ['joint', 'end', 'middle'] as const) t[k] = clamp(t[k], CLOSEST, FARTHEST)
  const closer = Math.max(t.foot, t.head) > 0
  if (change.end !== undefined && change.end > t.middle) t.middle = t.end
  if (!closer || t.end > t.middle) t.end = t.middle
  return withLift(column, lift.number, { ...lift.hand, ties: t })
}

/** The lift's bars or ties, or both, are Kolonne's again. */
export function release(column: Column, lift: Lift, part: 'bars' | 'ties' | 'both'): HandLifts {
  return withLift(column, lift.number, {
    rows: part === 'ties' ? lift.hand.rows : null,
    ring: part === 'ties' ? lift.hand.ring : null,
    legs: part === 'ties' ? lift.hand.legs : null,
    ties: part === 'bars' ? lift.hand.ties : null,
  })
}

/** Lifts with the section of this one, without it. */
export const alike = (column: Column, lift: Lift) =>
  column.lifts.filter((l) => l.number !== lift.number && l.section.label === lift.section.label)

/** The whole cage of the lift on all lifts of its section. */
export function toAlike(column: Column, lift: Lift): HandLifts {
  const lifts: HandLifts['lifts'] = { ...withLift(column, lift.number, lift.whole).lifts }
  for (const l of alike(column, lift)) lifts[l.number] = lift.whole
  return { lifts }
}

const clamp = (v: number, least: number, most: number) => Math.max(least, Math.min(most, v))

/** The next size of a list, up or down; the same at its ends. */
function nextSize(sizes: string[], size: string, by: number): string {
  const i = sizes.indexOf(size)
  return sizes[clamp(i + by, 0, sizes.length - 1)] ?? size
}

/** What a key does to a lift: the stack with it changed, or undefined where the key means nothing. */
export function keyed(column: Column, lift: Lift, key: string, shift: boolean): HandLifts | undefined {
  const { rows, ring, legs, ties } = lift.whole
  const more = key === 'ArrowRight' ? 1 : key === 'ArrowLeft' ? -1 : 0
  if (more && rows)
    return changeRows(column, lift, shift ? { alongY: rows.alongY + more } : { alongX: rows.alongX + more })
  if (more && legs) return changeLegs(column, lift, shift ? { flange: legs.flange + more } : { web: legs.web + more })
  if (more && ring) return changeRing(column, lift, { count: ring.count + more })
  const larger = key === ']' || key === '}' ? 1 : key === '[' || key === '{' ? -1 : 0
  if (larger && rows) {
    const part = key === '}' || key === '{' ? 'face' : 'corner'
    return changeRows(column, lift, { [part]: nextSize(column.sizes, rows[part], larger) })
  }
  if (larger && legs) {
    const part = key === '}' || key === '{' ? 'face' : 'corner'
    return changeLegs(column, lift, { [part]: nextSize(column.sizes, legs[part], larger) })
  }
  if (larger && ring) return changeRing(column, lift, { size: nextSize(column.sizes, ring.size, larger) })
  const wider = key === '+' || key === '=' ? 1 : key === '-' ? -1 : 0
  if (wider && ties) return changeTies(column, lift, { middle: ties.middle + wider * column.spacingStepMm })
  if (key === 'Delete' || key === 'Backspace') return release(column, lift, 'both')
  return undefined
}
