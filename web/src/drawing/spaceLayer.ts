import type { Deflection, Diagram, Reactions, View } from '../api/client'
import { axesOf, offset } from './axes'
import { curves, SIDE } from './diagram'

/** Triangles: three coordinates [m] a corner; value a corner for its colour (sign of a diagram, part of the largest of a shape). */
export interface Triangles {
  positions: number[]
  values: number[]
}

function quad(out: Triangles, a: number[], b: number[], c: number[], d: number[], va: number, vc: number) {
  out.positions.push(...a, ...b, ...c, ...a, ...c, ...d)
  out.values.push(va, va, vc, va, vc, vc)
}

/** Diagrams as ribbons that stand off their members. @param metresPerUnit height of one unit of force */
export function ribbons(view: View, diagram: Diagram, metresPerUnit: number): Triangles {
  const out: Triangles = { positions: [], values: [] }
  const byId = new Map(diagram.members.map((d) => [d.id, d]))
  const side = SIDE[diagram.component]!
  for (const m of view.members) {
    const d = byId.get(m.id)
    if (!d) continue
    const a = axesOf(m)
    const n = a[side.axis]
    const scale = side.sign * metresPerUnit
    for (const c of curves(d)) {
      for (let i = 1; i < c.length; i++) {
        const [x0, v0] = c[i - 1]!
        const [x1, v1] = c[i]!
        if (v0 === 0 && v1 === 0) continue
        const sign = Math.sign(v0 + v1)
        quad(
          out,
          offset(a, x0, n, 0),
          offset(a, x0, n, v0 * scale),
          offset(a, x1, n, v1 * scale),
          offset(a, x1, n, 0),
          sign,
          sign,
        )
      }
    }
  }
  return out
}

/** The moved building: every member as two crossed strips of its own width and depth. @param factor exaggeration */
export function deflected(view: View, shape: Deflection, factor: number): Triangles {
  const out: Triangles = { positions: [], values: [] }
  const byId = new Map(shape.members.map((d) => [d.id, d.points]))
  const most = shape.mostMm || 1
  for (const m of view.members) {
    const p = byId.get(m.id)
    if (!p) continue
    const a = axesOf(m)
    for (const [axis, half] of [
      [a.y, m.widthMm / 2000],
      [a.z, m.depthMm / 2000],
    ] as const) {
      let last: { low: number[]; high: number[]; value: number } | undefined
      for (let i = 0; i < p.length; i += 4) {
        const moved = (by: number) =>
          offset(a, p[i]! * a.length, axis, by).map((v, k) => v + (p[i + 1 + k]! * factor) / 1000)
        const now = { low: moved(-half), high: moved(half), value: Math.hypot(p[i + 1]!, p[i + 2]!, p[i + 3]!) / most }
        if (last) quad(out, last.low, last.high, now.high, now.low, last.value, now.value)
        last = now
      }
    }
  }
  return out
}

/** Forces of the ground as arrows: tip at the joint, unit direction, length by size. */
export function arrows(
  reactions: Reactions,
  longest: number,
): { joint: string; tip: number[]; direction: number[]; length: number }[] {
  const most = Math.max(...reactions.joints.map((j) => Math.hypot(j.forces[0]!, j.forces[1]!, j.forces[2]!)), 1e-9)
  return reactions.joints.flatMap((j) => {
    const f = j.forces.slice(0, 3)
    const size = Math.hypot(...f)
    if (size < 1e-6 * most) return []
    return [
      {
        joint: j.joint,
        tip: [j.xM, j.yM, j.zM],
        direction: f.map((v) => v / size),
        length: Math.max(0.1, size / most) * longest,
      },
    ]
  })
}

/** An exaggeration that moves the largest displacement by a part of the building, rounded to 1, 2 or 5. */
export function niceFactor(view: View, mostMm: number): number {
  if (!(mostMm > 0)) return 1
  const size = Math.max(
    ...[0, 1, 2].map((k) => {
      const v = view.members.flatMap((m) => [m.ends[k]!, m.ends[k + 3]!])
      return v.reduce((x, y) => Math.max(x, y), -Infinity) - v.reduce((x, y) => Math.min(x, y), Infinity)
    }),
  )
  const f = (0.05 * size) / mostMm
  const p = 10 ** Math.floor(Math.log10(f))
  return [5, 2, 1].map((k) => k * p).find((v) => v <= f) ?? p
}
