import type { HandLift } from '../../api/client'
import { diameter, type Bench, type BenchBar } from './bench'

type Legs = NonNullable<HandLift['legs']>
type Place = { x: number; z: number; corner: boolean }

/** Most pairs along a leg that a lift takes. */
const MOST = 18

/**
 * Bars of an ell or a tee as a lift takes them: at the corners of the closed ties of both legs and where these cross, and at even distances between; null
 * where they stand otherwise.
 *
 * @param bars one by one, about the middle of the width and from the soffit
 * @param near how far off its place a bar may stand, in the units of the bench
 */
export function legsOf(b: Bench, bars: BenchBar[], near: number): Legs | null {
  const sizes = [...new Set(bars.map((q) => q.bar))]
  if (sizes.length < 1 || sizes.length > 2) return null
  const overhangs = b.shape.shape === 'ell' ? 1 : 2
  const between = bars.length - (overhangs === 1 ? 8 : 10)
  for (const corner of sizes) {
    const face = sizes.find((s) => s !== corner) ?? corner
    for (let flange = 0; flange <= MOST; flange++) {
      const web = between / 2 - overhangs * flange
      if (!Number.isInteger(web) || web < 0 || web > MOST) continue
      const places = placesOf(b, overhangs, web, flange, corner, face)
      const there = (p: Place) =>
        bars.some((q) => q.bar === (p.corner ? corner : face) && Math.hypot(q.x - p.x, q.z - p.z) <= near)
      if (places.every(there)) return { overhangs, web, flange, corner, face, heldWeb: [], heldFlange: [] }
    }
  }
  return null
}

/** Where the bars of a lift stand inside its ties. */
function placesOf(b: Bench, overhangs: number, web: number, flange: number, corner: string, face: string): Place[] {
  const mm = (label: string) => diameter(label) / (b.us ? 25.4 : 1)
  const { bw, h, bf, hf } = b.shape
  const inside = b.cover + mm(b.stirrup.bar) + mm(corner) / 2
  const further = (mm(corner) - mm(face)) / 2
  const below = b.shape.shape === 'inverted-tee'
  const up = below ? -1 : 1
  const start = overhangs === 1 ? -bf / 2 : -bw / 2
  const [left, right] = [start + inside, start + bw - inside]
  const [from, to] = [-bf / 2 + inside, bf / 2 - inside]
  const free = (below ? h : 0) + up * inside
  const inner = (below ? hf : h - hf) + up * inside
  const outer = (below ? 0 : h) - up * inside
  const columns = overhangs === 1 ? [left, right, to] : [from, left, right, to]
  const corners = [
    ...[left, right].map((x) => ({ x, z: free, corner: true })),
    ...columns.flatMap((x) => [inner, outer].map((z) => ({ x, z, corner: true }))),
  ]
  const along = (a: number, z: number, n: number) =>
    Array.from({ length: n }, (_, i) => a + ((z - a) * (i + 1)) / (n + 1))
  const inWeb = along(free, inner, web).flatMap((z) =>
    [left - further, right + further].map((x) => ({ x, z, corner: false })),
  )
  const sides = overhangs === 1 ? [along(right, to, flange)] : [along(right, to, flange), along(left, from, flange)]
  const inFlange = sides
    .flat()
    .flatMap((x) => [inner - up * further, outer + up * further].map((z) => ({ x, z, corner: false })))
  return [...corners, ...inWeb, ...inFlange]
}
