import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { api, type ResultsPage as Page, type State } from '../../api/client'
import type { Mode } from '../../app/theme'
import { rememberList } from '../../lib/address'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { HatchDefs } from '../../ui/UtilisationBar'
import { useMayEdit } from '../people/session'
import { groupsOf } from './alike'
import { CausesStrip } from './CausesStrip'
import { ChangeList } from './ChangeList'
import { choiceOf, useLayer } from './layer'
import { QueryBox } from './QueryBox'
import { ManyStrip } from './ManyStrip'
import { SelectionStrip } from './SelectionStrip'
import { StoreyLadder } from './StoreyLadder'
import { valueOf, withValue } from './query'
import { useSelection } from './useSelection'
import { ViewPane } from './ViewPane'
import { Worklist } from './Worklist'

const EditDrawer = lazy(() => import('../edit/EditDrawer').then((m) => ({ default: m.EditDrawer })))

/** Ladder, view and worklist, which always agree on the selection; all of it in the address. */
export function ResultsPage({ id, mode, state }: { id: string; mode: Mode; state?: State }) {
  const [params, setParams] = useSearchParams()
  const navigate = useNavigate()
  const box = useRef<HTMLInputElement>(null)
  const q = params.get('q') ?? ''
  useEffect(() => rememberList(id, params.toString()), [id, params])
  const layer = useLayer(id, choiceOf(params))
  const may = useMayEdit()
  const [editing, setEditing] = useState<string[]>()
  // from the address itself: a change made a moment ago may not have been rendered yet, and must not be lost
  const set = (changes: Record<string, string | undefined>) => {
    const p = new URLSearchParams(window.location.search)
    for (const [k, v] of Object.entries(changes)) {
      if (v) p.set(k, v)
      else p.delete(k)
    }
    setParams(p, { replace: true })
  }
  const selection = useSelection(id, params.get('sel') ?? undefined, (sel) => set({ sel }))
  const selected = selection.primary
  const results = useQuery({
    queryKey: ['project', id, 'results', q],
    queryFn: ({ signal }) => api.results(id, q, signal),
    placeholderData: keepPreviousData,
  })
  const everything = useQuery({
    queryKey: ['project', id, 'results', ''],
    queryFn: ({ signal }) => api.results(id, '', signal),
  })
  const view = useQuery({ queryKey: ['project', id, 'view'], queryFn: ({ signal }) => api.view(id, signal) })
  // a query that is not understood, or not yet, leaves the last list where it is
  const [good, setGood] = useState<Page>()
  if (results.data && results.data !== good) setGood(results.data)
  const data = results.data ?? good ?? everything.data
  const rows = useMemo(() => data?.rows ?? [], [data])
  const all = useMemo(() => everything.data?.rows ?? rows, [everything.data, rows])
  const marks = useMemo(() => rows.map((r) => r.mark), [rows])
  const matching = useMemo(() => new Set(data?.marks ?? []), [data])
  const open = (mark: string) => void navigate(`/p/${id}/sheet/${encodeURIComponent(mark)}`)

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement
      if (e.altKey || target.closest('input, textarea, .ant-drawer, .ant-modal, [role=slider], [role=combobox]')) return
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'a') {
        e.preventDefault()
        return selection.set(marks)
      }
      if (e.ctrlKey || e.metaKey) return
      if (e.key === '/') {
        e.preventDefault()
        box.current?.focus()
      }
      const i = selected === undefined ? -1 : marks.indexOf(selected)
      const step = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0
      if (step !== 0 && marks.length > 0) {
        e.preventDefault()
        const to = marks[Math.max(0, Math.min(marks.length - 1, i + step))]!
        if (e.shiftKey) selection.range(marks, to)
        else selection.pick(to)
      }
      // Enter on a button is that button's
      if (e.key === 'Enter' && selected && !target.closest('button, a, summary')) open(selected)
      if (e.key === 'e' && selected && may) {
        e.preventDefault()
        setEditing([...selection.all])
      }
      if (e.key === 'Escape') selection.pick(selection.all.size > 1 ? selected : undefined)
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })

  if (!data || !view.data) {
    if (results.isError) return <ErrorView error={results.error} onRetry={() => set({ q: undefined })} />
    if (view.isError) return <ErrorView error={view.error} onRetry={() => void view.refetch()} />
    return <Loading words="The building is being designed" />
  }
  const { rungs } = data
  const storeyName = valueOf(q, 'storey')
  const row = all.find((r) => r.mark === selected)
  const groups = () => groupsOf(view.data, all, rows, row)
  return (
    <div className="results">
      <h1 className="sr">Results</h1>
      <HatchDefs />
      <StoreyLadder rungs={rungs} chosen={storeyName} onChoose={(name) => set({ q: withValue(q, 'storey', name) })} />
      <ViewPane
        id={id}
        view={view.data}
        rungs={rungs}
        storeyName={storeyName}
        row={row}
        rows={rows}
        matching={matching}
        layer={layer}
        selection={selection}
        mode={mode}
        params={params}
        onSet={set}
        onOpen={open}
      />
      {layer.show === 'change' ? (
        <section className="list" aria-label="What changed">
          <ChangeList layer={layer} selected={selected} onSelect={(m) => selection.pick(m)} />
        </section>
      ) : (
        <section className="list" aria-label="Worklist">
          <div className="list-tools">
            <QueryBox
              inputRef={box}
              value={q}
              storeys={rungs.map((r) => r.name)}
              causes={Object.keys(everything.data?.causes ?? data.causes)}
              error={results.isError ? results.error.message : undefined}
              onChange={(v) => set({ q: v })}
            />
            <span className="soft">
              {data.matching} of {data.total}
            </span>
          </div>
          <CausesStrip
            causes={data.causes}
            chosen={valueOf(q, 'cause')}
            onChoose={(c) => set({ q: withValue(q, 'cause', c) })}
            failing={rows.filter((r) => !r.satisfied).length}
          />
          <Worklist rows={rows} selection={selection} onOpen={open} onClear={() => set({ q: undefined })} />
        </section>
      )}
      {selection.all.size > 1 ? (
        <ManyStrip
          id={id}
          state={state}
          rows={all.filter((r) => selection.all.has(r.mark))}
          view={view.data}
          groups={groups}
          selection={selection}
          everything={all.map((r) => r.mark)}
          onOpen={open}
          onEdit={() => setEditing([...selection.all])}
        />
      ) : (
        <SelectionStrip row={row} groups={groups} selection={selection} onOpen={open} onEdit={(m) => setEditing([m])} />
      )}
      <Suspense>
        {editing && (
          <EditDrawer
            key={editing.join()}
            id={id}
            mark={editing.length === 1 ? editing[0]! : `${editing.length} lines and stacks`}
            state={state}
            members={view.data.members.filter((m) => editing.includes(view.data.marks[m.line]!)).map((m) => m.id)}
            onClose={() => setEditing(undefined)}
            onDone={(from, to) => set({ show: 'change', from: String(from), to: String(to) })}
          />
        )}
      </Suspense>
    </div>
  )
}
