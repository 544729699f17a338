import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { api, type AnalysisSummary, type Model, type State } from '../../api/client'
import { force } from '../../lib/format'
import type { Units } from '../../lib/units'
import { ErrorView } from '../../ui/ErrorView'
import { FindingList } from '../../ui/FindingList'
import { Loading } from '../../ui/Loading'
import { Locked } from '../../ui/Locked'
import { useMayEdit } from '../people/session'
import { OptionsForm } from './OptionsForm'
import { Storeys } from './Storeys'

/** How the frame is analysed, whether it balances, how it drifts, and where its mass is. */
export function AnalysisPart({ id, state, model, units }: { id: string; state?: State; model: Model; units: Units }) {
  const may = useMayEdit()
  const q = useQuery({ queryKey: ['project', id, 'analysis'], queryFn: ({ signal }) => api.analysis(id, signal) })
  if (q.isError) return <ErrorView error={q.error} onRetry={() => void q.refetch()} />
  if (!q.data) return <Loading words="Solving the frame" />
  return (
    <>
      {q.data.findings.length > 0 && (
        <>
          <h2>What the analysis says</h2>
          <FindingList findings={q.data.findings} />
        </>
      )}
      <Balance id={id} a={q.data} />
      <div className="two">
        <Storeys a={q.data} sway={model.sway} units={units} />
        <Locked when={!may}>
          <OptionsForm id={id} state={state} cases={q.data.balance.filter((b) => !b.generated)} />
        </Locked>
      </div>
    </>
  )
}

/** Loads against reactions, case by case. */
function Balance({ id, a }: { id: string; a: AnalysisSummary }) {
  return (
    <section>
      <h2>Loads against reactions, {a.forceUnit}</h2>
      {a.imported && <p className="soft">The forces were solved elsewhere; reactions did not come with them.</p>}
      <table className="plain balance">
        <thead>
          <tr>
            <td />
            <td />
            <td />
            <th colSpan={3} className="over-three">
              applied along
            </th>
            <th colSpan={3} className="over-three">
              reaction along
            </th>
            <td />
            <td />
          </tr>
          <tr>
            <th>case</th>
            <th>name</th>
            <th>kind</th>
            <th className="num">X</th>
            <th className="num">Y</th>
            <th className="num">Z</th>
            <th className="num">X</th>
            <th className="num">Y</th>
            <th className="num">Z</th>
            <th
              className="num"
              title="Largest imbalance of a joint over the largest load; rounding leaves 1e-12 or less"
            >
              residual
            </th>
            <td />
          </tr>
        </thead>
        <tbody>
          {a.balance.map((c) => (
            <tr key={c.id}>
              <td>
                <b>{c.id}</b>
              </td>
              <td>
                {c.name}
                {c.generated && <span className="soft"> · generated</span>}
              </td>
              <td className="soft">{c.kind}</td>
              {c.applied.map((v, i) => (
                <td key={`a${i}`} className="num">
                  {v === 0 ? '·' : force(v)}
                </td>
              ))}
              {c.reaction.map((v, i) => (
                <td key={`r${i}`} className="num">
                  {a.imported ? '' : v === 0 ? '·' : force(v)}
                </td>
              ))}
              <td className="num soft">{a.imported ? '' : c.residual.toExponential(0)}</td>
              <td className="num">
                {!a.imported && (
                  <Link to={`/p/${id}/results?view=3d&show=shape&of=case:${encodeURIComponent(c.id)}`}>shape</Link>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
