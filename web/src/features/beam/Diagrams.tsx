import type { Beam, Point } from '../../api/client'
import { filled, line, peaks, scaleOf, type Axis } from '../../drawing/beamScene'
import { force } from '../../lib/format'
import { forceIn, lengthIn, momentIn, type Units } from '../../lib/units'

export const TORSION_HEIGHT = 106
export const DEFLECTION_HEIGHT = 102

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
  const y = scaleOf(
    pts.flatMap((p) => [p.capPos, p.capNeg, p.mPos, p.mNeg]),
    22,
    168,
    true,
  )
  const at = pts[station]!
  return (
    <svg width={widthPx} height={172} role="img" aria-label="Moment, demand against capacity">
      <text x={axis.left - 28} y={12} className="axis-text">
        moment, {units.moment} — demand filled, capacity line
      </text>
      <polygon className="demand" points={filled(pts, (p) => p.mNeg, axis, y)} />
      <polygon className="demand" points={filled(pts, (p) => p.mPos, axis, y)} />
      <Over pts={pts} axis={axis} y={y} demand={(p) => p.mPos} capacity={(p) => p.capPos} />
      <Over pts={pts} axis={axis} y={y} demand={(p) => p.mNeg} capacity={(p) => p.capNeg} />
      <line className="zero" x1={axis.left} x2={axis.right} y1={y(0)} y2={y(0)} />
      <polyline className="capacity" points={line(pts.map((p) => [axis.x(p.x), y(p.capPos)]))} />
      <polyline className="capacity" points={line(pts.map((p) => [axis.x(p.x), y(p.capNeg)]))} />
      {peaks(pts, (p) => p.mPos).map((p) => (
        <Peak key={`+${p.span}`} x={axis.x(p.x)} y={y(p.mPos) - 4} v={force(momentIn(p.mPos, units))} />
      ))}
      {apart(
        peaks(pts, (p) => p.mNeg),
        axis,
      ).map((p) => (
        <Peak key={`-${p.span}`} x={axis.x(p.x)} y={y(p.mNeg) + 13} v={force(momentIn(p.mNeg, units))} />
      ))}
      <circle
        className="dot"
        cx={axis.x(at.x)}
        cy={y(Math.abs(at.mPos) >= Math.abs(at.mNeg) ? at.mPos : at.mNeg)}
        r={2.6}
      />
    </svg>
  )
}

/** Shear demand against stirrups with concrete (line), concrete alone (dotted) and the limit (dashed). */
export function ShearDiagram({ beam, axis, widthPx, units, station }: Props) {
  const pts = beam.points
  const sway = Math.max(...pts.map((p) => p.ve))
  const largest = Math.max(sway, ...pts.map((p) => Math.max(p.vn, Math.abs(p.vMax), Math.abs(p.vMin))))
  const limitShown = Math.min(...pts.map((p) => p.vLimit)) < 1.6 * largest
  const values = pts.flatMap((p) => [
    p.vn,
    -p.vn,
    p.ve,
    -p.ve,
    p.vMax,
    p.vMin,
    ...(limitShown ? [p.vLimit, -p.vLimit] : []),
  ])
  const y = scaleOf(values, 22, 148, false)
  const at = pts[station]!
  const fails = beam.checks.some((c) => c.kind === 'shear' && !c.satisfied)
  const v = Math.abs(at.vMax) >= Math.abs(at.vMin) ? at.vMax : at.vMin
  const curve = (f: (p: Point) => number, cls: string) => (
    <polyline className={cls} points={line(pts.map((p) => [axis.x(p.x), y(f(p))]))} />
  )
  return (
    <svg width={widthPx} height={154} role="img" aria-label="Shear, demand against capacity">
      <text x={axis.left - 28} y={12} className="axis-text">
        shear, {units.force} — demand filled, stirrups line, concrete dotted
        {sway > 0 ? ', strength of the ends dash-dotted' : ''}
        {limitShown
          ? ', limit dashed'
          : `, limit ${force(forceIn(Math.min(...pts.map((p) => p.vLimit)), units))} off the scale`}
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
      {sway > 0 && curve((p) => p.ve, 'sway')}
      {sway > 0 && curve((p) => -p.ve, 'sway')}
      {limitShown && curve((p) => p.vLimit, 'limit')}
      {limitShown && curve((p) => -p.vLimit, 'limit')}
      <circle className="dot" cx={axis.x(at.x)} cy={y(v)} r={2.6} />
    </svg>
  )
}

/** Torque against what the outer legs carry beside the shear; where torsion does not count, against the threshold. */
export function TorsionDiagram({ beam, axis, widthPx, units, station }: Props) {
  const pts = beam.points
  const y = scaleOf(
    pts.flatMap((p) => [p.t, Math.min(p.tn, 3 * Math.max(...pts.map((q) => q.t)))]),
    22,
    96,
    false,
  )
  const fails = beam.checks.some((c) => c.kind === 'torsion' && !c.satisfied)
  const at = pts[station]!
  return (
    <svg width={widthPx} height={TORSION_HEIGHT} role="img" aria-label="Torsion, demand against capacity">
      <text x={axis.left - 28} y={12} className="axis-text">
        torsion, {units.moment} — demand filled, outer legs beside the shear line
      </text>
      <polygon className="demand" points={filled(pts, (p) => p.t, axis, y)} />
      {fails && <Over pts={pts} axis={axis} y={y} demand={(p) => p.t} capacity={(p) => p.tn} />}
      <line className="zero" x1={axis.left} x2={axis.right} y1={y(0)} y2={y(0)} />
      <polyline className="capacity" points={line(pts.map((p) => [axis.x(p.x), Math.max(18, y(p.tn))]))} />
      {peaks(pts, (p) => p.t).map((p) => (
        <Peak key={p.span} x={axis.x(p.x)} y={y(p.t) - 3} v={force(momentIn(p.t, units))} />
      ))}
      <circle className="dot" cx={axis.x(at.x)} cy={y(at.t)} r={2.6} />
    </svg>
  )
}

/** Deflections downwards: live load at once, and what comes after the partitions, with their largest against the limits. */
export function DeflectionDiagram({ beam, axis, widthPx, units }: Omit<Props, 'station'>) {
  const all = beam.deflections.flatMap((d) => [...d.live, ...d.lasting])
  const y = scaleOf(all, 24, 84, true)
  const curve = (x: number[], w: number[]) => line(x.map((v, i) => [axis.x(v), y(w[i]!)]))
  return (
    <svg width={widthPx} height={DEFLECTION_HEIGHT} role="img" aria-label="Deflection">
      <text x={axis.left - 28} y={12} className="axis-text">
        deflection, {units.length} — after partitions line, live load dotted
      </text>
      <line className="zero" x1={axis.left} x2={axis.right} y1={y(0)} y2={y(0)} />
      {beam.deflections.map((d) => {
        const most = d.lasting.reduce((a, v) => (Math.abs(v) > Math.abs(a) ? v : a), 0)
        const at = d.x[d.lasting.indexOf(most)]!
        return (
          <g key={d.span}>
            <polyline className="capacity" points={curve(d.x, d.lasting)} />
            <polyline className="dotted" points={curve(d.x, d.live)} />
            <text
              x={axis.x(at)}
              y={y(most) + (most >= 0 ? 12 : -4)}
              textAnchor="middle"
              className={Math.abs(most) > d.lastingLimit ? 'peak over-ink' : 'peak'}
            >
              {lengthIn(most, units).toFixed(units.us ? 2 : 1)} of{' '}
              {lengthIn(d.lastingLimit, units).toFixed(units.us ? 2 : 1)}
            </text>
          </g>
        )
      })}
    </svg>
  )
}

/** Leaves out the lesser of two hogging peaks either side of a support, whose numbers would overlap. */
function apart(list: Point[], axis: Axis): Point[] {
  return list.filter((p) => !list.some((q) => q !== p && Math.abs(axis.x(q.x) - axis.x(p.x)) < 34 && q.mNeg < p.mNeg))
}

/** Hatches the stretches where demand passes capacity. */
function Over(p: {
  pts: Point[]
  axis: Axis
  y: (v: number) => number
  demand: (p: Point) => number
  capacity: (p: Point) => number
}) {
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
          key={i}
          fill="url(#hatch)"
          points={line([
            [p.axis.x(a.x), p.y(p.capacity(a))],
            [p.axis.x(a.x), p.y(p.demand(a))],
            [p.axis.x(b.x), p.y(p.demand(b))],
            [p.axis.x(b.x), p.y(p.capacity(b))],
          ])}
        />,
      )
    }
  }
  return <g>{pieces}</g>
}

function Peak({ x, y, v }: { x: number; y: number; v: string }) {
  return (
    <text x={x} y={y} textAnchor="middle" className="peak">
      {v}
    </text>
  )
}
