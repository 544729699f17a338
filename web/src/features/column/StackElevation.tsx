import type { Column, Lift } from '../../api/client'
import { rampColor } from '../../drawing/ramp'
import { utilisation } from '../../lib/format'

const HEIGHT = 600
/** Checks of the joint at a lift's head. */
const OF_JOINT = /^(joint-shear|strong-column|joint-depth|joint-deep)/

/** The joint at the head of a lift of a ductile frame, shaded by what is used of it. */
function Joint({
  lift,
  x,
  y,
  width,
  onChoose,
}: {
  lift: Lift
  x: number
  y: number
  width: number
  onChoose: () => void
}) {
  const checks = lift.checks.filter((c) => OF_JOINT.test(c.kind))
  if (checks.length === 0) return null
  const worst = checks.reduce((a, b) => (b.utilisation > a.utilisation ? b : a))
  return (
    <rect
      className="joint-mark"
      x={x - width / 2 - 4}
      y={y - 6}
      width={width + 8}
      height={12}
      onClick={onChoose}
      fill={worst.satisfied ? rampColor(worst.utilisation) : 'url(#hatch)'}
    >
      <title>
        {`Joint at ${lift.storey || 'the top'}: ${checks.map((c) => `${c.title} ${utilisation(c.utilisation)}`).join(', ')}`}
      </title>
    </rect>
  )
}

/** The stack in elevation: each lift's utilisation and bars. */
export function StackElevation(p: { column: Column; chosen: number; onChoose: (n: number) => void }) {
  const lifts = p.column.lifts
  const base = lifts[0]!.base
  const top = lifts[lifts.length - 1]!.top
  const k = (HEIGHT - 50) / (top - base)
  const widest = Math.max(...lifts.map((l) => l.section.width))
  const y = (z: number) => 24 + (top - z) * k
  return (
    <div className="stack" role="group" aria-label="Lifts">
      <svg width={172} height={HEIGHT}>
        {lifts.map((l) => {
          const w = (l.section.width / widest) * 44
          const on = l.number === p.chosen
          return (
            <g
              key={l.number}
              className="lift"
              onClick={() => p.onChoose(l.number)}
              tabIndex={0}
              role="button"
              aria-pressed={on}
              onKeyDown={(e) => e.key === 'Enter' && p.onChoose(l.number)}
            >
              <title>{`Lift to ${l.storey}, utilisation ${utilisation(l.utilisation)}`}</title>
              <rect
                x={0}
                y={y(l.top)}
                width={172}
                height={y(l.base) - y(l.top)}
                fill={on ? 'var(--accent-soft)' : 'transparent'}
              />
              <rect
                x={62 - w / 2}
                y={y(l.top)}
                width={w}
                height={y(l.base) - y(l.top)}
                fill={l.satisfied ? rampColor(l.utilisation) : 'url(#hatch)'}
                stroke="var(--ink)"
                strokeWidth={on ? 2 : 1}
              />
              {on &&
                l.tie.places.map((z) => (
                  <line
                    key={z}
                    x1={62 - w / 2 + 3}
                    x2={62 + w / 2 - 3}
                    y1={y(l.base + z)}
                    y2={y(l.base + z)}
                    className="stack-tie"
                  />
                ))}
              <line x1={0} x2={172} y1={y(l.top)} y2={y(l.top)} stroke="var(--hairline)" />
              <text aria-hidden x={8} y={y(l.top) + 13} className="axis-text">
                {l.storey}
              </text>
              <text
                aria-hidden
                x={98}
                y={(y(l.top) + y(l.base)) / 2 - 1}
                className={l.satisfied ? 'stack-util' : 'stack-util over'}
              >
                {utilisation(l.utilisation)}
              </text>
              <text aria-hidden x={98} y={(y(l.top) + y(l.base)) / 2 + 13} className="axis-text">
                {l.bars}
              </text>
            </g>
          )
        })}
        {lifts.map((l) => (
          <Joint
            key={l.number}
            lift={l}
            x={62}
            y={y(l.top)}
            width={(l.section.width / widest) * 44}
            onChoose={() => p.onChoose(l.number)}
          />
        ))}
      </svg>
    </div>
  )
}
