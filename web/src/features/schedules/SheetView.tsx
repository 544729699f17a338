import type { DrawingSheet } from '../../api/client'

/** Height of capitals in the type of drawings, to its size. */
const CAPITALS = 0.698

interface Props {
  sheet: DrawingSheet
  logo?: string
  /** Of its foot alone, so many millimetres. */
  foot?: number
  /** What it shows, where that is no sheet of several. */
  label?: string
}

/** A sheet of drawings to scale, as large as there is room. */
export function SheetView({ sheet: s, logo, foot, label }: Props) {
  const y = (v: number) => s.height - v
  const seen = foot ?? s.height
  return (
    <svg
      className="drawing-sheet"
      viewBox={`0 ${s.height - seen} ${s.width} ${seen}`}
      role="img"
      aria-label={label ?? `Sheet ${s.sheet} of ${s.sheets}: ${s.marks.join(', ')}`}
    >
      <rect width={s.width} height={s.height} className="paper-ground" />
      {s.lines.map((l) => (
        <path
          key={l.layer}
          d={path(l.xy, y)}
          strokeWidth={l.width}
          strokeDasharray={l.dashed ? '3 1.5' : undefined}
          className="ink-line"
        />
      ))}
      {s.discs.map((d, i) => (
        <circle
          key={i}
          cx={d.x}
          cy={y(d.y)}
          r={d.radius}
          strokeWidth={d.filled ? 0 : d.width}
          className={d.filled ? 'ink-fill' : 'ink-line'}
        />
      ))}
      {s.texts.map((t, i) => (
        <text
          key={i}
          x={t.x}
          y={y(t.y)}
          fontSize={t.height / CAPITALS}
          fontWeight={t.bold ? 600 : 400}
          textAnchor={t.align as 'start' | 'middle' | 'end'}
          className="ink-fill"
        >
          {t.text}
        </text>
      ))}
      {s.logo && logo && (
        <image href={logo} x={s.logo.x} y={y(s.logo.y + s.logo.height)} width={s.logo.width} height={s.logo.height} />
      )}
    </svg>
  )
}

function path(xy: number[], y: (v: number) => number): string {
  let d = ''
  for (let i = 0; i < xy.length; i += 4) d += `M${xy[i]} ${y(xy[i + 1]!)}L${xy[i + 2]} ${y(xy[i + 3]!)}`
  return d
}
