import type { View, ViewMember } from '../api/client'
import { axesOf } from './axes'

/** A member, or a leg of one, as a box: centre, size and rotation, in metres with z up. */
export interface Box {
  mark: string
  /** number of the member in the view */
  member: number
  centre: [number, number, number]
  /** length along the member, width, depth */
  size: [number, number, number]
  /** unit vectors of length, width and depth */
  axes: [number[], number[], number[]]
  satisfied: boolean
}

/** Boxes of all members: one each, of columns that are ells or tees one a leg. */
export function spaceScene(view: View): Box[] {
  return view.members.flatMap((m, member) => {
    const whole = box(m, view.marks[m.line] ?? '', member)
    return m.outline ? legs(m.outline, whole) : [whole]
  })
}

/** Corners run once round: the first three are those of a rectangle, of an ell or a tee the next three those of the other. */
function legs(outline: number[], whole: Box): Box[] {
  const corner = (k: number) => [outline[2 * k]! / 1000, outline[2 * k + 1]! / 1000] as [number, number]
  return (outline.length > 8 ? [0, 3] : [0]).map((k) => {
    const [a, b, c] = [corner(k), corner(k + 1), corner(k + 2)]
    const [wide, deep] = [Math.hypot(b[0] - a[0], b[1] - a[1]), Math.hypot(c[0] - b[0], c[1] - b[1])]
    const [x, y, z] = whole.centre
    return {
      ...whole,
      centre: [x + (a[0] + c[0]) / 2, y + (a[1] + c[1]) / 2, z],
      size: [whole.size[0], wide, deep],
      axes: [
        whole.axes[0],
        [(b[0] - a[0]) / wide, (b[1] - a[1]) / wide, 0],
        [(c[0] - b[0]) / deep, (c[1] - b[1]) / deep, 0],
      ],
    }
  })
}

function box(m: ViewMember, mark: string, member: number): Box {
  const { start, end, length, x, y, z } = axesOf(m)
  return {
    mark,
    member,
    centre: start.map((v, i) => (v + end[i]!) / 2) as [number, number, number],
    size: [length, m.widthMm / 1000, m.depthMm / 1000],
    axes: [x, y, z],
    satisfied: m.satisfied,
  }
}
