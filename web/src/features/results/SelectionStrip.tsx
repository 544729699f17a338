import { Button } from 'antd'
import type { ResultRow } from '../../api/client'
import { utilisation } from '../../lib/format'
import { massIn } from '../../lib/units'
import { useUnits } from '../../ui/useUnits'
import { useMayEdit } from '../people/session'
import type { Group } from './alike'
import { SelectButton } from './SelectButton'
import type { Selection } from './useSelection'

/** What is selected, in two sentences, with the way to its sheet. */
export function SelectionStrip({
  row,
  groups,
  selection,
  onOpen,
  onEdit,
}: {
  row?: ResultRow
  groups: () => Group[]
  selection: Selection
  onOpen: (m: string) => void
  onEdit: (m: string) => void
}) {
  const units = useUnits()
  const may = useMayEdit()
  if (!row)
    return (
      <div className="selection soft">
        <span>
          <kbd>↑</kbd> <kbd>↓</kbd> walk the list, <kbd>↵</kbd> opens the sheet, <kbd>E</kbd> changes the model,{' '}
          <kbd>/</kbd> goes to the query. Shift, Ctrl or a rectangle on the plan select many.
        </span>
      </div>
    )
  return (
    <div className="selection">
      <div className="selection-mark">
        <b>{row.mark}</b>
        <span className="soft">
          {row.role === 'beam'
            ? `${row.parts} span${row.parts > 1 ? 's' : ''}`
            : `${row.parts} ${row.parts === 1 ? 'lift' : 'lifts'}`}{' '}
          · {Math.round(massIn(row.steelKg, units))} {units.mass}
        </span>
      </div>
      <div className="grow">
        <div>
          <b className={row.satisfied ? '' : 'over-ink'}>
            {row.check}, {utilisation(row.utilisation)}
          </b>
          {row.place !== 'whole lift' && ` at ${row.place}`}
          {row.combination && ` · ${row.combination}`}
          {row.clause && <span className="soft"> · {row.clause}</span>}
        </div>
        <div className="soft">{row.finding || `${row.section} · ${row.bars} · ${row.stirrups}`}</div>
      </div>
      <SelectButton groups={groups} selection={selection} />
      {may && (
        <Button onClick={() => onEdit(row.mark)}>
          Change <kbd>E</kbd>
        </Button>
      )}
      <Button type="primary" onClick={() => onOpen(row.mark)}>
        Open sheet <kbd>↵</kbd>
      </Button>
    </div>
  )
}
