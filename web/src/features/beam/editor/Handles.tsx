import { useRef } from 'react'
import type { Beam, Hand } from '../../../api/client'
import type { Axis } from '../../../drawing/beamScene'
import { changeBars, changeZone, type Pick } from './hand'

interface Props {
  beam: Beam
  pick: Pick
  axis: Axis
  stepMm: number
  end: 'from' | 'to'
  level: (index: number, end: 'from' | 'to') => number
  zoneLevel: number
  onTry: (h: Hand) => void
  onSave: (h: Hand) => void
  onEnd: (e: 'from' | 'to') => void
}

/** Handles at the ends of the picked bars, or where the picked zone begins and ends; they are dragged along the line. */
export function Handles(p: Props) {
  const { beam, pick, axis } = p
  if (pick.part === 'bars') {
    const g = beam.groups[pick.index]!
    return (
      <g>
        {(['from', 'to'] as const).map((end) => (
          <Handle
            key={end}
            words={end === 'from' ? 'Beginning of the bars' : 'End of the bars'}
            x={axis.x(g[end])}
            y={p.level(pick.index, end)}
            axis={axis}
            active={p.end === end}
            stepMm={p.stepMm}
            onTry={(mm) => {
              p.onEnd(end)
              p.onTry(changeBars(beam, pick.index, { [end]: mm }))
            }}
            onSave={(mm) => p.onSave(changeBars(beam, pick.index, { [end]: mm }))}
          />
        ))}
      </g>
    )
  }
  if (pick.part === 'zone') {
    const z = beam.zones[pick.index]!
    const next = beam.zones[pick.index + 1]
    return (
      <g>
        {beam.zones[pick.index - 1]?.span === z.span && (
          <Handle
            words="Beginning of the zone"
            x={axis.x(z.from)}
            y={p.zoneLevel}
            axis={axis}
            active
            stepMm={p.stepMm}
            onTry={(from) => p.onTry(changeZone(beam, pick.index, { from }))}
            onSave={(from) => p.onSave(changeZone(beam, pick.index, { from }))}
          />
        )}
        {next?.span === z.span && (
          <Handle
            words="End of the zone"
            x={axis.x(z.to)}
            y={p.zoneLevel}
            axis={axis}
            active={false}
            stepMm={p.stepMm}
            onTry={(from) => p.onTry(changeZone(beam, pick.index + 1, { from }))}
            onSave={(from) => p.onSave(changeZone(beam, pick.index + 1, { from }))}
          />
        )}
      </g>
    )
  }
  return null
}

interface HandleProps {
  words: string
  x: number
  y: number
  axis: Axis
  active: boolean
  stepMm: number
  onTry: (mm: number) => void
  onSave: (mm: number) => void
}

function Handle(p: HandleProps) {
  const from = useRef<{ client: number; x: number; mm?: number }>(undefined)
  const at = (client: number) =>
    Math.round(p.axis.mm(from.current!.x + client - from.current!.client) / p.stepMm) * p.stepMm
  return (
    <circle
      className={p.active ? 'handle active' : 'handle'}
      cx={p.x}
      cy={p.y}
      r={5}
      role="slider"
      aria-label={p.words}
      aria-valuenow={Math.round(p.axis.mm(p.x))}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId)
        from.current = { client: e.clientX, x: p.x }
      }}
      onPointerMove={(e) => {
        if (!from.current) return
        const mm = at(e.clientX)
        if (mm !== from.current.mm && Math.abs(e.clientX - from.current.client) > 2) {
          from.current.mm = mm
          p.onTry(mm)
        }
      }}
      onPointerUp={() => {
        const mm = from.current?.mm
        from.current = undefined
        if (mm !== undefined) p.onSave(mm)
      }}
      onClick={(e) => e.stopPropagation()}
    />
  )
}
