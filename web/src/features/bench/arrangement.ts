import type { HandLift } from '../../api/client'
import type { Bench, BenchBar } from './bench'
import { diameter, singles } from './bench'
import { legsOf } from './legs'

/** How far off its place a bar may stand [mm]. */
const NEAR = 3

const LEGS =
  'An ell or a tee takes bars of one size against the corners of its ties and where these cross, and of one size at even distances between.'

type Bars = Pick<HandLift, 'rows' | 'ring' | 'legs'>

/** Bars of the bench as a lift of a column is given them: rows along the faces of a rectangle, a ring, or those of an ell's or a tee's legs; else why they are none. */
export function arrangementOf(b: Bench): Bars | { trouble: string } {
  const near = b.us ? NEAR / 25.4 : NEAR
  const bars = singles(b.bars)
  if (b.shape.shape === 'polygon') return trouble('A lift takes no polygon.')
  if (b.shape.shape !== 'rectangle' && b.shape.shape !== 'circle') {
    const legs = legsOf(b, bars, near)
    return legs ? { rows: null, ring: null, legs } : trouble(LEGS)
  }
  const inset = b.cover + thick(b, b.stirrup.bar) + Math.max(0, ...bars.map((q) => thick(b, q.bar))) / 2
  const { shape, b: width, h, d } = b.shape
  const out = shape === 'circle' ? ring(bars, d, near, !!b.stirrup.spiral) : rows(bars, h, near)
  const reach =
    shape === 'circle'
      ? Math.max(...bars.map((q) => Math.hypot(q.x, q.z - d / 2))) - (d / 2 - inset)
      : Math.max(...bars.map((q) => Math.abs(q.x))) - (width / 2 - inset)
  if (!('trouble' in out) && Math.abs(reach) > 2 * near)
    return trouble('Bars of a lift stand against their ties: leave the cover of the basis to them.')
  return out
}

/** Diameter of a bar in the units of the bench. */
const thick = (b: Bench, label: string) => diameter(label) / (b.us ? 25.4 : 1)

const trouble = (why: string) => ({ trouble: why })

function rows(bars: BenchBar[], h: number, near: number): Bars | { trouble: string } {
  const at = bars.map((b) => ({ ...b, z: b.z - h / 2 }))
  const X = Math.max(...at.map((b) => Math.abs(b.x)))
  const Z = Math.max(...at.map((b) => Math.abs(b.z)))
  const on = (v: number, edge: number) => Math.abs(v - edge) <= near
  const side = (v: 'x' | 'z', edge: number) => at.filter((b) => on(b[v], edge)).sort((p, q) => p.x - q.x || p.z - q.z)
  const [left, right, low, high] = [side('x', -X), side('x', X), side('z', -Z), side('z', Z)]
  if (at.some((b) => !on(Math.abs(b.x), X) && !on(Math.abs(b.z), Z)))
    return trouble('A bar stands away from the faces: a lift takes bars along them only.')
  const corners = at.filter((b) => on(Math.abs(b.x), X) && on(Math.abs(b.z), Z))
  const between = at.filter((b) => !corners.includes(b))
  if (corners.length !== 4) return trouble('A lift takes a bar in each corner.')
  if (new Set(corners.map((b) => b.bar)).size > 1 || new Set(between.map((b) => b.bar)).size > 1)
    return trouble('A lift takes one size in its corners and one between them.')
  if (left.length !== right.length || low.length !== high.length)
    return trouble('Faces that look at each other take as many bars.')
  const even = (bars: BenchBar[], v: 'x' | 'z', edge: number) =>
    bars
      .map((b) => b[v])
      .sort((p, q) => p - q)
      .every((p, i) => on(p, -edge + (2 * edge * i) / (bars.length - 1)))
  if (![left, right].every((s) => even(s, 'z', Z)) || ![low, high].every((s) => even(s, 'x', X)))
    return trouble('Bars between the corners stand at even distances.')
  const corner = corners[0]!.bar
  const face = between[0]?.bar ?? corner
  return {
    rows: { alongX: low.length, alongY: left.length, corner, face, heldX: [], heldY: [] },
    ring: null,
    legs: null,
  }
}

function ring(bars: BenchBar[], d: number, near: number, spiral: boolean): Bars | { trouble: string } {
  const at = bars.map((b) => ({ r: Math.hypot(b.x, b.z - d / 2), a: Math.atan2(b.z - d / 2, b.x) }))
  const r = at[0]?.r ?? 0
  const angles = at.map((p) => p.a).sort((p, q) => p - q)
  const step = (2 * Math.PI) / bars.length
  const even = angles.every((a, i) => Math.abs(a - angles[0]! - i * step) * r <= near)
  if (at.some((p) => Math.abs(p.r - r) > near) || !even)
    return trouble('A round lift takes bars on one ring at even distances.')
  if (new Set(bars.map((b) => b.bar)).size !== 1) return trouble('A round lift takes bars of one size.')
  return { rows: null, ring: { count: bars.length, size: bars[0]!.bar, spiral }, legs: null }
}
