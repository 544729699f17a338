import type { Column, Demand, Lift } from '../../api/client'
import { forceIn, lengthIn, momentIn, stressIn, type Units } from '../../lib/units'
import { benchStart, noForce, type Bench, type BenchBar, type BenchSet } from './bench'

/** Sets that the bench is given: those that use the section most, one of each combination. */
const MOST = 6
/** Distances that differ by less are even [mm]. */
const EVEN = 0.3

/** A lift of a column as the bench takes it, with the combinations that use it most. @param code of the basis */
export function fromLift(column: Column, lift: Lift, demands: Demand[], code: string, units: Units): Bench {
  const size = (mm: number) => Number(lengthIn(mm, units).toFixed(units.us ? 3 : 1))
  const s = lift.section
  const legged = s.shape === 'ell' || s.shape === 'tee' || s.shape === 'inverted-tee'
  const { left, low } = corner(lift)
  return {
    ...benchStart,
    name: `${column.mark}, lift to ${lift.storey || 'top'}`,
    use: 'column',
    code,
    us: units.us,
    shape: {
      ...benchStart.shape,
      shape: s.shape === 'circle' ? 'circle' : legged ? (s.shape as 'ell' | 'tee' | 'inverted-tee') : 'rectangle',
      b: size(s.width),
      h: size(s.depth),
      d: size(s.width),
      ...(legged ? { bw: size(s.webWidth), bf: size(s.width), hf: size(s.flangeDepth) } : {}),
    },
    fc: Number(stressIn(s.fc, units).toFixed(units.us ? 3 : 1)),
    fy: Number(stressIn(column.fyMpa, units).toFixed(units.us ? 2 : 1)),
    cover: size(column.coverMm),
    bars: inRows(
      lift.spots.map((b) => ({ bar: b.size, x: size(b.y - left - s.width / 2), z: size(b.z - low) })),
      size(EVEN),
    ),
    stirrup: {
      bar: lift.tie.size,
      spacing: size(lift.whole.ties?.middle ?? 0),
      spiral: !!lift.whole.ring?.spiral,
      legs: legged ? 2 : Math.max(2, Math.min(held(lift.tie.heldX), held(lift.tie.heldY))),
    },
    sets: setsOf(demands, units),
  }
}

/** The lower left corner of what the section reaches over, from where its bars are measured [mm]. */
function corner(lift: Lift): { left: number; low: number } {
  const corners = lift.outline?.corners
  if (!corners) return { left: -lift.section.width / 2, low: -lift.section.depth / 2 }
  return {
    left: Math.min(...corners.filter((_, i) => i % 2 === 0)),
    low: Math.min(...corners.filter((_, i) => i % 2 === 1)),
  }
}

/** Bars of one size that stand over each other at even distances are a row. */
function inRows(bars: { bar: string; x: number; z: number }[], even: number): BenchBar[] {
  const rows = new Map<string, number[]>()
  for (const b of bars) {
    const key = `${b.bar} ${b.x}`
    rows.set(key, [...(rows.get(key) ?? []), b.z])
  }
  return [...rows].flatMap(([key, zs]) => {
    const [bar, x] = [key.split(' ')[0]!, Number(key.split(' ')[1])]
    const all = zs.sort((a, b) => a - b)
    const step = (all.at(-1)! - all[0]!) / Math.max(1, all.length - 1)
    const row = all.every((z, i) => Math.abs(z - all[0]! - i * step) <= even)
    return row
      ? [{ bar, count: all.length, x, z: all[0]!, x2: x, z2: all.at(-1)! }]
      : all.map((z) => ({ bar, count: 1, x, z, x2: x, z2: z }))
  })
}

const held = (all: boolean[]) => (all.length === 0 ? 2 : all.filter(Boolean).length)

function setsOf(demands: Demand[], units: Units): BenchSet[] {
  const worst = new Map<number, Demand>()
  for (const d of demands) {
    const before = worst.get(d.combinationNumber)
    if (!before || d.utilisation > before.utilisation) worst.set(d.combinationNumber, d)
  }
  const round = (v: number) => Number(v.toFixed(1))
  const sets = [...worst.values()]
    .sort((a, b) => b.utilisation - a.utilisation)
    .slice(0, MOST)
    .map((d) => ({
      ...noForce(d.combination),
      n: round(-forceIn(d.p, units)),
      my: round(momentIn(d.mx, units)),
      mz: round(momentIn(d.my, units)),
    }))
  return sets.length > 0 ? sets : [noForce('set 1')]
}

/** What must stay as it is for the bars to fit the lift. */
export const sizeOf = ({ shape: s, us }: Bench) =>
  [
    s.shape,
    us,
    ...(s.shape === 'circle' ? [s.d] : s.shape === 'rectangle' ? [s.b, s.h] : [s.bw, s.h, s.bf, s.hf]),
  ].join(' ')
