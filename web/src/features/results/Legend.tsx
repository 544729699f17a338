import type { Ring } from '../../drawing/planScene'
import { STEPS } from '../../drawing/ramp'
import { DENSEST, SHADES, type Shade } from '../../drawing/shade'
import { density, type Units } from '../../lib/units'
import type { Show } from './layer'

const KEYS: Partial<Record<Show, [string, string][]>> = {
  forces: [
    ['var(--accent)', 'positive'],
    ['var(--less)', 'negative'],
  ],
  shape: [
    ['var(--u1)', 'moves little'],
    ['var(--u4)', 'moves most'],
  ],
  change: [
    ['var(--accent)', 'carries more than before'],
    ['var(--less)', 'carries less'],
  ],
}

/** Key of the colours of the view. */
export function Legend({
  show,
  shade,
  units,
  rings,
}: {
  show: Show
  shade: Shade
  units: Units
  rings?: ReadonlySet<Ring>
}) {
  const perConcrete = (v: number) => density(v, 1, units).split(' ')
  if (show === 'reactions')
    return (
      <div className="legend soft" aria-hidden>
        numbers: upward reactions; point at a support for all six
      </div>
    )
  const key = KEYS[show]
  if (key)
    return (
      <div className="legend soft" aria-hidden>
        {key.map(([color, words]) => (
          <span key={words}>
            <i style={{ background: color }} /> {words}
          </span>
        ))}
      </div>
    )
  return (
    <div className="legend soft" aria-hidden>
      {SHADES.find((s) => s.value === shade)!.label}
      {shade === 'density' ? `, ${perConcrete(0)[1]}` : ' used'}
      <svg width={(rings?.has('fails') ? 350 : 290) + (rings?.has('crowded') ? 70 : 0)} height={28}>
        {STEPS.map((s, i) => (
          <g key={s}>
            <rect x={i * 44} y={2} width={44} height={9} fill={`var(--u${i})`} />
            <text x={i * 44 + 44} y={23} textAnchor="middle">
              {shade === 'density' ? perConcrete(s * DENSEST)[0] : s.toFixed(2)}
            </text>
          </g>
        ))}
        <rect x={226} y={2} width={44} height={9} fill="url(#hatch)" />
        <text x={248} y={23} textAnchor="middle" className="over-ink">
          fails
        </text>
        {rings?.has('crowded') && (
          <g transform={`translate(${rings.has('fails') ? 76 : 0} 0)`}>
            <circle className="plan-joint crowded" cx={312} cy={6.5} r={5.5} strokeWidth={2} />
            <text x={312} y={23} textAnchor="middle">
              crowded joint
            </text>
          </g>
        )}
        {rings?.has('fails') && (
          <>
            <circle className="plan-joint" cx={312} cy={6.5} r={5.5} strokeWidth={2} />
            <text x={312} y={23} textAnchor="middle" className="over-ink">
              joint fails
            </text>
          </>
        )}
      </svg>
    </div>
  )
}
