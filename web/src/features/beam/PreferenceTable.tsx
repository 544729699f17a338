import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api } from '../../api/client'
import { PREFERENCES } from '../basis/fields'

/** What every preference of the basis would cost on this line. */
export function PreferenceTable({ id, mark }: { id: string; mark: string }) {
  const q = useQuery({ queryKey: ['project', id, 'preferences', mark], queryFn: ({ signal }) => api.preferences(id, mark, signal) })
  if (!q.data) return null
  const now = q.data.preferences.find((p) => p.preference === q.data.current)!
  const change = (kg: number) => (Math.abs(kg) < 0.5 ? '·' : `${kg > 0 ? '+' : '−'}${Math.abs(kg).toFixed(0)}`)
  return (
    <section aria-label="Preferences">
      <h2>What another preference would cost</h2>
      <table className="plain">
        <thead><tr><th>prefer</th><th className="num">kg</th><th className="num">change</th><th className="num">bars</th><th className="num">layers</th><th className="num">sizes</th></tr></thead>
        <tbody>
          {q.data.preferences.map((p) => (
            <tr key={p.preference} aria-selected={p === now}>
              <td>{PREFERENCES.find((k) => k.value === p.preference)?.label ?? p.preference}{!p.satisfied && now.satisfied && <span className="over-ink"> fails</span>}</td>
              <td className="num">{p.steelKg.toFixed(0)}</td><td className="num">{change(p.steelKg - now.steelKg)}</td><td className="num">{p.bars}</td><td className="num">{p.layers}</td><td className="num">{p.sizes}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="soft">The preference counts for the whole building: <Link to={`/p/${id}/basis`}>Basis</Link>.</p>
    </section>
  )
}
