/**
 * Reads what people type as a number: comma or point, marks between thousands, a unit behind it that need not be the field's, feet and inches. What could
 * mean two things is not guessed.
 */
export type Reading = { value: number } | { trouble: string }

type Factors = Record<string, number>

const LENGTH: Factors = { mm: 1, cm: 10, m: 1000, in: 25.4, '"': 25.4, ft: 304.8, "'": 304.8 }
const LBF = 4.4482216152605
const FORCE: Factors = {
  n: 1,
  kn: 1e3,
  mn: 1e6,
  kip: 1e3 * LBF,
  k: 1e3 * LBF,
  lb: LBF,
  lbf: LBF,
  kgf: 9.80665,
  tonf: 9806.65,
  tf: 9806.65,
}
const STRESS: Factors = {
  pa: 1e-6,
  kpa: 1e-3,
  mpa: 1,
  gpa: 1e3,
  psi: LBF / 645.16,
  ksi: (1e3 * LBF) / 645.16,
  psf: LBF / 92903.04,
  ksf: (1e3 * LBF) / 92903.04,
}

/** Units of a force times, or over, a length to a power. */
function combined(power: 1 | -1 | -2, sign: string, scale: number, into: Factors = {}): Factors {
  for (const [f, n] of Object.entries(FORCE))
    for (const [l, mm] of Object.entries(LENGTH))
      if (/^[a-z]+$/.test(l)) into[f + sign + l + (power === -2 ? '2' : '')] = (n * mm ** power) / scale
  return into
}

const MOMENT = combined(1, '', 1)
const LINE = { ...combined(-1, '/', 1), klf: (1e3 * LBF) / 304.8, plf: LBF / 304.8 }
const AREA = { ...STRESS, ...combined(-2, '/', 1) }
const DIMENSIONS: Factors[] = [LENGTH, FORCE, MOMENT, LINE, AREA]

/** A unit without the signs that people put or leave out. */
const plain = (unit: string) =>
  unit
    .toLowerCase()
    .replace(/[\s·.*⋅-]/g, '')
    .replace(/²/g, '2')
    .replace(/[’′]/g, "'")
    .replace(/[”″]|''/g, '"')
    .replace(
      /^(kips|feet|foot|inches|inch|lbs|tons)/,
      (w) => ({ kips: 'kip', feet: 'ft', foot: 'ft', inch: 'in', inches: 'in', lbs: 'lb', tons: 'tonf' })[w]!,
    )
    .replace(/^(metre|meter)s?$/, 'm')

const GAP = /[\s\u00a0\u2009\u202f_]/g
const FEET =
  /^([+\-−]?)\s*(\d+(?:[.,]\d+)?)\s*(?:'|ft|feet)\s*-?\s*(?:(\d+(?:[.,]\d+)?)?\s*(?:(\d+)\/(\d+))?\s*(?:"|in|'')?)?$/i
const INCHES = /^([+\-−]?)\s*(\d+)?\s*(?:(\d+)\/(\d+))\s*(?:"|in|'')?$/i
const NUMBER = /^([+\-−]?)((?:\d[\d.,'’]*|[.,]\d+))(?:e([+\-−]?\d{1,3}))?$/i

const sign = (s: string | undefined) => (s === '-' || s === '−' ? -1 : 1)

/** @param unit that the field counts in; empty for a plain number */
export function readQuantity(text: string, unit = ''): Reading {
  const t = text
    .trim()
    .replace(/[′’](?!\d{3}\b)/g, "'")
    .replace(/[″”]/g, '"')
  if (t === '') return { trouble: 'Type a number.' }
  const imperial = feetAndInches(t, unit)
  if (imperial) return imperial
  const split =
    /^([+\-−]?[\d.,'’\s\u00a0\u2009\u202f_]*\d(?:[.,](?![\d]))?(?:[eE][+\-−]?\d+)?)\s*(.*)$/.exec(t) ??
    /^([+\-−]?[.,]\d+)\s*(.*)$/.exec(t)
  if (!split) return { trouble: `“${text.trim()}” is not a number.` }
  const number = digits(split[1]!.replace(GAP, ' ').trim())
  if ('trouble' in number || split[2] === '') return number
  return inUnit(number.value, split[2]!, unit)
}

function feetAndInches(t: string, unit: string): Reading | undefined {
  const length = plain(unit) in LENGTH
  if (!length) return undefined
  const per = LENGTH[plain(unit)]!
  // 12'500 is a number where lengths are metric
  if (/^(mm|cm|m)$/.test(plain(unit)) && /^[+\-−]?\d{1,3}('\d{3})+(?!\d)/.test(t)) return undefined
  const f = FEET.exec(t)
  if (f && (f[3] !== undefined || f[4] !== undefined || /'|ft|feet/i.test(t))) {
    const inches = dot(f[3]) + part(f[4], f[5])
    if (inches >= 12) return { trouble: 'More than twelve inches: type feet and inches, as 20\'-6".' }
    return { value: (sign(f[1]) * (dot(f[2]) * 304.8 + inches * 25.4)) / per }
  }
  const i = INCHES.exec(t)
  // a fraction without a sign of its own counts in the field's unit
  if (i) return { value: (sign(i[1]) * (dot(i[2]) + part(i[3], i[4])) * (/["n]\s*$|''$/i.test(t) ? 25.4 : per)) / per }
  return undefined
}

const dot = (s: string | undefined) => (s === undefined ? 0 : Number(s.replace(',', '.')))
const part = (a: string | undefined, b: string | undefined) =>
  a === undefined || Number(b) === 0 ? 0 : Number(a) / Number(b)

/** Digits with their marks; a single comma before three digits could be either. */
function digits(s: string): Reading {
  const groups = /^([+\-−]?)(\d{1,3}(?:[ '’]\d{3})+)((?:[.,]\d*)?)$/.exec(s)
  const plainText = groups ? groups[1]! + groups[2]!.replace(/[ '’]/g, '') + groups[3]!.replace(',', '.') : s
  if (!groups && /[ '’]/.test(s)) return { trouble: `“${s}” is not one number.` }
  const m = NUMBER.exec(plainText.replace(/[.,]$/, ''))
  if (!m) return { trouble: `“${s}” is not a number.` }
  const body = groups ? m[2]! : decimal(m[2]!)
  if (body === undefined) return { trouble: either(s, m[2]!) }
  const v = sign(m[1]) * Number(body) * 10 ** Number((m[3] ?? '0').replace('−', '-'))
  return Number.isFinite(v) ? { value: v } : { trouble: `“${s}” is not a number.` }
}

const either = (s: string, body: string) =>
  /^[1-9]\d{0,2},\d{3}$/.test(body)
    ? `“${s}” could be ${Number(body.replace(',', '.'))} or ${body.replace(',', '')}: leave the comma out, or use a point.`
    : `“${s}” is not a number.`

/** The digits with a point as decimal mark; undefined where that is not sure. */
function decimal(body: string): string | undefined {
  const commas = body.split(',').length - 1
  const points = body.split('.').length - 1
  if (commas + points === 0) return body
  if (commas > 0 && points > 0) {
    const mark = body.lastIndexOf(',') > body.lastIndexOf('.') ? ',' : '.'
    const other = mark === ',' ? '.' : ','
    const [whole, rest, more] = body.split(mark)
    const grouped = new RegExp(`^\\d{1,3}(?:\\${other}\\d{3})+$`).test(whole!)
    return grouped && more === undefined ? `${whole!.split(other).join('')}.${rest}` : undefined
  }
  const mark = commas > 0 ? ',' : '.'
  if (commas + points > 1)
    return new RegExp(`^\\d{1,3}(?:\\${mark}\\d{3})+$`).test(body) ? body.split(mark).join('') : undefined
  if (mark === ',' && /^[1-9]\d{0,2},\d{3}$/.test(body)) return undefined
  return body.replace(',', '.')
}

function inUnit(v: number, typed: string, unit: string): Reading {
  const a = plain(typed)
  const b = plain(unit)
  if (a === b) return { value: v }
  const of = DIMENSIONS.find((d) => b in d)
  if (of && a in of) return { value: (v * of[a]!) / of[b]! }
  const known = unit === '' ? 'a number without a unit' : `in ${unit}`
  return { trouble: `“${typed}” is not a unit that fits: this is ${known}.` }
}
