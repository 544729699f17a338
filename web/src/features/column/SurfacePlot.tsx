import { useRef, useState } from 'react'
import type { Demand, Surface } from '../../api/client'
import { line } from '../../drawing/beamScene'
import { projection, type Turn } from '../../drawing/columnScene'
import { utilisation } from '../../lib/format'
import { H, W } from './ForceMomentPlot'

const STEP = Math.PI / 24
const EVERY = 4

/** The strength surface with every combination inside or outside it; turned by dragging or by arrow keys. */
export function SurfacePlot(p: { surface: Surface; demands: Demand[]; picked: Demand; onPick: (d: Demand) => void }) {
  const [turn, setTurn] = useState<Turn>({ yaw: 0.6, tip: 0.35 })
  const from = useRef<{ x: number; y: number; turn: Turn }>(undefined)
  const { meridians } = p.surface
  const on = projection(meridians, W, H, turn)
  const by = (yaw: number, tip: number) =>
    setTurn((t) => ({ yaw: t.yaw + yaw, tip: Math.max(-1.4, Math.min(1.4, t.tip + tip)) }))
  const levels = meridians[0]!.map((_, k) => k).filter((k) => k % EVERY === 0)
  const rings = levels.map((k) => [...meridians, meridians[0]!].map((m) => m[k]!))
  const curves = [...meridians.filter((_, i) => i % 2 === 0), ...rings].map((points) => points.map(on))
  const key = (e: React.KeyboardEvent) => {
    const yaw = e.key === 'ArrowRight' ? STEP : e.key === 'ArrowLeft' ? -STEP : 0
    const tip = e.key === 'ArrowDown' ? STEP : e.key === 'ArrowUp' ? -STEP : 0
    if (!yaw && !tip) return
    e.preventDefault()
    e.stopPropagation()
    e.nativeEvent.stopImmediatePropagation()
    by(yaw, tip)
  }
  const at = (d: Demand) => on({ n: d.p, mx: d.mx, my: d.my })
  return (
    <svg
      width={W}
      height={H}
      role="application"
      tabIndex={0}
      aria-label="Strength surface; arrow keys turn it"
      className="interaction surface"
      onKeyDown={key}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId)
        from.current = { x: e.clientX, y: e.clientY, turn }
      }}
      onPointerMove={(e) => {
        const f = from.current
        if (f)
          setTurn({
            yaw: f.turn.yaw + (e.clientX - f.x) / 110,
            tip: Math.max(-1.4, Math.min(1.4, f.turn.tip + (e.clientY - f.y) / 110)),
          })
      }}
      onPointerUp={() => (from.current = undefined)}
    >
      {curves.map((c, i) => (
        <g key={i}>
          <polyline className="mesh far" points={line(c.map((q) => [q.x, q.y]))} />
          {near(c).map((part, k) => (
            <polyline key={k} className="mesh" points={line(part.map((q) => [q.x, q.y]))} />
          ))}
        </g>
      ))}
      {p.demands.map((d, i) => (
        <circle
          key={i}
          className={d.utilisation > 1 + 1e-6 ? 'dot over' : 'dot'}
          cx={at(d).x}
          cy={at(d).y}
          r={2.5}
          onClick={() => p.onPick(d)}
        >
          <title>{`${d.combination}, ${d.place}: ${utilisation(d.utilisation)}`}</title>
        </circle>
      ))}
      <circle className="dot picked" cx={at(p.picked).x} cy={at(p.picked).y} r={5} />
      <text x={8} y={16} className="picked-words">
        {utilisation(p.picked.utilisation)} · {p.picked.combination}
      </text>
      <text x={W - 8} y={H - 6} textAnchor="end">
        N up; drag to turn
      </text>
    </svg>
  )
}

/** The runs of a curve that face the eye. */
function near<P extends { near: number }>(points: P[]): P[][] {
  const out: P[][] = []
  let run: P[] = []
  for (const q of points) {
    if (q.near >= -0.02) run.push(q)
    else {
      if (run.length > 1) out.push(run)
      run = []
    }
  }
  if (run.length > 1) out.push(run)
  return out
}
