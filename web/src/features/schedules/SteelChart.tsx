import { useQuery } from '@tanstack/react-query'
import { api } from '../../api/client'
import { massIn } from '../../lib/units'
import { ErrorView } from '../../ui/ErrorView'
import { useUnits } from '../../ui/useUnits'

/** What fills a part, the same as on paper: a ground, and lines at angles so far apart. Neighbours are unlike in ground or in direction. */
const PATTERNS: { ground: string; apart?: number; angles?: number[] }[] = [
  { ground: '#fff' },
  { ground: '#fff', apart: 3, angles: [45] },
  { ground: '#c4c4c4' },
  { ground: '#fff', apart: 3, angles: [135] },
  { ground: '#4a4a4a' },
  { ground: '#fff', apart: 3.4, angles: [45, 135] },
  { ground: '#fff', apart: 2.6, angles: [90] },
  { ground: '#8c8c8c' },
  { ground: '#fff', apart: 2.6, angles: [0] },
  { ground: '#fff', apart: 3.2, angles: [0, 90] },
  { ground: '#c4c4c4', apart: 3, angles: [45] },
]
const ROW = 22
const BAR = 14
const NAME = 76
const SUM = 84
const WIDE = 880

const fill = (size: number) => `url(#steel-${size % PATTERNS.length})`

/** Steel of every storey as a bar, the highest on top, parted by size of bar; patterns tell the sizes apart in black and white. */
export function SteelChart({ id }: { id: string }) {
  const units = useUnits()
  const q = useQuery({ queryKey: ['project', id, 'steel'], queryFn: ({ signal }) => api.steel(id, signal) })
  if (q.isError) return <ErrorView error={q.error} onRetry={() => void q.refetch()} />
  if (!q.data || q.data.storeys.length === 0) return null
  const { sizes, storeys } = q.data
  const sum = (kg: number[]) => kg.reduce((a, b) => a + b, 0)
  const scale = (WIDE - NAME - SUM) / Math.max(...storeys.map((s) => sum(s.kg)), 1)
  const rows = [...storeys].reverse()
  return (
    <figure className="steel-chart">
      <h2>Steel by storey and size</h2>
      <svg
        viewBox={`0 0 ${WIDE} ${ROW * (rows.length + 1)}`}
        role="img"
        aria-label="Steel of every storey by size of bar"
      >
        <defs>
          {PATTERNS.map((p, i) => (
            <Pattern key={i} number={i} {...p} />
          ))}
        </defs>
        {sizes.map((size, i) => (
          <g key={size} transform={`translate(${NAME + 72 * i} 2)`}>
            <rect width={26} height={BAR} fill={fill(i)} />
            <text x={32} y={BAR - 3}>
              {size}
            </text>
          </g>
        ))}
        {rows.map((s, k) => {
          const from = s.kg.map((_, i) => NAME + scale * sum(s.kg.slice(0, i)))
          return (
            <g key={s.storey} transform={`translate(0 ${ROW * (k + 1) + 2})`}>
              <text className="strong" x={0} y={BAR - 3}>
                {s.storey || 'none'}
              </text>
              {s.kg.map(
                (kg, i) =>
                  kg > 0 && (
                    <rect key={sizes[i]} x={from[i]} width={scale * kg} height={BAR} fill={fill(i)}>
                      <title>{`${s.storey || 'none'}, ${sizes[i]}: ${massIn(kg, units).toFixed(0)} ${units.mass}`}</title>
                    </rect>
                  ),
              )}
              <text className="soft" x={NAME + scale * sum(s.kg) + 8} y={BAR - 3}>
                {massIn(sum(s.kg), units).toFixed(0)} {units.mass}
              </text>
            </g>
          )
        })}
      </svg>
    </figure>
  )
}

function Pattern({
  number,
  ground,
  apart = 8,
  angles = [],
}: {
  number: number
  ground: string
  apart?: number
  angles?: number[]
}) {
  const a = 2 * apart
  return (
    <pattern
      id={`steel-${number}`}
      width={a}
      height={a}
      patternUnits="userSpaceOnUse"
      patternTransform={`rotate(${angles[0] ?? 0})`}
    >
      <rect width={a} height={a} fill={ground} />
      {angles.map((angle, i) => (
        // the pattern is turned by the first of them
        <path key={angle} d={i === 0 ? `M0 ${a / 2}H${a}` : `M${a / 2} 0V${a}`} stroke="#222" strokeWidth={0.8} />
      ))}
    </pattern>
  )
}
