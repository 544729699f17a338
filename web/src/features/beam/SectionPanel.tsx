import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api, type SectionsTried, type State } from '../../api/client'
import { massIn, volumeIn } from '../../lib/units'
import { ErrorView } from '../../ui/ErrorView'
import { useUnits } from '../../ui/useUnits'
import { useEdit } from '../edit/useEdit'

const SHOWN = 8

/** What a section costs against the present one. */
const cheaper = (cost: number, present: number) =>
  cost <= present
    ? `costs ${(100 * (1 - cost / present)).toFixed(0)} % less`
    : `costs ${(100 * (cost / present - 1)).toFixed(0)} % more, but is used as the basis wishes`

type Tried = SectionsTried['options'][number]

/** What the best of the sections tried says about the present one. */
function verdict(best: Tried, present: Tried): string {
  if (!best.satisfied) return 'None of the sections tried satisfies everything.'
  if (!best.present)
    return `${best.label} satisfies everything${present.satisfied ? ` and ${cheaper(best.cost, present.cost)}` : ''}.`
  return best.inBand
    ? 'The present section is the cheapest in the band of use of the basis.'
    : 'The present section is the cheapest that satisfies everything; none lies in the band of use of the basis.'
}

/** Other sections for a line, or for a lift of a column, each designed for the forces as they are; one action puts one in force and analyses again. */
export function SectionPanel({ id, mark, lift, state }: { id: string; mark: string; lift?: number; state?: State }) {
  const [open, setOpen] = useState(false)
  const navigate = useNavigate()
  const units = useUnits()
  const q = useQuery({
    queryKey: ['project', id, 'sections', mark, lift],
    enabled: open,
    queryFn: ({ signal }) => api.sections(id, mark, lift, signal),
  })
  const edit = useEdit(
    id,
    state,
    (row, from) =>
      void navigate(
        `/p/${id}/results?view=3d&show=change&from=${from}&to=${row.version}&sel=${encodeURIComponent(mark)}`,
      ),
  )
  const all = q.data?.options ?? []
  const present = all.find((o) => o.present)
  const rows = all.filter((o, i) => i < SHOWN || o.present)
  const best = all[0]
  return (
    <section aria-label="Sections">
      <h2>Another section</h2>
      {!open && (
        <Button size="small" onClick={() => setOpen(true)}>
          Try other sections
        </Button>
      )}
      {open && q.isPending && <p className="soft">Designing with every section worth a try…</p>}
      {q.isError && <ErrorView error={q.error} />}
      {q.data && all.length === 0 && (
        <p className="soft">{q.data.why || 'The limits of the basis leave no other section.'}</p>
      )}
      {present && best && (
        <>
          <p className="soft">
            {verdict(best, present)} With the forces as they are; cost as{' '}
            {units.us
              ? 'lb of steel, 1 yd³ of concrete for 202, 1 ft² of formwork for 6.1'
              : 'kg of steel, 1 m³ of concrete for 120, 1 m² of formwork for 30'}
            .
          </p>
          <table className="plain">
            <thead>
              <tr>
                <th>section</th>
                <th className="num" title="Largest use of a strength">
                  use
                </th>
                <th className="num">{units.mass}</th>
                <th className="num">{units.volume}</th>
                <th className="num">cost</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {rows.map((o) => (
                <tr key={`${o.label}${o.inProject}`} aria-selected={o.present}>
                  <td>
                    {o.label}
                    <span className="soft">
                      {!o.inProject && ' new'} {o.where}
                    </span>
                  </td>
                  <td
                    className={o.satisfied ? (o.inBand ? 'num in-band' : 'num soft') : 'num over-ink'}
                    title={o.inBand ? 'in the band of use that the basis aims at' : undefined}
                  >
                    {o.strength.toFixed(2)}
                    {!o.satisfied && ' fails'}
                  </td>
                  <td className="num">{massIn(o.steelKg, units).toFixed(0)}</td>
                  <td className="num">{volumeIn(o.concreteM3, units).toFixed(1)}</td>
                  <td className="num">{massIn(o.cost, units).toFixed(0)}</td>
                  <td>
                    {!o.present && (
                      <Button
                        size="small"
                        type="text"
                        loading={edit.isPending}
                        aria-label={`Take ${o.label}`}
                        onClick={() => edit.mutate({ edits: o.edits })}
                      >
                        take
                      </Button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </section>
  )
}
