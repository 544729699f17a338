import { line } from '../../drawing/beamScene'
import { roundPlotOf } from '../../drawing/columnScene'
import { force, grouped, utilisation } from '../../lib/format'
import { forceIn, momentIn } from '../../lib/units'
import { Dots, H, W, type PlotProps } from './ForceMomentPlot'
import { PartArrows } from './MomentParts'

/** Moments about both axes against the strength under the axial force of the chosen combination. */
export function MomentsPlot({ curves, demands, picked, units, onPick }: PlotProps) {
  const plot = roundPlotOf(curves.contour, demands, W, H, momentIn(1, units))
  const at = curves.atAxial
  return (
    <svg width={W} height={H} role="img" aria-label="Moments about both axes" className="interaction">
      <polygon className="strength" points={line(curves.contour.map((q) => [plot.x(q.mx), plot.y(q.my)]))} />
      <line className="zero" x1={plot.x(-plot.size)} x2={plot.x(plot.size)} y1={plot.y(0)} y2={plot.y(0)} />
      <line className="zero" x1={plot.x(0)} x2={plot.x(0)} y1={plot.y(-plot.size)} y2={plot.y(plot.size)} />
      {plot.xTicks.map((v) => (
        <g key={v}>
          <text x={plot.x(v)} y={plot.y(0) + 14} textAnchor="middle">
            {grouped(momentIn(v, units))}
          </text>
          <text x={plot.x(0) - 6} y={plot.y(v) + 4} textAnchor="end">
            {grouped(momentIn(v, units))}
          </text>
        </g>
      ))}
      <Dots demands={demands} at={(d) => [plot.x(d.mx), plot.y(d.my)]} onPick={onPick} />
      {at !== null && at > 0 && (
        <line className="ray" x1={plot.x(0)} y1={plot.y(0)} x2={plot.x(picked.mx / at)} y2={plot.y(picked.my / at)} />
      )}
      <PartArrows parts={curves.parts} at={(q) => [plot.x(q.mx), plot.y(q.my)]} />
      <circle className="dot picked" cx={plot.x(picked.mx)} cy={plot.y(picked.my)} r={5} />
      <text x={8} y={16} className="picked-words">
        {at === null ? 'the force alone is too much' : utilisation(at)}
      </text>
      <text x={8} y={31}>
        N stays {force(forceIn(picked.p, units))} {units.force}
      </text>
      <text x={8} y={46}>
        {utilisation(picked.utilisation)} along the ray,
      </text>
      <text x={8} y={59}>
        which counts
      </text>
      <text x={W - 8} y={plot.y(0) - 6} textAnchor="end">
        Mx, {units.moment}
      </text>
      <text x={plot.x(0) + 6} y={12}>
        My
      </text>
    </svg>
  )
}
