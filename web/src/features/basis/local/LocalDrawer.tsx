import { Button, Checkbox, Drawer, Select, Tooltip } from 'antd'
import { useState } from 'react'
import type { Basis, Catalogue, LocalSet, LocalSettings, ResultRow } from '../../../api/client'
import type { Units } from '../../../lib/units'
import { omit } from '../../../lib/omit'
import { NumberField } from '../../../ui/NumberField'
import { TextBox } from '../../../ui/TextBox'
import { BarChips } from '../BarChips'
import { HEADINGS, shown, stored, unitOf } from '../fields'
import { projectValue, valueWords, type LocalField } from './local'

const ROLES = [
  { value: 'both', label: 'beams and columns' },
  { value: 'beam', label: 'beams' },
  { value: 'column', label: 'columns' },
]
const NAME_MOST = 80

/** Whom local settings hold for, and which values of theirs differ. Nothing is stored before it is taken. */
export function LocalDrawer(p: {
  /** empty for new ones */
  name: string
  given?: LocalSettings
  /** that new ones hold for to begin with */
  members: string[]
  taken: string[]
  basis: Basis
  code: Catalogue
  fields: LocalField[]
  units: Units
  storeys: string[]
  rows: ResultRow[]
  onClose: () => void
  onTake: (name: string, now: LocalSettings) => void
}) {
  const [name, setName] = useState(p.name)
  const [now, setNow] = useState<LocalSettings>(p.given ?? { storeys: [], members: p.members, set: {} })
  const put = (set: LocalSet) => setNow({ ...now, set })
  const trouble = wrong(name.trim(), now, p.taken)
  const options = [
    ...p.rows.map((r) => ({ value: r.id, label: r.mark })),
    ...now.members.filter((m) => !p.rows.some((r) => r.id === m)).map((m) => ({ value: m, label: m })),
  ]
  const parts = [...new Set(p.fields.map((f) => f.part))]
  return (
    <Drawer
      open
      size={520}
      title={p.name ? `Local settings “${p.name}”` : 'New local settings'}
      onClose={p.onClose}
      footer={
        <div className="drawer-foot">
          <span className="soft">{trouble}</span>
          <Button onClick={p.onClose}>Cancel</Button>
          <Button type="primary" disabled={!!trouble} onClick={() => p.onTake(name.trim(), now)}>
            Take and design again
          </Button>
        </div>
      }
    >
      <label className="field">
        <span>Name</span>
        <TextBox
          width="100%"
          autoFocus
          aria-label="Name"
          value={name}
          maxLength={NAME_MOST}
          placeholder="Basement walls, wet rooms"
          onChange={(e) => setName(e.target.value)}
        />
      </label>
      <label className="field">
        <span>Hold for</span>
        <Select
          aria-label="Hold for"
          value={now.role ?? 'both'}
          options={ROLES}
          onChange={(role) => {
            setNow(role === 'both' ? omit(now, 'role') : { ...now, role })
          }}
        />
      </label>
      <label className="field">
        <span>of storeys</span>
        <Select
          mode="multiple"
          aria-label="Storeys"
          value={now.storeys}
          options={p.storeys.map((s) => ({ value: s, label: s }))}
          onChange={(storeys) => setNow({ ...now, storeys })}
        />
      </label>
      <label className="field">
        <span>and these</span>
        <Select
          mode="multiple"
          aria-label="Lines and columns"
          optionFilterProp="label"
          maxTagCount={12}
          placeholder="marks of lines and columns"
          value={now.members}
          options={options}
          onChange={(members) => setNow({ ...now, members })}
        />
      </label>
      {parts.map((part) => (
        <section key={part} aria-label={HEADINGS[part]}>
          <h3>{HEADINGS[part]}</h3>
          {p.fields
            .filter((f) => f.part === part)
            .map((f) => (
              <ValueRow key={f.key} field={f} set={now.set} basis={p.basis} code={p.code} units={p.units} onSet={put} />
            ))}
        </section>
      ))}
    </Drawer>
  )
}

/** Why settings cannot be taken yet; undefined if they can. */
function wrong(name: string, now: LocalSettings, taken: string[]): string | undefined {
  if (!name) return 'Give them a name.'
  if (taken.includes(name)) return `There are settings named “${name}” already.`
  if (now.storeys.length === 0 && now.members.length === 0) return 'Choose storeys, lines or columns.'
  return Object.keys(now.set).length === 0 ? 'Tick a value that differs.' : undefined
}

/** A value with a tick: ticked, it is their own; else the project's is shown. */
function ValueRow(p: {
  field: LocalField
  set: LocalSet
  basis: Basis
  code: Catalogue
  units: Units
  onSet: (set: LocalSet) => void
}) {
  const { field: f, units } = p
  const own = f.key in p.set
  const project = projectValue(p.basis, f)
  const value = own ? p.set[f.key] : project
  const give = (v: LocalSet[keyof LocalSet]) => p.onSet({ ...p.set, [f.key]: v })
  return (
    <div className="field local-value">
      <Tooltip title={f.help}>
        <Checkbox
          checked={own}
          aria-label={`${f.name}, own value`}
          onChange={(e) => {
            p.onSet(e.target.checked ? { ...p.set, [f.key]: project } : omit(p.set, f.key))
          }}
        >
          {f.name}
        </Checkbox>
      </Tooltip>
      {!own ? (
        <span className="soft">{valueWords(f, project, units)}</span>
      ) : f.number ? (
        <NumberField
          label={f.name}
          value={shown(f.number, value as number, units)}
          unit={unitOf(f.number, units)}
          showUnit
          least={shown(f.number, f.number.least, units)}
          most={shown(f.number, f.number.most, units)}
          whole={f.number.kind === 'count'}
          width={130}
          onChange={(v) => give(stored(f.number!, v, units))}
        />
      ) : f.choices ? (
        <Select
          aria-label={f.name}
          style={{ width: 210 }}
          value={typeof value === 'boolean' ? (value ? 'yes' : 'no') : (value as string)}
          options={f.choices}
          onChange={(v) => give(typeof value === 'boolean' ? v === 'yes' : v)}
        />
      ) : (
        <BarChips name={f.name} bars={p.code.bars} value={value as string[]} onChange={give} />
      )}
      {own && f.key === 'outsideFrame' && value === true && p.basis.ductility === 'none' && (
        <p className="soft">Changes nothing yet: the basis asks for no rules for earthquakes.</p>
      )}
    </div>
  )
}
