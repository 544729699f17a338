import { isOver, utilisation } from '../lib/format'
import { rampColor } from '../drawing/ramp'

const SCALE = 1.25

/** A bar to a scale of 1.25 with a tick at 1.00; over it, hatched. */
export function UtilisationBar({
  value,
  satisfied,
  widthPx = 70,
}: {
  value: number
  satisfied: boolean
  widthPx?: number
}) {
  const over = isOver(value) || !satisfied
  const length = (Math.min(value, SCALE) / SCALE) * widthPx
  return (
    <svg width={widthPx} height={10} role="img" aria-label={`utilisation ${utilisation(value)}`} className="ubar">
      <rect width={widthPx} height={7} y={1.5} rx={1.5} fill="var(--rail)" />
      <rect width={length} height={7} y={1.5} rx={1.5} fill={over ? 'url(#hatch)' : rampColor(value)} />
      <line x1={widthPx / SCALE} x2={widthPx / SCALE} y1={0} y2={10} stroke="var(--ink)" />
    </svg>
  )
}

/** The hatch that every drawing uses for what is over; rendered once. */
export function HatchDefs() {
  return (
    <svg width={0} height={0} style={{ position: 'absolute' }} aria-hidden>
      <defs>
        <pattern id="hatch" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={6} height={6} fill="var(--over-soft)" />
          <rect width={3.4} height={6} fill="var(--over)" />
        </pattern>
        <pattern id="dots" width={4} height={4} patternUnits="userSpaceOnUse">
          <rect width={4} height={4} fill="var(--panel)" />
          <circle cx={2} cy={2} r={0.9} fill="var(--ink)" />
        </pattern>
      </defs>
    </svg>
  )
}
