import { useQuery } from '@tanstack/react-query'
import { Button, Popover } from 'antd'
import { useState } from 'react'
import { api, type Arrangements, type Column, type HandLifts, type Lift } from '../../api/client'
import { utilisation } from '../../lib/format'
import { lengthIn, massIn, type Units } from '../../lib/units'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { withLift } from './lifts'

interface Props {
  id: string
  column: Column
  lift: Lift
  units: Units
  onTry: (h: HandLifts) => void
  onLetGo: () => void
  onSave: (h: HandLifts) => void
}

/** Other bars that would bear what the lift bears: pointing at one shows the column with it, a click sets it by hand. */
export function BarOptions(p: Props) {
  const [open, setOpen] = useState(false)
  return (
    <Popover
      trigger="click"
      open={open}
      placement="bottomRight"
      destroyOnHidden
      content={<Options {...p} onDone={() => setOpen(false)} />}
      onOpenChange={(o) => {
        setOpen(o)
        if (!o) p.onLetGo()
      }}
    >
      <Button size="small" type="text">
        Others?
      </Button>
    </Popover>
  )
}

function Options(p: Props & { onDone: () => void }) {
  const { id, column, lift, units } = p
  const q = useQuery({
    queryKey: ['project', id, 'arrangements', column.mark, lift.number],
    queryFn: ({ signal }) => api.arrangements(id, column.mark, lift.number, signal),
  })
  if (q.isError) return <ErrorView error={q.error} onRetry={() => void q.refetch()} />
  if (!q.data) return <Loading words="Looking for other bars" />
  if (q.data.options.length === 0)
    return <p className="soft">No bars of the allowed sizes bear what this lift bears: make the section larger.</p>
  const set = (o: Arrangements['options'][number]) => withLift(column, lift.number, o.hand)
  return (
    <div className="weighed">
      <p className="soft">The first of each number of bars that bears the loads; ties follow.</p>
      <table className="plain">
        <thead>
          <tr>
            <th>bars</th>
            <th className="num">{units.mass}/m</th>
            <th className="num">clear, {units.length}</th>
            <th className="num">util.</th>
          </tr>
        </thead>
        <tbody onMouseLeave={p.onLetGo}>
          {q.data.options.map((o) => (
            <tr
              key={o.bars + o.clearMm}
              aria-selected={o.present}
              onMouseEnter={() => (o.present ? p.onLetGo() : p.onTry(set(o)))}
            >
              <td>
                <button
                  type="button"
                  className="row-button"
                  disabled={o.present}
                  onClick={() => {
                    p.onDone()
                    p.onSave(set(o))
                  }}
                >
                  {o.bars}
                </button>
                {o.present && <span className="soft"> as it is</span>}
              </td>
              <td className="num">{massIn(o.kgPerM, units).toFixed(1)}</td>
              <td className="num">{lengthIn(o.clearMm, units).toFixed(units.us ? 2 : 0)}</td>
              <td className="num">{utilisation(o.utilisation)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
