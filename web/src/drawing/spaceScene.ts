import type { View, ViewMember } from '../api/client'
import { axesOf } from './axes'

/** A member as a box: centre, size and rotation, in metres with z up. */
export interface Box {
  mark: string
  centre: [number, number, number]
  /** length along the member, width, depth */
  size: [number, number, number]
  /** unit vectors of length, width and depth */
  axes: [number[], number[], number[]]
  satisfied: boolean
}

/** Boxes of all members, in the order of the view. */
export function spaceScene(view: View): Box[] {
  return view.members.map((m) => box(m, view.marks[m.line] ?? ''))
}

function box(m: ViewMember, mark: string): Box {
  const { start, end, length, x, y, z } = axesOf(m)
  return {
    mark,
    centre: start.map((v, i) => (v + end[i]!) / 2) as [number, number, number],
    size: [length, m.widthMm / 1000, m.depthMm / 1000],
    axes: [x, y, z],
    satisfied: m.satisfied,
  }
}
