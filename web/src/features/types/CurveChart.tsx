import { useRef } from 'react'
import type { TypeCurve } from '../../api/client'
import { massIn, tonnage, type Units } from '../../lib/units'
import { levels, nearestPoint, scales, step, ticks } from './typeCurve'

const FRAME = { width: 520, height: 300, left: 62, right: 18, top: 34, bottom: 40 }
const PAGE = 10

/** Number of types against steel; the mark is dragged along it, or moved with the arrow keys. */
export function CurveChart(p: { curve: TypeCurve; at: number; units: Units; onMove: (types: number) => void }) {
  const { points, aloneKg, now, suggested } = p.curve
  const svg = useRef<SVGSVGElement>(null)
  const s = scales(points, aloneKg, FRAME)
  const shown = points.find((q) => q.types === p.at) ?? { ...now, types: p.at }
  const line = points.map((q) => `${s.x(q.types).toFixed(1)},${s.y(q.kg).toFixed(1)}`).join(' ')
  const floor = FRAME.height - FRAME.bottom
  const ends = [points.at(-1)!, points[0]!]
  const move = (clientX: number) => {
    const box = svg.current!.getBoundingClientRect()
    const px = ((clientX - box.left) / box.width) * FRAME.width
    p.onMove(nearestPoint(points, s.x, px).types)
  }
  const onKey = (e: React.KeyboardEvent) => {
    // to the right there are more types, as on the axis
    const by = { ArrowRight: -1, ArrowUp: -1, ArrowLeft: 1, ArrowDown: 1, PageUp: -PAGE, PageDown: PAGE }[e.key]
    const to = e.key === 'Home' ? ends[0] : e.key === 'End' ? ends[1] : by && step(points, p.at, by)
    if (!to) return
    e.preventDefault()
    p.onMove(to.types)
  }
  const x = s.x(Math.max(s.least, Math.min(s.most, p.at)))
  const right = x > FRAME.width * 0.62
  return (
    <svg
      ref={svg}
      className="type-curve"
      viewBox={`0 0 ${FRAME.width} ${FRAME.height}`}
      tabIndex={0}
      role="slider"
      aria-label="Number of types"
      aria-valuemin={s.least}
      aria-valuemax={s.most}
      aria-valuenow={p.at}
      aria-valuetext={`${p.at} types, ${tonnage(shown.kg, p.units)}`}
      onKeyDown={onKey}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture?.(e.pointerId)
        move(e.clientX)
      }}
      onPointerMove={(e) => e.buttons === 1 && move(e.clientX)}
    >
      {levels(s.low, s.high, p.units.us ? 2000 / massIn(1, p.units) : 1000).map((kg) => (
        <g key={kg}>
          <line className="level" x1={FRAME.left} x2={FRAME.width - FRAME.right} y1={s.y(kg)} y2={s.y(kg)} />
          <text className="axis-text" x={FRAME.left - 6} y={s.y(kg) + 4} textAnchor="end">
            {tonnage(kg, p.units)}
          </text>
        </g>
      ))}
      <polygon
        className="under"
        points={`${s.x(s.least)},${floor} ${line.split(' ').reverse().join(' ')} ${s.x(s.most)},${floor}`}
      />
      <line
        className="alone"
        x1={FRAME.left}
        x2={FRAME.width - FRAME.right}
        y1={s.y(aloneKg)}
        y2={s.y(aloneKg)}
        strokeDasharray="2 3"
      />
      <text className="axis-text" x={FRAME.left + 4} y={s.y(aloneKg) + 13}>
        every member its own cage
      </text>
      <polyline className="curve" points={line} />
      {ticks(s.least, s.most).map((n) => (
        <text key={n} className="axis-text" x={s.x(n)} y={floor + 15} textAnchor="middle">
          {n}
        </text>
      ))}
      <text className="axis-text" x={(FRAME.left + FRAME.width) / 2} y={FRAME.height - 6} textAnchor="middle">
        number of types
      </text>
      <Mark x={s.x(suggested)} y={s.y(points.find((q) => q.types === suggested)?.kg ?? s.low)} name="suggested" />
      {now.types !== p.at && now.types >= s.least && now.types <= s.most && (
        <Mark x={s.x(now.types)} y={s.y(Math.min(s.high, now.kg))} name="in force" />
      )}
      <line className="stem" x1={x} x2={x} y1={s.y(shown.kg)} y2={floor} />
      <circle className="handle" cx={x} cy={s.y(shown.kg)} r={7} />
      <text
        className="handle-text"
        x={x + (right ? -12 : 12)}
        y={s.y(shown.kg) - 12}
        textAnchor={right ? 'end' : 'start'}
      >
        {p.at} types, {tonnage(shown.kg, p.units)}
      </text>
    </svg>
  )
}

function Mark({ x, y, name }: { x: number; y: number; name: string }) {
  return (
    <g className="curve-mark">
      <title>{name}</title>
      <path d={`M ${x} ${y - 5} l 5 5 l -5 5 l -5 -5 z`} />
    </g>
  )
}
