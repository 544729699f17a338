import { STEPS } from '../../drawing/ramp'

/** Key of the utilisation ramp. */
export function Legend() {
  return (
    <div className="legend soft" aria-hidden>
      utilisation
      <svg width={290} height={28}>
        {STEPS.map((s, i) => (
          <g key={s}>
            <rect x={i * 44} y={2} width={44} height={9} fill={`var(--u${i})`} />
            <text x={i * 44 + 44} y={23} textAnchor="middle">{s.toFixed(2)}</text>
          </g>
        ))}
        <rect x={226} y={2} width={44} height={9} fill="url(#hatch)" />
        <text x={248} y={23} textAnchor="middle" className="over-ink">over</text>
      </svg>
    </div>
  )
}
