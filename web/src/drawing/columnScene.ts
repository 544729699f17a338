import type { Interaction } from '../api/client'

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

/** @param force and moment: what a kN and a kNm are in the unit that the ticks are round in */
export function plotOf(i: Interaction, width: number, height: number, force = 1, moment = 1): Plot {
  const ms = [...i.design, ...i.nominal].map((p) => p.m).concat(i.demands.map((d) => Math.hypot(d.mx, d.my)))
  const ns = [...i.design, ...i.nominal].map((p) => p.n).concat(i.demands.map((d) => d.p))
  const mMax = Math.max(...ms, 1) * 1.05
  const nMax = Math.max(...ns, 1) * 1.04
  const nMin = Math.min(...ns, 0) * 1.04
  const left = 52
  const bottom = height - 22
  const x = (m: number) => left + (m / mMax) * (width - left - 14)
  const y = (n: number) => bottom - ((n - nMin) / (nMax - nMin)) * (bottom - 14)
  const ticks = (from: number, to: number, step: number) => {
    const out = []
    for (let v = Math.ceil(from / step) * step; v <= to; v += step) out.push(Math.round(v * 1e6) / 1e6)
    return out
  }
  return {
    x,
    y,
    xTicks: ticks(0, mMax, niceStep(mMax * moment, 5) / moment).slice(1),
    yTicks: ticks(nMin, nMax, niceStep((nMax - nMin) * force, 6) / force),
  }
}
