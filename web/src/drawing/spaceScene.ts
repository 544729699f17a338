import type { View, ViewMember } from '../api/client'

/** A member as a box: centre, size and rotation, in metres with z up. */
export interface Box {
  mark: string
  centre: [number, number, number]
  /** length along the member, width, depth */
  size: [number, number, number]
  /** unit vectors of length, width and depth */
  axes: [number[], number[], number[]]
  utilisation: number
  satisfied: boolean
}

const minus = (a: number[], b: number[]) => a.map((v, i) => v - b[i]!)
const cross = (a: number[], b: number[]) => [a[1]! * b[2]! - a[2]! * b[1]!, a[2]! * b[0]! - a[0]! * b[2]!, a[0]! * b[1]! - a[1]! * b[0]!]
const unit = (a: number[]) => {
  const l = Math.hypot(...a)
  return a.map((v) => v / l)
}

/** Boxes of all members, in the order of the view. */
export function spaceScene(view: View): Box[] {
  return view.members.map((m) => box(m, view.marks[m.line] ?? ''))
}

function box(m: ViewMember, mark: string): Box {
  const a = m.ends.slice(0, 3).map((v) => v / 1000)
  const b = m.ends.slice(3).map((v) => v / 1000)
  const d = minus(b, a)
  const x = unit(d)
  const upright = Math.hypot(x[0]!, x[1]!) < 1e-3
  const y = upright ? [1, 0, 0] : unit(cross([0, 0, 1], x))
  const z = cross(x, y)
  return {
    mark, centre: a.map((v, i) => (v + b[i]!) / 2) as [number, number, number],
    size: [Math.hypot(...d), m.widthMm / 1000, m.depthMm / 1000], axes: [x, y, z], utilisation: m.utilisation, satisfied: m.satisfied,
  }
}
