import { Button, Select, Tooltip } from 'antd'
import type { Beam, Hand } from '../../../api/client'
import { distanceIn, lengthFrom, lengthIn, type Units } from '../../../lib/units'
import { NumberField } from '../../../ui/NumberField'
import { Field, Sizes, Stepper, Verdict } from '../../edit/fields'
import { StirrupOptions } from './StirrupOptions'
import {
  changeBars,
  changeSides,
  changeZone,
  handParts,
  isHand,
  NOTHING,
  removeBars,
  removeZone,
  splitZone,
  type Pick,
} from './hand'

interface Props {
  id: string
  beam: Beam
  pick?: Pick
  units: Units
  onSave: (h: Hand) => void
  onPick: (p: Pick | undefined) => void
}

/** One line above the drawing: what is picked with its numbers, or what is set by hand; and how the worst check stands. */
export function EditStrip(p: Props & { saving: boolean }) {
  return (
    <div className="edit-strip" role="toolbar" aria-label="Bars by hand" onClick={(e) => e.stopPropagation()}>
      {p.pick ? <Picked {...p} pick={p.pick} /> : <Idle {...p} />}
      <span className="spring" />
      <Verdict checks={p.beam.checks} />
      {p.saving && <span className="soft">…</span>}
    </div>
  )
}

function Idle({ beam, units, onSave }: Props) {
  const parts = handParts(beam, units)
  if (parts.length === 0) {
    return (
      <span className="soft clip">
        Click bars or a stirrup zone to change them, or walk with <kbd>B</kbd> and <kbd>S</kbd>; <kbd>A</kbd> adds bars.
      </span>
    )
  }
  return (
    <>
      <span className="soft">Set by hand:</span>
      {parts.map((q) => (
        <Tooltip key={q.key} title="Release: Kolonne chooses it again">
          <button
            type="button"
            className="hand-chip"
            aria-label={`Release ${q.words}`}
            onClick={() => onSave(q.released)}
          >
            ✎ {q.words} ×
          </button>
        </Tooltip>
      ))}
      {parts.length > 1 && (
        <Button size="small" type="text" onClick={() => onSave(NOTHING)}>
          Release all
        </Button>
      )}
    </>
  )
}

function Picked(p: Props & { pick: Pick }) {
  return (
    <>
      {p.pick.part === 'bars' && <BarFields {...p} index={p.pick.index} />}
      {p.pick.part === 'zone' && <ZoneFields {...p} index={p.pick.index} />}
      {p.pick.part === 'sides' && <SideFields {...p} span={p.pick.span} />}
      {isHand(p.beam, p.pick) && (
        <Tooltip title="Set by hand: Kolonne checks it and never changes it">
          <span className="hand-mark">✎ by hand</span>
        </Tooltip>
      )}
      <Button size="small" type="text" aria-label="Done" onClick={() => p.onPick(undefined)}>
        Done
      </Button>
    </>
  )
}

function BarFields({ beam, index, units, onSave, onPick }: Props & { index: number }) {
  const g = beam.groups[index]!
  return (
    <>
      <b>{g.face === 'top' ? 'Top' : 'Bottom'}</b>
      <Stepper
        words="Number of bars"
        value={g.count}
        least={1}
        most={60}
        onChange={(count) => onSave(changeBars(beam, index, { count }))}
      />
      <Sizes
        words="Size of bars"
        value={g.size}
        sizes={beam.sizes}
        onChange={(size) => onSave(changeBars(beam, index, { size }))}
      />
      <Field words="layer">
        <Select
          size="small"
          aria-label="Layer"
          value={g.layer}
          options={[1, 2, 3].map((value) => ({ value, label: value }))}
          onChange={(layer) => onSave(changeBars(beam, index, { layer }))}
        />
      </Field>
      {g.count > 1 && (
        <Tooltip title="Two bars each touch, one above the other">
          <Button
            size="small"
            type={g.pairs ? 'primary' : 'default'}
            aria-pressed={g.pairs}
            onClick={() => onSave(changeBars(beam, index, { pairs: !g.pairs }))}
          >
            Pairs
          </Button>
        </Tooltip>
      )}
      <Place words="from" value={g.from} units={units} onChange={(from) => onSave(changeBars(beam, index, { from }))} />
      {Math.abs(g.from - beam.firstBar) < 1 && (
        <Bend where="left" bent={g.hookFrom} onChange={(hookFrom) => onSave(changeBars(beam, index, { hookFrom }))} />
      )}
      <Place words="to" value={g.to} units={units} onChange={(to) => onSave(changeBars(beam, index, { to }))} />
      {Math.abs(g.to - beam.lastBar) < 1 && (
        <Bend where="right" bent={g.hookTo} onChange={(hookTo) => onSave(changeBars(beam, index, { hookTo }))} />
      )}
      <Button
        size="small"
        onClick={() => {
          onPick(undefined)
          onSave(removeBars(beam, index))
        }}
      >
        Remove
      </Button>
    </>
  )
}

/** Whether bars are bent at an end of the line or end straight. */
function Bend({
  where,
  bent,
  onChange,
}: {
  where: 'left' | 'right'
  bent: boolean
  onChange: (bent: boolean) => void
}) {
  return (
    <Tooltip
      title={
        bent ? 'Bent by 90° in the support; click for a straight end' : 'Straight in the support; click to bend it'
      }
    >
      <button
        type="button"
        className="bend"
        aria-label={`Bent at the ${where} end`}
        aria-pressed={bent}
        onClick={() => onChange(!bent)}
      >
        {bent ? (where === 'left' ? '└' : '┘') : '─'}
      </button>
    </Tooltip>
  )
}

function ZoneFields({ id, beam, index, units, onSave, onPick }: Props & { index: number }) {
  const z = beam.zones[index]!
  const first = beam.zones[index - 1]?.span !== z.span
  const alone = first && beam.zones[index + 1]?.span !== z.span
  return (
    <>
      <b>Stirrups</b>
      <Sizes
        words="Size of stirrups"
        value={z.size}
        sizes={beam.stirrupSizes}
        onChange={(size) => onSave(changeZone(beam, index, { size }))}
      />
      <Field words="legs">
        <Stepper
          words="Legs"
          value={z.legs}
          least={2}
          most={12}
          onChange={(legs) => onSave(changeZone(beam, index, { legs }))}
        />
      </Field>
      <Field words={`spacing, ${units.length}`}>
        <NumberField
          small
          label="Spacing"
          width={66}
          unit={units.length}
          least={Number(lengthIn(25, units).toFixed(2))}
          most={Number(lengthIn(1000, units).toFixed(2))}
          step={lengthIn(beam.spacingStepMm, units)}
          decimals={2}
          value={lengthIn(z.spacing, units)}
          onChange={(v) => onSave(changeZone(beam, index, { spacing: lengthFrom(v, units) }))}
        />
      </Field>
      {!first && (
        <Place
          words="begins"
          value={z.from}
          units={units}
          onChange={(from) => onSave(changeZone(beam, index, { from }))}
        />
      )}
      <Button size="small" onClick={() => onSave(splitZone(beam, index))}>
        Split
      </Button>
      <StirrupOptions
        id={id}
        beam={beam}
        span={z.span}
        units={units}
        onSave={(h) => {
          onPick(undefined)
          onSave(h)
        }}
      />
      {!alone && (
        <Button
          size="small"
          onClick={() => {
            const h = removeZone(beam, index)
            onPick(undefined)
            if (h) onSave(h)
          }}
        >
          Merge
        </Button>
      )}
    </>
  )
}

function SideFields({ beam, span, onSave }: Props & { span: number }) {
  const s = beam.sides.find((q) => q.span === span)
  return (
    <>
      <b>Side bars</b>
      <Field words="per face">
        <Stepper
          words="Side bars per face"
          value={s?.perFace ?? 0}
          least={0}
          most={20}
          onChange={(perFace) => onSave(changeSides(beam, span, { perFace }))}
        />
      </Field>
      <Sizes
        words="Size of side bars"
        value={s?.size ?? beam.sizes[0]!}
        sizes={beam.sizes}
        onChange={(size) => onSave(changeSides(beam, span, { size }))}
      />
    </>
  )
}

/** A place along the line; taken when the field is left or on Enter. */
function Place(p: { words: string; value: number; units: Units; onChange: (mm: number) => void }) {
  return (
    <Field words={`${p.words}, ${p.units.distance}`}>
      <NumberField
        small
        width={64}
        label={`Bars or zone ${p.words}`}
        unit={p.units.distance}
        decimals={2}
        value={distanceIn(p.value, p.units)}
        onChange={(v) => p.onChange(p.units.us ? v * 304.8 : v * 1000)}
      />
    </Field>
  )
}
