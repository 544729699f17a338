import type { SketchSection } from '../api/client'

const NONE: SketchSection = { shape: '', b: 0, h: 0, bw: 0, bf: 0, hf: 0, d: 0 }
const N = '(\\d+(?:\\.\\d+)?)'
const RECTANGLE = new RegExp(`^${N}\\s*x\\s*${N}$`)
const FLANGED = new RegExp(`^(tee|ell|inverted-tee)\\s*${N}\\s*x\\s*${N}\\s+${N}\\s*x\\s*${N}$`)
const CIRCLE = new RegExp(`^(?:circle|d)\\s*${N}$`)

/** A section from words: 300x600, tee 300x600 1200x150 (web, then flange), ell …, inverted-tee …, circle 500; undefined if they make none. */
export function parseSection(words: string): SketchSection | undefined {
  // a comma is a point, but where it could as well part thousands the words make no section
  const w = words
    .trim()
    .toLowerCase()
    .replace(/×/g, 'x')
    .replace(/(\d),(?!\d{3}(?!\d))(\d)/g, '$1.$2')
  const r = RECTANGLE.exec(w)
  if (r && Number(r[1]) > 0 && Number(r[2]) > 0)
    return { ...NONE, shape: 'rectangle', b: Number(r[1]), h: Number(r[2]) }
  const c = CIRCLE.exec(w)
  if (c && Number(c[1]) > 0) return { ...NONE, shape: 'circle', d: Number(c[1]) }
  const f = FLANGED.exec(w)
  if (!f) return undefined
  const [bw, h, bf, hf] = f.slice(2).map(Number) as [number, number, number, number]
  return bw > 0 && bf >= bw && hf > 0 && hf < h ? { ...NONE, shape: f[1]!, bw, h, bf, hf } : undefined
}

/** The words of a section. */
export function sectionWords(s: SketchSection): string {
  if (s.shape === 'circle') return `circle ${s.d}`
  return s.shape === 'rectangle' ? `${s.b}x${s.h}` : `${s.shape} ${s.bw}x${s.h} ${s.bf}x${s.hf}`
}

/** Depth of a section. */
export const depthOf = (s: SketchSection) => (s.shape === 'circle' ? s.d : s.h)
