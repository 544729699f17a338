import type { Curves, Demand } from '../../api/client'
import { line } from '../../drawing/beamScene'
import { along, bending, plotOf } from '../../drawing/columnScene'
import { force, grouped, utilisation } from '../../lib/format'
import { forceIn, momentIn, type Units } from '../../lib/units'
import { PartArrows } from './MomentParts'

export const W = 400
export const H = 300
/** Arrows that go back lie beside those that they take back. */
const LANE = 4

export interface PlotProps {
  curves: Curves
  demands: Demand[]
  picked: Demand
  units: Units
  onPick: (d: Demand) => void
}

/** Axial force against moment: design strength (line), nominal (dashed), every combination a dot, the ray of the chosen one and how far its axial force may fall or rise. */
export function ForceMomentPlot({
  curves,
  demands,
  picked,
  units,
  at,
  onPick,
}: PlotProps & {
  /** a point of the curve that is looked at */
  at?: Curves['design'][number] | undefined
}) {
  const plot = plotOf(curves, demands, W, H, forceIn(1, units), momentIn(1, units))
  const across = plot.x(bending(picked))
  // where the curve is turned away from the moments it is not the curve that they meet
  const range = Math.abs(Math.sin(((curves.angleDeg - angle(picked)) * Math.PI) / 180)) < 0.02 ? curves.borne : null
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
      <polyline className="nominal" points={line(curves.nominal.map((q) => [plot.x(bending(q)), plot.y(q.n)]))} />
      <polygon
        className="strength"
        points={line([
          [plot.x(0), plot.y(curves.design[0]!.n)],
          ...curves.design.map((q): [number, number] => [plot.x(bending(q)), plot.y(q.n)]),
        ])}
      />
      <line className="zero" x1={plot.x(0)} x2={W - 8} y1={plot.y(0)} y2={plot.y(0)} />
      <line className="zero" x1={plot.x(0)} x2={plot.x(0)} y1={8} y2={H - 12} />
      {plot.xTicks.map((v) => (
        <text key={v} x={plot.x(v)} y={plot.y(0) + 14} textAnchor="middle">
          {grouped(momentIn(v, units))}
        </text>
      ))}
      <Dots demands={demands} at={(d) => [plot.x(bending(d)), plot.y(d.p)]} onPick={onPick} />
      <line
        className="ray"
        x1={plot.x(0)}
        y1={plot.y(0)}
        x2={plot.x(bending(picked) / picked.utilisation)}
        y2={plot.y(picked.p / picked.utilisation)}
      />
      {range && (
        <g className="borne">
          <title>
            {`The same moments are borne by axial forces from ${force(forceIn(range.least, units))} to ${force(forceIn(range.most, units))} ${units.force}.`}
          </title>
          <line x1={across} x2={across} y1={plot.y(range.least)} y2={plot.y(range.most)} />
          {[range.least, range.most].map((n, i) => (
            <g key={i}>
              <line x1={across - 5} x2={across + 5} y1={plot.y(n)} y2={plot.y(n)} />
              <text
                x={across + 8}
                y={i ? plot.y(n) + 13 : n < 0 ? Math.max(plot.y(n) + 12, plot.y(0) + 27) : plot.y(n) - 5}
              >
                {force(forceIn(n, units))}
              </text>
            </g>
          ))}
        </g>
      )}
      <PartArrows
        parts={curves.parts}
        at={(q, lane) => [plot.x(along(q, picked)), plot.y(picked.p) + LANE * (lane - 1.5)]}
      />
      {at && <circle className="on-curve" cx={plot.x(bending(at))} cy={plot.y(at.n)} r={5} />}
      <circle className="dot picked" cx={plot.x(bending(picked))} cy={plot.y(picked.p)} r={5} />
      <text x={W - 10} y={20} textAnchor="end" className="picked-words">
        {utilisation(picked.utilisation)} · {picked.combination}
      </text>
      <text x={W - 10} y={H - 4} textAnchor="end">
        M, {units.moment}, to the right
      </text>
      <text x={plot.x(0) + 6} y={16}>
        N, {units.force}, compression up
      </text>
    </svg>
  )
}

/** Of a demand's moments, from the y axis' [degrees]. */
const angle = (d: Demand) => (Math.atan2(d.mx, d.my) * 180) / Math.PI

/** Every combination as a dot that tells its name. */
export function Dots(p: { demands: Demand[]; at: (d: Demand) => [number, number]; onPick: (d: Demand) => void }) {
  return p.demands.map((d, i) => {
    const [cx, cy] = p.at(d)
    return (
      <circle
        key={i}
        className={d.utilisation > 1 + 1e-6 ? 'dot over' : 'dot'}
        cx={cx}
        cy={cy}
        r={3}
        onClick={() => p.onPick(d)}
      >
        <title>{`${d.combination}, ${d.place}: ${utilisation(d.utilisation)}`}</title>
      </circle>
    )
  })
}
