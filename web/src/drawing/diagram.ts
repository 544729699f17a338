import type { MemberDiagram } from '../api/client'

/** One edge of a diagram: places along the member [m] and values, with the crossings of zero put in. */
export function curve(x: number[], v: number[]): [number, number][] {
  const out: [number, number][] = []
  x.forEach((at, i) => {
    const before = v[i - 1]
    const now = v[i]!
    if (before !== undefined && before * now < 0) {
      const t = before / (before - now)
      out.push([x[i - 1]! + t * (at - x[i - 1]!), 0])
    }
    out.push([at, now])
  })
  return out
}

/** The curves of a member: one of a case or combination, two of an envelope. */
export function curves(d: MemberDiagram): [number, number][][] {
  return [curve(d.x, d.v), ...(d.low ? [curve(d.x, d.low)] : [])]
}

/** Value at a place between stations; at a jump the side after it. */
export function valueAt(x: number[], v: number[], at: number): number {
  if (x.length === 0) return 0
  if (at <= x[0]!) return v[0]!
  for (let i = 1; i < x.length; i++) {
    if (at <= x[i]!) {
      const d = x[i]! - x[i - 1]!
      return d <= 0 ? v[i]! : v[i - 1]! + ((at - x[i - 1]!) / d) * (v[i]! - v[i - 1]!)
    }
  }
  return v.at(-1)!
}

/** The value of largest magnitude and where it is. */
export function peak(d: MemberDiagram): { x: number; v: number } {
  let best = { x: d.x[0] ?? 0, v: 0 }
  for (const list of [d.v, d.low ?? []])
    list.forEach((v, i) => {
      if (Math.abs(v) > Math.abs(best.v)) best = { x: d.x[i]!, v }
    })
  return best
}

/** A size that few members pass, to which diagrams are scaled: one very large value neither flattens all others nor fills the view. */
export function typicalPeak(list: MemberDiagram[]): number {
  const peaks = list
    .map((d) => Math.abs(peak(d).v))
    .filter((v) => v > 0)
    .sort((a, b) => a - b)
  return peaks.length === 0 ? 1 : Math.max(peaks[Math.floor(0.95 * (peaks.length - 1))]!, peaks.at(-1)! / 6)
}

/** Displacement [mm] at a part (0 to 1) of a member; points as the server gives them, four numbers each. */
export function displacementAt(points: number[], part: number): [number, number, number] {
  const n = points.length / 4
  for (let i = 1; i < n; i++) {
    const a = points[4 * i - 4]!
    const b = points[4 * i]!
    if (part <= b || i === n - 1) {
      const t = b > a ? Math.max(0, Math.min(1, (part - a) / (b - a))) : 1
      return [1, 2, 3].map((k) => points[4 * i - 4 + k]! * (1 - t) + points[4 * i + k]! * t) as [number, number, number]
    }
  }
  return [0, 0, 0]
}

/** Direction in which a positive value is drawn: bending on the tension side (sagging below), the others upwards or sideways. */
export const SIDE: Record<string, { axis: 'y' | 'z'; sign: 1 | -1; name: string; says: string }> = {
  my: {
    axis: 'z',
    sign: -1,
    name: 'Moment',
    says: 'My, bending of a beam; drawn on the side in tension, sagging is positive',
  },
  vz: { axis: 'z', sign: 1, name: 'Shear', says: 'Vz, shear of a beam; V = dM/dx' },
  n: { axis: 'z', sign: 1, name: 'Axial', says: 'N, tension is positive' },
  t: { axis: 'z', sign: 1, name: 'Torsion', says: 'T, about the axis of the member' },
  mz: { axis: 'y', sign: -1, name: 'Moment, minor', says: 'Mz, bending sideways; drawn on the side in tension' },
  vy: { axis: 'y', sign: 1, name: 'Shear, minor', says: 'Vy, shear sideways' },
}
