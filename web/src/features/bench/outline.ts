import type { BenchShape } from './bench'

export type Point = [number, number]

/** Corners of a shape, the outline first, then openings; none for a circle. As the server draws it: x from the middle, z from the soffit. */
export function ringsOf(s: BenchShape): Point[][] {
  const w = (s.shape === 'rectangle' ? s.b : s.bf) / 2
  const { h, bw, hf } = s
  switch (s.shape) {
    case 'circle':
      return []
    case 'polygon':
      return polygons(s.corners) ?? []
    case 'rectangle':
      return [box(-w, 0, w, h)]
    case 'ell':
      return [
        [
          [-w, 0],
          [-w + bw, 0],
          [-w + bw, h - hf],
          [w, h - hf],
          [w, h],
          [-w, h],
        ],
      ]
    case 'inverted-tee':
      return [
        tee(w, bw, h, hf)
          .map(([x, z]): Point => [x, h - z])
          .reverse(),
      ]
    default:
      return [tee(w, bw, h, hf)]
  }
}

const box = (x1: number, z1: number, x2: number, z2: number): Point[] => [
  [x1, z1],
  [x2, z1],
  [x2, z2],
  [x1, z2],
]

const tee = (w: number, bw: number, h: number, hf: number): Point[] => [
  [-bw / 2, 0],
  [bw / 2, 0],
  [bw / 2, h - hf],
  [w, h - hf],
  [w, h],
  [-w, h],
  [-w, h - hf],
  [-bw / 2, h - hf],
]

/** Polygons typed as lines of x and z, a blank line between the outline and each opening; undefined where a line is no pair of numbers. */
export function polygons(text: string): Point[][] | undefined {
  const rings: Point[][] = []
  for (const block of text.trim().split(/\n\s*\n/)) {
    const ring: Point[] = []
    for (const line of block.split('\n').filter((l) => l.trim())) {
      const numbers = line
        .trim()
        .split(/[\s;]+/)
        .map((v) => Number(v.replace(',', '.')))
      if (numbers.length !== 2 || numbers.some((v) => !Number.isFinite(v))) return undefined
      ring.push([numbers[0]!, numbers[1]!])
    }
    rings.push(ring)
  }
  return rings
}

const area = (r: Point[]) =>
  r.reduce((sum, [x, z], i) => {
    const [x2, z2] = r[(i + 1) % r.length]!
    return sum + (x * z2 - x2 * z) / 2
  }, 0)

/** A ring moved inwards by a distance, corner by corner. */
export function inset(ring: Point[], by: number): Point[] {
  const r = area(ring) < 0 ? [...ring].reverse() : ring
  const edge = (i: number) => {
    const [x1, z1] = r[i]!
    const [x2, z2] = r[(i + 1) % r.length]!
    const l = Math.hypot(x2 - x1, z2 - z1)
    const n: Point = [-(z2 - z1) / l, (x2 - x1) / l]
    return { n, d: n[0] * x1 + n[1] * z1 + by }
  }
  return r.map((_, i) => {
    const a = edge((i + r.length - 1) % r.length)
    const b = edge(i)
    const det = a.n[0] * b.n[1] - a.n[1] * b.n[0]
    // edges in one line meet anywhere: the corner moves straight in
    if (Math.abs(det) < 1e-9) return [r[i]![0] + by * b.n[0], r[i]![1] + by * b.n[1]]
    return [(a.d * b.n[1] - b.d * a.n[1]) / det, (a.n[0] * b.d - b.n[0] * a.d) / det]
  })
}

/** Places of bars round a shape: in every corner, and between them at most so far apart. */
export function placesRound(s: BenchShape, by: number, apart: number): Point[] {
  if (s.shape === 'circle') {
    const r = s.d / 2 - by
    const n = Math.max(6, Math.ceil((2 * Math.PI * r) / apart))
    return Array.from({ length: n }, (_, i): Point => {
      const a = (2 * Math.PI * i) / n + Math.PI / 2
      return [r * Math.cos(a), s.d / 2 + r * Math.sin(a)]
    })
  }
  const ring = ringsOf(s)[0]
  if (!ring || ring.length < 3) return []
  const inner = inset(ring, by)
  return inner.flatMap(([x1, z1], i) => {
    const [x2, z2] = inner[(i + 1) % inner.length]!
    const n = Math.max(1, Math.ceil(Math.hypot(x2 - x1, z2 - z1) / apart - 1e-9))
    return Array.from({ length: n }, (_, k): Point => [x1 + ((x2 - x1) * k) / n, z1 + ((z2 - z1) * k) / n])
  })
}
