import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useState } from 'react'
import { useSearchParams } from 'react-router'
import { api, type Column, type Demand, type HandLifts, type State } from '../../api/client'
import type { Units } from '../../lib/units'
import { CalculationPanel } from '../../ui/CalculationPanel'
import { CheckTable } from '../../ui/CheckTable'
import { CrowdedList } from '../../ui/CrowdedList'
import { ErrorView } from '../../ui/ErrorView'
import { FindingList } from '../../ui/FindingList'
import { Loading } from '../../ui/Loading'
import { HatchDefs } from '../../ui/UtilisationBar'
import { SectionPanel } from '../beam/SectionPanel'
import { CopyPanel } from '../edit/CopyPanel'
import { useMayEdit } from '../people/session'
import { useHandSet } from '../edit/useHandSet'
import { ColumnSection } from './ColumnSection'
import { DemandTable } from './DemandTable'
import { InteractionPanel } from './InteractionPanel'
import { numberIn } from '../../lib/address'
import { keyed } from './lifts'
import { LiftStrip } from './LiftStrip'
import { StackElevation } from './StackElevation'

const BenchLinks = lazy(() => import('../bench/BenchLinks'))

/** What takes keys itself. */
const TAKES_KEYS = 'input, textarea, [role=combobox], [role=application]'

/** A column stack: its lifts, their bars and ties to change, the interaction with every combination, and the calculation. */
export function ColumnSheet({
  id,
  column: stored,
  units,
  state,
}: {
  id: string
  column: Column
  units: Units
  state?: State
}) {
  const hand = useHandSet(id, stored.mark, state, {
    put: (v, h: HandLifts) => api.columnSet(id, stored.mark, v, h),
    check: (h, signal) => api.tryColumn(id, stored.mark, h, signal),
    land: (old, answer) => ({ ...old, column: answer.column }),
  })
  const column = hand.preview ?? stored
  const may = useMayEdit()
  const save = (h: HandLifts) => void (may && hand.save(h))
  const [params, setParams] = useSearchParams()
  const [picked, setPicked] = useState<Demand>()
  const number = numberIn(params.get('lift'), column.governingLift, column.lifts.length - 1)
  const lift = column.lifts[number]!
  const interaction = useQuery({
    queryKey: ['project', id, 'interaction', column.mark, number],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => api.interaction(id, column.mark, number, signal),
  })
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || (e.target as HTMLElement).closest(TAKES_KEYS)) return
      const up = e.key === 'ArrowUp' ? 1 : e.key === 'ArrowDown' ? -1 : 0
      const changed = up || !may ? undefined : keyed(column, lift, e.key, e.shiftKey)
      if (!up && !changed) return
      e.preventDefault()
      if (up) choose(Math.max(0, Math.min(column.lifts.length - 1, number + up)))
      if (changed) save(changed)
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
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
        {may && (
          <LiftStrip
            id={id}
            column={column}
            lift={lift}
            units={units}
            saving={hand.saving}
            onSave={save}
            onTry={hand.tryOut}
            onLetGo={hand.letGo}
          />
        )}
        <div className="column-top">
          <ColumnSection
            column={column}
            lift={lift}
            units={units}
            bench={
              interaction.data && (
                <Suspense fallback={null}>
                  <BenchLinks
                    id={id}
                    column={column}
                    lift={lift}
                    demands={interaction.data.demands}
                    units={units}
                    onSave={save}
                  />
                </Suspense>
              )
            }
            onSave={save}
          />
          {interaction.isError ? (
            <ErrorView error={interaction.error} onRetry={() => void interaction.refetch()} />
          ) : interaction.data ? (
            <InteractionPanel
              id={id}
              mark={column.mark}
              lift={number}
              demands={interaction.data.demands}
              picked={demand}
              units={units}
              onPick={setPicked}
            />
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
        <CrowdedList id={id} crowded={lift.crowded} of="column" />
        <CheckTable checks={lift.checks} />
        {may && <SectionPanel id={id} mark={column.mark} lift={number} state={state} />}
        {may && <CopyPanel id={id} mark={column.mark} seen={state?.version ?? 0} of="column" />}
        {calculation.data && <CalculationPanel calculation={calculation.data} />}
      </aside>
    </div>
  )
}
