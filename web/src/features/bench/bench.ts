export interface BenchShape {
  shape: 'rectangle' | 'circle' | 'tee' | 'ell' | 'inverted-tee' | 'polygon'
  b: number
  h: number
  bw: number
  bf: number
  hf: number
  d: number
  /** of a polygon as typed: x and z a line, openings after blank lines */
  corners: string
}

/** A bar, or so many along a line. */
export interface BenchBar {
  bar: string
  count: number
  x: number
  z: number
  x2: number
  z2: number
}

/** What a set of forces is combined for. */
export const KINDS = ['strength', 'characteristic', 'quasi-permanent'] as const
export type Kind = (typeof KINDS)[number]

export interface BenchSet {
  name: string
  /** left out for strength: drafts of before have none */
  kind?: Kind
  n: number
  vy: number
  vz: number
  t: number
  my: number
  mz: number
}

export interface Bench {
  name: string
  use: 'column' | 'beam'
  code: string
  us: boolean
  shape: BenchShape
  fc: number
  fy: number
  cover: number
  bars: BenchBar[]
  stirrup: { bar: string; spacing: number; legs: number; spiral: boolean }
  sets: BenchSet[]
  /** the lift of a column that it came from, and what its bars fit */
  from?: { id: string; mark: string; lift: number; size: string }
}

export const PARTS = ['n', 'vy', 'vz', 't', 'my', 'mz'] as const

export const noForce = (name: string): BenchSet => ({ name, n: 0, vy: 0, vz: 0, t: 0, my: 0, mz: 0 })

const bar = (x: number, z: number, x2: number, z2: number, count: number): BenchBar => ({
  bar: 'T20',
  count,
  x,
  z,
  x2,
  z2,
})

/** What the bench begins with: an ell of a stair core. */
export const benchStart: Bench = {
  name: 'Corner of the stair',
  use: 'column',
  code: 'aci-318m-19',
  us: false,
  shape: {
    shape: 'ell',
    b: 400,
    h: 700,
    bw: 300,
    bf: 700,
    hf: 300,
    d: 500,
    corners: '0 0\n600 0\n600 250\n250 250\n250 600\n0 600',
  },
  fc: 30,
  fy: 420,
  cover: 40,
  bars: [
    bar(-290, 60, -290, 640, 4),
    bar(-110, 60, -110, 340, 2),
    bar(-110, 640, 290, 640, 3),
    bar(110, 460, 290, 460, 2),
  ],
  stirrup: { bar: 'T10', spacing: 200, legs: 2, spiral: false },
  sets: [
    { ...noForce('1.2D + 1.6L'), n: -2600, my: 120, mz: -60 },
    { ...noForce('1.2D + L + W x'), n: -1900, my: -240, mz: 180 },
    { ...noForce('0.9D + W y'), n: -700, my: 210, mz: 150 },
    { ...noForce('D + 0.3L'), kind: 'quasi-permanent', n: -600, my: 110, mz: -80 },
  ],
}

/** Single bars in place of rows of them. */
export const singles = (bars: BenchBar[]): BenchBar[] =>
  bars.flatMap((b) =>
    Array.from({ length: b.count }, (_, k) => {
      const part = b.count > 1 ? k / (b.count - 1) : 0
      const x = b.x + part * (b.x2 - b.x)
      const z = b.z + part * (b.z2 - b.z)
      return { bar: b.bar, count: 1, x, z, x2: x, z2: z }
    }),
  )

/** Of a bar by its label [mm]. */
export const diameter = (label: string) =>
  label.startsWith('#') ? Number(label.slice(1)) * 3.175 : Number(label.slice(1))
