import { useQuery } from '@tanstack/react-query'
import { api, type Beam, type Column } from '../../api/client'
import { axisOf } from '../../drawing/beamScene'
import { utilisation } from '../../lib/format'
import { lengthIn, type Units } from '../../lib/units'
import { Loading } from '../../ui/Loading'

const WIDTH = 520
const TOP = 14
const DEPTH = 54

/** The cage of a type, as it lies in the member that governs. */
export function CagePreview({ id, mark, units }: { id: string; mark: string; units: Units }) {
  const q = useQuery({
    queryKey: ['project', id, 'member', mark],
    queryFn: ({ signal }) => api.member(id, mark, signal),
  })
  if (q.isError) return null
  if (!q.data) return <Loading words="Drawing the cage" />
  if (q.data.beam) return <BeamCage beam={q.data.beam} units={units} />
  return q.data.column ? <ColumnCage column={q.data.column} /> : null
}

function BeamCage({ beam, units }: { beam: Beam; units: Units }) {
  const axis = axisOf(beam, WIDTH, 8)
  const deepest = Math.max(...beam.spans.map((s) => s.section.depth))
  const k = DEPTH / deepest
  const level = (face: string, offset: number, span: number) =>
    face === 'top'
      ? TOP + Math.max(4, offset * k)
      : TOP + (beam.spans[span]?.section.depth ?? deepest) * k - Math.max(4, offset * k)
  return (
    <svg
      className="cage-preview"
      viewBox={`0 0 ${WIDTH} ${TOP + DEPTH + 26}`}
      role="img"
      aria-label={`Cage as in ${beam.mark}`}
    >
      {beam.spans.map((s) => (
        <rect
          key={s.number}
          className="concrete"
          x={axis.x(s.from)}
          y={TOP}
          width={axis.x(s.to) - axis.x(s.from)}
          height={s.section.depth * k}
        />
      ))}
      {beam.supports.map((s, i) => {
        const w = Math.max(3, axis.x(s.x + s.depth / 2) - axis.x(s.x - s.depth / 2))
        return (
          s.kind !== 'free' && (
            <rect
              key={i}
              className="support"
              x={axis.x(s.x) - w / 2}
              y={TOP}
              width={w}
              height={DEPTH + 10}
              opacity={0.6}
            />
          )
        )
      })}
      {beam.zones.map((z, i) => {
        const depth = (beam.spans[z.span]?.section.depth ?? deepest) * k
        const n = Math.max(1, Math.min(60, Math.round((z.to - z.from) / z.spacing)))
        return (
          <g key={i}>
            {Array.from({ length: n }, (_, j) => z.from + ((j + 0.5) * (z.to - z.from)) / n).map((x) => (
              <line key={x} className="stirrup" x1={axis.x(x)} x2={axis.x(x)} y1={TOP + 3} y2={TOP + depth - 3} />
            ))}
          </g>
        )
      })}
      {beam.groups.map((g, i) => {
        const span = beam.spans.findIndex((s) => g.from < s.to)
        const y = level(g.face, g.offset, span < 0 ? beam.spans.length - 1 : span)
        return (
          <line
            key={i}
            className="bar"
            x1={axis.x(g.from)}
            x2={axis.x(g.to)}
            y1={y}
            y2={y}
            strokeWidth={Math.max(1.4, g.diameter / 11)}
          >
            <title>{`${g.count} ${g.size}, ${g.face}`}</title>
          </line>
        )
      })}
      {words(beam, units).map((w) => (
        <text key={w.x} className="axis-text" x={axis.x(w.x)} y={TOP + DEPTH + 22} textAnchor="middle">
          {w.text}
        </text>
      ))}
    </svg>
  )
}

/** Stirrups of every span in words, as far as there is room for them. */
function words(beam: Beam, units: Units) {
  const few = beam.spans.length <= 4
  return beam.spans.map((s) => {
    const zones = beam.zones.filter((z) => z.span === s.number)
    const text = few
      ? zones
          .map((z) => `${z.size}-${+lengthIn(z.spacing, units).toFixed(units.us ? 1 : 0)}`)
          .filter((t, i, a) => t !== a[i - 1])
          .join(' | ')
      : ''
    return { x: (s.from + s.to) / 2, text }
  })
}

function ColumnCage({ column }: { column: Column }) {
  return (
    <table className="plain">
      <thead>
        <tr>
          <th>lift to</th>
          <th>section</th>
          <th>bars</th>
          <th>ties</th>
          <th className="num">util.</th>
        </tr>
      </thead>
      <tbody>
        {[...column.lifts].reverse().map((l) => (
          <tr key={l.number}>
            <td>
              <b>{l.storey}</b>
            </td>
            <td>{l.section.label}</td>
            <td>{l.bars}</td>
            <td>{l.ties}</td>
            <td className={l.satisfied ? 'num' : 'num over-ink'}>{utilisation(l.utilisation)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
