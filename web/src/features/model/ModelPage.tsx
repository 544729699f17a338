import { useQuery } from '@tanstack/react-query'
import { api } from '../../api/client'
import { force } from '../../lib/format'
import { ErrorView } from '../../ui/ErrorView'
import { FindingList } from '../../ui/FindingList'
import { Loading } from '../../ui/Loading'

/** What was read, with findings, counts, cases against reactions, and combinations. */
export function ModelPage({ id }: { id: string }) {
  const q = useQuery({ queryKey: ['project', id, 'model'], queryFn: ({ signal }) => api.model(id, signal) })
  if (q.isError) return <ErrorView error={q.error} onRetry={() => void q.refetch()} />
  if (!q.data) return <Loading words="Reading the model" />
  const m = q.data
  return (
    <div className="paper">
      <h1>{m.name}</h1>
      <p className="soft">
        From {m.fileName}, units {m.units}. {m.importedForces ? 'The forces come with the file.' : 'The forces are Kolonne’s own, from linear static analysis of the frame.'}{' '}
        <a href={api.exportUrl(id, 'model')}>Download the file as it was given</a>
      </p>
      <div className="counts">{m.counts.map((c) => <div key={c.name}><b>{c.count}</b><span className="soft">{c.name}</span></div>)}</div>
      <h2>Findings</h2>
      {m.findings.length === 0 ? <p className="soft">Nothing to report: every reference resolves, every part is supported, every panel hands over its whole load.</p> : <FindingList findings={m.findings} />}
      <div className="two">
        <section>
          <h2>Load cases</h2>
          <table className="plain">
            <thead>
              <tr>
                <th>case</th><th>name</th><th>kind</th><th className="num" title="Sum of vertical reactions">ΣRz, kN</th><th className="num" title="Resultant of the horizontal joint loads">horizontal, kN</th>
                <th className="num" title="Largest joint imbalance over the largest load">residual</th>
              </tr>
            </thead>
            <tbody>
              {m.cases.map((c) => (
                <tr key={c.id}><td><b>{c.id}</b></td><td>{c.name}</td><td className="soft">{c.kind}</td><td className="num">{force(c.reactionKn)}</td><td className="num">{c.appliedKn > 0 ? force(c.appliedKn) : ''}</td><td className="num soft">{c.residual.toExponential(0)}</td></tr>
              ))}
            </tbody>
          </table>
          <h2>Sway of storeys</h2>
          {m.sway.length === 0 ? <p className="soft">Not known: there is no lateral case, or the forces come with the file.</p> : (
            <table className="plain">
              <thead><tr><th>storey</th><th className="num" title="Stability index Q = ΣPu Δo / (Vus lc); up to 0.05 counts as braced">Q along X</th><th className="num">Q along Y</th></tr></thead>
              <tbody>
                {[...m.sway].reverse().map((s) => <tr key={s.baseM}><td>{s.baseM.toFixed(2)} to {s.topM.toFixed(2)} m</td><td className="num">{s.qx?.toFixed(3) ?? '–'}</td><td className="num">{s.qy?.toFixed(3) ?? '–'}</td></tr>)}
              </tbody>
            </table>
          )}
        </section>
        <section>
          <h2>Combinations</h2>
          <div className="scroll">
            <table className="plain">
              <thead><tr><th>name</th><th>purpose</th><th>terms</th></tr></thead>
              <tbody>
                {m.combinations.map((c) => <tr key={c.id}><td>{c.name}</td><td className="soft">{c.purpose}</td><td className="soft">{Object.entries(c.terms).map(([k, f]) => `${f} ${k}`).join(' + ')}</td></tr>)}
              </tbody>
            </table>
          </div>
        </section>
      </div>
      <div className="two">
        <Counts title="Sections" rows={m.sections} />
        <Counts title="Materials" rows={m.materials} />
      </div>
    </div>
  )
}

function Counts({ title, rows }: { title: string; rows: { name: string; count: number }[] }) {
  return (
    <section>
      <h2>{title}</h2>
      <table className="plain"><tbody>{rows.map((r) => <tr key={r.name}><td>{r.name}</td><td className="num">{r.count} members</td></tr>)}</tbody></table>
    </section>
  )
}
