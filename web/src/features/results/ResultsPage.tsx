import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Segmented } from 'antd'
import { lazy, Suspense, useEffect, useMemo, useRef } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { api } from '../../api/client'
import type { Mode } from '../../app/theme'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { HatchDefs } from '../../ui/UtilisationBar'
import { CausesStrip } from './CausesStrip'
import { Legend } from './Legend'
import { PlanView, type LabelKind } from './PlanView'
import { QueryBox } from './QueryBox'
import { SelectionStrip } from './SelectionStrip'
import { StoreyLadder } from './StoreyLadder'
import { valueOf, withValue } from './query'
import { Worklist } from './Worklist'

const SpaceView = lazy(() => import('./SpaceView'))

/** Ladder, view and worklist, which always agree on the selection; all of it in the address. */
export function ResultsPage({ id, mode }: { id: string; mode: Mode }) {
  const [params, setParams] = useSearchParams()
  const navigate = useNavigate()
  const box = useRef<HTMLInputElement>(null)
  const q = params.get('q') ?? ''
  const selected = params.get('sel') ?? undefined
  const kind = params.get('view') === '3d' ? '3d' : 'plan'
  const label = (params.get('label') as LabelKind | null) ?? 'utilisation'
  // from the address itself: a change made a moment ago may not have been rendered yet, and must not be lost
  const set = (changes: Record<string, string | undefined>) => {
    const p = new URLSearchParams(window.location.search)
    for (const [k, v] of Object.entries(changes)) {
      if (v) p.set(k, v)
      else p.delete(k)
    }
    setParams(p, { replace: true })
  }
  const results = useQuery({ queryKey: ['project', id, 'results', q], queryFn: ({ signal }) => api.results(id, q, signal), placeholderData: keepPreviousData })
  const view = useQuery({ queryKey: ['project', id, 'view'], queryFn: ({ signal }) => api.view(id, signal) })
  const rows = useMemo(() => results.data?.rows ?? [], [results.data])
  const open = (mark: string) => void navigate(`/p/${id}/sheet/${encodeURIComponent(mark)}`)

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey) return
      if ((e.target as HTMLElement).closest('input, textarea')) return
      if (e.key === '/') {
        e.preventDefault()
        box.current?.focus()
      }
      const i = rows.findIndex((r) => r.mark === selected)
      const step = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0
      if (step !== 0 && rows.length > 0) {
        e.preventDefault()
        set({ sel: rows[Math.max(0, Math.min(rows.length - 1, i + step))]!.mark })
      }
      if (e.key === 'Enter' && selected) open(selected)
      if (e.key === 'Escape') set({ sel: undefined })
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })

  if (results.isError && !results.data) return <ErrorView error={results.error} onRetry={() => { set({ q: undefined }); void results.refetch() }} />
  if (!results.data || !view.data) return <Loading words="The building is being designed" />
  const { rungs } = results.data
  const storeyName = valueOf(q, 'storey')
  const rung = rungs.find((r) => r.name.replace(/ /g, '') === storeyName) ?? rungs.reduce((a, b) => (b.fails > a.fails ? b : a))
  const matching = new Set(results.data.marks)
  return (
    <div className="results">
      <HatchDefs />
      <StoreyLadder rungs={rungs} chosen={storeyName} onChoose={(name) => set({ q: withValue(q, 'storey', name) })} />
      <section className="view" aria-label="View of the building">
        <div className="view-tools">
          <Segmented value={kind} onChange={(v) => set({ view: v })} options={[{ value: 'plan', label: 'Plan' }, { value: '3d', label: '3-D' }]} />
          {kind === 'plan' && <><b>{rung.name}</b> <span className="soft">+{rung.elevationM.toFixed(2)} m</span></>}
          <span className="spring" />
          {kind === 'plan' && (
            <>
              <span className="soft">label</span>
              <Segmented value={label} onChange={(v) => set({ label: v })} options={[{ value: 'utilisation', label: 'Utilisation' }, { value: 'bars', label: 'Bars' }, { value: 'marks', label: 'Marks' }]} />
            </>
          )}
        </div>
        <div className="view-area">
          {kind === 'plan' ? (
            <PlanView view={view.data} storey={rung} rows={rows} matching={matching} label={label} selected={selected} onSelect={(m) => set({ sel: m })} onOpen={open} />
          ) : (
            <Suspense fallback={<Loading words="Drawing the building" />}>
              <SpaceView view={view.data} matching={matching} selected={selected} mode={mode} onSelect={(m) => set({ sel: m })} />
            </Suspense>
          )}
          <Legend />
        </div>
      </section>
      <section className="list" aria-label="Worklist">
        <div className="list-tools">
          <QueryBox inputRef={box} value={q} storeys={rungs.map((r) => r.name)} causes={Object.keys(results.data.causes)} error={results.isError ? results.error.message : undefined} onChange={(v) => set({ q: v })} />
          <span className="soft">{results.data.matching} of {results.data.total}</span>
        </div>
        <CausesStrip causes={results.data.causes} chosen={valueOf(q, 'cause')} onChoose={(c) => set({ q: withValue(q, 'cause', c) })} failing={rows.filter((r) => !r.satisfied).length} />
        <Worklist rows={rows} selected={selected} onSelect={(m) => set({ sel: m })} onOpen={open} onClear={() => set({ q: undefined })} />
      </section>
      <SelectionStrip row={rows.find((r) => r.mark === selected)} onOpen={open} />
    </div>
  )
}
