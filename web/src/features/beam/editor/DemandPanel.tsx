import { Button } from 'antd'
import { useState } from 'react'
import type { Beam, Hand } from '../../../api/client'
import { distanceIn, forceIn, momentIn, type Units } from '../../../lib/units'
import { NumberField } from '../../../ui/NumberField'

const FIELDS = [
  { key: 'sagging', words: 'M+', moment: true, says: 'Sagging moment, by size' },
  { key: 'hogging', words: 'M−', moment: true, says: 'Hogging moment, by size' },
  { key: 'shear', words: 'V', moment: false, says: 'Shear, by size' },
  { key: 'torque', words: 'T', moment: true, says: 'Torque, by size' },
]

/** Demand typed in place of that of the analysis for a stretch of the line. */
export function DemandPanel({
  beam,
  units,
  x,
  onSave,
}: {
  beam: Beam
  units: Units
  x: number
  onSave: (h: Hand) => void
}) {
  const [open, setOpen] = useState(false)
  const [from, setFrom] = useState<number | null>(null)
  const [to, setTo] = useState<number | null>(null)
  const [values, setValues] = useState<Record<string, number>>({})
  const span = beam.spans.find((s) => x <= s.to) ?? beam.spans.at(-1)!
  const unit = (moment: boolean) => (moment ? units.moment : units.force)
  const shown = (v: number, moment: boolean) => (moment ? momentIn(v, units) : forceIn(v, units))
  const mm = (v: number) => (units.us ? v * 304.8 : v * 1000)
  const begin = () => {
    setOpen(true)
    setFrom(Number(distanceIn(span.faceFrom, units).toFixed(2)))
    setTo(Number(distanceIn(span.faceTo, units).toFixed(2)))
  }
  const ready = from !== null && to !== null && to > from && Object.keys(values).length > 0
  const take = () => {
    const given = Object.fromEntries(
      FIELDS.filter((f) => values[f.key] !== undefined).map((f) => [f.key, values[f.key]! / shown(1, f.moment)]),
    )
    onSave({ ...beam.hand, demands: [{ from: mm(from!), to: mm(to!), values: given }, ...beam.hand.demands] })
    setOpen(false)
    setValues({})
  }
  return (
    <section aria-label="Demand by hand">
      <h2>Demand by hand</h2>
      {beam.hand.demands.map((d, i) => (
        <p key={i}>
          ✎ {distanceIn(d.from, units).toFixed(2)}–{distanceIn(d.to, units).toFixed(2)} {units.distance}:{' '}
          {FIELDS.filter((f) => f.key in d.values)
            .map((f) => `${f.words} ${shown(d.values[f.key]!, f.moment).toFixed(0)} ${unit(f.moment)}`)
            .join(', ')}{' '}
          <Button
            size="small"
            type="text"
            onClick={() => onSave({ ...beam.hand, demands: beam.hand.demands.filter((_, k) => k !== i) })}
          >
            release
          </Button>
        </p>
      ))}
      {!open && (
        <Button size="small" onClick={begin}>
          Type a demand for a stretch
        </Button>
      )}
      {open && (
        <div className="demand-form">
          <label>
            from, {units.distance}
            <NumberField small live unit={units.distance} value={from} onChange={setFrom} label="Demand from" />
          </label>
          <label>
            to, {units.distance}
            <NumberField small live unit={units.distance} value={to} onChange={setTo} label="Demand to" />
          </label>
          {FIELDS.map((f) => (
            <label key={f.key} title={f.says}>
              {f.words}, {unit(f.moment)}
              <NumberField
                small
                live
                empty
                width={90}
                unit={unit(f.moment)}
                least={0}
                placeholder="analysis"
                label={f.says}
                value={values[f.key] ?? null}
                onChange={(v) => setValues((old) => ({ ...old, [f.key]: v }))}
                onEmpty={() => setValues((old) => Object.fromEntries(Object.entries(old).filter(([k]) => k !== f.key)))}
              />
            </label>
          ))}
          <Button size="small" type="primary" disabled={!ready} onClick={take}>
            Use it
          </Button>
          <Button size="small" type="text" onClick={() => setOpen(false)}>
            Cancel
          </Button>
        </div>
      )}
    </section>
  )
}
