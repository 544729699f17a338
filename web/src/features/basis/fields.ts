import type { Basis, BasisField } from '../../api/client'
import { lengthIn, massIn, stressIn, type Units } from '../../lib/units'

/** Parts of the page with their headings, in order; the server tells which numbers belong to each. */
export const HEADINGS: Record<string, string> = {
  materials: 'Code and materials',
  cover: 'Cover',
  frame: 'Frame',
  lengths: 'Effective lengths of columns',
  advice: 'Section advice for beams',
  bars: 'Bars',
  practice: 'Practice',
  costs: 'What a bar costs beside its mass',
  stirrups: 'Stirrups',
  deflection: 'Deflection of beams',
}

export const SPLICES = [
  { value: 'laps', label: 'laps' },
  { value: 'couplers', label: 'couplers where they can be' },
]

export const ROUND_TIES = [
  { value: 'hoops', label: 'round hoops' },
  { value: 'spirals', label: 'a spiral' },
]

export const STARTERS = [
  { value: 'yes', label: 'with the columns' },
  { value: 'no', label: 'with the foundations' },
]

export const FLANGES = [
  { value: 'no', label: 'as modelled' },
  { value: 'yes', label: 'from the slabs' },
]

/** How the frame resists sway along a direction. */
export const SWAY = [
  { value: 'from-model', label: 'by the stability index' },
  { value: 'braced', label: 'taken as braced' },
]

/** Where the effective lengths of columns come from. */
export const LENGTHS = [
  { value: 'given', label: 'factors k of the basis' },
  { value: 'from-ends', label: 'what meets at their ends' },
]

/** What decides where several arrangements satisfy. */
export const PREFERENCES = [
  { value: 'practical', label: 'what a site would build' },
  { value: 'least-steel', label: 'least steel' },
  { value: 'fewest-bars', label: 'fewest bars' },
  { value: 'fewest-layers', label: 'fewest layers' },
  { value: 'one-size-a-face', label: 'one size a face' },
  { value: 'fewest-sizes', label: 'one size a line' },
]

export const numberOf = (b: Basis, f: BasisField) => b[f.key as keyof Basis] as number

export function shown(f: BasisField, v: number, u: Units): number {
  const x = f.kind === 'part' ? 100 * v : v * factor(f, u)
  return Math.round(x * 1000) / 1000
}

export const stored = (f: BasisField, v: number, u: Units): number => (f.kind === 'part' ? v / 100 : v / factor(f, u))

/** What a number is multiplied by to be shown. */
const factor = (f: BasisField, u: Units) =>
  f.kind === 'stress' ? stressIn(1, u) : f.kind === 'length' ? lengthIn(1, u) : f.kind === 'mass' ? massIn(1, u) : 1

export const unitOf = (f: BasisField, u: Units) =>
  f.kind === 'stress'
    ? u.stress
    : f.kind === 'length'
      ? u.length
      : f.kind === 'mass'
        ? u.mass
        : f.kind === 'part'
          ? '%'
          : ''
