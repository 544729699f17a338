import type { Beam, Hand } from '../../../api/client'
import { distanceIn, type Units } from '../../../lib/units'

/** What of the cage is being changed. */
export type Pick = { part: 'bars'; index: number } | { part: 'zone'; index: number } | { part: 'sides'; span: number }

type Bars = Hand['faces'][string][number]
type Zone = Hand['stirrups'][string][number]

const LEAST_RUN = 200

/** All bars of a face as they are, ready to be set by hand. */
const barsOf = (beam: Beam, face: string): Bars[] =>
  beam.groups
    .filter((g) => g.face === face)
    .map(({ layer, count, size, from, to, hookFrom, hookTo, pairs }) => ({
      layer,
      count,
      size,
      from,
      to,
      hookFrom,
      hookTo,
      pairs,
    }))

const zonesOf = (beam: Beam, span: number): Zone[] =>
  beam.zones.filter((z) => z.span === span).map(({ from, size, legs, spacing }) => ({ from, size, legs, spacing }))

const withFace = (beam: Beam, face: string, bars: Bars[]): Hand => ({
  ...beam.hand,
  faces: { ...beam.hand.faces, [face]: bars },
})
const withZones = (beam: Beam, span: number, zones: Zone[]): Hand => ({
  ...beam.hand,
  stirrups: { ...beam.hand.stirrups, [span]: zones },
})

/** Number of a group among those of its face. */
const inFace = (beam: Beam, index: number) =>
  beam.groups.slice(0, index).filter((g) => g.face === beam.groups[index]!.face).length

/** A group changed; its whole face is then set by hand. Ends snap to the ends of the line, where hooks are possible. */
export function changeBars(beam: Beam, index: number, change: Partial<Bars>): Hand {
  const face = beam.groups[index]!.face
  const at = inFace(beam, index)
  return withFace(
    beam,
    face,
    barsOf(beam, face).map((b, i) => (i === at ? ends(beam, { ...b, ...change }, change) : b)),
  )
}

function ends(beam: Beam, b: Bars, change: Partial<Bars>): Bars {
  const out = { ...b }
  if (change.from !== undefined) {
    out.from = change.from < beam.firstBar + 75 ? beam.firstBar : Math.min(change.from, b.to - LEAST_RUN)
    out.hookFrom = out.from === beam.firstBar && beam.supports[0]!.kind !== 'free'
  }
  if (change.to !== undefined) {
    out.to = change.to > beam.lastBar - 75 ? beam.lastBar : Math.max(change.to, b.from + LEAST_RUN)
    out.hookTo = out.to === beam.lastBar && beam.supports.at(-1)!.kind !== 'free'
  }
  return out
}

export function removeBars(beam: Beam, index: number): Hand {
  const face = beam.groups[index]!.face
  const at = inFace(beam, index)
  return withFace(
    beam,
    face,
    barsOf(beam, face).filter((_, i) => i !== at),
  )
}

/** Two bars more about a place: over a support to a quarter of the spans beside it, else between the faces of the span. */
export function addBars(beam: Beam, face: 'top' | 'bottom', x: number): Hand {
  const span = beam.spans.find((s) => x <= s.to) ?? beam.spans.at(-1)!
  let from = span.faceFrom
  let to = span.faceTo
  if (face === 'top') {
    const left = x < (span.from + span.to) / 2
    const i = span.number + (left ? 0 : 1)
    const before = beam.spans[i - 1]
    const after = beam.spans[i]
    from = before ? before.faceTo - 0.25 * (before.faceTo - before.faceFrom) : beam.firstBar
    to = after ? after.faceFrom + 0.25 * (after.faceTo - after.faceFrom) : beam.lastBar
  }
  const like = beam.groups.find((g) => g.face === face)
  const bars: Bars = {
    layer: 1,
    count: 2,
    size: like?.size ?? beam.sizes[0]!,
    from,
    to,
    hookFrom: false,
    hookTo: false,
    pairs: false,
  }
  return withFace(beam, face, [...barsOf(beam, face), ends(beam, ends(beam, bars, { from }), { to })])
}

/** A zone changed; all zones of its span are then set by hand. Its beginning stays between its neighbours. */
export function changeZone(beam: Beam, index: number, change: Partial<Zone>): Hand {
  const zone = beam.zones[index]!
  const zones = zonesOf(beam, zone.span)
  const at = zones.findIndex((z) => z.from === zone.from)
  const low = (zones[at - 1]?.from ?? zone.from) + LEAST_RUN
  const high = zone.to - LEAST_RUN
  return withZones(
    beam,
    zone.span,
    zones.map((z, i) => {
      if (i !== at) return z
      const from = at > 0 && change.from !== undefined ? Math.max(low, Math.min(high, change.from)) : z.from
      return { ...z, ...change, from }
    }),
  )
}

/** A zone in two halves. */
export function splitZone(beam: Beam, index: number): Hand {
  const zone = beam.zones[index]!
  return withZones(
    beam,
    zone.span,
    zonesOf(beam, zone.span).flatMap((z) =>
      z.from === zone.from ? [z, { ...z, from: (zone.from + zone.to) / 2 }] : [z],
    ),
  )
}

/** A zone given to its neighbour; the last zone of a span stays. */
export function removeZone(beam: Beam, index: number): Hand | undefined {
  const zone = beam.zones[index]!
  const zones = zonesOf(beam, zone.span)
  if (zones.length < 2) return undefined
  const rest = zones.filter((z) => z.from !== zone.from)
  return withZones(
    beam,
    zone.span,
    rest.map((z, i) => (i === 0 ? { ...z, from: zones[0]!.from } : z)),
  )
}

export function changeSides(beam: Beam, span: number, change: { size?: string; perFace?: number }): Hand {
  const now = beam.sides.find((s) => s.span === span)
  const set = { size: now?.size ?? beam.sizes[0]!, perFace: now?.perFace ?? 0, ...change }
  return { ...beam.hand, sides: { ...beam.hand.sides, [span]: { ...set, perFace: Math.max(0, set.perFace) } } }
}

export const NOTHING: Hand = { faces: {}, stirrups: {}, sides: {}, demands: [], torsion: 'as-found' }

/** A part that is set by hand, with the words for it and what remains when it is released. */
export interface HandPart {
  key: string
  words: string
  released: Hand
}

export function handParts(beam: Beam, units: Units): HandPart[] {
  const h = beam.hand
  const without = <V>(m: Record<string, V>, key: string) =>
    Object.fromEntries(Object.entries(m).filter(([k]) => k !== key))
  const spans =
    beam.spans.length > 1
      ? (k: string) => ` ${beam.supports[Number(k)]?.label ?? k}–${beam.supports[Number(k) + 1]?.label ?? ''}`
      : () => ''
  return [
    ...Object.keys(h.faces)
      .sort()
      .reverse()
      .map((k) => ({ key: k, words: `${k} bars`, released: { ...h, faces: without(h.faces, k) } })),
    ...Object.keys(h.stirrups).map((k) => ({
      key: `z${k}`,
      words: `stirrups${spans(k)}`,
      released: { ...h, stirrups: without(h.stirrups, k) },
    })),
    ...Object.keys(h.sides).map((k) => ({
      key: `s${k}`,
      words: `side bars${spans(k)}`,
      released: { ...h, sides: without(h.sides, k) },
    })),
    ...h.demands.map((d, i) => ({
      key: `d${i}`,
      words: `demand at ${distanceIn(d.from, units).toFixed(1)}–${distanceIn(d.to, units).toFixed(1)} ${units.distance}`,
      released: { ...h, demands: h.demands.filter((_, k) => k !== i) },
    })),
    ...(h.torsion === 'as-found'
      ? []
      : [
          {
            key: 'torsion',
            words: `torsion ${h.torsion === 'equilibrium' ? 'needed' : 'from compatibility'}`,
            released: { ...h, torsion: 'as-found' },
          },
        ]),
  ]
}

/** Whether the part that is picked is set by hand. */
export function isHand(beam: Beam, pick: Pick): boolean {
  if (pick.part === 'bars') return beam.groups[pick.index]!.face in beam.hand.faces
  if (pick.part === 'zone') return String(beam.zones[pick.index]!.span) in beam.hand.stirrups
  return String(pick.span) in beam.hand.sides
}

/** The next size up or down in a list. */
export const nextSize = (sizes: string[], size: string, step: number) =>
  sizes[Math.max(0, Math.min(sizes.length - 1, sizes.indexOf(size) + step))] ?? size

/** Whether what is picked still exists. */
export const exists = (beam: Beam, pick: Pick | undefined): pick is Pick =>
  pick !== undefined &&
  (pick.part === 'bars'
    ? pick.index < beam.groups.length
    : pick.part === 'zone'
      ? pick.index < beam.zones.length
      : pick.span < beam.spans.length)
