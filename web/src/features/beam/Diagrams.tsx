import type { Beam, Point } from '../../api/client'
import { filled, line, peaks, scaleOf, type Axis } from '../../drawing/beamScene'
import { force } from '../../lib/format'
import { forceIn, momentIn, type Units } from '../../lib/units'

interface Props {
  beam: Beam
  axis: Axis
  widthPx: number
  units: Units
  station: number
}

/** Moment demand (filled, on the tension side) against capacity (line). */
export function MomentDiagram({ beam, axis, widthPx, units, station }: Props) {
  const pts = beam.points
  const y = scaleOf(pts.flatMap((p) => [p.capPos, p.capNeg, p.mPos, p.mNeg]), 22, 168, true)
  const at = pts[station]!
  return (
    <svg width={widthPx} height={172} role="img" aria-label="Moment, demand against capacity">
      <text x={axis.left - 28} y={12} className="axis-text">moment, {units.moment} — demand filled, capacity line</text>
      <polygon className="demand" points={filled(pts, (p) => p.mNeg, axis, y)} />
      <polygon className="demand" points={filled(pts, (p) => p.mPos, axis, y)} />
      <Over pts={pts} axis={axis} y={y} demand={(p) => p.mPos} capacity={(p) => p.capPos} />
      <Over pts={pts} axis={axis} y={y} demand={(p) => p.mNeg} capacity={(p) => p.capNeg} />
      <line className="zero" x1={axis.left} x2={axis.right} y1={y(0)} y2={y(0)} />
      <polyline className="capacity" points={line(pts.map((p) => [axis.x(p.x), y(p.capPos)]))} />
      <polyline className="capacity" points={line(pts.map((p) => [axis.x(p.x), y(p.capNeg)]))} />
      {peaks(pts, (p) => p.mPos).map((p) => <Peak key={`+${p.span}`} x={axis.x(p.x)} y={y(p.mPos) - 4} v={force(momentIn(p.mPos, units))} />)}
      {apart(peaks(pts, (p) => p.mNeg), axis).map((p) => <Peak key={`-${p.span}`} x={axis.x(p.x)} y={y(p.mNeg) + 13} v={force(momentIn(p.mNeg, units))} />)}
      <circle className="dot" cx={axis.x(at.x)} cy={y(Math.abs(at.mPos) >= Math.abs(at.mNeg) ? at.mPos : at.mNeg)} r={2.6} />
    </svg>
  )
}

/** Shear demand against stirrups with concrete (line), concrete alone (dotted) and the limit (dashed). */
export function ShearDiagram({ beam, axis, widthPx, units, station }: Props) {
  const pts = beam.points
  const largest = Math.max(...pts.map((p) => Math.max(p.vn, Math.abs(p.vMax), Math.abs(p.vMin))))
  const limitShown = Math.min(...pts.map((p) => p.vLimit)) < 1.6 * largest
  const values = pts.flatMap((p) => [p.vn, -p.vn, p.vMax, p.vMin, ...(limitShown ? [p.vLimit, -p.vLimit] : [])])
  const y = scaleOf(values, 22, 148, false)
  const at = pts[station]!
  const fails = beam.checks.some((c) => c.kind === 'shear' && !c.satisfied)
  const v = Math.abs(at.vMax) >= Math.abs(at.vMin) ? at.vMax : at.vMin
  const curve = (f: (p: Point) => number, cls: string) => <polyline className={cls} points={line(pts.map((p) => [axis.x(p.x), y(f(p))]))} />
  return (
    <svg width={widthPx} height={154} role="img" aria-label="Shear, demand against capacity">
      <text x={axis.left - 28} y={12} className="axis-text">
        shear, {units.force} — demand filled, stirrups line, concrete dotted{limitShown ? ', limit dashed' : `, limit ${force(forceIn(Math.min(...pts.map((p) => p.vLimit)), units))} off the scale`}
      </text>
      <polygon className="demand" points={filled(pts, (p) => Math.max(0, p.vMax), axis, y)} />
      <polygon className="demand" points={filled(pts, (p) => Math.min(0, p.vMin), axis, y)} />
      {/* nearer than d to a column's face the shear at d counts, so the drawing hatches only where the check fails */}
      {fails && <Over pts={pts} axis={axis} y={y} demand={(p) => Math.max(0, p.vMax)} capacity={(p) => p.vn} />}
      {fails && <Over pts={pts} axis={axis} y={y} demand={(p) => Math.min(0, p.vMin)} capacity={(p) => -p.vn} />}
      <line className="zero" x1={axis.left} x2={axis.right} y1={y(0)} y2={y(0)} />
      {curve((p) => p.vn, 'capacity')}
      {curve((p) => -p.vn, 'capacity')}
      {curve((p) => p.vc, 'dotted')}
      {curve((p) => -p.vc, 'dotted')}
      {limitShown && curve((p) => p.vLimit, 'limit')}
      {limitShown && curve((p) => -p.vLimit, 'limit')}
      <circle className="dot" cx={axis.x(at.x)} cy={y(v)} r={2.6} />
    </svg>
  )
}

/** Leaves out the lesser of two hogging peaks either side of a support, whose numbers would overlap. */
function apart(list: Point[], axis: Axis): Point[] {
  return list.filter((p) => !list.some((q) => q !== p && Math.abs(axis.x(q.x) - axis.x(p.x)) < 34 && q.mNeg < p.mNeg))
}

/** Hatches the stretches where demand passes capacity. */
function Over(p: { pts: Point[]; axis: Axis; y: (v: number) => number; demand: (p: Point) => number; capacity: (p: Point) => number }) {
  const pieces = []
  // what is next to nothing at a free end is not worth a hatch
  const least = 0.01 * Math.max(...p.pts.map((q) => Math.abs(p.demand(q))))
  for (let i = 0; i + 1 < p.pts.length; i++) {
    const a = p.pts[i]!
    const b = p.pts[i + 1]!
    const over = (q: Point) => Math.abs(p.demand(q)) > Math.max(least, Math.abs(p.capacity(q)) * (1 + 1e-6))
    if (a.span === b.span && (over(a) || over(b))) {
      pieces.push(
        <polygon
          key={i} fill="url(#hatch)"
          points={line([[p.axis.x(a.x), p.y(p.capacity(a))], [p.axis.x(a.x), p.y(p.demand(a))], [p.axis.x(b.x), p.y(p.demand(b))], [p.axis.x(b.x), p.y(p.capacity(b))]])}
        />,
      )
    }
  }
  return <g>{pieces}</g>
}

function Peak({ x, y, v }: { x: number; y: number; v: string }) {
  return <text x={x} y={y} textAnchor="middle" className="peak">{v}</text>
}
