import type { ColumnSketch, Envelope, SketchPreview } from '../../api/client'
import { force } from '../../lib/format'

const TOP = 56
const HEIGHT = 340
const WIDE = 132

/** The column with its ends, and axial force and moments over its height; local y of an upright member is global X. */
export function ColumnPicture({ sketch: s, preview }: { sketch: ColumnSketch; preview?: SketchPreview }) {
  const e = preview?.envelopes[0]
  const width = s.section.shape === 'circle' ? s.section.d : s.section.b || s.section.bw
  const w = Math.max(12, Math.min(60, (width * (s.units === 'US' ? 1 / 12 : 0.001) * HEIGHT) / s.height))
  const total = s.loads.reduce((a, l) => a + l.axial, 0)
  return (
    <svg width={640} height={TOP + HEIGHT + 54} role="img" aria-label="The column with its forces">
      <rect className="concrete" x={70 - w / 2} y={TOP} width={w} height={HEIGHT} />
      {total !== 0 && (
        <g className="load">
          <path d={`M70 ${TOP - 40} V${TOP - 3} m-4 -8 l4 8 l4 -8`} />
        </g>
      )}
      {s.head !== 'free' && <path className="support" d={`M${70 + w / 2} ${TOP} l13 -8 v16 z`} />}
      {s.head === 'fixed' && (
        <line className="zero" x1={70 - w / 2 - 8} x2={70 + w / 2 + 8} y1={TOP} y2={TOP} strokeWidth={3} />
      )}
      {s.foot === 'fixed' ? (
        <rect className="support" x={70 - w} y={TOP + HEIGHT} width={2 * w} height={8} />
      ) : (
        <path className="support" d={`M70 ${TOP + HEIGHT} l-9 13 h18 z`} />
      )}
      <text className="axis-text" x={70} y={TOP + HEIGHT + 34} textAnchor="middle">
        {s.height} {s.units === 'US' ? 'ft' : 'm'}
      </text>
      {e && (
        <>
          <Upright e={e} at={240} low={e.nLow} title={`N, ${preview!.forceUnit}`} />
          <Upright e={e} at={400} high={e.myHigh} low={e.myLow} title={`moment about X, ${preview!.momentUnit}`} />
          <Upright e={e} at={560} high={e.mzHigh} low={e.mzLow} title={`moment about Y, ${preview!.momentUnit}`} />
        </>
      )}
    </svg>
  )
}

/** An envelope over the height. */
function Upright({
  e,
  at,
  high,
  low,
  title,
}: {
  e: Envelope
  at: number
  high?: number[]
  low: number[]
  title: string
}) {
  const all = [...(high ?? []), ...low]
  const most = Math.max(...all.map(Math.abs), 1e-9)
  const length = e.x.at(-1) || 1
  const x = (v: number) => at + (v / most) * (WIDE / 2)
  const y = (v: number) => TOP + HEIGHT * (1 - v / length)
  const path = (v: number[]) => v.map((k, i) => `${x(k).toFixed(1)},${y(e.x[i]!).toFixed(1)}`).join(' ')
  const peaks = [...(high ? [[high, Math.max(...high)] as const] : []), [low, Math.min(...low)] as const].filter(
    ([, v]) => Math.abs(v) > 0.02 * most,
  )
  return (
    <g>
      <text className="axis-text" x={at} y={20} textAnchor="middle">
        {title}
      </text>
      {[high, low].map(
        (v, i) =>
          v && <polygon key={i} className="demand" points={`${path(v)} ${x(0)},${y(length)} ${x(0)},${y(0)}`} />,
      )}
      {[high, low].map((v, i) => v && <polyline key={i} className="edge" points={path(v)} />)}
      <line className="zero" x1={x(0)} x2={x(0)} y1={TOP} y2={TOP + HEIGHT} />
      {peaks.map(([v, k]) => (
        <text
          key={k}
          className="peak"
          x={x(k / 2)}
          y={y(e.x[v.indexOf(k)]!) + (v.indexOf(k) === 0 ? 15 : v.indexOf(k) === v.length - 1 ? -5 : -4)}
          textAnchor="middle"
        >
          {force(k)}
        </text>
      ))}
    </g>
  )
}
