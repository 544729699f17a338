import type { TypeCurve } from '../../api/client'

type Point = TypeCurve['points'][number]

/** Where the curve is drawn [px]. */
export interface Frame {
  width: number
  height: number
  left: number
  right: number
  top: number
  bottom: number
}

/** Scales of the curve: numbers of types on a logarithm, since the first merges cost nothing and the last much; steel from just below the least. */
export function scales(points: Point[], aloneKg: number, f: Frame) {
  const types = points.map((p) => p.types)
  const least = Math.max(1, Math.min(...types))
  const most = Math.max(least + 1, ...types)
  const kg = [...points.map((p) => p.kg), aloneKg]
  const low = Math.min(...kg)
  const high = Math.max(...kg, low * 1.02)
  const bottom = low - (high - low) * 0.08
  const x = (n: number) =>
    f.left + ((Math.log(n) - Math.log(least)) / (Math.log(most) - Math.log(least))) * (f.width - f.left - f.right)
  const y = (v: number) => f.height - f.bottom - ((v - bottom) / (high - bottom)) * (f.height - f.top - f.bottom)
  return { x, y, least, most, low: bottom, high }
}

/** The point of the curve whose place is nearest to one across the drawing. */
export function nearestPoint(points: Point[], x: (n: number) => number, px: number): Point {
  return points.reduce((a, b) => (Math.abs(x(b.types) - px) < Math.abs(x(a.types) - px) ? b : a))
}

/** The point so many further, to fewer types, or back for a negative number; what is in force may lie between two points. */
export function step(points: Point[], types: number, by: number): Point {
  // points have most types first
  const way = by > 0 ? points.filter((p) => p.types < types) : points.filter((p) => p.types > types).reverse()
  return way[Math.abs(by) - 1] ?? way.at(-1) ?? (by > 0 ? points.at(-1)! : points[0]!)
}

/** Round numbers of types for the axis. */
export function ticks(least: number, most: number): number[] {
  const out: number[] = []
  for (let d = 1; d <= most; d *= 10)
    for (const k of [1, 2, 3, 5, 7]) if (k * d > least * 1.1 && k * d < most / 1.1) out.push(k * d)
  return [least, ...out, most]
}

/** Round levels of steel for the axis [kg]. @param unit kg of the unit that is shown */
export function levels(low: number, high: number, unit: number): number[] {
  const rough = (high - low) / unit / 4
  const power = 10 ** Math.floor(Math.log10(rough))
  const by = [1, 2, 5, 10].map((k) => k * power).find((k) => k >= rough)! * unit
  const out: number[] = []
  for (let v = Math.ceil(low / by) * by; v <= high; v += by) out.push(v)
  return out
}
