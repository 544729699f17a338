import type { ResultRow, View, ViewMember } from '../api/client'
import { shadeOf, type Shade } from './shade'

/** A member seen from above, in mm with y turned downwards for the screen. */
export interface PlanMember {
  id: string
  mark: string
  column: boolean
  round: boolean
  /** corners of a column that is an ell, a tee or turned: x and y in turn from its joint */
  outline?: number[]
  /** highest use of the joint at the head of a column that reaches the floor from below */
  joint?: number
  /** whether bars of beams do not pass in that joint, where congestion is looked at */
  crowded?: boolean
  x1: number
  y1: number
  x2: number
  y2: number
  width: number
  depth: number
  /** how dark it is, 0 to 1 */
  shade: number
  satisfied: boolean
}

export interface PlanScene {
  members: PlanMember[]
  grid: { id: string; x1: number; y1: number; x2: number; y2: number }[]
  box: { x: number; y: number; width: number; height: number }
}

const NEAR = 300

/** What a ring says. */
export type Ring = 'fails' | 'crowded' | undefined

/** What the ring round a column says of the joint at the floor that it reaches; nothing where there is nothing to say. */
export function ringOf(m: PlanMember): Ring {
  return (m.joint ?? 0) > 1 + 1e-6 ? 'fails' : m.crowded ? 'crowded' : undefined
}

/** Beams at a level, and the columns that reach it from below (or, at the ground, that leave it upwards). */
export function planScene(view: View, elevationMm: number, shade: Shade = 'strength'): PlanScene {
  const at = (z: number) => Math.abs(z - elevationMm) < NEAR
  const ends = (m: ViewMember) => m.ends as [number, number, number, number, number, number]
  const columns = view.members.filter((m) => m.role === 'column')
  const below = columns.filter((m) => at(Math.max(ends(m)[2], ends(m)[5])))
  const shown = below.length > 0 ? below : columns.filter((m) => at(Math.min(ends(m)[2], ends(m)[5])))
  const beams = view.members.filter((m) => m.role === 'beam' && at(ends(m)[2]) && at(ends(m)[5]))
  const members = [...beams, ...shown].map((m): PlanMember => {
    const [x1, y1, , x2, y2] = ends(m)
    return {
      id: m.id,
      mark: view.marks[m.line] ?? '',
      column: m.role === 'column',
      round: m.round,
      ...(m.joint !== null && below.length > 0 ? { joint: m.joint } : {}),
      ...(m.crowded > 0 && below.length > 0 && shade === 'congestion' ? { crowded: true } : {}),
      ...(m.outline ? { outline: m.outline.map((v, k) => (k % 2 === 0 ? v : -v)) } : {}),
      x1,
      y1: -y1,
      x2,
      y2: -y2,
      width: m.widthMm,
      depth: m.depthMm,
      shade: shadeOf(m, shade),
      satisfied: m.satisfied,
    }
  })
  const grid = view.grid.map((g) => ({ id: g.id, x1: g.x1, y1: -g.y1, x2: g.x2, y2: -g.y2 }))
  return { members, grid, box: boxOf(members, grid) }
}

/** Room round a drawing for the names of its lines, which grow with it [mm], and as a share of its size. */
const PAD = 1800
const PAD_SHARE = 0.035

function boxOf(members: PlanMember[], grid: PlanScene['grid']): PlanScene['box'] {
  const xs = [...members.flatMap((m) => [m.x1, m.x2]), ...grid.flatMap((g) => [g.x1, g.x2])]
  const ys = [...members.flatMap((m) => [m.y1, m.y2]), ...grid.flatMap((g) => [g.y1, g.y2])]
  const [x1, y1, x2, y2] = [Math.min(...xs, 0), Math.min(...ys, 0), Math.max(...xs, 1000), Math.max(...ys, 1000)]
  const pad = Math.max(PAD, PAD_SHARE * Math.max(x2 - x1, 1.2 * (y2 - y1)))
  return { x: x1 - pad, y: y1 - pad, width: x2 - x1 + 2 * pad, height: y2 - y1 + 2 * pad }
}

/** The members on a grid line seen from its side: along the line to the right, upwards on the screen; storeys and crossing grid lines behind. */
export function elevationScene(
  view: View,
  g: View['grid'][number],
  on: (m: ViewMember) => boolean,
  shade: Shade = 'strength',
): PlanScene {
  const length = Math.hypot(g.x2 - g.x1, g.y2 - g.y1)
  const along = (x: number, y: number) => ((x - g.x1) * (g.x2 - g.x1) + (y - g.y1) * (g.y2 - g.y1)) / length
  const members = view.members.filter(on).map((m): PlanMember => {
    const [x1, y1, z1, x2, y2, z2] = m.ends as [number, number, number, number, number, number]
    return {
      id: m.id,
      mark: view.marks[m.line] ?? '',
      column: false,
      round: false,
      x1: along(x1, y1),
      y1: -z1,
      x2: along(x2, y2),
      y2: -z2,
      width: m.role === 'beam' ? m.depthMm : m.widthMm,
      depth: m.depthMm,
      shade: shadeOf(m, shade),
      satisfied: m.satisfied,
    }
  })
  const zs = members.flatMap((m) => [m.y1, m.y2])
  const ss = members.flatMap((m) => [m.x1, m.x2])
  const [top, foot] = [Math.min(...zs, 0) - 1200, Math.max(...zs, 0)]
  const [left, right] = [Math.min(...ss, 0) - 1200, Math.max(...ss, 0)]
  const crossing = view.grid.flatMap((o) => {
    const at = cross(g, o)
    const s = at && along(at[0], at[1])
    return s !== undefined && o.id !== g.id && s > left && s < right + 1200
      ? [{ id: o.id, x1: s, y1: top, x2: s, y2: foot }]
      : []
  })
  const storeys = view.storeys
    .filter((s) => -s.elevationMm >= top && -s.elevationMm <= foot)
    .map((s) => ({ id: s.id, x1: left, y1: -s.elevationMm, x2: right, y2: -s.elevationMm }))
  const grid = [...crossing, ...storeys]
  return { members, grid, box: boxOf(members, grid) }
}

/** Where two lines cross in plan; undefined where they run alike. */
function cross(a: View['grid'][number], b: View['grid'][number]): [number, number] | undefined {
  const [ax, ay, bx, by] = [a.x2 - a.x1, a.y2 - a.y1, b.x2 - b.x1, b.y2 - b.y1]
  const d = ax * by - ay * bx
  if (Math.abs(d) < 1e-6 * Math.hypot(ax, ay) * Math.hypot(bx, by)) return undefined
  const t = ((b.x1 - a.x1) * by - (b.y1 - a.y1) * bx) / d
  return [a.x1 + t * ax, a.y1 + t * ay]
}

/** Marks of the members that a rectangle touches. */
export function marksIn(scene: PlanScene, r: { x1: number; y1: number; x2: number; y2: number }): string[] {
  const [left, right] = [Math.min(r.x1, r.x2), Math.max(r.x1, r.x2)]
  const [top, foot] = [Math.min(r.y1, r.y2), Math.max(r.y1, r.y2)]
  const touched = (m: PlanMember) =>
    [0, 0.25, 0.5, 0.75, 1].some((t) => {
      const x = m.column ? m.x2 : m.x1 + t * (m.x2 - m.x1)
      const y = m.column ? m.y2 : m.y1 + t * (m.y2 - m.y1)
      return x >= left && x <= right && y >= top && y <= foot
    })
  return [...new Set(scene.members.filter(touched).map((m) => m.mark))]
}

/** What a label says of a member. */
export function labelOf(row: ResultRow | undefined, kind: 'utilisation' | 'bars' | 'marks' | 'types'): string {
  if (!row) return ''
  if (kind === 'marks') return row.mark
  if (kind === 'types') return row.type || row.mark
  return kind === 'bars' ? row.bars.replace(' top, ', ' / ').replace(' bottom', '') : row.utilisation.toFixed(2)
}
