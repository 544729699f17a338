import { useMutation, useQuery } from '@tanstack/react-query'
import { App } from 'antd'
import { lazy, Suspense, useEffect } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { change } from '../api/changes'
import { api, ApiError, type Project, type State } from '../api/client'
import { useMayEdit } from '../features/people/session'
import { force } from '../lib/format'
import { lengthIn, massIn, strength, type Units } from '../lib/units'
import { listPath } from '../lib/address'
import { ErrorView } from '../ui/ErrorView'
import { InlineText } from '../ui/InlineText'
import { Loading } from '../ui/Loading'

const BeamSheet = lazy(() => import('../features/beam/BeamSheet').then((m) => ({ default: m.BeamSheet })))
const ColumnSheet = lazy(() => import('../features/column/ColumnSheet').then((m) => ({ default: m.ColumnSheet })))

/** The sheet of one beam line or column stack, with the way to the next one that fails. */
export function MemberSheet({ id, units, state }: { id: string; units: Units; state?: State }) {
  const { mark = '' } = useParams()
  const navigate = useNavigate()
  const may = useMayEdit()
  const q = useQuery({
    queryKey: ['project', id, 'member', mark],
    queryFn: ({ signal }) => api.member(id, mark, signal),
  })
  const { message } = App.useApp()
  const rename = useMutation<Project, ApiError, string>({
    mutationFn: (to) => change(id, state?.version ?? 0, (v) => api.setMark(id, v, mark, to)),
    onSuccess: (_row, to) => void navigate(`/p/${id}/sheet/${encodeURIComponent(to)}`, { replace: true }),
    onError: (e) => void message.error(`${e.message} ${e.findings[0]?.what ?? e.detail}`, 8),
  })
  // the address of a line that became part of another, or has another mark, leads on
  const moved = q.error instanceof ApiError && q.error.status === 410 ? q.error : undefined
  useEffect(() => {
    if (!moved) return
    void message.info(moved.message, 6)
    void navigate(`/p/${id}/sheet/${encodeURIComponent(moved.findings[0]!.where)}`, { replace: true })
  }, [moved, id, navigate, message])
  const { previous, next } = q.data ?? {}
  useEffect(() => {
    const go = (m: string | null | undefined) => m && void navigate(`/p/${id}/sheet/${encodeURIComponent(m)}`)
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || (e.target as HTMLElement).closest('input, textarea, [role=combobox]'))
        return
      if (e.key === 'n') go(next)
      if (e.key === 'p') go(previous)
      if (e.key === 'Escape') void navigate(listPath(id, mark))
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [id, mark, next, previous, navigate])
  if (moved) return <Loading words={moved.message} />
  if (q.isError) return <ErrorView error={q.error} onRetry={() => void q.refetch()} />
  if (!q.data) return <Loading words={`Opening ${mark}`} />
  const m = q.data
  const part = m.beam ?? m.column!
  const sections = m.beam ? m.beam.spans.map((s) => s.section) : m.column!.lifts.map((l) => l.section)
  const labels = [...new Set(sections.map((s) => s.label))]
  return (
    <div className="sheet">
      <div className="sheet-head">
        <Link className="soft" to={listPath(id, mark)}>
          Results
        </Link>
        <span className="soft">/ {m.beam ? m.beam.storey : 'columns'} /</span>
        <h1>{may ? <InlineText value={mark} label="Mark" onCommit={(to) => rename.mutate(to)} /> : mark}</h1>
        {m.type && (
          <Link
            className="pill"
            title="It shares the cage of this type"
            to={`/p/${id}/types?type=${encodeURIComponent(m.type)}${m.beam ? '' : '&role=column'}`}
          >
            {m.type}
          </Link>
        )}
        {m.local.map((name) => (
          <Link key={name} className="pill" title="It answers to these local settings" to={`/p/${id}/basis#local`}>
            {name}
          </Link>
        ))}
        <span>{labels.length > 2 ? `${labels[0]} … ${labels[labels.length - 1]}` : labels.join(', ')}</span>
        <span className="soft">
          {m.beam
            ? `${m.beam.spans.length} span${m.beam.spans.length > 1 ? 's' : ''}`
            : `${m.column!.lifts.length} lifts`}
          {' · '}f′c {strength(sections[0]!.fc, units)} · cover {cover(part.coverMm, units)} ·{' '}
          {force(massIn(part.steelKg, units))} {units.mass} steel
        </span>
        <span className="spring" />
        {may && (
          <Link
            className="pill button"
            title={
              m.beam
                ? 'Cover, steel, bars or stirrups of this line alone'
                : 'Cover, steel, bars, sway or effective lengths of this column alone'
            }
            to={`/p/${id}/basis`}
            state={{ members: [m.id] }}
          >
            Own settings
          </Link>
        )}
        {m.failingRank > 0 && (
          <span className="over-ink">
            failing {m.failingRank} of {m.failingCount}
          </span>
        )}
        <Link
          className="pill button"
          title="Elevation, bars and sections to scale, as they are printed"
          to={`/p/${id}/schedules?kind=drawings&paper=A3&marks=${encodeURIComponent(mark)}`}
        >
          Drawing
        </Link>
        <button type="button" className="pill button" title="Print the sheet" onClick={() => window.print()}>
          Print
        </button>
        <Walk id={id} mark={previous ?? null} words="Previous failing" sign="‹" letter="P" />
        <Walk id={id} mark={next ?? null} words="Next failing" sign="›" letter="N" />
      </div>
      <Suspense fallback={<Loading words={`Opening ${mark}`} />}>
        {m.beam && <BeamSheet key={mark} id={id} beam={m.beam} units={units} state={state} />}
        {m.column && <ColumnSheet key={mark} id={id} column={m.column} units={units} state={state} />}
      </Suspense>
    </div>
  )
}

const cover = (mm: number, u: Units) => `${+lengthIn(mm, u).toFixed(u.us ? 2 : 0)} ${u.length}`

function Walk(p: { id: string; mark: string | null; words: string; sign: string; letter: string }) {
  if (!p.mark)
    return (
      <span className="pill button disabled" aria-hidden>
        {p.sign} <kbd>{p.letter}</kbd>
      </span>
    )
  return (
    <Link className="pill button" title={`${p.words}: ${p.mark}`} to={`/p/${p.id}/sheet/${encodeURIComponent(p.mark)}`}>
      {p.sign} <kbd>{p.letter}</kbd>
      <span className="sr">
        {p.words}: {p.mark}
      </span>
    </Link>
  )
}
