import type { Bench } from './bench'
import { KEY } from './keptKey'

/** Sections that this browser keeps. */
const MOST = 100

/** Sections that are kept under their names, by name. */
export function keptSections(): Bench[] {
  try {
    const all = JSON.parse(localStorage.getItem(KEY) ?? '[]') as unknown
    return Array.isArray(all) ? all.filter(isBench) : []
  } catch {
    return []
  }
}

const isBench = (b: unknown): b is Bench =>
  typeof b === 'object' && b !== null && typeof (b as Bench).name === 'string' && Array.isArray((b as Bench).bars)

/** Keeps a section under its name, in place of one that has it; answers false where there are too many. */
export function keep(b: Bench): boolean {
  const others = keptSections().filter((k) => k.name !== b.name)
  if (others.length >= MOST) return false
  store([...others, b])
  return true
}

export const forget = (name: string) => store(keptSections().filter((k) => k.name !== name))

function store(all: Bench[]) {
  localStorage.setItem(KEY, JSON.stringify(all.sort((a, b) => a.name.localeCompare(b.name))))
}
