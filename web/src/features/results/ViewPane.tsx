import { Segmented, Select } from 'antd'
import { lazy, Suspense, useEffect, useMemo, useState } from 'react'
import type { ResultRow, Rung, View } from '../../api/client'
import type { Mode } from '../../app/theme'
import { elevationScene, planScene, type Ring, ringOf } from '../../drawing/planScene'
import { SHADES, shadeFrom } from '../../drawing/shade'
import { niceFactor } from '../../drawing/spaceLayer'
import { distanceIn } from '../../lib/units'
import { Loading } from '../../ui/Loading'
import { useUnits } from '../../ui/useUnits'
import { onGrid } from './alike'
import { SHOWS, type Layer } from './layer'
import { LayerBar } from './LayerBar'
import { Legend } from './Legend'
import { PlanView, type LabelKind } from './PlanView'
import type { Selection } from './useSelection'

const SpaceView = lazy(() => import('./SpaceView'))

const NO_RINGS: ReadonlySet<Ring> = new Set()

interface Props {
  id: string
  view: View
  rungs: Rung[]
  /** storey that the query narrows to */
  storeyName?: string
  row?: ResultRow
  rows: ResultRow[]
  matching: Set<string>
  layer: Layer
  selection: Selection
  mode: Mode
  params: URLSearchParams
  onSet: (changes: Record<string, string | undefined>) => void
  onOpen: (mark: string) => void
}

const LABELS: LabelKind[] = ['utilisation', 'bars', 'marks', 'types']

/** The building on plan, on a grid line or in three dimensions, shaded by what is chosen or with a layer of the analysis. */
export function ViewPane(p: Props) {
  const units = useUnits()
  const { layer, params, view } = p
  const [scale, setScale] = useState(0)
  const swing = useSwing()
  const wanted = params.get('view')
  const kind = wanted === '3d' || (wanted === 'elevation' && view.grid.length > 0) ? wanted : 'plan'
  const label = LABELS.find((l) => l === params.get('label')) ?? 'utilisation'
  const shade = shadeFrom(params.get('shade'))
  const rung = rungShown(p)
  const grid = useMemo(() => gridShown(view, params.get('line'), p.row?.mark), [view, params, p.row?.mark])
  const exaggeration = (layer.shape ? niceFactor(view, layer.shape.mostMm) : 1) * 2 ** scale
  const factor = layer.show === 'shape' ? exaggeration * swing.part : 2400 * 2 ** scale
  const scene = useMemo(
    () =>
      kind === 'elevation' && grid
        ? elevationScene(view, grid, (m) => onGrid(m, grid), shade)
        : planScene(view, rung.elevationM * 1000, shade),
    [kind, view, grid, rung.elevationM, shade],
  )
  const flat = kind !== '3d'
  return (
    <section className="view" aria-label="View of the building">
      <div className="view-tools">
        <Segmented
          value={kind}
          aria-label="View"
          onChange={(v) => p.onSet({ view: v === 'plan' ? undefined : v })}
          options={[
            { value: 'plan', label: 'Plan' },
            { value: 'elevation', label: 'Elevation', disabled: view.grid.length === 0 },
            { value: '3d', label: '3-D' },
          ]}
        />
        {kind === 'plan' && (
          <span className="clip">
            <b>{rung.name}</b>{' '}
            <span className="soft">
              +{distanceIn(1000 * rung.elevationM, units).toFixed(2)} {units.distance}
            </span>
          </span>
        )}
        {kind === 'elevation' && (
          <Select
            value={grid?.id}
            aria-label="Grid line"
            style={{ width: 74 }}
            options={view.grid.map((g) => ({ value: g.id, label: g.id }))}
            onChange={(line: string) => p.onSet({ line })}
          />
        )}
        <span className="spring" />
        <span className="soft">show</span>
        <Select
          value={layer.show}
          aria-label="What the view shows"
          style={{ width: 136 }}
          options={SHOWS.map((v) => ({ value: v.value, label: v.label, title: v.says }))}
          onChange={(v) =>
            p.onSet({
              show: v === 'utilisation' ? undefined : v,
              of: undefined,
              view: v === 'shape' ? '3d' : (params.get('view') ?? undefined),
            })
          }
        />
      </div>
      {layer.show === 'utilisation' ? (
        <div className="layer-bar">
          {flat && (
            <>
              <span className="soft">label</span>
              <Segmented
                size="small"
                value={label}
                aria-label="Label"
                onChange={(v) => p.onSet({ label: v })}
                options={[
                  { value: 'utilisation', label: 'Utilisation' },
                  { value: 'bars', label: 'Bars' },
                  { value: 'marks', label: 'Marks' },
                  { value: 'types', label: 'Types' },
                ]}
              />
            </>
          )}
          <span className="spring" />
          <span className="soft">shade</span>
          <Select
            size="small"
            value={shade}
            aria-label="What the shade stands for"
            style={{ width: 136 }}
            options={SHADES.map((s) => ({ value: s.value, label: s.label, title: s.says }))}
            onChange={(v) => p.onSet({ shade: v === 'strength' ? undefined : v })}
          />
        </div>
      ) : (
        <LayerBar
          id={p.id}
          layer={layer}
          scale={scale}
          exaggeration={exaggeration}
          playing={swing.playing}
          onSet={p.onSet}
          onScale={setScale}
          onPlay={swing.toggle}
        />
      )}
      <div className="view-area">
        {flat ? (
          <PlanView
            scene={scene}
            name={kind === 'elevation' ? `Elevation on grid line ${grid?.id ?? ''}` : `Plan of ${rung.name}`}
            empty={
              kind === 'elevation'
                ? `Nothing stands on grid line ${grid?.id ?? ''}. Choose another above.`
                : `There is no floor at ${rung.name}. Choose another storey on the left.`
            }
            storey={kind === 'plan' ? rung : undefined}
            rows={p.rows}
            matching={p.matching}
            label={label}
            layer={layer}
            factor={factor}
            selected={p.selection.all}
            onSelect={p.selection.pick}
            onBox={p.selection.set}
            onOpen={p.onOpen}
          />
        ) : (
          <Suspense fallback={<Loading words="Drawing the building" />}>
            <SpaceView
              view={view}
              layer={layer}
              factor={factor}
              matching={p.matching}
              selected={p.selection.all}
              shade={shade}
              mode={p.mode}
              onSelect={p.selection.pick}
            />
          </Suspense>
        )}
        <Legend
          show={layer.show}
          shade={shade}
          units={units}
          rings={flat ? new Set(scene.members.map(ringOf)) : NO_RINGS}
        />
      </div>
    </section>
  )
}

/** The storey that a plan shows: of the query, else of what is selected, else the one where most fails. */
function rungShown(p: Props): Rung {
  const by = (name: string | undefined) => p.rungs.find((r) => r.name.replace(/ /g, '') === name?.replace(/ /g, ''))
  return (
    by(p.storeyName) ??
    (p.row?.role === 'beam' ? by(p.row.storeys[0]) : undefined) ??
    p.rungs.reduce((a, b) => (b.fails > a.fails ? b : a))
  )
}

/** The grid line that an elevation shows: of the address, else the one that the selected line lies on, else the first. */
function gridShown(view: View, named: string | null, mark: string | undefined) {
  const mine = view.members.filter((m) => view.marks[m.line] === mark)
  return (
    view.grid.find((g) => g.id === named) ??
    view.grid.find((g) => mine.length > 0 && mine.every((m) => onGrid(m, g))) ??
    view.grid[0]
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
