import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api } from '../../api/client'
import { massIn } from '../../lib/units'
import { useUnits } from '../../ui/useUnits'
import { PREFERENCES } from '../basis/fields'

/** What every preference of the basis would cost on this line. */
export function PreferenceTable({ id, mark }: { id: string; mark: string }) {
  const q = useQuery({
    queryKey: ['project', id, 'preferences', mark],
    queryFn: ({ signal }) => api.preferences(id, mark, signal),
  })
  const units = useUnits()
  if (!q.data) return null
  const now = q.data.preferences.find((p) => p.preference === q.data.current)!
  const change = (mass: number) => (Math.abs(mass) < 0.5 ? '·' : `${mass > 0 ? '+' : '−'}${Math.abs(mass).toFixed(0)}`)
  return (
    <section aria-label="Preferences">
      <h2>What another preference would cost</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>prefer</th>
            <th className="num">{units.mass}</th>
            <th className="num">change</th>
            <th className="num">bars</th>
            <th className="num">layers</th>
            <th className="num">sizes</th>
          </tr>
        </thead>
        <tbody>
          {q.data.preferences.map((p) => (
            <tr key={p.preference} aria-selected={p === now}>
              <td>
                {PREFERENCES.find((k) => k.value === p.preference)?.label ?? p.preference}
                {!p.satisfied && now.satisfied && <span className="over-ink"> fails</span>}
              </td>
              <td className="num">{massIn(p.steelKg, units).toFixed(0)}</td>
              <td className="num">{change(massIn(p.steelKg - now.steelKg, units))}</td>
              <td className="num">{p.bars}</td>
              <td className="num">{p.layers}</td>
              <td className="num">{p.sizes}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="soft">
        The preference counts for the whole building: <Link to={`/p/${id}/basis`}>Basis</Link>.
      </p>
    </section>
  )
}
