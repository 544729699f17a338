import { useQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { lazy, Suspense, useState } from 'react'
import { api, type Column, type Demand, type HandLifts, type Lift } from '../../api/client'
import type { Units } from '../../lib/units'
import { useMayEdit } from '../people/session'
import { SECTIONS } from './keptKey'
import { ToBench } from './ToBench'

// only when asked for: a sheet is there sooner without it
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
  const [open, setOpen] = useState(false)
  const kept = useQuery({ queryKey: SECTIONS, queryFn: ({ signal }) => api.keptSections(signal), enabled: may })
  const any = kept.data?.sections.some((k) => k.section.use === 'column')
  return (
    <>
      {p.demands.length > 0 && <ToBench {...p} />}{' '}
      {may && any && !open && (
        <Button size="small" onClick={() => setOpen(true)}>
          Bars from the bench…
        </Button>
      )}
      {may && open && (
        <Suspense fallback={null}>
          <KeptBars {...p} />
        </Suspense>
      )}
    </>
  )
}
