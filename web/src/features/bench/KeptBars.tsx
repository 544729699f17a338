import { Select } from 'antd'
import type { Column, HandLift, HandLifts, Lift } from '../../api/client'
import type { Units } from '../../lib/units'
import { withLift } from '../column/lifts'
import { arrangementOf } from './arrangement'
import { fromLift, sizeOf } from './fromLift'
import type { Bench } from './bench'
import { useKeptSections } from './kept'

/** Bars of sections that are kept from the bench and fit the lift: a choice sets them by hand. */
export default function KeptBars(p: { column: Column; lift: Lift; units: Units; onSave: (h: HandLifts) => void }) {
  const kept = useKeptSections().data
  if (!kept) return null
  const fitting = fits(kept, p.column, p.lift, p.units)
  if (fitting.length === 0) return <span className="soft">No section that is kept fits this lift.</span>
  return (
    <Select
      size="small"
      aria-label="Bars from the bench"
      autoFocus
      defaultOpen
      style={{ width: 180 }}
      value={null}
      placeholder="Bars from the bench…"
      options={fitting.map(({ name }) => ({ value: name, label: name }))}
      onChange={(name) => {
        const { bars } = fitting.find((f) => f.name === name)!
        p.onSave(withLift(p.column, p.lift.number, { ...p.lift.hand, ...bars }))
      }}
    />
  )
}

/** Those of the lift's section whose bars stand as a lift's do and are of sizes that the basis allows. */
export function fits(
  kept: Bench[],
  column: Column,
  lift: Lift,
  units: Units,
): { name: string; bars: Partial<HandLift> }[] {
  const size = sizeOf(fromLift(column, lift, [], '', units))
  return kept.flatMap((k) => {
    if (k.use !== 'column' || sizeOf(k) !== size || !k.bars.every((b) => column.sizes.includes(b.bar))) return []
    const bars = arrangementOf(k)
    return 'trouble' in bars ? [] : [{ name: k.name, bars }]
  })
}
