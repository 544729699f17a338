import type { SchedulePage } from '../../api/client'
import { SheetView } from './SheetView'

/** Pixels of the screen for a millimetre of paper. */
const MILLIMETRE = 3.78

/** A shape that the rows name by its code, with the letters of its dimensions. */
function Shape({ shape }: { shape: SchedulePage['shapes'][number] }) {
  return (
    <svg viewBox="0 0 130 62" role="listitem" aria-label={`Shape ${shape.code}`}>
      <text x={4} y={14} className="shape-code">
        {shape.code}
      </text>
      {shape.lines.map((l, i) => (
        <polyline
          key={i}
          points={l.map((v, k) => (k % 2 ? 60 - v : 26 + v)).join(' ')}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.6}
        />
      ))}
      {shape.letters.map((l) => (
        <text key={l.text} x={26 + l.x} y={60 - l.y} textAnchor="middle" className="shape-letter">
          {l.text}
        </text>
      ))}
    </svg>
  )
}

/** A page of a schedule as it will be printed: shapes that its rows name, and sections beneath the marks. */
export function ScheduleTable({ page: p }: { page: SchedulePage }) {
  const sum = p.columns.reduce((a, c) => a + c.width, 0)
  // rows of a member belong together, as on paper: its mark stands once
  const together = ['mark', 'member'].includes(p.columns[0]?.name ?? '')
  const first = (row: number) => !together || row === 0 || p.rows[row - 1]![0] !== p.rows[row]![0]
  const rows = (row: number) => {
    let n = 1
    while (row + n < p.rows.length && !first(row + n)) n++
    return n
  }
  const picture = (mark: string) => {
    const drawn = p.pictures.find((d) => d.marks[0] === mark)
    return (
      drawn && (
        <div className="section-picture" style={{ width: drawn.width * MILLIMETRE }}>
          <SheetView sheet={drawn} label={`Section of ${mark}`} />
        </div>
      )
    )
  }
  return (
    <>
      {p.shapes.length > 0 && (
        <div className="shapes" role="list" aria-label="Shapes">
          {p.shapes.map((q) => (
            <Shape key={q.code} shape={q} />
          ))}
        </div>
      )}
      <table>
        <colgroup>
          {p.columns.map((c, i) => (
            <col key={i} style={{ width: `${(100 * c.width) / sum}%` }} />
          ))}
        </colgroup>
        <thead>
          <tr>
            {p.columns.map((c, i) =>
              c.name ? (
                <th key={i} className={c.numeric ? 'num' : ''}>
                  {c.name}
                </th>
              ) : (
                <td key={i} />
              ),
            )}
          </tr>
        </thead>
        <tbody>
          {p.rows.map((r, i) => (
            <tr key={i}>
              {first(i) && (
                <td rowSpan={rows(i)} className="of-rows">
                  {r[0]}
                  {picture(r[0]!)}
                </td>
              )}
              {r.slice(1).map((v, k) => (
                <td key={k} className={`${p.columns[k + 1]!.numeric ? 'num' : ''} ${v === 'fails' ? 'over-ink' : ''}`}>
                  {v}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}
