import { useState } from 'react'
import type { Envelope } from '../../api/client'
import { force } from '../../lib/format'

interface Props {
  envelopes: Envelope[]
  high: (e: Envelope) => number[]
  low: (e: Envelope) => number[]
  /** screen x of a place */
  x: (v: number) => number
  width: number
  height: number
  /** 1 draws positive values upwards, −1 downwards (bending on the tension side) */
  sign: 1 | -1
  title: string
  unit: string
}

/** An envelope over the whole beam, filled, with peaks and the values under the cursor. */
export function Envelopes(p: Props) {
  const [at, setAt] = useState<number>()
  const all = p.envelopes.flatMap((e) => [...p.high(e), ...p.low(e)])
  const top = Math.max(0, ...all.map((v) => v * p.sign))
  const bottom = Math.min(0, ...all.map((v) => v * p.sign))
  const scale = (p.height - 54) / (top - bottom || 1)
  const y = (v: number) => 36 + (top - v * p.sign) * scale
  const points = (e: Envelope, v: number[]) =>
    e.x.map((x, i) => `${p.x(x).toFixed(1)},${y(v[i]!).toFixed(1)}`).join(' ')
  const near = at === undefined ? undefined : nearest(p.envelopes, at, p.x)
  return (
    <svg
      width={p.width}
      height={p.height}
      role="img"
      aria-label={p.title}
      onMouseMove={(e) => setAt(e.nativeEvent.offsetX)}
      onMouseLeave={() => setAt(undefined)}
    >
      <text className="axis-text" x={8} y={14}>
        {p.title}, {p.unit}
        {near &&
          ` — ${force(p.high(near.e)[near.i]!)} and ${force(p.low(near.e)[near.i]!)} at ${near.e.x[near.i]!.toFixed(2)}`}
      </text>
      {p.envelopes.map((e) => {
        const zero = `${p.x(e.x.at(-1)!).toFixed(1)},${y(0).toFixed(1)} ${p.x(e.x[0]!).toFixed(1)},${y(0).toFixed(1)}`
        return (
          <g key={e.member}>
            <polygon className="demand" points={`${points(e, p.high(e))} ${zero}`} />
            <polygon className="demand" points={`${points(e, p.low(e))} ${zero}`} />
            <polyline className="edge" points={points(e, p.high(e))} />
            <polyline className="edge" points={points(e, p.low(e))} />
            <Peak e={e} v={p.high(e)} best={Math.max} x={p.x} y={y} below={p.sign < 0} />
            <Peak e={e} v={p.low(e)} best={Math.min} x={p.x} y={y} below={p.sign > 0} />
          </g>
        )
      })}
      <line
        className="zero"
        x1={p.x(p.envelopes[0]?.x[0] ?? 0)}
        x2={p.x(p.envelopes.at(-1)?.x.at(-1) ?? 0)}
        y1={y(0)}
        y2={y(0)}
      />
      {near && <line className="ray" x1={p.x(near.e.x[near.i]!)} x2={p.x(near.e.x[near.i]!)} y1={20} y2={p.height} />}
    </svg>
  )
}

function Peak({
  e,
  v,
  best,
  x,
  y,
  below,
}: {
  e: Envelope
  v: number[]
  best: (...n: number[]) => number
  x: (v: number) => number
  y: (v: number) => number
  below: boolean
}) {
  const value = best(...v)
  if (Math.abs(value) < 0.5) return null
  const i = v.indexOf(value)
  const first = e.x[0]!
  const anchor = x(e.x[i]!) - x(first) < 24 ? 'start' : x(e.x.at(-1)!) - x(e.x[i]!) < 24 ? 'end' : 'middle'
  return (
    <text className="peak" x={x(e.x[i]!)} y={y(value) + (below ? 12 : -4)} textAnchor={anchor}>
      {force(value)}
    </text>
  )
}

function nearest(list: Envelope[], at: number, x: (v: number) => number) {
  let best: { e: Envelope; i: number; d: number } | undefined
  for (const e of list)
    e.x.forEach((v, i) => {
      const d = Math.abs(x(v) - at)
      if (!best || d < best.d) best = { e, i, d }
    })
  return best
}
