import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { api, type Column, type Demand } from '../../api/client'
import type { Units } from '../../lib/units'
import { CalculationPanel } from '../../ui/CalculationPanel'
import { CheckTable } from '../../ui/CheckTable'
import { ErrorView } from '../../ui/ErrorView'
import { FindingList } from '../../ui/FindingList'
import { Loading } from '../../ui/Loading'
import { HatchDefs } from '../../ui/UtilisationBar'
import { ColumnSection } from './ColumnSection'
import { DemandTable } from './DemandTable'
import { InteractionPlot } from './InteractionPlot'
import { numberIn } from '../../lib/address'
import { StackElevation } from './StackElevation'

/** A column stack: its lifts, the section, the interaction with every combination, and the calculation. */
export function ColumnSheet({ id, column, units }: { id: string; column: Column; units: Units }) {
  const [params, setParams] = useSearchParams()
  const [picked, setPicked] = useState<Demand>()
  const number = numberIn(params.get('lift'), column.governingLift, column.lifts.length - 1)
  const lift = column.lifts[number]!
  const interaction = useQuery({
    queryKey: ['project', id, 'interaction', column.mark, number],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => api.interaction(id, column.mark, number, signal),
  })
  const demand = picked ?? interaction.data?.demands[0]
  const calculation = useQuery({
    enabled: !!demand,
    placeholderData: keepPreviousData,
    queryKey: ['project', id, 'calculation', column.mark, number, demand?.combinationNumber, demand?.number],
    queryFn: ({ signal }) =>
      api.calculation(
        id,
        column.mark,
        { lift: number, combination: demand!.combinationNumber, demand: demand!.number },
        signal,
      ),
  })
  const choose = (n: number) => {
    setPicked(undefined)
    setParams({ lift: String(n) }, { replace: true })
  }
  return (
    <div className="column-body">
      <HatchDefs />
      <StackElevation column={column} chosen={number} onChoose={choose} />
      <div className="column-main">
        <div className="column-top">
          <ColumnSection lift={lift} coverMm={column.coverMm} units={units} />
          {interaction.isError ? (
            <ErrorView error={interaction.error} onRetry={() => void interaction.refetch()} />
          ) : interaction.data ? (
            <InteractionPlot data={interaction.data} picked={demand} units={units} onPick={setPicked} />
          ) : (
            <Loading words="Working out the surface" />
          )}
        </div>
        {interaction.data && (
          <DemandTable demands={interaction.data.demands} picked={demand} units={units} onPick={setPicked} />
        )}
      </div>
      <aside className="side" tabIndex={0} aria-label="Checks beside the drawing">
        <h2>Lift to {lift.storey || 'top'}</h2>
        <FindingList findings={lift.findings} />
        <CheckTable checks={lift.checks} />
        {calculation.data && <CalculationPanel calculation={calculation.data} />}
      </aside>
    </div>
  )
}
