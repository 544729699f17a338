import type { ViewMember } from '../api/client'

type Vector = [number, number, number]

/** Where a member is, in metres with global z up, and its local axes: x along it, y across, z up (upright members: y along global X). */
export interface Axes {
  start: Vector
  end: Vector
  length: number
  x: Vector
  y: Vector
  z: Vector
}

const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]
const unit = (a: Vector): Vector => {
  const l = Math.hypot(...a)
  return [a[0] / l, a[1] / l, a[2] / l]
}

export function axesOf(m: ViewMember): Axes {
  const start = m.ends.slice(0, 3).map((v) => v / 1000) as Vector
  const end = m.ends.slice(3).map((v) => v / 1000) as Vector
  const d: Vector = [end[0] - start[0], end[1] - start[1], end[2] - start[2]]
  const x = unit(d)
  const upright = Math.hypot(x[0], x[1]) < 1e-3
  const y: Vector = upright ? [1, 0, 0] : unit(cross([0, 0, 1], x))
  return { start, end, length: Math.hypot(...d), x, y, z: cross(x, y) }
}

/** A point on a member, moved off it along one direction. */
export function offset(a: Axes, along: number, direction: Vector, by: number): Vector {
  return [0, 1, 2].map((k) => a.start[k]! + a.x[k]! * along + direction[k]! * by) as Vector
}
