import { Button } from 'antd'
import type { Strains } from '../../api/client'
import { line } from '../../drawing/beamScene'
import { lengthIn, strength, type Units } from '../../lib/units'
import { neutralAxis, strainScale, stressScale } from './strains'

const W = 212
const H = 262
const TOP = 34
const LOW = H - 40
const STRAIN = { zero: 50, half: 36 }
const STRESS = { zero: 152, half: 50 }

/** Strains and stresses across the neutral axis, from the edge that is compressed most downwards; along the curve by the slider. */
export function StrainPicture(p: {
  strains: Strains
  units: Units
  /** numbers of the last point of the curve and of the one nearest to the set; none where there is no curve */
  curve?: { last: number; nearest: number }
  /** whether stresses are those of service load */
  service: boolean
  onAlong: (point: number | undefined) => void
}) {
  const s = p.strains
  const y = (depth: number) => TOP + ((LOW - TOP) * depth) / s.sizeMm
  const strain = strainScale(s)
  const stress = stressScale(s)
  const ex = (v: number) => STRAIN.zero + STRAIN.half * Math.max(-1.1, Math.min(1.1, v / strain))
  const sx = (v: number, most: number) => STRESS.zero + STRESS.half * (v / most)
  const axis = neutralAxis(s)
  const fibres = pairs(s.concrete)
  const lowest = s.bars.reduce((a, b) => (b.strain < a.strain ? b : a), s.bars[0]!)
  return (
    <div className="strains">
      <svg width={W} height={H} role="img" aria-label="Strains and stresses across the neutral axis">
        <text x={STRAIN.zero} y={14} textAnchor="middle">
          strain, ‰
        </text>
        <text x={STRESS.zero} y={14} textAnchor="middle">
          stress
        </text>
        {[STRAIN, STRESS].map((c) => (
          <g key={c.zero}>
            <line className="zero" x1={c.zero} x2={c.zero} y1={TOP} y2={LOW} />
            <line className="edge-line" x1={c.zero - c.half} x2={c.zero + c.half} y1={TOP} y2={TOP} />
            <line className="edge-line" x1={c.zero - c.half} x2={c.zero + c.half} y1={LOW} y2={LOW} />
          </g>
        ))}
        <polygon
          className="strength"
          points={line([
            [STRAIN.zero, TOP],
            [ex(s.edge), TOP],
            ...clipped(s, strain).map((q): [number, number] => [ex(q.strain), y(q.depth)]),
            [STRAIN.zero, LOW],
          ])}
        />
        {fibres.length > 0 && (
          <polygon
            className="strength"
            points={line([
              [STRESS.zero, TOP],
              ...fibres.map(([d, v]): [number, number] => [sx(v, stress.concrete * 1.6), y(d)]),
            ])}
          />
        )}
        {s.bars.map((b, i) => (
          <g key={i} className={b.stressMpa < 0 ? 'of-bar pulled' : 'of-bar'}>
            <title>{`A bar ${lengthOf(b.depthMm, p.units)} below the edge: ${permille(b.strain)} ‰, ${strength(Math.abs(b.stressMpa), p.units)} in ${b.stressMpa < 0 ? 'tension' : 'compression'}`}</title>
            <line x1={STRESS.zero} x2={sx(b.stressMpa, stress.bars)} y1={y(b.depthMm)} y2={y(b.depthMm)} />
            <circle cx={sx(b.stressMpa, stress.bars)} cy={y(b.depthMm)} r={2.5} />
            <circle cx={ex(b.strain)} cy={y(b.depthMm)} r={2} />
          </g>
        ))}
        {axis !== undefined && (
          <>
            <line className="axis" x1={8} x2={W - 4} y1={y(axis)} y2={y(axis)} />
            <text x={W - 2} y={y(axis) + 13} textAnchor="end">
              x = {lengthOf(axis, p.units)}
            </text>
          </>
        )}
        <text x={ex(s.edge)} y={TOP - 5} textAnchor="middle">
          {permille(s.edge)}
        </text>
        {s.concrete.length > 0 && (
          <text x={STRESS.zero + 4} y={TOP - 5}>
            {strength(Math.max(...fibres.map((f) => f[1])), p.units)}
          </text>
        )}
        <text x={STRAIN.zero} y={LOW + 15} textAnchor="middle">
          bar {permille(lowest.strain)}
        </text>
        <text x={STRESS.zero} y={LOW + 15} textAnchor="middle">
          bar {strength(Math.abs(lowest.stressMpa), p.units)} {lowest.stressMpa < 0 ? 'pulled' : 'pressed'}
        </text>
        <text x={8} y={H - 6}>
          {p.service
            ? 'cracked, under the set'
            : s.along === null
              ? 'at the strength, on the ray'
              : 'at a point of the curve'}
        </text>
      </svg>
      {p.curve && (
        <div className="interaction-tools">
          <input
            type="range"
            min={0}
            max={p.curve.last}
            value={s.along ?? p.curve.nearest}
            aria-label="Point of the curve, from tension to compression"
            title="from pure tension to pure compression"
            onChange={(e) => p.onAlong(Number(e.target.value))}
          />
          {s.along === null ? (
            <span className="soft">along the curve</span>
          ) : (
            <Button size="small" type="text" onClick={() => p.onAlong(undefined)}>
              back to the set
            </Button>
          )}
        </div>
      )}
    </div>
  )
}

const lengthOf = (mm: number, u: Units) => `${lengthIn(mm, u).toFixed(u.us ? 1 : 0)} ${u.us ? 'in' : 'mm'}`

/** Compression positive, with its sign; far beyond what a diagram can show it says so. */
const permille = (v: number) =>
  Math.abs(v) > 99 ? `${v < 0 ? '< −' : '> '}99` : `${v < 0 ? '−' : ''}${Math.abs(v).toFixed(2)}`

const pairs = (flat: number[]): [number, number][] =>
  Array.from({ length: flat.length / 2 }, (_, i) => [flat[2 * i]!, flat[2 * i + 1]!])

/** The line of strain down to where it leaves the picture, and on along its edge. */
function clipped(s: Strains, scale: number): { strain: number; depth: number }[] {
  const least = -1.1 * scale
  if (s.far >= least) return [{ strain: s.far, depth: s.sizeMm }]
  const leaves = (s.sizeMm * (s.edge - least)) / (s.edge - s.far)
  return [
    { strain: least, depth: leaves },
    { strain: least, depth: s.sizeMm },
  ]
}
