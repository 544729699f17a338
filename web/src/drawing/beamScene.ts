import type { Beam, Point } from '../api/client'

/** Maps the length of a line onto the drawing, the same for elevation and diagrams. */
export interface Axis {
  x: (mm: number) => number
  mm: (px: number) => number
  left: number
  right: number
}

export function axisOf(beam: Beam, widthPx: number, marginPx = 42): Axis {
  const a = beam.supports[0]!
  const b = beam.supports[beam.supports.length - 1]!
  const from = a.x - a.depth / 2
  const to = b.x + b.depth / 2
  const scale = (widthPx - 2 * marginPx) / (to - from)
  return {
    x: (mm) => marginPx + (mm - from) * scale,
    mm: (px) => from + (px - marginPx) / scale,
    left: marginPx,
    right: widthPx - marginPx,
  }
}

/** A polyline's points attribute. */
export const line = (pts: [number, number][]) => pts.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ')

/** Demand as a closed polygon on the zero line. */
export function filled(points: Point[], value: (p: Point) => number, axis: Axis, y: (v: number) => number): string {
  const first = points[0]!
  const last = points[points.length - 1]!
  return line([
    [axis.x(first.x), y(0)],
    ...points.map((p): [number, number] => [axis.x(p.x), y(value(p))]),
    [axis.x(last.x), y(0)],
  ])
}

/** A scale that fits the given values into a height; positive values go down where the diagram is drawn on the tension side. */
export function scaleOf(values: number[], top: number, bottom: number, downwards: boolean): (v: number) => number {
  const high = Math.max(...values, 1e-9)
  const low = Math.min(...values, 0)
  const unit = (bottom - top) / (high - low)
  return downwards ? (v) => top + (v - low) * unit : (v) => bottom - (v - low) * unit
}

/** Index of the station nearest to a place of the line. */
export function nearest(points: Point[], mm: number): number {
  let best = 0
  points.forEach((p, i) => {
    if (Math.abs(p.x - mm) < Math.abs(points[best]!.x - mm)) best = i
  })
  return best
}

/** The peaks worth a number: the extreme of every span, unless it is next to nothing. */
export function peaks(points: Point[], value: (p: Point) => number): Point[] {
  const best = new Map<number, Point>()
  for (const p of points) {
    const old = best.get(p.span)
    if (!old || Math.abs(value(p)) > Math.abs(value(old))) best.set(p.span, p)
  }
  const largest = Math.max(...[...best.values()].map((p) => Math.abs(value(p))))
  return [...best.values()].filter((p) => Math.abs(value(p)) > 0.02 * largest)
}
