import type { SectionEntry } from '../../api/client'
import { readQuantity } from '../../lib/quantity'
import { polygons } from './outline'
import { type BenchShape, KINDS, type BenchSet, type Bench, PARTS, noForce, benchStart, diameter } from './bench'

/** The section as the server reads it. */
export function entryOf(b: Bench): SectionEntry {
  const { shape } = b.shape
  const rings = shape === 'polygon' ? (polygons(b.shape.corners) ?? []) : []
  const { b: width, h, bw, bf, hf, d } = b.shape
  return {
    id: b.name || 'section',
    use: b.use,
    units: b.us ? 'US' : 'SI',
    code: b.code,
    shape:
      shape === 'polygon'
        ? { shape, outline: rings[0] ?? [], openings: rings.slice(1) }
        : { shape, b: width, h, bw, bf, hf, d },
    fc: b.fc,
    fy: b.fy,
    cover: b.cover,
    bars: b.bars.map(({ bar, count, x, z, x2, z2 }) =>
      count > 1 ? { bar, count, x, z, x2, z2 } : { bar, count: 1, x, z },
    ),
    ...(b.stirrup.spacing > 0 ? { stirrups: { ...b.stirrup, spiral: shape === 'circle' && !!b.stirrup.spiral } } : {}),
    forces: b.sets,
  }
}

const delimiter = (l: string) => (l.includes('\t') ? '\t' : l.includes(';') ? ';' : l.includes(',') ? ',' : /\s{2,}/)

/** Sets of forces from a table that was copied or read: with a row of headings (N, Vy, Vz, T, My, Mz), else in this order, a name before or not. */
export function setsOf(text: string): { sets: BenchSet[] } | { trouble: string } {
  const rows = text
    .split(/\r?\n/)
    .filter((l) => l.trim())
    .map((l) => l.split(delimiter(l)).map((c) => c.trim()))
  if (rows.length === 0) return { trouble: 'There is no row.' }
  const number = (cell: string): number | undefined => {
    const r = readQuantity(cell)
    return cell === '' ? 0 : 'value' in r ? r.value : undefined
  }
  const head = rows[0]!.map((c) => c.toLowerCase().replace(/[\s,(\[].*$/, ''))
  const headed = PARTS.some((p) => head.includes(p))
  const first = headed ? rows[1] : rows[0]
  const named = headed ? !PARTS.includes(head[0] as never) : first !== undefined && number(first[0]!) === undefined
  const order: (string | undefined)[] = headed ? head : [...(named ? [undefined] : []), ...PARTS]
  const sets: BenchSet[] = []
  for (const row of headed ? rows.slice(1) : rows) {
    const set = noForce(named ? row[0]! : `set ${sets.length + 1}`)
    for (const [i, cell] of row.entries()) {
      const part = order[i]
      if (part === 'kind') {
        const kind = KINDS.find((k) => k === cell.toLowerCase())
        if (cell && !kind) return { trouble: `“${cell}” in row ${sets.length + 1} is none of ${KINDS.join(', ')}.` }
        if (kind) set.kind = kind
      }
      if (!part || !PARTS.includes(part as never)) continue
      const v = number(cell)
      if (v === undefined) return { trouble: `“${cell}” in row ${sets.length + 1} is no number.` }
      set[part as (typeof PARTS)[number]] = v
    }
    sets.push(set)
  }
  return sets.length > 300 ? { trouble: `There are ${sets.length} rows; the bench takes 300.` } : { sets }
}

/** The same section in the units and bars of another code, sizes rounded as they are built. */
export function toCode(b: Bench, code: string, us: boolean, bars: string[]): Bench {
  const like = (label: string) =>
    bars.includes(label)
      ? label
      : bars.reduce((a, c) =>
          Math.abs(diameter(c) - diameter(label)) < Math.abs(diameter(a) - diameter(label)) ? c : a,
        )
  if (us === b.us) return { ...b, code, bars: b.bars.map((r) => ({ ...r, bar: like(r.bar) })) }
  const round = (v: number, step: number) => Number((Math.round(v / step) * step).toFixed(4))
  const size = (v: number) => (us ? round(v / 25.4, 0.25) : round(v * 25.4, 5))
  const force = (v: number) => round(us ? v / 4.4482 : v * 4.4482, 1)
  const moment = (v: number) => round(us ? v / 1.35582 : v * 1.35582, 1)
  const { shape, corners, ...sizes } = b.shape
  const numbers = Object.fromEntries(Object.entries(sizes).map(([k, v]) => [k, size(v)])) as Omit<
    BenchShape,
    'shape' | 'corners'
  >
  return {
    ...b,
    code,
    us,
    shape: {
      shape,
      ...numbers,
      corners: corners
        .split('\n')
        .map((l) => l.replace(/-?[\d.]+/g, (v) => String(size(Number(v)))))
        .join('\n'),
    },
    fc: us ? round(b.fc / 6.895, 0.5) : round(b.fc * 6.895, 5),
    fy: us ? round(b.fy / 6.895, 1) : round(b.fy * 6.895, 10),
    cover: size(b.cover),
    bars: b.bars.map((r) => ({
      ...r,
      bar: like(r.bar),
      x: size(r.x),
      z: size(r.z),
      x2: size(r.x2),
      z2: size(r.z2),
    })),
    stirrup: {
      ...b.stirrup,
      bar: like(b.stirrup.bar),
      spacing: us ? round(b.stirrup.spacing / 25.4, 1) : round(b.stirrup.spacing * 25.4, 25),
    },
    sets: b.sets.map((s) => ({
      ...s,
      n: force(s.n),
      vy: force(s.vy),
      vz: force(s.vz),
      t: moment(s.t),
      my: moment(s.my),
      mz: moment(s.mz),
    })),
  }
}

/** The draft of a downloaded list; undefined where the text is none. */
export function read(text: string): Bench | undefined {
  try {
    const all = JSON.parse(text) as { sections?: SectionEntry[] }
    const e = all.sections?.[0]
    return e ? fromEntry(e) : undefined
  } catch {
    return undefined
  }
}

/** A section of a list as the bench takes it; what it leaves out takes the standard value. */
export function fromEntry(e: SectionEntry): Bench {
  const { outline, openings, shape, ...sizes } = e.shape
  const corners = [outline ?? [], ...(openings ?? [])].map((r) => r.map((c) => c.join(' ')).join('\n')).join('\n\n')
  return {
    name: e.id ?? 'section',
    use: e.use === 'beam' ? 'beam' : 'column',
    code: e.code ?? benchStart.code,
    us: e.units === 'US',
    shape: {
      ...benchStart.shape,
      ...sizes,
      shape: (shape ?? 'rectangle') as Bench['shape']['shape'],
      corners: corners || benchStart.shape.corners,
    },
    fc: e.fc ?? 30,
    fy: e.fy ?? 420,
    cover: e.cover ?? 40,
    bars: e.bars.map((b) => ({
      bar: b.bar ?? 'T20',
      count: b.count ?? 1,
      x: b.x ?? 0,
      z: b.z ?? 0,
      x2: b.x2 ?? b.x ?? 0,
      z2: b.z2 ?? b.z ?? 0,
    })),
    stirrup: {
      bar: e.stirrups?.bar ?? 'T10',
      spacing: e.stirrups?.spacing ?? 0,
      legs: e.stirrups?.legs ?? 2,
      spiral: !!e.stirrups?.spiral,
    },
    sets: e.forces.map((f, i) => ({
      name: f.name ?? `set ${i + 1}`,
      kind: KINDS.find((k) => k === f.kind),
      n: f.n ?? 0,
      vy: f.vy ?? 0,
      vz: f.vz ?? 0,
      t: f.t ?? 0,
      my: f.my ?? 0,
      mz: f.mz ?? 0,
    })),
  }
}
