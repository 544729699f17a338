import type { Curves, Demand, Strains } from '../../api/client'
import { bending } from '../../drawing/columnScene'

/** Strains beyond this leave the picture [‰]: reinforcement yields at about two. */
const MOST = 8

/** Depth of the neutral axis below the compressed edge [mm]; none where all is pulled, or nearly evenly pressed. */
export function neutralAxis(s: Strains): number | undefined {
  if (s.edge <= 0 || s.far >= 0) return undefined
  return (s.sizeMm * s.edge) / (s.edge - s.far)
}

/** Strain at the rim of the picture [‰]. */
export const strainScale = (s: Strains) => Math.min(MOST, Math.max(Math.abs(s.edge), Math.abs(s.far), 0.01))

/** Stresses at the rims of the picture [MPa]: bars and concrete each to their own scale. */
export const stressScale = (s: Strains) => ({
  bars: Math.max(1, ...s.bars.map((b) => Math.abs(b.stressMpa))),
  concrete: Math.max(0.1, ...s.concrete.filter((_, i) => i % 2 === 1)),
})

/** Number of the point of a curve whose direction from the origin is nearest to a demand's. */
export function nearest(curve: Curves['design'], d: Demand): number {
  const size = Math.max(...curve.map(bending), 1) / Math.max(...curve.map((q) => Math.abs(q.n)), 1)
  const angle = (n: number, m: number) => Math.atan2(n * size, m)
  const off = curve.map((q) => Math.abs(angle(q.n, bending(q)) - angle(d.p, bending(d))))
  return off.indexOf(Math.min(...off))
}
