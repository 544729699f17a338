/** First letters of the first and the last word; a dot for who told no name. */
export function initials(name: string): string {
  const words = name.split(/\s+/).filter(Boolean)
  const first = (w?: string) => Array.from(w ?? '')[0] ?? ''
  return words.length === 0 ? '·' : (first(words[0]) + (words.length > 1 ? first(words.at(-1)) : '')).toUpperCase()
}
