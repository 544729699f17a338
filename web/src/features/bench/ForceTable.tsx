import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { FileButton } from '../../ui/FileButton'
import { NumberField } from '../../ui/NumberField'
import { KINDS, noForce, PARTS, type BenchSet, type Kind } from './bench'
import { setsOf } from './draft'

const SAYS: Record<(typeof PARTS)[number], string> = {
  n: 'Axial force, tension positive, at the centroid',
  vy: 'Shear along the width',
  vz: 'Shear along the depth',
  t: 'Torque',
  my: 'Moment, positive with compression on top',
  mz: 'Moment, positive with compression towards x',
}
const FOR: Record<Kind, string> = {
  strength: 'strength',
  characteristic: 'stresses',
  'quasi-permanent': 'cracks',
}
/** As it is written: N, Vy, My. */
const shown = (k: string) => k[0]!.toUpperCase() + k.slice(1)
const MOST = 300
const SHOWN = 40

/** Sets of forces: typed, pasted from a spreadsheet, or read from a CSV file. */
export function ForceTable(p: {
  sets: BenchSet[]
  picked: number
  us: boolean
  onPick: (i: number) => void
  onChange: (sets: BenchSet[]) => void
}) {
  const [pasting, setPasting] = useState<string>()
  const [trouble, setTrouble] = useState<string>()
  const take = (text: string) => {
    const r = setsOf(text)
    if ('trouble' in r) {
      setTrouble(r.trouble)
      setPasting(text)
    } else {
      setTrouble(undefined)
      setPasting(undefined)
      p.onChange(r.sets)
    }
  }
  const unit = (part: string) => (part[0] === 'm' || part === 't' ? (p.us ? 'kip ft' : 'kNm') : p.us ? 'kip' : 'kN')
  return (
    <section aria-label="Forces">
      <h2>Forces</h2>
      <table className="plain tight">
        <thead>
          <tr>
            <th>Set</th>
            <th title="What the set is combined for: strength, stresses (characteristic), cracks (quasi-permanent)">
              for
            </th>
            {PARTS.map((k) => (
              <th key={k} className="num" title={SAYS[k]}>
                {shown(k)}, {unit(k)}
              </th>
            ))}
            <td />
          </tr>
        </thead>
        <tbody>
          {p.sets.slice(0, SHOWN).map((s, i) => {
            const put = (c: Partial<BenchSet>) => p.onChange(p.sets.map((o, k) => (k === i ? { ...o, ...c } : o)))
            return (
              <tr key={i} aria-selected={i === p.picked} onFocus={() => p.onPick(i)} onClick={() => p.onPick(i)}>
                <td>
                  <Input
                    size="small"
                    aria-label={`Name of set ${i + 1}`}
                    value={s.name}
                    maxLength={60}
                    onChange={(e) => put({ name: e.target.value })}
                  />
                </td>
                <td>
                  <Select
                    size="small"
                    aria-label={`What set ${i + 1} is for`}
                    style={{ width: 86 }}
                    popupMatchSelectWidth={false}
                    value={s.kind ?? 'strength'}
                    options={KINDS.map((value) => ({ value, label: FOR[value] }))}
                    onChange={(kind) => put({ kind })}
                  />
                </td>
                {PARTS.map((k) => (
                  <td key={k}>
                    <NumberField
                      small
                      live
                      width={52}
                      label={`${shown(k)} of set ${i + 1}`}
                      unit={unit(k)}
                      value={s[k]}
                      onChange={(v) => put({ [k]: v })}
                    />
                  </td>
                ))}
                <td>
                  <button
                    type="button"
                    className="link"
                    aria-label={`Take set ${i + 1} away`}
                    onClick={() => p.onChange(p.sets.filter((_, k) => k !== i))}
                  >
                    ×
                  </button>
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {p.sets.length > SHOWN && <p className="soft">and {p.sets.length - SHOWN} more, in the results</p>}
      <div className="sketch-tools">
        <Button
          size="small"
          disabled={p.sets.length >= MOST}
          onClick={() => p.onChange([...p.sets, noForce(`set ${p.sets.length + 1}`)])}
        >
          Add a set
        </Button>
        <Button size="small" onClick={() => setPasting('')}>
          Paste a table…
        </Button>
        <FileButton
          accept=".csv,.txt,.tsv"
          label="From a CSV file…"
          onFile={(f) => {
            if (f.size > 1e6) setTrouble(`${f.name} is larger than 1 MB.`)
            else void f.text().then(take)
          }}
        />
      </div>
      {trouble && <p className="over-ink">{trouble}</p>}
      {pasting !== undefined && (
        <div>
          <Input.TextArea
            autoFocus
            rows={5}
            aria-label="Table of forces"
            value={pasting}
            placeholder={
              'name\tN\tVy\tVz\tT\tMy\tMz — copied from a spreadsheet; with a row of headings the columns may stand in any order, and one called kind tells strength, characteristic or quasi-permanent'
            }
            onChange={(e) => setPasting(e.target.value)}
          />
          <div className="sketch-tools">
            <Button size="small" type="primary" onClick={() => take(pasting)}>
              Take these sets
            </Button>
            <Button size="small" onClick={() => setPasting(undefined)}>
              Cancel
            </Button>
          </div>
        </div>
      )}
    </section>
  )
}
