import { useMemo, useRef, useState } from 'react'
import type { ResultRow, Rung } from '../../api/client'
import { labelOf, marksIn, ringOf, type PlanMember, type PlanScene } from '../../drawing/planScene'
import { changeColor, changeParts } from '../../drawing/planLayer'
import { rampColor } from '../../drawing/ramp'
import type { Under } from '../../drawing/under'
import { utilisation } from '../../lib/format'
import type { Layer } from './layer'
import { LayerCard } from './LayerCard'
import { PlanLayer } from './PlanLayer'
import { howOf, type How } from './useSelection'

export type LabelKind = 'utilisation' | 'bars' | 'marks' | 'types'

interface Props {
  scene: PlanScene
  /** what is shown, in words */
  name: string
  /** said where there is nothing to show */
  empty: string
  /** storey of a plan, on which the layer is drawn; none for an elevation */
  storey?: Rung
  rows: ResultRow[]
  matching: Set<string>
  label: LabelKind
  layer: Layer
  /** scale of what the layer draws */
  factor: number
  selected: ReadonlySet<string>
  onSelect: (mark: string | undefined, how?: How) => void
  /** marks that a rectangle touches, alone or beside what is selected */
  onBox: (marks: string[], beside: boolean) => void
  onOpen: (mark: string) => void
}

/** Plan of a storey or elevation on a grid line: members in true width, shaded by use, or with a layer of the analysis. */
export function PlanView(p: Props) {
  const [hover, setHover] = useState<{ m: PlanMember; part: number; x: number; y: number }>()
  const [joint, setJoint] = useState<Under>()
  const shaded = p.layer.show === 'utilisation'
  const changes = useMemo(() => (p.layer.compare ? changeParts(p.layer.compare) : undefined), [p.layer.compare])
  const { scene } = p
  const [box, setBox] = useState<{ x1: number; y1: number; x2: number; y2: number }>()
  const dragged = useRef(false)
  const byMark = useMemo(() => new Map(p.rows.map((r) => [r.mark, r])), [p.rows])
  const labelled = useMemo(() => new Set(longest(scene.members).map((m) => m.id)), [scene])
  const b = scene.box
  const unit = Math.max(b.width, b.height * 1.2) / 50
  // bars take more words than a number: they are written smaller
  const small = p.label === 'bars' ? unit * 0.6 : unit
  if (scene.members.length === 0) return <div className="notice">{p.empty}</div>
  return (
    <div className="plan" onMouseLeave={() => setHover(undefined)}>
      <svg
        viewBox={`${b.x} ${b.y} ${b.width} ${b.height}`}
        role="img"
        aria-label={p.name}
        onClick={() => {
          if (!dragged.current) p.onSelect(undefined)
        }}
        onPointerDown={(e) => {
          dragged.current = false
          const at = e.button === 0 ? pointAt(e) : undefined
          if (at) setBox({ x1: at.x, y1: at.y, x2: at.x, y2: at.y })
        }}
        onPointerMove={(e) => {
          const at = box && pointAt(e)
          if (!box || !at) return
          if (!dragged.current && Math.hypot(at.x - box.x1, at.y - box.y1) < unit / 2) return
          if (!dragged.current) e.currentTarget.setPointerCapture?.(e.pointerId)
          dragged.current = true
          setHover(undefined)
          setBox({ ...box, x2: at.x, y2: at.y })
        }}
        onPointerUp={(e) => {
          if (box && dragged.current) p.onBox(marksIn(scene, box), howOf(e) !== 'one')
          setBox(undefined)
        }}
        onPointerCancel={() => setBox(undefined)}
      >
        <defs>
          <pattern
            id="hatch-plan"
            width={unit * 0.5}
            height={unit * 0.5}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width={unit * 0.5} height={unit * 0.5} fill="var(--over-soft)" />
            <rect width={unit * 0.3} height={unit * 0.5} fill="var(--over)" />
          </pattern>
        </defs>
        {scene.grid.map((g) => (
          <g key={g.id} className="grid-line">
            <line
              x1={g.x1}
              y1={g.y1}
              x2={g.x2}
              y2={g.y2}
              strokeDasharray={`${unit / 6} ${unit / 3}`}
              strokeWidth={unit / 14}
            />
            <Bubble g={g} unit={unit} first={!p.storey || g.x1 !== g.x2} />
          </g>
        ))}
        {scene.members.map((m) => (
          <Shape
            key={m.id}
            m={m}
            unit={unit}
            dim={!p.matching.has(m.mark)}
            selected={p.selected.has(m.mark)}
            fill={shaded ? undefined : changes ? changeColor(changes.get(m.id)) : 'var(--concrete)'}
            onMove={(part, x, y) => !dragged.current && setHover({ m, part, x, y })}
            onSelect={(e) => !dragged.current && p.onSelect(m.mark, howOf(e))}
            onOpen={() => p.onOpen(m.mark)}
          />
        ))}
        {shaded &&
          scene.members
            .filter(ringOf)
            .map((m) => <JointMark key={`joint ${m.id}`} m={m} unit={unit} dim={!p.matching.has(m.mark)} />)}
        {p.storey && (
          <PlanLayer
            scene={scene}
            storey={p.storey}
            layer={p.layer}
            unit={unit}
            factor={p.factor}
            onJoint={(j, e) => setJoint(j && e ? { joint: j, part: 0, ...inHost(e) } : undefined)}
          />
        )}
        {box && dragged.current && (
          <rect
            className="rubber"
            x={Math.min(box.x1, box.x2)}
            y={Math.min(box.y1, box.y2)}
            width={Math.abs(box.x2 - box.x1)}
            height={Math.abs(box.y2 - box.y1)}
            strokeWidth={unit / 12}
          />
        )}
        {shaded &&
          scene.members
            .filter(
              (m) =>
                labelled.has(m.id) &&
                p.matching.has(m.mark) &&
                (!m.satisfied ||
                  (p.selected.size < 12 && p.selected.has(m.mark)) ||
                  (p.label !== 'utilisation' && roomFor(m, labelOf(byMark.get(m.mark), p.label), small))),
            )
            .map((m) => <Label key={m.id} m={m} unit={small} text={labelOf(byMark.get(m.mark), p.label)} />)}
      </svg>
      {joint && <LayerCard layer={p.layer} under={joint} />}
      {hover && !shaded && !joint && (
        <LayerCard
          layer={p.layer}
          under={{ member: hover.m.id, mark: hover.m.mark, part: hover.part, x: hover.x, y: hover.y }}
        />
      )}
      {hover && shaded && <HoverCard row={byMark.get(hover.m.mark)} mark={hover.m.mark} x={hover.x} y={hover.y} />}
    </div>
  )
}

/** A ring round a column whose joint at this floor fails or is crowded, wide enough to show round the column's label. */
function JointMark({ m, unit, dim }: { m: PlanMember; unit: number; dim: boolean }) {
  const half = m.outline ? Math.max(...m.outline.map(Math.abs)) : Math.hypot(m.width, m.round ? 0 : m.depth) / 2
  return (
    <circle
      className={`plan-joint ${ringOf(m)}`}
      cx={m.x2}
      cy={m.y2}
      r={Math.max(half + unit / 4, 1.05 * unit)}
      strokeWidth={unit / 6}
      opacity={dim ? 0.22 : 1}
    >
      <title>
        {ringOf(m) === 'fails'
          ? `The joint of ${m.mark} at this floor is used ${m.joint!.toFixed(2)}: see its sheet.`
          : `Bars of beams do not pass between those of ${m.mark} at this floor: see its sheet.`}
      </title>
    </circle>
  )
}

/** The longest piece of every line carries its label. */
function longest(members: PlanMember[]): PlanMember[] {
  const best = new Map<string, PlanMember>()
  for (const m of members) {
    const old = best.get(m.mark)
    if (!old || Math.hypot(m.x2 - m.x1, m.y2 - m.y1) > Math.hypot(old.x2 - old.x1, old.y2 - old.y1)) best.set(m.mark, m)
  }
  return [...best.values()]
}

/** Whether a label fits on its member and half of the next pieces of its line; columns have no room. */
function roomFor(m: PlanMember, text: string, unit: number): boolean {
  return !m.column && 1.6 * Math.hypot(m.x2 - m.x1, m.y2 - m.y1) > text.length * unit * 0.52 + unit
}

/** Where the cursor is within the view. */
function inHost(e: React.MouseEvent) {
  const svg = (e.currentTarget as SVGElement).ownerSVGElement!
  const box = svg.parentElement!.getBoundingClientRect()
  return { x: e.clientX - box.left, y: e.clientY - box.top }
}

/** Where the cursor is in the drawing. */
function pointAt(e: React.PointerEvent<SVGSVGElement>): DOMPoint | undefined {
  const matrix = e.currentTarget.getScreenCTM?.()
  return matrix ? new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix.inverse()) : undefined
}

/** The name of a line behind the drawing, in a circle beyond its first or last end. */
function Bubble({ g, unit, first }: { g: PlanScene['grid'][number]; unit: number; first: boolean }) {
  const r = 0.75 * unit
  const out = (first ? -r : r) / (Math.hypot(g.x2 - g.x1, g.y2 - g.y1) || 1)
  const x = (first ? g.x1 : g.x2) + out * (g.x2 - g.x1)
  const y = (first ? g.y1 : g.y2) + out * (g.y2 - g.y1)
  return (
    <>
      <circle cx={x} cy={y} r={r} strokeWidth={unit / 14} />
      <text x={x} y={y + unit * 0.3} fontSize={unit * 0.85} textAnchor="middle">
        {g.id}
      </text>
    </>
  )
}

/** How far along a member the cursor is, from 0 to 1. */
function partAt(e: React.MouseEvent, m: PlanMember): number {
  const matrix = (e.currentTarget as SVGElement).ownerSVGElement?.getScreenCTM?.()
  if (!matrix) return 0
  const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix.inverse())
  const d = (m.x2 - m.x1) ** 2 + (m.y2 - m.y1) ** 2
  return d === 0 ? 0 : Math.max(0, Math.min(1, ((at.x - m.x1) * (m.x2 - m.x1) + (at.y - m.y1) * (m.y2 - m.y1)) / d))
}

function Shape(p: {
  m: PlanMember
  unit: number
  dim: boolean
  selected: boolean
  fill?: string
  onMove: (part: number, x: number, y: number) => void
  onSelect: (e: React.MouseEvent) => void
  onOpen: () => void
}) {
  const { m } = p
  const fill = p.fill ?? (m.satisfied ? rampColor(m.shade) : 'url(#hatch-plan)')
  const common = {
    fill,
    opacity: p.dim ? 0.22 : 1,
    className: 'plan-member',
    stroke: p.selected ? 'var(--ink)' : m.column ? 'var(--ink)' : 'var(--ink-soft)',
    strokeWidth: p.selected ? p.unit / 6 : m.column ? p.unit / 18 : p.unit / 40,
    onMouseMove: (e: React.MouseEvent) => {
      const { x, y } = inHost(e)
      p.onMove(partAt(e, m), x, y)
    },
    onClick: (e: React.MouseEvent) => {
      e.stopPropagation()
      p.onSelect(e)
    },
    onDoubleClick: p.onOpen,
    'data-mark': m.mark,
  }
  if (m.column && m.round) return <circle cx={m.x2} cy={m.y2} r={m.width / 2} {...common} />
  if (m.column && m.outline)
    return <polygon points={m.outline.map((v, k) => (k % 2 === 0 ? m.x2 : m.y2) + v).join(' ')} {...common} />
  if (m.column)
    return <rect x={m.x2 - m.width / 2} y={m.y2 - m.depth / 2} width={m.width} height={m.depth} {...common} />
  const length = Math.hypot(m.x2 - m.x1, m.y2 - m.y1)
  const angle = (Math.atan2(m.y2 - m.y1, m.x2 - m.x1) * 180) / Math.PI
  return (
    <rect
      x={0}
      y={-m.width / 2}
      width={length}
      height={m.width}
      transform={`translate(${m.x1} ${m.y1}) rotate(${angle})`}
      {...common}
    />
  )
}

function Label({ m, unit, text }: { m: PlanMember; unit: number; text: string }) {
  if (!text) return null
  const x = m.column ? m.x2 : (m.x1 + m.x2) / 2
  const y = m.column ? m.y2 : (m.y1 + m.y2) / 2
  const w = text.length * unit * 0.52 + unit * 0.6
  // long words run along their member
  const upright = !m.column && text.length > 8 && Math.abs(m.x2 - m.x1) < Math.abs(m.y2 - m.y1)
  return (
    <g
      className={m.satisfied ? 'plan-label' : 'plan-label over'}
      pointerEvents="none"
      transform={upright ? `rotate(-90 ${x} ${y})` : undefined}
    >
      <rect x={x - w / 2} y={y - unit * 0.62} width={w} height={unit * 1.24} rx={unit * 0.2} strokeWidth={unit / 16} />
      <text x={x} y={y + unit * 0.32} fontSize={unit * 0.86} textAnchor="middle">
        {text}
      </text>
    </g>
  )
}

function HoverCard({ row, mark, x, y }: { row?: ResultRow; mark: string; x: number; y: number }) {
  return (
    <div className="hover-card" style={{ left: x + 14, top: y + 10 }}>
      <b>{mark}</b> {row && <span className={row.satisfied ? '' : 'over-ink'}>{utilisation(row.utilisation)}</span>}
      {row && (
        <>
          <div>
            {row.check}
            {row.place !== 'whole lift' && ` at ${row.place}`}
          </div>
          {row.combination && <div className="soft">{row.combination}</div>}
          <div className="soft">
            {row.bars} · {row.stirrups}
          </div>
        </>
      )}
    </div>
  )
}
