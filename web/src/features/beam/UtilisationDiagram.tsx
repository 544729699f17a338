import type { Beam, Point } from '../../api/client'
import { line, type Axis } from '../../drawing/beamScene'

export const UTILISATION_HEIGHT = 62
const TOP = 18
const BASE = 56

/** Demand over capacity at a station: the largest of bending, shear and torsion. */
export function stationUse(p: Point): number {
  const of = (demand: number, capacity: number) =>
    Math.abs(demand) < 1e-6 ? 0 : capacity === 0 ? Infinity : Math.abs(demand / capacity)
  return Math.max(
    of(p.mPos, p.capPos),
    of(p.mNeg, p.capNeg),
    of(Math.max(p.vMax, -p.vMin), p.vn),
    of(p.t, p.tn),
    p.limitUse,
  )
}

/** Utilisation along the line against the limit of 1.00. */
export function UtilisationDiagram({ beam, axis, widthPx }: { beam: Beam; axis: Axis; widthPx: number }) {
  const top = Math.max(1.15, Math.min(1.6, Math.max(...beam.points.map(stationUse))))
  const y = (u: number) => BASE - (Math.min(u, top) / top) * (BASE - TOP)
  const pts = beam.points.map((p): [number, number] => [axis.x(p.x), y(stationUse(p))])
  return (
    <svg width={widthPx} height={UTILISATION_HEIGHT} role="img" aria-label="Utilisation along the line">
      <text x={axis.left - 28} y={11} className="axis-text">
        utilisation — bending, shear, torsion, limit of the concrete, whichever is used most; 1.00 dashed
      </text>
      <polygon className="demand" points={line([[pts[0]![0], BASE], ...pts, [pts.at(-1)![0], BASE]])} />
      <line className="zero" x1={axis.left} x2={axis.right} y1={BASE} y2={BASE} />
      <line className="limit" x1={axis.left} x2={axis.right} y1={y(1)} y2={y(1)} />
      <text x={axis.left - 6} y={y(1) + 4} textAnchor="end" className="axis-text">
        1.00
      </text>
    </svg>
  )
}
