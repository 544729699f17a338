import { App, Button, Tooltip } from 'antd'
import { useNavigate } from 'react-router'
import { api, type Column, type Demand, type Lift } from '../../api/client'
import type { Units } from '../../lib/units'
import { fromLift } from './fromLift'

/** Takes a lift of a column to the bench, with the combinations that use it most. */
export function ToBench(p: { id: string; column: Column; lift: Lift; demands: Demand[]; units: Units }) {
  const { message } = App.useApp()
  const go = useNavigate()
  const take = () =>
    api.basis(p.id).then(
      (basis) => void go('/bench', { state: { bench: fromLift(p.column, p.lift, p.demands, basis.code, p.units) } }),
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
