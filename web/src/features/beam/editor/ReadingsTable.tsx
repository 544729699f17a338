import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, type Beam } from '../../../api/client'
import { force } from '../../../lib/format'
import { distanceIn, forceIn, momentIn, type Units } from '../../../lib/units'

type Column = 'moment' | 'shear' | 'torque' | 'axial'
const COLUMNS: { key: Column; words: string; moment: boolean }[] = [
  { key: 'moment', words: 'M', moment: true },
  { key: 'shear', words: 'V', moment: false },
  { key: 'torque', words: 'T', moment: true },
  { key: 'axial', words: 'N', moment: false },
]

/** Forces of every combination at the station of the calculation, largest first in the column that is picked. */
export function ReadingsTable({ id, beam, station, units }: { id: string; beam: Beam; station: number; units: Units }) {
  const [open, setOpen] = useState(false)
  const [by, setBy] = useState<Column>('moment')
  const q = useQuery({
    queryKey: ['project', id, 'readings', beam.mark, station],
    enabled: open,
    queryFn: ({ signal }) => api.readings(id, beam.mark, station, signal),
  })
  const rows = [...(q.data?.readings ?? [])].sort((a, b) => Math.abs(b[by]) - Math.abs(a[by]))
  return (
    <details onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>
        Every combination at {distanceIn(beam.points[station]!.x, units).toFixed(2)} {units.distance}
      </summary>
      <table className="plain readings">
        <thead>
          <tr>
            <th>combination</th>
            {COLUMNS.map((c) => (
              <th key={c.key} className="num" aria-sort={by === c.key ? 'descending' : undefined}>
                <button type="button" onClick={() => setBy(c.key)} title="Largest first">
                  {c.words}, {c.moment ? units.moment : units.force}
                  {by === c.key ? ' ▾' : ''}
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.combination}>
              <td>{r.combination}</td>
              {COLUMNS.map((c) => (
                <td key={c.key} className="num">
                  {force(c.moment ? momentIn(r[c.key], units) : forceIn(r[c.key], units))}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  )
}
