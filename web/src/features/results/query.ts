/** The words of the worklist's query: pure text handling, the server says what they mean. */

export const words = (q: string) => q.split(/\s+/).filter(Boolean)

/** The value of a keyed word such as storey:L3, or undefined. */
export function valueOf(q: string, key: string): string | undefined {
  return words(q)
    .find((w) => w.startsWith(key + ':'))
    ?.slice(key.length + 1)
}

/** The query with a keyed word set, or taken out if value is undefined. */
export function withValue(q: string, key: string, value: string | undefined): string {
  const rest = words(q).filter((w) => !w.startsWith(key + ':'))
  return (value === undefined ? rest : [...rest, `${key}:${value.replace(/ /g, '')}`]).join(' ')
}

/** Completions for the word that is being typed. */
export function completions(q: string, storeys: string[], causes: string[]): string[] {
  const last = q.endsWith(' ') || q === '' ? '' : (words(q).at(-1) ?? '')
  const all = [
    'beam',
    'column',
    'fails',
    'overstressed',
    'notes',
    'hand',
    'crowded',
    'util>0.95',
    'util<0.50',
    ...storeys.map((s) => `storey:${s.replace(/ /g, '')}`),
    ...causes.map((c) => `cause:${c}`),
    'section:',
    'mark:',
  ]
  const head = q.slice(0, q.length - last.length)
  const typed = last.toLowerCase()
  return all
    .filter((w) => w.toLowerCase().startsWith(typed) && w !== last)
    .slice(0, 12)
    .map((w) => head + w)
}
