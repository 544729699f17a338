import { Tooltip } from 'antd'
import { initials } from '../lib/initials'

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
