import type { Basis, BasisChange, BasisField, LocalChange, LocalSet, LocalSettings } from '../../../api/client'
import { type Units } from '../../../lib/units'
import { numberOf, LENGTHS, PREFERENCES, shown, SWAY, unitOf } from '../fields'

/** A value that may differ for some members: a number of the basis, allowed bars, or a choice of words. */
export interface LocalField {
  key: keyof LocalSet
  name: string
  help: string
  part: string
  number?: BasisField
  choices?: { value: string; label: string }[]
}

const bars = (key: keyof LocalSet, name: string): LocalField => ({
  key,
  name,
  part: 'bars',
  help: 'Bars that may be chosen there.',
})
const choice = (key: keyof LocalSet, name: string, part: string, help: string, choices: LocalField['choices']) => ({
  key,
  name,
  part,
  help,
  choices,
})

export const YES_NO = [
  { value: 'no', label: 'never' },
  { value: 'yes', label: 'where single bars do not fit' },
]

const OUTSIDE = [
  { value: 'no', label: 'part of the frame' },
  { value: 'yes', label: 'outside it' },
]

/** Every value that may be local, in the order of the page. */
export function localFields(numbers: BasisField[]): LocalField[] {
  const of = (...parts: string[]): LocalField[] =>
    numbers
      .filter((f) => f.local && parts.includes(f.part))
      .map((f) => ({ key: f.key as keyof LocalSet, name: f.name, help: f.help, part: f.part, number: f }))
  return [
    ...of('materials', 'cover'),
    bars('beamBars', 'Bars of beams'),
    bars('columnBars', 'Bars of columns'),
    bars('stirrups', 'Bars of stirrups and ties'),
    ...of('bars'),
    choice('bundles', 'Bundled bars', 'bars', 'Two bars touch, one above the other.', YES_NO),
    choice('preference', 'Prefer', 'bars', 'What decides where several arrangements satisfy.', PREFERENCES),
    ...of('practice', 'stirrups'),
    ...of('frame'),
    choice('swayX', 'Sway along X', 'frame', 'How columns and beams there resist sway.', SWAY),
    choice('swayY', 'Sway along Y', 'frame', 'How columns and beams there resist sway.', SWAY),
    choice('outsideFrame', 'In earthquakes', 'frame', 'Members outside follow a special frame (18.14).', OUTSIDE),
    choice('effectiveLengths', 'Effective lengths', 'lengths', 'Where those of columns there come from.', LENGTHS),
    ...of('lengths'),
  ]
}

/** A value in words, with its unit. */
export function valueWords(f: LocalField, v: LocalSet[keyof LocalSet], u: Units): string {
  if (f.number) return `${shown(f.number, v as number, u)} ${unitOf(f.number, u)}`.trim()
  if (Array.isArray(v)) return v.join(' ')
  const word = typeof v === 'boolean' ? (v ? 'yes' : 'no') : String(v)
  return f.choices?.find((c) => c.value === word)?.label ?? word
}

/** What the project has under a key. */
export const projectValue = (b: Basis, f: LocalField): LocalSet[keyof LocalSet] =>
  f.number
    ? numberOf(b, f.number)
    : f.key === 'outsideFrame'
      ? b.ductility === 'outside'
      : b[f.key as keyof Basis & keyof LocalSet]

/** Whom settings hold for, in words. */
export function whereWords(s: LocalSettings, markOf: (member: string) => string): string {
  const role = s.role === 'beam' ? 'beams' : s.role === 'column' ? 'columns' : 'beams and columns'
  const named = s.members.slice(0, 3).map(markOf).join(', ')
  const more = s.members.length > 3 ? ` and ${s.members.length - 3} more` : ''
  return [s.storeys.length > 0 ? `${role} of ${s.storeys.join(', ')}` : '', named + more].filter(Boolean).join('; ')
}

/** The change that makes settings of this name these: what they had before and have no more is the project's again. */
export function localChange(was: LocalSettings | undefined, now: LocalSettings): LocalChange {
  const gone = Object.keys(was?.set ?? {}).filter((k) => !(k in now.set))
  return { ...now, role: now.role ?? null, set: { ...now.set, ...Object.fromEntries(gone.map((k) => [k, null])) } }
}

/** Local settings after a change. */
export function localPatched(all: Basis['local'], change: BasisChange['local']): Basis['local'] {
  const out = { ...all }
  for (const [name, c] of Object.entries(change ?? {})) {
    if (c === null) {
      delete out[name]
    } else {
      const { role, ...rest } = c
      const set = Object.fromEntries(Object.entries({ ...out[name]?.set, ...c.set }).filter(([, v]) => v !== null))
      out[name] = { ...rest, ...(role === null ? {} : { role }), set }
    }
  }
  return out
}
