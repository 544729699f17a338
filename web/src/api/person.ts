/** This window among those that one person has open, so that it knows its own changes. */
export const WINDOW = Math.random().toString(36).slice(2) + Date.now().toString(36)

const KEY = 'kolonne.person'

/** What the person at this browser is called in histories; empty until they say. */
export const person = () => localStorage.getItem(KEY) ?? ''

export function callMe(name: string) {
  localStorage.setItem(KEY, name.slice(0, 60))
}

/** Headers that sign a change. */
export const signature = (): Record<string, string> => ({
  'Kolonne-Person': encodeURIComponent(person()),
  'Kolonne-Window': WINDOW,
})
