import { App, Button, Tooltip } from 'antd'
import { useNavigate } from 'react-router'
import { api, type Column, type Demand, type Lift } from '../../api/client'
import type { Units } from '../../lib/units'

/** Takes a lift of a column to the bench, with the combinations that use it most. */
export function ToBench(p: { id: string; column: Column; lift: Lift; demands: Demand[]; units: Units }) {
  const { message } = App.useApp()
  const go = useNavigate()
  const take = () =>
    Promise.all([api.basis(p.id), import('./fromLift')]).then(
      ([basis, { fromLift, sizeOf }]) => {
        const bench = fromLift(p.column, p.lift, p.demands, basis.code, p.units)
        const from = { id: p.id, mark: p.column.mark, lift: p.lift.number, size: sizeOf(bench) }
        void go('/bench', { state: { bench: { ...bench, from } } })
      },
      (e: Error) => void message.error(e.message),
    )
  return (
    <Tooltip title="Opens this section on its own, with the combinations that use it most. What is on the bench comes back by Undo there.">
      <Button size="small" onClick={() => void take()}>
        To the bench
      </Button>
    </Tooltip>
  )
}
