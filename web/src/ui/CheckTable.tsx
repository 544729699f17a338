import type { Check } from '../api/client'
import { utilisation } from '../lib/format'

/** Checks of a line or lift; a click on one that has a place goes there. */
export function CheckTable({ checks, onPick }: { checks: Check[]; onPick?: (c: Check) => void }) {
  const sorted = [...checks].sort((a, b) => Number(a.satisfied) - Number(b.satisfied))
  return (
    <table className="checks">
      <thead>
        <tr>
          <th>check</th>
          <th className="num">demand</th>
          <th className="num">capacity</th>
          <th className="num">util.</th>
        </tr>
      </thead>
      <tbody>
        {sorted.map((c) => (
          <tr
            key={c.kind}
            className={c.satisfied ? '' : 'over-ink'}
            onClick={() => onPick?.(c)}
            title={`${c.clause} · ${c.place} ${c.combination}`}
          >
            <td>
              {onPick ? (
                <button type="button" className="row-button">
                  {c.title}
                </button>
              ) : (
                c.title
              )}
            </td>
            <td className={figure(c.demand)}>{c.demand}</td>
            <td className={figure(c.capacity)}>{c.capacity}</td>
            <td className="num">
              <b>{utilisation(c.utilisation)}</b>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** A figure stays beside its unit; what is longer finds room in two lines. */
function figure(text: string): string {
  return text.length <= 10 ? 'num unbroken' : 'num'
}
