import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Segmented, Select } from 'antd'
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { api, type State } from '../../api/client'
import type { Mode } from '../../app/theme'
import { ErrorView } from '../../ui/ErrorView'
import { rememberList } from '../../lib/address'
import { distanceIn } from '../../lib/units'
import { Loading } from '../../ui/Loading'
import { useUnits } from '../../ui/useUnits'
import { HatchDefs } from '../../ui/UtilisationBar'
import { niceFactor } from '../../drawing/spaceLayer'
import { EditDrawer } from '../edit/EditDrawer'
import { CausesStrip } from './CausesStrip'
import { ChangeList } from './ChangeList'
import { choiceOf, SHOWS, useLayer } from './layer'
import { LayerBar } from './LayerBar'
import { Legend } from './Legend'
import { PlanView, type LabelKind } from './PlanView'
import { QueryBox } from './QueryBox'
import { SelectionStrip } from './SelectionStrip'
import { StoreyLadder } from './StoreyLadder'
import { valueOf, withValue } from './query'
import { Worklist } from './Worklist'

const SpaceView = lazy(() => import('./SpaceView'))

/** Ladder, view and worklist, which always agree on the selection; all of it in the address. */
export function ResultsPage({ id, mode, state }: { id: string; mode: Mode; state?: State }) {
  const [params, setParams] = useSearchParams()
  const navigate = useNavigate()
  const units = useUnits()
  const box = useRef<HTMLInputElement>(null)
  const q = params.get('q') ?? ''
  useEffect(() => rememberList(id, params.toString()), [id, params])
  const selected = params.get('sel') ?? undefined
  const kind = params.get('view') === '3d' ? '3d' : 'plan'
  const layer = useLayer(id, choiceOf(params))
  const [scale, setScale] = useState(0)
  const swing = useSwing()
  const [editing, setEditing] = useState<string>()
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
  const results = useQuery({
    queryKey: ['project', id, 'results', q],
    queryFn: ({ signal }) => api.results(id, q, signal),
    placeholderData: keepPreviousData,
  })
  const view = useQuery({ queryKey: ['project', id, 'view'], queryFn: ({ signal }) => api.view(id, signal) })
  const rows = useMemo(() => results.data?.rows ?? [], [results.data])
  const open = (mark: string) => void navigate(`/p/${id}/sheet/${encodeURIComponent(mark)}`)

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey) return
      if ((e.target as HTMLElement).closest('input, textarea, .ant-drawer, [role=slider]')) return
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
      if (e.key === 'e' && selected) {
        e.preventDefault()
        setEditing(selected)
      }
      if (e.key === 'Escape') set({ sel: undefined })
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })

  if (results.isError && !results.data)
    return (
      <ErrorView
        error={results.error}
        onRetry={() => {
          set({ q: undefined })
          void results.refetch()
        }}
      />
    )
  if (!results.data || !view.data) return <Loading words="The building is being designed" />
  const { rungs } = results.data
  const storeyName = valueOf(q, 'storey')
  const rung =
    rungs.find((r) => r.name.replace(/ /g, '') === storeyName) ?? rungs.reduce((a, b) => (b.fails > a.fails ? b : a))
  const matching = new Set(results.data.marks)
  const exaggeration = (layer.shape ? niceFactor(view.data, layer.shape.mostMm) : 1) * 2 ** scale
  const factor = layer.show === 'shape' ? exaggeration * swing.part : 2400 * 2 ** scale
  return (
    <div className="results">
      <HatchDefs />
      <StoreyLadder rungs={rungs} chosen={storeyName} onChoose={(name) => set({ q: withValue(q, 'storey', name) })} />
      <section className="view" aria-label="View of the building">
        <div className="view-tools">
          <Segmented
            value={kind}
            onChange={(v) => set({ view: v })}
            options={[
              { value: 'plan', label: 'Plan' },
              { value: '3d', label: '3-D' },
            ]}
          />
          {kind === 'plan' && (
            <>
              <b>{rung.name}</b>{' '}
              <span className="soft">
                +{distanceIn(1000 * rung.elevationM, units).toFixed(2)} {units.distance}
              </span>
            </>
          )}
          <span className="spring" />
          <span className="soft">show</span>
          <Select
            value={layer.show}
            aria-label="What the view shows"
            style={{ width: 136 }}
            options={SHOWS.map((v) => ({ value: v.value, label: v.label, title: v.says }))}
            onChange={(v) =>
              set({
                show: v === 'utilisation' ? undefined : v,
                of: undefined,
                view: v === 'shape' ? '3d' : (params.get('view') ?? undefined),
              })
            }
          />
        </div>
        {layer.show === 'utilisation' ? (
          kind === 'plan' && (
            <div className="layer-bar">
              <span className="soft">label</span>
              <Segmented
                value={label}
                onChange={(v) => set({ label: v })}
                options={[
                  { value: 'utilisation', label: 'Utilisation' },
                  { value: 'bars', label: 'Bars' },
                  { value: 'marks', label: 'Marks' },
                ]}
              />
            </div>
          )
        ) : (
          <LayerBar
            id={id}
            layer={layer}
            scale={scale}
            exaggeration={exaggeration}
            playing={swing.playing}
            onSet={set}
            onScale={setScale}
            onPlay={swing.toggle}
          />
        )}
        <div className="view-area">
          {kind === 'plan' ? (
            <PlanView
              view={view.data}
              storey={rung}
              rows={rows}
              matching={matching}
              label={label}
              layer={layer}
              factor={factor}
              selected={selected}
              onSelect={(m) => set({ sel: m })}
              onOpen={open}
            />
          ) : (
            <Suspense fallback={<Loading words="Drawing the building" />}>
              <SpaceView
                view={view.data}
                layer={layer}
                factor={factor}
                matching={matching}
                selected={selected}
                mode={mode}
                onSelect={(m) => set({ sel: m })}
              />
            </Suspense>
          )}
          <Legend show={layer.show} />
        </div>
      </section>
      {layer.show === 'change' ? (
        <section className="list" aria-label="What changed">
          <ChangeList layer={layer} selected={selected} onSelect={(m) => set({ sel: m })} />
        </section>
      ) : (
        <section className="list" aria-label="Worklist">
          <div className="list-tools">
            <QueryBox
              inputRef={box}
              value={q}
              storeys={rungs.map((r) => r.name)}
              causes={Object.keys(results.data.causes)}
              error={results.isError ? results.error.message : undefined}
              onChange={(v) => set({ q: v })}
            />
            <span className="soft">
              {results.data.matching} of {results.data.total}
            </span>
          </div>
          <CausesStrip
            causes={results.data.causes}
            chosen={valueOf(q, 'cause')}
            onChoose={(c) => set({ q: withValue(q, 'cause', c) })}
            failing={rows.filter((r) => !r.satisfied).length}
          />
          <Worklist
            rows={rows}
            selected={selected}
            onSelect={(m) => set({ sel: m })}
            onOpen={open}
            onClear={() => set({ q: undefined })}
          />
        </section>
      )}
      <SelectionStrip row={rows.find((r) => r.mark === selected)} onOpen={open} onEdit={setEditing} />
      {editing && (
        <EditDrawer
          key={editing}
          id={id}
          mark={editing}
          state={state}
          members={view.data.members.filter((m) => view.data.marks[m.line] === editing).map((m) => m.id)}
          onClose={() => setEditing(undefined)}
          onDone={(from, to) => set({ show: 'change', from: String(from), to: String(to) })}
        />
      )}
    </div>
  )
}

/** A part from 0 to 1 that swings to and fro while it plays. */
function useSwing() {
  const [playing, setPlaying] = useState(false)
  const [part, setPart] = useState(1)
  useEffect(() => {
    if (!playing) return
    const start = performance.now()
    let frame = 0
    const step = (now: number) => {
      setPart(0.5 - 0.5 * Math.cos((now - start) / 500))
      frame = requestAnimationFrame(step)
    }
    frame = requestAnimationFrame(step)
    return () => cancelAnimationFrame(frame)
  }, [playing])
  return { playing, part: playing ? part : 1, toggle: () => setPlaying(!playing) }
}
