import { useQuery } from '@tanstack/react-query'
import { Select, Slider, Tooltip } from 'antd'
import { useEffect } from 'react'
import { api } from '../../api/client'
import { SIDE } from '../../drawing/diagram'
import { grouped } from '../../lib/format'
import { lengthIn } from '../../lib/units'
import { useUnits } from '../../ui/useUnits'
import type { Layer } from './layer'

interface Props {
  id: string
  layer: Layer
  /** exponent of the exaggeration: 0 is the scale that fits */
  scale: number
  exaggeration: number
  playing: boolean
  onSet: (changes: Record<string, string | undefined>) => void
  onScale: (v: number) => void
  onPlay: () => void
}

const COMPONENTS = Object.entries(SIDE).map(([value, s]) => ({ value, label: s.name, title: s.says }))

/** Choices of the layer that the view shows: of what, which force, at what scale. */
export function LayerBar(p: Props) {
  const { layer, onSet } = p
  const units = useUnits()
  const analysis = useQuery({
    queryKey: ['project', p.id, 'analysis'],
    queryFn: ({ signal }) => api.analysis(p.id, signal),
  })
  const first = analysis.data?.balance[0]?.id
  useEffect(() => {
    if (layer.of === '' && first && layer.show !== 'change') onSet({ of: `case:${first}` })
  })
  const groups = [
    ...(layer.show === 'forces'
      ? [{ label: 'Envelope', options: [{ value: 'envelope:strength', label: 'Strength envelope' }] }]
      : []),
    {
      label: 'Load cases',
      options: (analysis.data?.balance ?? []).map((c) => ({ value: `case:${c.id}`, label: c.name })),
    },
    {
      label: 'Combinations',
      options: (analysis.data?.combinations ?? []).map((c) => ({ value: `combination:${c.id}`, label: c.name })),
    },
  ]
  return (
    <div className="layer-bar">
      {layer.show === 'change' ? (
        <Versions id={p.id} layer={layer} onSet={onSet} />
      ) : (
        <Select
          value={layer.of || undefined}
          aria-label="Of which loads"
          style={{ width: 190 }}
          showSearch={{ optionFilterProp: 'label' }}
          options={groups}
          popupMatchSelectWidth={300}
          onChange={(of) => onSet({ of })}
        />
      )}
      {(layer.show === 'forces' || layer.show === 'change') && (
        <Tooltip title={SIDE[layer.component]!.says}>
          <Select
            value={layer.component}
            aria-label="Which force"
            style={{ width: 126 }}
            options={COMPONENTS}
            onChange={(comp) => onSet({ comp })}
          />
        </Tooltip>
      )}
      {(layer.show === 'forces' || layer.show === 'shape') && (
        <Slider
          className="scale"
          min={-2}
          max={2}
          step={0.05}
          value={p.scale}
          onChange={p.onScale}
          tooltip={{ formatter: null }}
          ariaLabelForHandle="Scale of the drawing"
        />
      )}
      {layer.show === 'shape' && (
        <>
          <Tooltip title={p.playing ? 'Stop' : 'Swing between at rest and moved'}>
            <button
              type="button"
              className="pill button"
              aria-label={p.playing ? 'Stop' : 'Play'}
              aria-pressed={p.playing}
              onClick={p.onPlay}
            >
              {p.playing ? '■' : '▶'}
            </button>
          </Tooltip>
          <span className="soft">
            × {grouped(p.exaggeration, p.exaggeration < 10 ? 1 : 0)}, most{' '}
            {layer.shape ? lengthIn(layer.shape.mostMm, units).toFixed(units.us ? 2 : 1) : '–'} {units.length}
          </span>
        </>
      )}
      {layer.error && <span className="over-ink">{layer.error.message}</span>}
    </div>
  )
}

/** The two versions to compare. */
function Versions({ id, layer, onSet }: { id: string; layer: Layer; onSet: Props['onSet'] }) {
  const history = useQuery({ queryKey: ['project', id, 'edits'], queryFn: ({ signal }) => api.edits(id, signal) })
  const entries = (history.data?.entries ?? []).filter((e) => e.changesModel)
  const before = entries.at(-2)?.version ?? 1
  useEffect(() => {
    if (layer.from === 0 && history.data) onSet({ from: String(before) })
  })
  if (history.data && entries.length === 0)
    return (
      <span className="soft">
        The model was not edited yet. Select a line, press <kbd>E</kbd> and change something.
      </span>
    )
  const options = [
    { value: 1, label: 'as imported' },
    ...entries.map((e) => ({ value: e.version, label: `${e.version} · ${e.summary}` })),
  ]
  const to = [...entries].reverse().find((e) => e.version <= layer.to)?.version ?? 1
  return (
    <>
      <Select
        value={layer.from || undefined}
        aria-label="Before"
        style={{ width: 150 }}
        popupMatchSelectWidth={320}
        options={options}
        onChange={(v) => onSet({ from: String(v) })}
      />
      <span className="soft">→</span>
      <Select
        value={to}
        aria-label="After"
        style={{ width: 150 }}
        popupMatchSelectWidth={320}
        options={options}
        onChange={(v) => onSet({ to: String(v) })}
      />
    </>
  )
}
