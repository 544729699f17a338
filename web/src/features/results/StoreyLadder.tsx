import type { Rung } from '../../api/client'
import { isOver } from '../../lib/format'
import { rampColor } from '../../drawing/ramp'
import { distanceIn } from '../../lib/units'
import { useUnits } from '../../ui/useUnits'

const W = 124
const H = 22
const SCALE = 1.3

/** One rung a storey from roof to foundation: a small distribution of utilisations, and how many fail. */
export function StoreyLadder(p: { rungs: Rung[]; chosen?: string; onChoose: (name: string | undefined) => void }) {
  const units = useUnits()
  return (
    <section className="ladder" aria-label="Storeys">
      {p.rungs.map((r) => {
        const name = r.name.replace(/ /g, '')
        const on = name === p.chosen
        return (
          <button
            key={r.id}
            type="button"
            className="rung"
            aria-pressed={on}
            onClick={() => p.onChoose(on ? undefined : name)}
            title={on ? 'Show all storeys' : `Narrow to ${r.name}`}
          >
            <span className="rung-name">
              <b>{r.name}</b>
              <span className="rung-fails">{r.fails > 0 ? `${r.fails} fail` : ''}</span>
              <span className="soft">
                {r.elevationM >= 0 ? '+' : ''}
                {distanceIn(1000 * r.elevationM, units).toFixed(2)}
              </span>
            </span>
            <Swarm values={r.utilisations} />
          </button>
        )
      })}
    </section>
  )
}

/** Dots by utilisation, stacked deterministically; a line at 1.00. */
function Swarm({ values }: { values: number[] }) {
  const seen = new Map<number, number>()
  return (
    <svg width={W} height={H} aria-hidden>
      {[...values]
        .sort((a, b) => a - b)
        .map((u, i) => {
          const bin = Math.round((Math.min(u, SCALE) / SCALE) * (W / 3.2))
          const n = seen.get(bin) ?? 0
          seen.set(bin, n + 1)
          const side = n % 2 === 0 ? -1 : 1
          const y = H / 2 + side * Math.ceil(n / 2) * 2.3
          if (y < 1 || y > H - 1) return null
          return (
            <rect
              key={i}
              x={bin * 3.2}
              y={y - 1}
              width={2}
              height={2}
              fill={isOver(u) ? 'var(--over)' : rampColor(u)}
            />
          )
        })}
      <line x1={W / SCALE + 1.5} x2={W / SCALE + 1.5} y1={0} y2={H} stroke="var(--ink-soft)" strokeWidth={1} />
    </svg>
  )
}
