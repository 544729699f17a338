import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, type ApiError, type KeptSection } from '../../api/client'
import type { Bench } from './bench'
import { entryOf, fromEntry } from './draft'
import { SECTIONS } from './keptKey'

/** Where earlier versions kept sections in the browser alone. */
const IN_BROWSER = 'kolonne.bench.kept'

interface Kept {
  sections: KeptSection[]
}
const benches = (all: Kept): Bench[] => all.sections.map((k) => fromEntry(k.section))

/** Sections that are kept for all projects, by name. */
export function useKeptSections() {
  return useQuery({
    queryKey: SECTIONS,
    queryFn: async ({ signal }) => handOver(await api.keptSections(signal)),
    select: benches,
    // sheets ask for them as well, without handing over
    staleTime: 0,
  })
}

/** Keeping a section under its name, in place of one that has it, and forgetting one. */
export function useKeeping(onKept: (name: string) => void, onRefused: (why: string) => void) {
  const queries = useQueryClient()
  const refused = (e: ApiError) => onRefused([e.message, e.findings?.[0]?.what ?? e.detail].join(' '))
  const show = (all: Kept) => queries.setQueryData(SECTIONS, all)
  const keep = useMutation<Kept, ApiError, Bench>({
    mutationFn: (b) => api.keepSection(entryOf(b)),
    onSuccess: (all, b) => {
      show(all)
      onKept(b.name)
    },
    onError: refused,
  })
  const forget = useMutation<Kept, ApiError, string>({
    mutationFn: (name) => api.forgetSection(name),
    onSuccess: show,
    onError: refused,
  })
  return { keep, forget }
}

/** Brings sections that only this browser has to all others, under names that are free; those that are refused stay where they are. */
async function handOver(kept: Kept): Promise<Kept> {
  const own = inBrowser()
  if (own.length === 0) return kept
  const left: Bench[] = []
  for (const b of own) {
    const name = free(
      b.name,
      kept.sections.map((k) => k.section.id ?? ''),
    )
    try {
      kept = await api.keepSection(entryOf({ ...b, name }))
    } catch {
      left.push(b)
    }
  }
  if (left.length > 0) localStorage.setItem(IN_BROWSER, JSON.stringify(left))
  else localStorage.removeItem(IN_BROWSER)
  return kept
}

function inBrowser(): Bench[] {
  try {
    const all = JSON.parse(localStorage.getItem(IN_BROWSER) ?? '[]') as unknown
    return Array.isArray(all) ? all.filter(isBench) : []
  } catch {
    return []
  }
}

const isBench = (b: unknown): b is Bench =>
  typeof b === 'object' && b !== null && typeof (b as Bench).name === 'string' && Array.isArray((b as Bench).bars)

function free(name: string, taken: string[]): string {
  let out = name
  for (let n = 2; taken.includes(out); n++) out = `${name} (${n})`
  return out
}
