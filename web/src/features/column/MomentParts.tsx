import type { Curves } from '../../api/client'
import { type Chained, chainOf } from '../../drawing/columnScene'
import { force } from '../../lib/format'
import { momentIn, type Units } from '../../lib/units'

/** What each part is, and what a junior should know of it. */
const WORDS: Record<string, [string, string]> = {
  sustained: ['sustained', 'First order, from dead load and whatever else stays: creep grows with it.'],
  others: ['other loads', 'First order, from all other load cases of the combination.'],
  othersWithPDelta: [
    'other loads and P-Delta',
    'From all other load cases of the combination, with the second order that the P-Delta of the analysis has put into the forces.',
  ],
  eccentricity: [
    'eccentricity',
    'Imperfection of the lift, or the least eccentricity of its axial force that the code asks for.',
  ],
  secondOrder: [
    'second order',
    'What is added for sidesway of the storey and for the bow of the lift between its ends.',
  ],
}

/** Arrows that lead from nothing to the moment of a demand, part by part. @param at where a moment is on the paper; parts one after the other may lie on one line, then in lanes */
export function PartArrows({
  parts,
  at,
}: {
  parts: Curves['parts']
  at: (q: Chained['to'], lane: number) => [number, number]
}) {
  return chainOf(parts).map((c, i) => {
    const [x1, y1] = at(c.from, i)
    const [x2, y2] = at(c.to, i)
    const long = Math.hypot(x2 - x1, y2 - y1)
    if (long < 1) return null
    const [ux, uy] = [(x2 - x1) / long, (y2 - y1) / long]
    const tip = Math.min(6, long)
    const across = tip / 2
    const corner = (s: number) => `${x2 - tip * ux - s * across * uy},${y2 - tip * uy + s * across * ux}`
    return (
      <g key={c.kind} className={`part ${c.kind}`}>
        <title>{WORDS[c.kind]![0]}</title>
        <line x1={x1} y1={y1} x2={x2 - (tip / 2) * ux} y2={y2 - (tip / 2) * uy} />
        <polygon points={`${x2},${y2} ${corner(1)} ${corner(-1)}`} />
      </g>
    )
  })
}

/** The same in figures: what the moments of a combination are made of. */
export function PartTable({ parts, units }: { parts: Curves['parts']; units: Units }) {
  if (parts.length === 0) return null
  const value = (v: number) => force(momentIn(v, units))
  const sum = (of: 'mx' | 'my') => parts.reduce((s, q) => s + q[of], 0)
  return (
    <table className="plain moment-parts">
      <caption>What the moments are made of</caption>
      <thead>
        <tr>
          <td />
          <th className="num">Mx, {units.moment}</th>
          <th className="num">My, {units.moment}</th>
        </tr>
      </thead>
      <tbody>
        {parts.map((q) => (
          <tr key={q.kind} title={WORDS[q.kind]![1]}>
            <th scope="row">
              <svg width={22} height={8} aria-hidden className={`part ${q.kind}`}>
                <line x1={1} x2={21} y1={4} y2={4} />
              </svg>
              {WORDS[q.kind]![0]}
            </th>
            <td className="num">{value(q.mx)}</td>
            <td className="num">{value(q.my)}</td>
          </tr>
        ))}
        <tr>
          <th scope="row">together</th>
          <td className="num">
            <b>{value(sum('mx'))}</b>
          </td>
          <td className="num">
            <b>{value(sum('my'))}</b>
          </td>
        </tr>
      </tbody>
    </table>
  )
}
