import { useQuery } from '@tanstack/react-query'
import { Button, Popconfirm } from 'antd'
import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { api, type Model, type State } from '../../api/client'
import { callMe, person } from '../../api/person'
import { ErrorView } from '../../ui/ErrorView'
import { InlineText } from '../../ui/InlineText'
import { Loading } from '../../ui/Loading'
import { useMayEdit, useSession } from '../people/session'
import { useEdit } from '../edit/useEdit'

const ForceImport = lazy(() => import('./forces/ForceImport').then((m) => ({ default: m.ForceImport })))

const KINDS: Record<string, string> = {
  model: 'model',
  revision: 'newer model',
  basis: 'basis',
  cage: 'cage',
  mark: 'mark',
  type: 'types',
  undo: '',
  redo: '',
}

/** The history of the project with undo and redo, and whose forces the members are designed for. */
export function ChangesPart({ id, state, model }: { id: string; state?: State; model: Model }) {
  const q = useQuery({ queryKey: ['project', id, 'edits'], queryFn: ({ signal }) => api.edits(id, signal) })
  const edit = useEdit(id, state)
  const [importing, setImporting] = useState(false)
  const { team } = useSession()
  const may = useMayEdit()
  const [name, setName] = useState(person)
  const sign = (v: string) => {
    callMe(v)
    setName(v)
  }
  if (q.isError) return <ErrorView error={q.error} onRetry={() => void q.refetch()} />
  if (!q.data) return <Loading words="Reading the history" />
  const h = q.data
  const before = (i: number) => (i === 0 ? 1 : h.entries[i - 1]!.version)
  return (
    <div className="two">
      <section>
        <h2>History</h2>
        <p className="soft">
          Changes of the model, the basis, cages and marks.{' '}
          {!team && (
            <>
              Yours are signed{' '}
              <InlineText value={name || 'your name'} label="Your name in the history" onCommit={sign} />
            </>
          )}
        </p>
        <p>
          {may && (
            <>
              <Button disabled={!h.canUndo} onClick={() => edit.mutate('undo')}>
                Undo
              </Button>{' '}
              <Button disabled={!h.canRedo} onClick={() => edit.mutate('redo')}>
                Redo
              </Button>{' '}
            </>
          )}
          {h.entries.length > 0 && <Button href={api.exportUrl(id, 'history.csv')}>As a table, CSV</Button>}
        </p>
        {h.entries.length === 0 && (
          <p className="soft">
            Everything is as it was imported. Select a line in Results and press <kbd>E</kbd> to change its section,
            stiffness, connections or loads.
          </p>
        )}
        <table className="plain">
          <tbody>
            {h.entries
              .map((e, i) => (
                <tr key={e.version} className={e.inForce ? '' : 'soft'}>
                  <td className="num soft">{e.version}</td>
                  <td>
                    {e.summary}
                    {!e.inForce && ' (undone)'}
                    {e.effects.map((t) => (
                      <div key={t} className="soft">
                        {t}
                      </div>
                    ))}
                  </td>
                  <td className="soft">{KINDS[e.kind]}</td>
                  <td className="soft">
                    {e.person}
                    <div>{new Date(e.at).toLocaleString()}</div>
                  </td>
                  <td className="num">
                    {e.changesModel && (
                      <Link to={`/p/${id}/results?show=change&from=${before(i)}&to=${e.version}`}>what moved</Link>
                    )}
                  </td>
                </tr>
              ))
              .reverse()}
          </tbody>
        </table>
      </section>
      <section>
        <h2>Forces</h2>
        <p>
          {model.importedForces
            ? 'The members are designed for forces solved elsewhere, as they were imported.'
            : 'The members are designed for the forces of Kolonne’s own analysis.'}
          {model.forcesStale && (
            <b className="over-ink"> The model was changed since they were taken: they are stale.</b>
          )}
        </p>
        {may && (
          <>
            <p>
              <Button type="primary" onClick={() => setImporting(true)}>
                Import forces solved elsewhere
              </Button>{' '}
              {model.importedForces && (
                <Popconfirm
                  title="Use Kolonne’s own analysis?"
                  description="The imported forces leave the design; undo brings them back."
                  okText="Use own"
                  cancelText="Keep"
                  onConfirm={() => edit.mutate({ edits: [{ kind: 'forces', rows: [] }] })}
                >
                  <Button>Use Kolonne’s own analysis</Button>
                </Popconfirm>
              )}
            </p>
            <p className="soft">
              A table with one row a station, CSV or XLSX, any headers, any units: you say once which column is which,
              and that is remembered by name.
            </p>
          </>
        )}
        <Suspense>{importing && <ForceImport id={id} state={state} onClose={() => setImporting(false)} />}</Suspense>
      </section>
    </div>
  )
}
