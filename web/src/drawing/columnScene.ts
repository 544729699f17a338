import type { CurvePoint, Curves, Demand } from '../api/client'

/** Scales of the interaction diagram: moment to the right, compression upwards. */
export interface Plot {
  x: (m: number) => number
  y: (n: number) => number
  xTicks: number[]
  yTicks: number[]
}

/** A round step that gives about {@code wanted} ticks. */
export function niceStep(range: number, wanted: number): number {
  const raw = range / wanted
  const power = 10 ** Math.floor(Math.log10(raw))
  const f = raw / power
  return (f < 1.5 ? 1 : f < 3.5 ? 2 : f < 7.5 ? 5 : 10) * power
}

/** A part of a moment, from the end of the part before it. */
export interface Chained {
  kind: string
  from: { mx: number; my: number }
  to: { mx: number; my: number }
}

/** Parts of a moment one after the other, from nothing to the moment. */
export function chainOf(parts: Curves['parts']): Chained[] {
  const out: Chained[] = []
  let from = { mx: 0, my: 0 }
  for (const { kind, mx, my } of parts) {
    const to = { mx: from.mx + mx, my: from.my + my }
    out.push({ kind, from, to })
    from = to
  }
  return out
}

/** So much of a moment as acts in the sense of another. */
export const along = (q: { mx: number; my: number }, whole: { mx: number; my: number }) =>
  bending(whole) > 0 ? (q.mx * whole.mx + q.my * whole.my) / bending(whole) : 0

export const bending = (p: { mx: number; my: number }) => Math.hypot(p.mx, p.my)

const ticksOf = (from: number, to: number, step: number) => {
  const out = []
  for (let v = Math.ceil(from / step) * step; v <= to; v += step) out.push(Math.round(v * 1e6) / 1e6)
  return out
}

/** Axial force over moments. @param force and moment: what a kN and a kNm are in the unit that the ticks are round in */
export function plotOf(
  c: Pick<Curves, 'design' | 'nominal'>,
  demands: Demand[],
  width: number,
  height: number,
  force = 1,
  moment = 1,
): Plot {
  const ms = [...c.design, ...c.nominal].map(bending).concat(demands.map(bending))
  const ns = [...c.design, ...c.nominal].map((p) => p.n).concat(demands.map((d) => d.p))
  const mMax = Math.max(...ms, 1) * 1.05
  const nMax = Math.max(...ns, 1) * 1.04
  const nMin = Math.min(...ns, 0) * 1.04
  const left = 52
  const bottom = height - 22
  const x = (m: number) => left + (m / mMax) * (width - left - 14)
  const y = (n: number) => bottom - ((n - nMin) / (nMax - nMin)) * (bottom - 14)
  return {
    x,
    y,
    xTicks: ticksOf(0, mMax, niceStep(mMax * moment, 5) / moment).slice(1),
    yTicks: ticksOf(nMin, nMax, niceStep((nMax - nMin) * force, 6) / force),
  }
}

/** Moments about both axes, Mx to the right and My upwards, the origin in the middle, to one scale. */
export function roundPlotOf(
  contour: CurvePoint[],
  demands: Demand[],
  width: number,
  height: number,
  moment = 1,
): Plot & { size: number } {
  const all = [...contour, ...demands]
  const size = Math.max(...all.flatMap((p) => [Math.abs(p.mx), Math.abs(p.my)]), 1) * 1.08
  const k = (Math.min(width, height) / 2 - 14) / size
  const step = niceStep(size * moment, 2) / moment
  const ticks = ticksOf(-size, size, step).filter((t) => t !== 0)
  return { x: (m) => width / 2 + m * k, y: (m) => height / 2 - m * k, xTicks: ticks, yTicks: ticks, size }
}

/** How a surface is looked at: turned about the axis of force, and tipped towards the eye [rad]. */
export interface Turn {
  yaw: number
  tip: number
}

/** Points of a surface on the paper, and how near they are. Force upwards. */
export function projection(meridians: CurvePoint[][], width: number, height: number, turn: Turn) {
  const all = meridians.flat()
  const m = Math.max(...all.map(bending), 1)
  const top = Math.max(...all.map((p) => p.n), 1)
  const low = Math.min(...all.map((p) => p.n), 0)
  const k = Math.min(width, height) * 0.4
  const [sin, cos] = [Math.sin(turn.yaw), Math.cos(turn.yaw)]
  return (p: { n: number; mx: number; my: number }) => {
    const across = (p.mx * cos - p.my * sin) / m
    const near = (p.mx * sin + p.my * cos) / m
    const up = (2 * (p.n - low)) / (top - low) - 1
    return {
      x: width / 2 + k * across,
      y: height / 2 - k * (up * Math.cos(turn.tip) - near * Math.sin(turn.tip)),
      near,
    }
  }
}
