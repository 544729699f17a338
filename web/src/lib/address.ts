/** A whole number of the address bar, which anybody may type into; what is none, or out of bounds, is the usual one. */
export function numberIn(text: string | null, usual: number, most: number): number {
  const v = text === null || !/^\d{1,6}$/.test(text) ? usual : Number(text)
  return v > most ? most : v
}

const lists = new Map<string, string>()

/** Keeps how a project's results were last looked at. @param search of the address */
export const rememberList = (id: string, search: string) => void lists.set(id, search)

/** Where the results are as they were last looked at, with a line selected. */
export function listPath(id: string, selected?: string): string {
  const q = new URLSearchParams(lists.get(id))
  if (selected) q.set('sel', selected)
  const search = q.toString()
  return `/p/${id}/results${search ? `?${search}` : ''}`
}
