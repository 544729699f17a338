import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { App, ConfigProvider } from 'antd'
import type { ReactNode } from 'react'
import { MemoryRouter, type InitialEntry } from 'react-router'
import type {
  AnalysisSummary,
  Basis,
  Catalogue,
  Beam,
  Check,
  Column,
  History,
  Curves,
  Interaction,
  Surface,
  Point,
  State,
  View,
} from '../api/client'

/** Wraps a component as the application does, with a fresh cache and no retries; without styles, which no test looks at and which take half the time. */
export function Around({ children, at = '/' }: { children: ReactNode; at?: InitialEntry }) {
  return (
    <ConfigProvider theme={{ zeroRuntime: true }}>
      <App>
        <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
          <MemoryRouter initialEntries={[at]}>{children}</MemoryRouter>
        </QueryClientProvider>
      </App>
    </ConfigProvider>
  )
}

export const check = (kind: string, utilisation: number, station = -1): Check => ({
  kind,
  title: kind,
  cause: 'shear',
  demand: '1.0 kN',
  capacity: '2.0 kN',
  utilisation,
  satisfied: utilisation <= 1,
  combination: '1.4D',
  place: 'middle',
  x: 3000,
  part: 0,
  station,
  clause: '22.5',
})

/** A member of the building as the drawings get it, 300 × 600. */
export const drawn = (id: string, ends: number[], line = 0, role = 'beam'): View['members'][number] => ({
  id,
  role,
  ends,
  widthMm: 300,
  depthMm: 600,
  line,
  part: 0,
  utilisation: 0.5,
  satisfied: true,
  round: false,
  joint: null,
  crowded: 0,
  outline: null,
  shades: [0.5, 0.5, 0.3, 0, 0.7, 0.99, 0.8, 150],
})

const point = (x: number, mPos: number, mNeg: number, v: number): Point => ({
  x,
  span: 0,
  mPos,
  comboPos: '1.2D + 1.6L',
  mNeg,
  comboNeg: '1.4D',
  capPos: 200,
  capNeg: -150,
  vMax: v,
  comboVMax: '1.2D + 1.6L',
  vMin: v,
  comboVMin: '1.4D',
  vc: 60,
  vn: 140,
  vLimit: 500,
  ve: 0,
  t: 2,
  comboT: '1.4D',
  tn: 8,
  limitUse: 0.2,
})

const section = {
  label: '300 × 600',
  shape: 'rectangle',
  width: 300,
  webWidth: 300,
  depth: 600,
  flangeDepth: 0,
  fc: 35,
}

/** A line of a calculation; formulas are one run of text. */
export function step(symbol: string, formula: string, numbers: string, result: string, clause: string) {
  const set = (text: string) =>
    text === '' ? null : { text, equal: !text.includes('='), set: { kind: 'words', text, parts: [] } }
  return {
    title: false,
    symbol,
    set: set(symbol),
    words: '',
    formula: formula === symbol ? null : set(formula),
    numbers: set(numbers),
    result,
    clause,
  }
}

export const beam: Beam = {
  mark: 'L1-B01',
  storey: 'L1',
  utilisation: 0.9,
  satisfied: true,
  steelKg: 120,
  concreteM3: 1,
  coverMm: 40,
  fyMpa: 420,
  governingStation: 1,
  spans: [{ number: 0, from: 0, to: 6000, faceFrom: 200, faceTo: 5800, section }],
  supports: [
    { x: 0, kind: 'column', depth: 400, label: 'A1' },
    { x: 6000, kind: 'column', depth: 400, label: 'B1' },
  ],
  groups: [
    {
      face: 'top',
      layer: 1,
      count: 2,
      size: 'T16',
      diameter: 16,
      offset: 58,
      from: -150,
      to: 6150,
      hookFrom: true,
      hookTo: true,
      through: true,
      pairs: false,
      laps: [],
    },
    {
      face: 'bottom',
      layer: 1,
      count: 2,
      size: 'T16',
      diameter: 16,
      offset: 58,
      from: -150,
      to: 6150,
      hookFrom: true,
      hookTo: true,
      through: true,
      pairs: false,
      laps: [],
    },
    {
      face: 'bottom',
      layer: 1,
      count: 3,
      size: 'T20',
      diameter: 20,
      offset: 60,
      from: 50,
      to: 5950,
      hookFrom: false,
      hookTo: false,
      through: false,
      pairs: false,
      laps: [],
    },
  ],
  zones: [
    {
      span: 0,
      from: 200,
      to: 5800,
      size: 'T10',
      legs: 2,
      spacing: 200,
      places: Array.from({ length: 29 }, (_, k) => 250 + (k * 5500) / 28),
    },
  ],
  sides: [],
  hand: { faces: {}, stirrups: {}, sides: {}, demands: [], torsion: 'as-found' },
  sizes: ['T12', 'T16', 'T20', 'T25'],
  stirrupSizes: ['T8', 'T10', 'T12'],
  firstBar: -150,
  lastBar: 6150,
  spacingStepMm: 25,
  needs: [
    { face: 'top', number: 0, label: 'A1', x: 200, requiredMm2: 380, providedMm2: 402, minimum: true },
    { face: 'bottom', number: 0, label: 'A1–B1', x: 3000, requiredMm2: 1180, providedMm2: 1345, minimum: false },
  ],
  legs: [{ span: 0, from: 200, to: 5800, required: 0.7, provided: 0.785 }],
  cuts: [
    {
      x: 3000,
      label: 'A1–B1 middle',
      span: 0,
      top: '2T16',
      bottom: '2T16 + 3T20',
      legs: 2,
      stirrupDiameter: 10,
      sideBarsPerFace: 0,
      sideBarDiameter: 0,
      bars: [
        { y: 58, z: 542, diameter: 16, size: 'T16', through: true },
        { y: 60, z: 60, diameter: 20, size: 'T20', through: false },
      ],
    },
  ],
  points: [point(200, 0, -90, 120), point(3000, 180, 0, 0), point(5800, 0, -90, -120)],
  deflections: [
    {
      span: 0,
      x: [200, 3000, 5800],
      live: [0, 6.5, 0],
      lasting: [0, 14.2, 0],
      liveLimit: 16.7,
      lastingLimit: 25,
      service: 'D + L',
      sustained: 'D + 0.3L',
    },
  ],
  checks: [check('flexure-bottom', 0.9, 1), check('shear', 0.86, 0)],
  findings: [],
  crowded: [],
}

const held = (lift: number) => (lift ? [true, true] : [true, false, true])

/** Bars of a square with n along each face: in pairs along x, then up the sides. */
function spots(n: number): Column['lifts'][number]['spots'] {
  const at = (i: number) => -140 + (280 * i) / (n - 1)
  const bar = (y: number, z: number, corner: boolean) => ({
    y,
    z,
    diameter: corner && n > 2 ? 25 : 20,
    size: corner && n > 2 ? 'T25' : 'T20',
    through: corner,
  })
  const rows = Array.from({ length: n }, (_, i) => {
    const corner = i === 0 || i === n - 1
    return [bar(at(i), -140, corner), bar(at(i), 140, corner)]
  })
  const sides = Array.from({ length: n - 2 }, (_, i) => [bar(-140, at(i + 1), false), bar(140, at(i + 1), false)])
  return [...rows, ...sides].flat()
}

export const column: Column = {
  mark: 'C-A1',
  utilisation: 0.8,
  satisfied: true,
  steelKg: 200,
  concreteM3: 1,
  coverMm: 40,
  fyMpa: 420,
  governingLift: 0,
  lifts: [0, 1].map((number) => ({
    number,
    storey: `L${number + 1}`,
    base: number * 3600,
    top: (number + 1) * 3600,
    clear: 3000,
    section: { ...section, label: '400 × 400', width: 400, webWidth: 400, depth: 400 },
    bars: number ? '4T20' : '4T25 + 4T20',
    ties: 'T10-200, 2 × 2 legs',
    areaMm2: 3000,
    ratio: 0.019,
    utilisation: number ? 0.5 : 0.8,
    satisfied: true,
    qx: 0.1,
    qy: 0.08,
    effectiveLengthMx: 1,
    effectiveLengthMy: 0.83,
    magnifierMx: 1.09,
    magnifierMy: 1.11,
    checks: [check(number ? 'axial-limit' : 'axial-bending', 0.8)],
    findings: [],
    crowded:
      number === 1 ? [4, 5].map((bars) => ({ with: 'L1-B01', storey: 'L2', x: 300, top: true, bars, room: 4 })) : [],
    spots: spots(number ? 2 : 3),
    standing: number ? ['4T20 end under the top of the floor, bent'] : ['4T25 + 4T20 go on to 900 mm above the floor'],
    tie: { size: 'T10', diameter: 10, places: [100, 300, 500], heldX: held(number), heldY: held(number) },
    outline: null,
    hand: { rows: null, ring: null, legs: null, ties: null },
    whole: {
      rows: {
        alongX: number ? 2 : 3,
        alongY: number ? 2 : 3,
        corner: number ? 'T20' : 'T25',
        face: 'T20',
        heldX: held(number),
        heldY: held(number),
      },
      ring: null,
      legs: null,
      ties: { size: 'T10', joint: 200, end: 200, middle: 200, foot: 0, head: 0 },
    },
  })),
  sizes: ['T16', 'T20', 'T25', 'T32'],
  tieSizes: ['T10', 'T12'],
  spacingStepMm: 25,
}

export const interaction: Interaction = {
  demands: [
    {
      combination: '0.9D + E x−',
      combinationNumber: 4,
      number: 0,
      place: 'foot',
      p: 1890,
      mx: 388,
      my: 102,
      factor: 1.08,
      utilisation: 0.97,
    },
    {
      combination: '1.4D',
      combinationNumber: 0,
      number: 2,
      place: 'head',
      p: 2960,
      mx: 52,
      my: 33,
      factor: 1,
      utilisation: 0.7,
    },
  ],
}

export const basis: Basis = {
  name: 'Standard, SI',
  code: 'aci-318m-19',
  fyMpa: 420,
  fytMpa: 420,
  beamCoverMm: 40,
  columnCoverMm: 40,
  aggregateMm: 20,
  beamBars: ['T16', 'T20'],
  columnBars: ['T20', 'T25'],
  stirrups: ['T10'],
  spacingStepMm: 25,
  spacingLeastMm: 75,
  spacingMostMm: 300,
  zonesMost: 3,
  legsMost: 6,
  layersMost: 2,
  practicalCap: 0.04,
  preference: 'least-steel',
  liveDeflection: 360,
  lastingDeflection: 240,
  swayX: 'from-model',
  swayY: 'from-model',
  effectiveLengths: 'given',
  effectiveLengthX: 1,
  effectiveLengthY: 1,
  redistribution: 0,
  national: {},
  slabFlanges: false,
  bundles: false,
  columnSplices: 'laps',
  roundTies: 'hoops',
  spacersEveryMm: 0,
  starterBars: true,
  stockLengthMm: 12000,
  ductility: 'none',
  bandFrom: 0.7,
  bandTo: 1,
  depthLeastMm: 200,
  depthMostMm: 1500,
  widthLeastMm: 200,
  widthMostMm: 900,
  sizeStepMm: 50,
  roofDeflection: 180,
  sizesApart: 1,
  columnBarsApartMm: 250,
  columnBarsEvery: 1,
  columnLapsEvery: 1,
  lengthModuleMm: 50,
  vibratorGapMm: 0,
  vibratorBars: 5,
  costPieceKg: 1.5,
  costLayerKg: 3,
  costAloneKg: 20,
  costOffMiddleKg: 4,
  costSizeKg: 10,
  costZoneKg: 1.5,
  costMarkKg: 4,
  local: {},
}

const field = (key: string, part: string, name: string, kind: string, least: number, most: number, help = '') => ({
  key,
  part,
  name,
  kind,
  least,
  most,
  help,
  local: ['fyMpa', 'beamCoverMm', 'practicalCap', 'columnBarsApartMm', 'legsMost'].includes(key),
})

/** Two codes as the server describes them: one with ductile frames, one with national parameters. */
export const codes: Catalogue[] = [
  {
    code: 'aci-318m-19',
    name: 'ACI 318M-19',
    usUnits: false,
    usual: true,
    bars: ['T10', 'T16', 'T20', 'T25'],
    standard: basis,
    parameters: [],
    fields: [
      field('fyMpa', 'materials', 'Longitudinal bars, fy', 'stress', 200, 700),
      field('beamCoverMm', 'cover', 'Cover of beams', 'length', 10, 150, 'Clear, to the stirrups.'),
      field('effectiveLengthX', 'lengths', 'Length factor k along X', 'number', 0.5, 5),
      field('redistribution', 'frame', 'Redistribution of beam moments', 'part', 0, 0.2),
      field('bandFrom', 'advice', 'Target utilisation from', 'part', 0, 1),
      field('practicalCap', 'bars', 'Practical steel cap of columns', 'part', 0.01, 0.08),
      field('columnBarsApartMm', 'practice', 'Column bars apart, at most', 'length', 100, 600),
      field('costPieceKg', 'costs', 'Every bar', 'mass', 0, 100),
      field('legsMost', 'stirrups', 'Most legs', 'count', 2, 12),
      field('liveDeflection', 'deflection', 'Live load, span over', 'number', 100, 2000),
      field('lastingDeflection', 'deflection', 'After partitions, span over', 'number', 100, 2000),
    ],
    ductility: [
      { value: 'none', label: 'none' },
      { value: 'special', label: 'special frames (18.6)' },
    ],
    remarks: { slabFlanges: 'As wide as 6.3.2.1 lets them count.' },
  },
  {
    code: 'en-1992-1-1',
    name: 'EN 1992-1-1',
    usUnits: false,
    usual: false,
    bars: ['T10', 'T16', 'T20', 'T25'],
    standard: { ...basis, code: 'en-1992-1-1', fyMpa: 500 },
    parameters: [
      {
        key: 'gammaC',
        words: 'γC, partial factor of concrete',
        clause: '2.4.2.4',
        recommended: 1.5,
        least: 1,
        most: 2,
        whole: false,
      },
    ],
    fields: [
      field('beamCoverMm', 'cover', 'Cover of beams', 'length', 10, 150),
      field('lastingDeflection', 'deflection', 'After partitions, span over', 'number', 100, 2000),
    ],
    ductility: [{ value: 'none', label: 'none' }],
    remarks: {},
  },
  {
    code: 'aci-318-19',
    name: 'ACI 318-19',
    usUnits: true,
    usual: true,
    bars: ['#3', '#5', '#8'],
    standard: { ...basis, code: 'aci-318-19' },
    parameters: [],
    fields: [],
    ductility: [{ value: 'none', label: 'none' }],
    remarks: {},
  },
]

export const state: State = {
  version: 5,
  designed: 5,
  current: true,
  doing: '',
  done: 0,
  total: 0,
  findings: [],
  last: { version: 5, person: '', window: '', summary: '', effects: [] },
  totals: null,
}

export const analysis: AnalysisSummary = {
  version: 1,
  imported: false,
  stale: false,
  forceUnit: 'kN',
  momentUnit: 'kNm',
  combinations: [{ id: 'K1', name: '1.4D' }],
  balance: [
    {
      id: 'G',
      name: 'self-weight',
      kind: 'dead',
      selfWeight: true,
      generated: false,
      applied: [0, 0, -900],
      reaction: [0, 0, 900],
      residual: 2e-14,
    },
    {
      id: 'W',
      name: 'wind along X',
      kind: 'wind',
      selfWeight: false,
      generated: false,
      applied: [120, 0, 0],
      reaction: [-120, 0, 0],
      residual: 1e-14,
    },
  ],
  drifts: [{ storey: 'L1', baseM: 0, topM: 4, loadCase: 'W', driftMm: [1.5, 0], worst: [0.0005, 0], shear: [120, 0] }],
  masses: [{ storey: 'L1', massT: 91.8, xM: 12, yM: 6 }],
  findings: [
    {
      severity: 'info',
      code: 'p-delta',
      where: 'model',
      what: 'Second-order effects converged in the third iteration.',
      mend: '',
      clause: '',
      combination: '',
    },
  ],
}

export const history: History = {
  entries: [
    {
      version: 2,
      kind: 'model',
      summary: 'section 400x800 for member b',
      person: 'Ines',
      at: '2026-01-01T00:00:00Z',
      changesModel: true,
      inForce: true,
      effects: [],
    },
  ],
  canUndo: true,
  canRedo: false,
  modelVersion: 2,
}

export const curves: Curves = {
  angleDeg: 31,
  nominal: [
    { n: 5000, mx: 0, my: 0 },
    { n: 1500, mx: 155, my: 257 },
  ],
  design: [
    { n: -800, mx: 0, my: 0 },
    { n: 900, mx: 129, my: 214 },
    { n: 3000, mx: 0, my: 0 },
  ],
  contour: [
    { n: 1890, mx: 0, my: 210 },
    { n: 1890, mx: 420, my: 0 },
    { n: 1890, mx: 0, my: -210 },
    { n: 1890, mx: -420, my: 0 },
    { n: 1890, mx: 0, my: 210 },
  ],
  atAxial: 0.93,
  borne: { least: 210, most: 3400 },
  parts: [
    { kind: 'sustained', mx: 200, my: 40 },
    { kind: 'others', mx: 150, my: 50 },
    { kind: 'eccentricity', mx: 0, my: 5 },
    { kind: 'secondOrder', mx: 38, my: 7 },
  ],
}

export const surface: Surface = {
  meridians: [0, 1, 2, 3].map((i) => {
    const [sin, cos] = [Math.sin((i * Math.PI) / 2), Math.cos((i * Math.PI) / 2)]
    return [-800, 0, 900, 1800, 3000].map((n, k) => ({
      n,
      mx: [0, 150, 250, 150, 0][k]! * sin,
      my: [0, 150, 250, 150, 0][k]! * cos,
    }))
  }),
}
