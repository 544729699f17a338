import type { ResultRow, View, ViewMember } from '../api/client'

/** A member seen from above, in mm with y turned downwards for the screen. */
export interface PlanMember {
  id: string
  mark: string
  column: boolean
  round: boolean
  x1: number
  y1: number
  x2: number
  y2: number
  width: number
  depth: number
  utilisation: number
  satisfied: boolean
}

export interface PlanScene {
  members: PlanMember[]
  grid: { id: string; x1: number; y1: number; x2: number; y2: number }[]
  box: { x: number; y: number; width: number; height: number }
}

const NEAR = 300

/** Beams at a level, and the columns that reach it from below (or, at the ground, that leave it upwards). */
export function planScene(view: View, elevationMm: number): PlanScene {
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
      x1,
      y1: -y1,
      x2,
      y2: -y2,
      width: m.widthMm,
      depth: m.depthMm,
      utilisation: m.utilisation,
      satisfied: m.satisfied,
    }
  })
  const grid = view.grid.map((g) => ({ id: g.id, x1: g.x1, y1: -g.y1, x2: g.x2, y2: -g.y2 }))
  const xs = [...members.flatMap((m) => [m.x1, m.x2]), ...grid.flatMap((g) => [g.x1, g.x2])]
  const ys = [...members.flatMap((m) => [m.y1, m.y2]), ...grid.flatMap((g) => [g.y1, g.y2])]
  const pad = 1800
  const x = Math.min(...xs, 0) - pad
  const y = Math.min(...ys, 0) - pad
  return {
    members,
    grid,
    box: { x, y, width: Math.max(...xs, 1000) + pad - x, height: Math.max(...ys, 1000) + pad - y },
  }
}

/** What a label says of a member. */
export function labelOf(row: ResultRow | undefined, kind: 'utilisation' | 'bars' | 'marks'): string {
  if (!row) return ''
  if (kind === 'marks') return row.mark
  return kind === 'bars' ? row.bars.replace(' top, ', ' / ').replace(' bottom', '') : row.utilisation.toFixed(2)
}
