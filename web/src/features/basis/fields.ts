import type { Basis } from '../../api/client'
import { lengthFrom, lengthIn, stressFrom, stressIn, type Units } from '../../lib/units'

/** A number of the basis with its words, unit and limits (in the display unit of SI). */
export interface NumberField {
  key: keyof Basis
  name: string
  kind: 'stress' | 'length' | 'count' | 'percent'
  least: number
  most: number
  help: string
}

export const MATERIALS: NumberField[] = [
  { key: 'fyMpa', name: 'Longitudinal bars, fy', kind: 'stress', least: 200, most: 700, help: 'Specified yield strength of main bars.' },
  { key: 'fytMpa', name: 'Stirrups and ties, fyt', kind: 'stress', least: 200, most: 700, help: 'In shear no more than 420 MPa counts (20.2.2.4).' },
]
export const COVER: NumberField[] = [
  { key: 'beamCoverMm', name: 'Cover of beams', kind: 'length', least: 10, most: 150, help: 'Clear, to the stirrups.' },
  { key: 'columnCoverMm', name: 'Cover of columns', kind: 'length', least: 10, most: 150, help: 'Clear, to the ties.' },
  { key: 'aggregateMm', name: 'Largest aggregate', kind: 'length', least: 5, most: 60, help: 'Bars are at least 4/3 of it apart (25.2.1).' },
]
export const STIRRUPS: NumberField[] = [
  { key: 'spacingStepMm', name: 'Spacing step', kind: 'length', least: 1, most: 100, help: 'Spacings are multiples of it.' },
  { key: 'spacingLeastMm', name: 'Closest practical spacing', kind: 'length', least: 25, most: 300, help: 'Below it more legs or a larger bar are tried.' },
  { key: 'spacingMostMm', name: 'Widest spacing', kind: 'length', least: 50, most: 600, help: 'Whatever the code allows.' },
  { key: 'zonesMost', name: 'Zones a span', kind: 'count', least: 1, most: 3, help: 'Stretches of one spacing that a span may have.' },
  { key: 'legsMost', name: 'Most legs', kind: 'count', least: 2, most: 12, help: 'Stirrup legs across a beam.' },
]
export const DEFLECTION: NumberField[] = [
  { key: 'liveDeflection', name: 'Live load, span over', kind: 'count', least: 100, most: 2000, help: 'Immediate deflection of floors under live load at most the span over this (24.2.2): 360 for floors.' },
  { key: 'roofDeflection', name: 'Live load on roofs, span over', kind: 'count', least: 100, most: 2000, help: 'The same of roofs (24.2.2): 180. A roof is a level with roof live load or snow and no other live load.' },
  { key: 'lastingDeflection', name: 'After partitions, span over', kind: 'count', least: 100, most: 2000, help: 'Long-term deflection and live load together (24.2.2): 240, or 480 where partitions are likely to be damaged; a deep span is then no substitute.' },
]
export const MOMENTS: NumberField[] = [
  { key: 'redistribution', name: 'Redistribution of beam moments', kind: 'percent', least: 0, most: 30, help: 'Part of the hogging moments at supports that is moved into the spans; refused with the reason where a section cannot turn that far.' },
]
export const BARS: NumberField[] = [
  { key: 'layersMost', name: 'Layers a face', kind: 'count', least: 1, most: 3, help: 'Layers of bars in one face of a beam.' },
  { key: 'practicalCap', name: 'Practical steel cap of columns', kind: 'percent', least: 1, most: 8, help: 'Above it a column is called too small, though legal: bars lap and cross in the joint.' },
]

export const STOCK: NumberField[] = [
  { key: 'stockLengthMm', name: 'Longest bar delivered', kind: 'length', least: 4000, most: 30000, help: 'Longer bars are lapped: top bars in the middle of spans, bottom bars at supports.' },
]
export const ADVICE: NumberField[] = [
  { key: 'bandFrom', name: 'Use of strength from', kind: 'percent', least: 0, most: 100, help: 'Sections used less than this are larger than they need be.' },
  { key: 'bandTo', name: 'Use of strength up to', kind: 'percent', least: 30, most: 100, help: 'Sections used more leave no room for what is still to come.' },
  { key: 'depthLeastMm', name: 'Least depth', kind: 'length', least: 100, most: 5000, help: 'Sections of the project count whatever their size.' },
  { key: 'depthMostMm', name: 'Greatest depth', kind: 'length', least: 100, most: 5000, help: 'What the storey height and the services leave.' },
  { key: 'widthLeastMm', name: 'Least width', kind: 'length', least: 100, most: 5000, help: 'Of the web.' },
  { key: 'widthMostMm', name: 'Greatest width', kind: 'length', least: 100, most: 5000, help: 'Of the web.' },
  { key: 'sizeStepMm', name: 'Step', kind: 'length', least: 5, most: 500, help: 'From one size to the next.' },
]

/** Kinds of moment frames for earthquakes. */
export const DUCTILITY = [
  { value: 'none', label: 'none' }, { value: 'ordinary', label: 'ordinary frames (18.3)' }, { value: 'intermediate', label: 'intermediate frames (18.4)' },
  { value: 'special', label: 'special frames (18.6)' },
]
export const FLANGES = [{ value: 'no', label: 'as modelled' }, { value: 'yes', label: 'from the slabs' }]

/** What decides where several arrangements satisfy. */
export const PREFERENCES = [
  { value: 'least-steel', label: 'least steel' }, { value: 'fewest-bars', label: 'fewest bars' }, { value: 'fewest-layers', label: 'fewest layers' },
  { value: 'one-size-a-face', label: 'one size a face' }, { value: 'fewest-sizes', label: 'one size a line' },
]

export function shown(f: NumberField, v: number, u: Units): number {
  const x = f.kind === 'stress' ? stressIn(v, u) : f.kind === 'length' ? lengthIn(v, u) : f.kind === 'percent' ? 100 * v : v
  return Math.round(x * 1000) / 1000
}

export function stored(f: NumberField, v: number, u: Units): number {
  return f.kind === 'stress' ? stressFrom(v, u) : f.kind === 'length' ? lengthFrom(v, u) : f.kind === 'percent' ? v / 100 : v
}

export const unitOf = (f: NumberField, u: Units) => (f.kind === 'stress' ? u.stress : f.kind === 'length' ? u.length : f.kind === 'percent' ? '%' : '')
