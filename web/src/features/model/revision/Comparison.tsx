import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Button, Checkbox } from 'antd'
import { useState } from 'react'
import { api, type ApiError, type Revision, type State } from '../../../api/client'
import { grouped } from '../../../lib/format'
import { ErrorView } from '../../../ui/ErrorView'
import { Loading } from '../../../ui/Loading'

/** Below this part of members found again it is hardly the same building. */
const HARDLY = 0.5
const KIP = 4.4482216152605

interface Props {
  id: string
  revision: string
  state?: State
  us: boolean
  pending: boolean
  error: ApiError | null
  onAdopt: (version: number, keepOwn: boolean) => void
  onLeave: () => void
}

/** What adopting a newer model would change, and the step itself. */
export function Comparison(p: Props) {
  const [keepOwn, setKeepOwn] = useState(true)
  const version = p.state?.version ?? 0
  const q = useQuery({
    queryKey: ['project', p.id, 'revision', p.revision, keepOwn, version],
    queryFn: ({ signal }) => api.revision(p.id, p.revision, keepOwn, signal),
    placeholderData: keepPreviousData,
    retry: false,
  })
  if (q.isError)
    return (
      <>
        <ErrorView error={q.error} onRetry={() => void q.refetch()} />
        <Button onClick={p.onLeave}>Choose another file</Button>
      </>
    )
  if (!q.data) return <Loading words="Comparing the models" />
  const r = q.data
  return (
    <>
      <h2>{r.fileName} against the model in force</h2>
      <p>
        {r.members} members; {grouped(100 * r.found, 0)} % of those in force are found again.
        {r.differences.length === 0 && ' Nothing differs.'}
      </p>
      {r.found < HARDLY && (
        <div className="notice" role="alert">
          <b>Hardly any member is found again.</b> Is this the same building, with the same origin and the same units?
          What was set by hand, types and marks go with the members; most would be lost.
        </div>
      )}
      {p.error && <ErrorView error={p.error} onRetry={() => p.onAdopt(r.version, keepOwn)} />}
      <p>
        <Button
          type="primary"
          loading={p.pending}
          disabled={q.isPlaceholderData}
          onClick={() => p.onAdopt(r.version, keepOwn)}
        >
          Adopt the newer model
        </Button>{' '}
        <Button disabled={p.pending} onClick={p.onLeave}>
          Leave it
        </Button>{' '}
        <span className="soft">One step of the history; undo takes all of it back.</span>
      </p>
      <div className="two">
        <Differences of={r} />
        <div>
          <Consequences of={r} keepOwn={keepOwn} onKeepOwn={setKeepOwn} />
          <CaseTotals of={r} us={p.us} />
        </div>
      </div>
    </>
  )
}

function Differences({ of: r }: { of: Revision }) {
  if (r.differences.length === 0) return <section />
  return (
    <section>
      <h2>What differs</h2>
      <table className="plain differences">
        <thead>
          <tr>
            <th></th>
            <th>was</th>
            <th>is</th>
            <th className="num">parts</th>
          </tr>
        </thead>
        <tbody>
          {r.differences.map((d, i) => (
            <Difference
              key={`${d.kind} ${d.what} ${d.was} ${d.now}`}
              of={d}
              first={r.differences[i - 1]?.kind !== d.kind}
            />
          ))}
        </tbody>
      </table>
    </section>
  )
}

function Difference({ of: d, first }: { of: Revision['differences'][number]; first: boolean }) {
  const [open, setOpen] = useState(false)
  const all = d.parts.join(', ') + (d.count > d.parts.length ? ', …' : '')
  return (
    <>
      {first && (
        <tr>
          <th colSpan={4} scope="rowgroup" className="kind">
            {d.title}
          </th>
        </tr>
      )}
      <tr>
        <td>{d.what}</td>
        <td className="soft">{d.was}</td>
        <td>{d.now}</td>
        <td className="num">
          {d.count > 0 && (
            <button
              type="button"
              className="link"
              aria-expanded={open}
              aria-label={`${d.count} parts: ${d.title}, ${d.what}`}
              onClick={() => setOpen(!open)}
            >
              {d.count}
            </button>
          )}
        </td>
      </tr>
      {open && (
        <tr>
          <td colSpan={4} className="soft words-of-parts">
            {all}
          </td>
        </tr>
      )}
    </>
  )
}

/** What becomes of own changes, lines, types and cages by hand. */
function Consequences(p: { of: Revision; keepOwn: boolean; onKeepOwn: (keep: boolean) => void }) {
  const { own, effects } = p.of
  return (
    <section>
      <h2>What becomes of your work</h2>
      {own.length > 0 && (
        <>
          <Checkbox checked={p.keepOwn} onChange={(e) => p.onKeepOwn(e.target.checked)}>
            Keep own changes of the model where the newer one does not say otherwise
          </Checkbox>
          <table className="plain">
            <tbody>
              {own.map((o) => {
                const kept = o.fate === 'kept' && p.keepOwn
                return (
                  <tr key={`${o.fate} ${o.what} ${o.reason}`}>
                    <td className={kept || o.fate === 'there' ? '' : 'over-ink'}>{fate(o.fate, p.keepOwn)}</td>
                    <td>
                      {o.what}
                      {o.reason && <div className="soft">{o.reason}</div>}
                    </td>
                    <td className="soft words-of-parts">
                      {o.members.slice(0, 6).join(', ')}
                      {o.count > 6 && ` and ${o.count - 6} more`}
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
        </>
      )}
      {effects.map((e) => (
        <div key={e} className="effect">
          {e}
        </div>
      ))}
      {own.length + effects.length === 0 && (
        <p className="soft">
          Marks, types, cages set by hand and local settings stay as they are; nothing of yours is touched.
        </p>
      )}
    </section>
  )
}

const fate = (f: string, keepOwn: boolean) =>
  f === 'there' ? 'there already' : f === 'kept' && keepOwn ? 'kept' : 'left out'

/** Sums of the load cases, so that a load left out or doubled is seen at once. */
function CaseTotals({ of: r, us }: { of: Revision; us: boolean }) {
  if (r.totals.length === 0) return null
  const unit = us ? 1 / KIP : 1
  return (
    <section>
      <h2>Loads of the cases in all, {us ? 'kip' : 'kN'}</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>case</th>
            <th></th>
            <th className="num">was</th>
            <th className="num">is</th>
            <th className="num">change</th>
          </tr>
        </thead>
        <tbody>
          {r.totals.map((t) => {
            const axis = main(t)
            const was = t.wasKn?.[axis]
            const now = t.nowKn?.[axis]
            return (
              <tr key={t.loadCase}>
                <td>{t.loadCase}</td>
                <td className="soft">{'XYZ'[axis]}</td>
                <td className="num">{was === undefined ? '–' : grouped(was * unit, 0)}</td>
                <td className="num">{now === undefined ? '–' : grouped(now * unit, 0)}</td>
                <td className={`num ${Math.abs(percent(was, now)) > 20 ? 'over-ink' : ''}`}>{changed(was, now)}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </section>
  )
}

/** The direction in which a case acts most in either model. */
function main(t: Revision['totals'][number]): number {
  const size = [0, 1, 2].map((i) => Math.max(Math.abs(t.wasKn?.[i] ?? 0), Math.abs(t.nowKn?.[i] ?? 0)))
  return size.indexOf(Math.max(...size))
}

const percent = (was = 0, now = 0) => (was === 0 ? (now === 0 ? 0 : Infinity) : (100 * (now - was)) / Math.abs(was))

function changed(was: number | undefined, now: number | undefined): string {
  if (was === undefined) return 'new'
  if (now === undefined) return 'gone'
  // a load grows where its sum moves away from nothing, whichever way it acts
  const by = Math.sign(was || now) * percent(was, now)
  return Math.abs(by) < 0.05 ? '=' : Number.isFinite(by) ? `${by > 0 ? '+' : ''}${grouped(by, 1)} %` : 'new'
}
