import type { SketchSection } from '../api/client'
import { readQuantity } from './quantity'

const NONE: SketchSection = { shape: '', b: 0, h: 0, bw: 0, bf: 0, hf: 0, d: 0 }
/** A length as people type it, with its unit or without: 300, 0,3 m, 12", 1'-0". */
const FEET = `\\d+(?:[.,]\\d+)?\\s*(?:'|ft|feet)\\s*-?\\s*(?:\\d+(?:[.,]\\d+)?\\s*(?:"|in))?`
const LENGTH = `(${FEET}|\\d[\\d.,]*\\s*(?:mm|cm|m|inches|inch|in|")?)`
const BY = '\\s*[x*]\\s*'
const RECTANGLE = new RegExp(`^${LENGTH}${BY}${LENGTH}$`)
const FLANGED = new RegExp(`^(tee|ell|inverted-tee)\\s*${LENGTH}${BY}${LENGTH}\\s+${LENGTH}${BY}${LENGTH}$`)
const CIRCLE = new RegExp(`^(?:circle|d)\\s*${LENGTH}$`)

/**
 * A section from words: 300x600, tee 300x600 1200x150 (web, then flange), ell …, inverted-tee …, circle 500; undefined if they make none. A length
 * without a unit counts in that of the next length that has one, and where none has in the field's.
 *
 * @param unit of the field: mm or in
 */
export function parseSection(words: string, unit: string): SketchSection | undefined {
  const w = words
    .trim()
    .toLowerCase()
    .replace(/×/g, 'x')
    .replace(/[’′]/g, "'")
    .replace(/[”″]|''/g, '"')
  const r = RECTANGLE.exec(w)
  if (r) return made('rectangle', ['b', 'h'], r.slice(1), unit)
  const c = CIRCLE.exec(w)
  if (c) return made('circle', ['d'], c.slice(1), unit)
  const f = FLANGED.exec(w)
  const s = f ? made(f[1]!, ['bw', 'h', 'bf', 'hf'], f.slice(2), unit) : undefined
  return s && s.bf >= s.bw && s.hf < s.h ? s : undefined
}

type Size = Exclude<keyof SketchSection, 'shape'>

function made(shape: string, names: Size[], lengths: string[], unit: string): SketchSection | undefined {
  const out = { ...NONE, shape }
  let said = ''
  for (let i = lengths.length - 1; i >= 0; i--) {
    const own = lengths[i]!.trim()
    if (/[a-z"']/.test(own)) said = /'|ft|feet/.test(own) ? 'ft' : own.replace(/^[\d.,\s]+/, '')
    const read = readQuantity(said && own.match(/^[\d.,]+$/) ? own + said : own, unit)
    if (!('value' in read) || !(read.value > 0)) return undefined
    // a ten-thousandth of the unit: 0.3 m is 300 mm
    out[names[i]!] = Number(read.value.toFixed(4))
  }
  return out
}

/** The words of a section. */
export function sectionWords(s: SketchSection): string {
  if (s.shape === 'circle') return `circle ${s.d}`
  return s.shape === 'rectangle' ? `${s.b}x${s.h}` : `${s.shape} ${s.bw}x${s.h} ${s.bf}x${s.hf}`
}

/** Depth of a section. */
export const depthOf = (s: SketchSection) => (s.shape === 'circle' ? s.d : s.h)
