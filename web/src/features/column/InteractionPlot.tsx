import type { Demand, Interaction } from '../../api/client'
import { line } from '../../drawing/beamScene'
import { plotOf } from '../../drawing/columnScene'
import { grouped, utilisation } from '../../lib/format'
import { forceIn, momentIn, type Units } from '../../lib/units'

const W = 400
const H = 300

/** Axial force against moment: design strength (line), nominal (dashed), every combination a dot, the ray of the chosen one. */
export function InteractionPlot(p: { data: Interaction; picked?: Demand; units: Units; onPick: (d: Demand) => void }) {
  const { data, picked, units } = p
  if (data.demands.length === 0) return <div className="notice">This section is not designed; see the finding.</div>
  const plot = plotOf(data, W, H, forceIn(1, units), momentIn(1, units))
  const m = (d: Demand) => Math.hypot(d.mx, d.my)
  return (
    <svg width={W} height={H} role="img" aria-label="Interaction of axial force and moment" className="interaction">
      {plot.yTicks.map((n) => (
        <g key={n}>
          <line className="tick" x1={plot.x(0)} x2={W - 8} y1={plot.y(n)} y2={plot.y(n)} />
          <text x={plot.x(0) - 6} y={plot.y(n) + 4} textAnchor="end">
            {grouped(forceIn(n, units))}
          </text>
        </g>
      ))}
      <polyline className="nominal" points={line(data.nominal.map((q) => [plot.x(q.m), plot.y(q.n)]))} />
      <polygon
        className="strength"
        points={line([
          [plot.x(0), plot.y(data.design[0]!.n)],
          ...data.design.map((q): [number, number] => [plot.x(q.m), plot.y(q.n)]),
        ])}
      />
      <line className="zero" x1={plot.x(0)} x2={W - 8} y1={plot.y(0)} y2={plot.y(0)} />
      <line className="zero" x1={plot.x(0)} x2={plot.x(0)} y1={8} y2={H - 12} />
      {plot.xTicks.map((v) => (
        <text key={v} x={plot.x(v)} y={plot.y(0) + 14} textAnchor="middle">
          {grouped(momentIn(v, units))}
        </text>
      ))}
      {data.demands.map((d, i) => (
        <circle
          key={i}
          className={d.utilisation > 1 + 1e-6 ? 'dot over' : 'dot'}
          cx={plot.x(m(d))}
          cy={plot.y(d.p)}
          r={3}
          onClick={() => p.onPick(d)}
        >
          <title>{`${d.combination}, ${d.place}: ${utilisation(d.utilisation)}`}</title>
        </circle>
      ))}
      {picked && (
        <>
          <line
            className="ray"
            x1={plot.x(0)}
            y1={plot.y(0)}
            x2={plot.x(m(picked) / picked.utilisation)}
            y2={plot.y(picked.p / picked.utilisation)}
          />
          <circle className="dot picked" cx={plot.x(m(picked))} cy={plot.y(picked.p)} r={5} />
          <text x={W - 10} y={20} textAnchor="end" className="picked-words">
            {utilisation(picked.utilisation)} · {picked.combination}
          </text>
        </>
      )}
      <text x={W - 10} y={H - 4} textAnchor="end">
        M, {units.moment}, to the right · curve at {data.angleDeg.toFixed(0)}°, the worst
      </text>
      <text x={plot.x(0) + 6} y={16}>
        N, {units.force}, compression up
      </text>
    </svg>
  )
}
