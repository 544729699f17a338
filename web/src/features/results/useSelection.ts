import { useState } from 'react'

/** What is selected beside the one line in the address, by project; it outlives a look at another page. */
const MANY = new Map<string, ReadonlySet<string>>()

export type How = 'one' | 'toggle' | 'add'

/** How a click selects: alone, or with Ctrl and Shift beside what is selected already. */
export const howOf = (e: { ctrlKey: boolean; metaKey: boolean; shiftKey: boolean }): How =>
  e.ctrlKey || e.metaKey ? 'toggle' : e.shiftKey ? 'add' : 'one'

export interface Selection {
  /** the line that the strip and the keys are about */
  primary?: string
  all: ReadonlySet<string>
  pick: (mark: string | undefined, how?: How) => void
  /** from the primary line to another, in the order of a list */
  range: (order: string[], to: string) => void
  /** these, or these beside what is selected */
  set: (marks: string[], beside?: boolean) => void
}

const NONE: ReadonlySet<string> = new Set()

/** The selection of a project: one line in the address, and any number beside it. */
export function useSelection(
  id: string,
  primary: string | undefined,
  setPrimary: (mark: string | undefined) => void,
): Selection {
  const [many, setMany] = useState<ReadonlySet<string>>(() => MANY.get(id) ?? NONE)
  const all = primary === undefined ? NONE : many.has(primary) ? many : new Set([primary])
  const keep = (marks: ReadonlySet<string>, first: string | undefined) => {
    MANY.set(id, marks)
    setMany(marks)
    setPrimary(first)
  }
  const set = (marks: string[], beside = false) => {
    const next = new Set(beside ? [...all, ...marks] : marks)
    keep(next, primary !== undefined && next.has(primary) ? primary : marks[0])
  }
  const pick = (mark: string | undefined, how: How = 'one') => {
    if (mark === undefined || how === 'one') return keep(mark === undefined ? NONE : new Set([mark]), mark)
    const next = new Set(all)
    if (how === 'toggle' && next.has(mark)) next.delete(mark)
    else next.add(mark)
    keep(next, next.has(mark) ? mark : [...next].at(-1))
  }
  const range = (order: string[], to: string) => {
    // from a line that the list does not show now, a run is its end alone; what is selected stays
    const end = order.indexOf(to)
    const from = primary === undefined || !order.includes(primary) ? end : order.indexOf(primary)
    const next = new Set([...all, ...order.slice(Math.min(from, end), Math.max(from, end) + 1)])
    keep(next, to)
  }
  return { primary, all, pick, range, set }
}
