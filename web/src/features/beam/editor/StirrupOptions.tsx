import { useQuery } from '@tanstack/react-query'
import { Button, Popover } from 'antd'
import { useState } from 'react'
import { api, type Beam, type Hand } from '../../../api/client'
import { lengthIn, massIn, type Units } from '../../../lib/units'

/** Every arrangement of stirrups that was weighed for a span, and why the others lost; any of them can be taken by hand. */
export function StirrupOptions({
  id,
  beam,
  span,
  units,
  onSave,
}: {
  id: string
  beam: Beam
  span: number
  units: Units
  onSave: (h: Hand) => void
}) {
  const [open, setOpen] = useState(false)
  const q = useQuery({
    queryKey: ['project', id, 'stirrups', beam.mark, span],
    enabled: open,
    queryFn: ({ signal }) => api.stirrups(id, beam.mark, span, signal),
  })
  const take = (i: number) => {
    const o = q.data!.options[i]!
    onSave({
      ...beam.hand,
      stirrups: {
        ...beam.hand.stirrups,
        [span]: o.from.map((from, k) => ({ from, size: o.size, legs: o.legs, spacing: o.spacing[k]! })),
      },
    })
    setOpen(false)
  }
  const table = (
    <div className="weighed" onClick={(e) => e.stopPropagation()}>
      <p className="soft">
        Weighed for this span: what can be built first, then least mass (within 2 % alike), then fewest zones, then
        fewest pieces.
      </p>
      <table className="plain">
        <thead>
          <tr>
            <th>stirrups</th>
            <th className="num">legs</th>
            <th>spacing, {units.length}</th>
            <th className="num">{units.mass}</th>
            <th className="num">pieces</th>
            <th>why not</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {q.data?.options.map((o, i) => (
            <tr key={`${o.size}-${o.legs}`}>
              <td>{o.size}</td>
              <td className="num">{o.legs}</td>
              <td>{o.spacing.map((s) => +lengthIn(s, units).toFixed(units.us ? 1 : 0)).join(' / ')}</td>
              <td className="num">{massIn(o.massKg, units).toFixed(1)}</td>
              <td className="num">{o.pieces}</td>
              <td className={o.practical ? '' : 'over-ink'}>{o.lost || <b>the best</b>}</td>
              <td>
                <Button size="small" type="text" onClick={() => take(i)}>
                  use
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
  return (
    <Popover trigger="click" open={open} onOpenChange={setOpen} content={table} placement="bottomLeft">
      <Button size="small" onClick={(e) => e.stopPropagation()}>
        Why these?
      </Button>
    </Popover>
  )
}
