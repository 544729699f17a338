import { Link } from 'react-router'
import type { Crowded } from '../api/client'

const HOW =
  'Counted between the bars of the column, which they may touch, within the stirrups of the beam, and as far apart as bars of a layer.'

/** Of all layers above or below on both sides of a joint the one that lacks most room. */
function worst(all: Crowded[]): Crowded[] {
  const out = new Map<string, Crowded>()
  for (const c of all) {
    const key = `${c.with} ${c.storey} ${c.top}`
    const before = out.get(key)
    if (!before || c.bars - c.room > before.bars - before.room) out.set(key, c)
  }
  return [...out.values()]
}

/** Layers of bars of beams that do not pass between those of a column, each with the member that it meets. */
export function CrowdedList({ id, crowded, of }: { id: string; crowded: Crowded[]; of: 'beam' | 'column' }) {
  if (crowded.length === 0) return null
  return (
    <section aria-label="Crowded joints" title={HOW}>
      <h2>{of === 'beam' ? 'Crowded joints' : 'Crowded joint at the head'}</h2>
      <ul className="crowded">
        {worst(crowded).map((c, i) => (
          <li key={i}>
            <Link to={`/p/${id}/sheet/${encodeURIComponent(c.with)}`}>{c.with}</Link>: {c.bars} bars side by side{' '}
            {c.top ? 'above' : 'below'}, room for {c.room}
          </li>
        ))}
      </ul>
      <p className="soft">
        Another layer, fewer and thicker bars, or other bars of the column let them pass. No check counts it.
      </p>
    </section>
  )
}
