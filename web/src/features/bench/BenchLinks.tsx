import { lazy } from 'react'
import type { Column, Demand, HandLifts, Lift } from '../../api/client'
import type { Units } from '../../lib/units'
import { useMayEdit } from '../people/session'
import { ToBench } from './ToBench'

const KeptBars = lazy(() => import('./KeptBars'))

/** What leads from the sheet of a column to the bench, and from there to it. */
export default function BenchLinks(p: {
  id: string
  column: Column
  lift: Lift
  demands: Demand[]
  units: Units
  onSave: (h: HandLifts) => void
}) {
  const may = useMayEdit()
  return (
    <>
      {p.demands.length > 0 && <ToBench {...p} />} {may && <KeptBars {...p} />}
    </>
  )
}
