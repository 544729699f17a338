import { Tooltip } from 'antd'

/** Initials that are shown; more are counted. */
const SHOWN = 2
const NAMELESS = 'Another window'

/** Who else has the project open. */
export function AlsoHere({ people }: { people: string[] }) {
  if (people.length === 0) return null
  const names = people.map((n) => n || NAMELESS)
  const words = `Also here: ${names.join(', ')}`
  return (
    <Tooltip title={words}>
      <span className="also-here" role="img" aria-label={words} tabIndex={0}>
        {people.slice(0, SHOWN).map((n, i) => (
          <b key={i}>{initials(n)}</b>
        ))}
        {people.length > SHOWN && <b>+{people.length - SHOWN}</b>}
      </span>
    </Tooltip>
  )
}

/** First letters of the first and the last word; a dot for who told no name. */
function initials(name: string): string {
  const words = name.split(/\s+/).filter(Boolean)
  const first = (w?: string) => Array.from(w ?? '')[0] ?? ''
  return words.length === 0 ? '·' : (first(words[0]) + (words.length > 1 ? first(words.at(-1)) : '')).toUpperCase()
}
