import { Button } from 'antd'
import { lazy, Suspense } from 'react'
import type { ResultRow, State, View } from '../../api/client'
import { grouped, utilisation } from '../../lib/format'
import { massIn } from '../../lib/units'
import { useUnits } from '../../ui/useUnits'
import { useMayEdit } from '../people/session'
import type { Group } from './alike'
import { SelectButton } from './SelectButton'
import type { Selection } from './useSelection'

const BulkActions = lazy(() => import('./BulkActions').then((m) => ({ default: m.BulkActions })))

/** What many selected lines and stacks come to, and what can be done with all of them at once. */
export function ManyStrip(p: {
  id: string
  state?: State
  rows: ResultRow[]
  view: View
  groups: () => Group[]
  selection: Selection
  everything: string[]
  onOpen: (m: string) => void
  onEdit: () => void
}) {
  const units = useUnits()
  const may = useMayEdit()
  const { rows } = p
  const count = (role: string, one: string, more: string) => {
    const n = rows.filter((r) => r.role === role).length
    return n === 0 ? undefined : `${n} ${n === 1 ? one : more}`
  }
  const failing = rows.filter((r) => !r.satisfied).length
  const worst = rows.reduce<ResultRow | undefined>((a, b) => (a && a.utilisation >= b.utilisation ? a : b), undefined)
  const sections = [...new Set(rows.map((r) => r.section))]
  const steel = rows.reduce((a, r) => a + r.steelKg, 0)
  const hand = rows.filter((r) => r.handSet).length
  return (
    <div className="selection" aria-label="Selected" role="region">
      <div className="selection-mark">
        <b>{rows.length} selected</b>
        <span className="soft">
          {[count('beam', 'beam line', 'beam lines'), count('column', 'column', 'columns')].filter(Boolean).join(', ')}
        </span>
      </div>
      <div className="grow">
        <div>
          <b className={failing > 0 ? 'over-ink' : ''}>
            {failing === 0 ? 'none fails' : `${failing} ${failing === 1 ? 'fails' : 'fail'}`}
          </b>
          {worst && (
            <>
              {' · worst '}
              <button type="button" className="link" onClick={() => p.onOpen(worst.mark)}>
                {worst.mark}
              </button>{' '}
              {utilisation(worst.utilisation)}
            </>
          )}
          {' · '}
          {grouped(massIn(steel, units))} {units.mass} steel
          {hand > 0 && ` · ${hand} set by hand`}
        </div>
        <div className="soft clip">
          {sections.slice(0, 5).join(', ')}
          {sections.length > 5 && ` and ${sections.length - 5} more sections`}
        </div>
      </div>
      <Suspense>
        <SelectButton groups={p.groups} selection={p.selection} everything={p.everything} />
        {may && <BulkActions id={p.id} state={p.state} rows={rows} view={p.view} />}
      </Suspense>
      {may && (
        <Button onClick={p.onEdit}>
          Change <kbd>E</kbd>
        </Button>
      )}
    </div>
  )
}
