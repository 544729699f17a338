import { Select, Tooltip } from 'antd'
import type { Column, HandLifts, Lift } from '../../api/client'
import { lengthFrom, lengthIn, type Units } from '../../lib/units'
import { NumberField } from '../../ui/NumberField'
import { BarOptions } from './BarOptions'
import { Field, Sizes, Stepper, Verdict } from '../edit/fields'
import {
  changeLegs,
  changeRing,
  changeRows,
  changeTies,
  FEWEST_ROUND,
  MOST_ALONG,
  MOST_IN_LEG,
  MOST_ROUND,
  release,
} from './lifts'

const ROUND = [
  { value: false, label: 'hoops' },
  { value: true, label: 'spiral' },
]

interface Props {
  id: string
  column: Column
  lift: Lift
  units: Units
  saving: boolean
  onSave: (h: HandLifts) => void
  /** shows the column with other bars until it is let go of */
  onTry: (h: HandLifts) => void
  onLetGo: () => void
}

/** Bars and ties of the chosen lift with their numbers, to change; what is set by hand is marked and can be released. */
export function LiftStrip(p: Props) {
  const { column, lift, onSave } = p
  const { rows, ring, legs, ties } = lift.whole
  return (
    <div className="lift-strip" role="toolbar" aria-label={`Cage of the lift to ${lift.storey || 'the top'}`}>
      <div className="lift-row">
        <b>Bars</b>
        {rows && (
          <>
            <Field words="across">
              <Stepper
                words="Bars along each face across"
                value={rows.alongX}
                least={2}
                most={MOST_ALONG}
                onChange={(alongX) => onSave(changeRows(column, lift, { alongX }))}
              />
            </Field>
            <Field words="deep">
              <Stepper
                words="Bars along each face in depth"
                value={rows.alongY}
                least={2}
                most={MOST_ALONG}
                onChange={(alongY) => onSave(changeRows(column, lift, { alongY }))}
              />
            </Field>
            <Field words="corners">
              <Sizes
                words="Size of corner bars"
                value={rows.corner}
                sizes={column.sizes}
                onChange={(corner) => onSave(changeRows(column, lift, { corner }))}
              />
            </Field>
            {rows.alongX + rows.alongY > 4 && (
              <Field words="faces">
                <Sizes
                  words="Size of bars between the corners"
                  value={rows.face}
                  sizes={column.sizes}
                  onChange={(face) => onSave(changeRows(column, lift, { face }))}
                />
              </Field>
            )}
          </>
        )}
        {legs && (
          <>
            <Field words="web">
              <Stepper
                words="Bars along each side of the web between its corners"
                value={legs.web}
                least={0}
                most={MOST_IN_LEG}
                onChange={(web) => onSave(changeLegs(column, lift, { web }))}
              />
            </Field>
            <Field words="flange">
              <Stepper
                words="Bars along each side of what juts out of the flange"
                value={legs.flange}
                least={0}
                most={MOST_IN_LEG}
                onChange={(flange) => onSave(changeLegs(column, lift, { flange }))}
              />
            </Field>
            <Field words="corners">
              <Sizes
                words="Size of corner bars"
                value={legs.corner}
                sizes={column.sizes}
                onChange={(corner) => onSave(changeLegs(column, lift, { corner }))}
              />
            </Field>
            {legs.web + legs.flange > 0 && (
              <Field words="faces">
                <Sizes
                  words="Size of bars between the corners"
                  value={legs.face}
                  sizes={column.sizes}
                  onChange={(face) => onSave(changeLegs(column, lift, { face }))}
                />
              </Field>
            )}
          </>
        )}
        {ring && (
          <>
            <Field words="round">
              <Stepper
                words="Bars round the ring"
                value={ring.count}
                least={FEWEST_ROUND}
                most={MOST_ROUND}
                onChange={(count) => onSave(changeRing(column, lift, { count }))}
              />
            </Field>
            <Sizes
              words="Size of bars"
              value={ring.size}
              sizes={column.sizes}
              onChange={(size) => onSave(changeRing(column, lift, { size }))}
            />
            <Select
              size="small"
              aria-label="What encloses the bars"
              value={!!ring.spiral}
              options={ROUND}
              onChange={(spiral) => onSave(changeRing(column, lift, { spiral }))}
            />
          </>
        )}
        <Mark
          set={!!(lift.hand.rows ?? lift.hand.ring ?? lift.hand.legs)}
          words="bars"
          onRelease={() => onSave(release(column, lift, 'bars'))}
        />
        {(rows ?? ring ?? legs) && <BarOptions {...p} />}
        <span className="spring" />
        <Verdict checks={lift.checks} />
        {p.saving && <span className="soft">…</span>}
      </div>
      <div className="lift-row">
        <b>Ties</b>
        {ties && (
          <>
            <Sizes
              words="Size of ties"
              value={ties.size}
              sizes={column.tieSizes}
              onChange={(size) => onSave(changeTies(column, lift, { size }))}
            />
            <Length
              {...p}
              words={ring?.spiral ? 'pitch' : 'between'}
              value={ties.middle}
              onChange={(middle) => changeTies(column, lift, { middle })}
            />
            {!ring?.spiral && (
              <>
                <Length
                  {...p}
                  words="at ends"
                  value={ties.end}
                  onChange={(end) => changeTies(column, lift, { end, ...reach(lift) })}
                />
                <Length
                  {...p}
                  words="foot"
                  least={0}
                  value={ties.foot}
                  label="Closer ties from the foot up to"
                  onChange={(foot) => changeTies(column, lift, { foot })}
                />
                <Length
                  {...p}
                  words="head"
                  least={0}
                  value={ties.head}
                  label="Closer ties from the head down to"
                  onChange={(head) => changeTies(column, lift, { head })}
                />
              </>
            )}
            <Length
              {...p}
              words="in joints"
              value={ties.joint}
              onChange={(joint) => changeTies(column, lift, { joint })}
            />
          </>
        )}
        <Mark set={!!lift.hand.ties} words="ties" onRelease={() => onSave(release(column, lift, 'ties'))} />
      </div>
    </div>
  )
}

/** Closer ties must reach somewhere: where they reach nowhere yet, over a sixth of the height. */
function reach(lift: Lift): { foot?: number; head?: number } {
  const t = lift.whole.ties!
  if (Math.max(t.foot, t.head) > 0) return {}
  const sixth = Math.ceil(lift.clear / 6 / 50) * 50
  return { foot: sixth, head: sixth }
}

function Mark({ set, words, onRelease }: { set: boolean; words: string; onRelease: () => void }) {
  if (!set) return null
  return (
    <Tooltip title="Set by hand: Kolonne checks it and never changes it. Click to release it.">
      <button type="button" className="hand-chip" aria-label={`Release the ${words}`} onClick={onRelease}>
        ✎ by hand ×
      </button>
    </Tooltip>
  )
}

/** A spacing or a reach; taken when the field is left or on Enter. */
function Length(
  p: Props & { words: string; label?: string; value: number; least?: number; onChange: (mm: number) => HandLifts },
) {
  return (
    <Field words={p.words}>
      <NumberField
        small
        label={p.label ?? `Spacing of ties ${p.words}`}
        width={54}
        unit={p.units.length}
        least={Number(lengthIn(p.least ?? 25, p.units).toFixed(2))}
        most={Number(lengthIn(p.least === undefined ? 1000 : 20000, p.units).toFixed(2))}
        step={lengthIn(p.column.spacingStepMm, p.units)}
        decimals={2}
        value={lengthIn(p.value, p.units)}
        onChange={(v) => p.onSave(p.onChange(lengthFrom(v, p.units)))}
      />
    </Field>
  )
}
