import { useMemo } from 'react'
import type { Rung } from '../../api/client'
import { typicalPeak } from '../../drawing/diagram'
import { placedValues, planRibbons, planShapes } from '../../drawing/planLayer'
import type { PlanScene } from '../../drawing/planScene'
import { force } from '../../lib/format'
import type { Layer } from './layer'

interface Props {
  scene: PlanScene
  storey: Rung
  layer: Layer
  unit: number
  /** mm of drawing to the largest value of the building, or exaggeration of the shape */
  factor: number
  onJoint: (joint: string | undefined, e?: React.MouseEvent) => void
}

/** Diagrams, movement and reactions on the plan of a storey. */
export function PlanLayer(p: Props) {
  if (p.layer.diagram) return <Ribbons {...p} />
  if (p.layer.shape) return <Moved {...p} />
  if (p.layer.reactions) return <Reactions {...p} />
  return null
}

function Ribbons({ scene, layer, unit, factor }: Props) {
  const beams = useMemo(() => new Set(scene.members.filter((m) => !m.column).map((m) => m.id)), [scene])
  const typical = useMemo(
    () => typicalPeak(layer.diagram!.members.filter((d) => beams.has(d.id))),
    [layer.diagram, beams],
  )
  const list = useMemo(
    () => planRibbons(scene.members, layer.diagram!, factor / typical),
    [scene, layer.diagram, factor, typical],
  )
  const size = unit * 0.72
  return (
    <g pointerEvents="none">
      {list.map((r) =>
        r.rings.map((k, i) => (
          <polygon
            key={`${r.member.id}${i}`}
            className={k.positive ? 'ribbon' : 'ribbon negative'}
            points={k.points}
            strokeWidth={unit / 22}
          />
        )),
      )}
      {placedValues(list, size, force).map((v) => (
        <text
          key={v.id}
          className="ribbon-value"
          x={v.x}
          y={v.y + size / 3}
          fontSize={size}
          textAnchor="middle"
          strokeWidth={unit / 5}
        >
          {v.text}
        </text>
      ))}
    </g>
  )
}

function Moved({ scene, layer, unit, factor }: Props) {
  const lines = useMemo(() => planShapes(scene.members, layer.shape!, factor), [scene, layer.shape, factor])
  return (
    <g pointerEvents="none">
      {lines.map((l) => (
        <polyline key={l.id} className="moved" points={l.points} strokeWidth={unit / 5} />
      ))}
    </g>
  )
}

function Reactions({ layer, storey, unit, onJoint }: Props) {
  const here = layer.reactions!.joints.filter((j) => Math.abs(j.zM - storey.elevationM) < 0.3)
  return (
    <g>
      {here.map((j) => (
        <g
          key={j.joint}
          className="reaction"
          onMouseMove={(e) => onJoint(j.joint, e)}
          onMouseLeave={() => onJoint(undefined)}
        >
          <circle cx={j.xM * 1000} cy={-j.yM * 1000} r={unit * 0.75} strokeWidth={unit / 14} />
          <text
            x={j.xM * 1000}
            y={-j.yM * 1000 - unit * 0.95}
            fontSize={unit * 0.74}
            textAnchor="middle"
            strokeWidth={unit / 6}
          >
            {force(j.forces[2]!)}
          </text>
        </g>
      ))}
      {here.length === 0 && (
        <text x={0} y={0} className="ribbon-value" fontSize={unit}>
          No supports at {storey.name}: choose a storey lower down.
        </text>
      )}
    </g>
  )
}
