import { Button, Select } from 'antd'
import { useState } from 'react'
import type { Load } from '../../api/client'
import { NumberField } from '../../ui/NumberField'
import type { PartProps } from './part'

const KINDS = [
  { value: 'distributed', label: 'distributed' },
  { value: 'point', label: 'point' },
  { value: 'moment', label: 'moment' },
  { value: 'distributed-moment', label: 'distributed moment' },
]
const DIRECTIONS = [
  'global-x',
  'global-y',
  'global-z',
  'local-x',
  'local-y',
  'local-z',
  'projected-x',
  'projected-y',
  'projected-z',
].map((value) => ({ value, label: value.replace('-', ' ') }))

/** The unit of a load's value in the model file. */
function unitOf(kind: string, us: boolean): string {
  const units: Record<string, [string, string]> = {
    distributed: ['kN/m', 'kip/ft'],
    point: ['kN', 'kip'],
    moment: ['kNm', 'kip·ft'],
    'distributed-moment': ['kNm/m', 'kip·ft/ft'],
  }
  return units[kind]![us ? 1 : 0]
}

/** Loads on a member, by load case; loads of panels come on top of these. */
export function LoadTable(p: PartProps & { cases: { id: string; name: string; selfWeight: boolean }[] }) {
  const [member, setMember] = useState(p.elements[0]!.id)
  const e = p.elements.find((k) => k.id === member)!
  const loads = p.drafts[member]?.loads ?? e.loads
  const length = e.lengthM / (p.us ? 0.3048 : 1)
  const set = (next: Load[]) => p.onChange([member], { loads: next })
  const put = (i: number, change: Partial<Load>) => set(loads.map((l, k) => (k === i ? { ...l, ...change } : l)))
  const distance = p.us ? 'ft' : 'm'
  const number = (i: number, key: 'from' | 'to' | 'value' | 'valueTo', label: string, unit: string, most?: number) => (
    <NumberField
      label={`${label} of load ${i + 1}`}
      small
      live
      unit={unit}
      least={most === undefined ? undefined : 0}
      most={most}
      decimals={3}
      value={loads[i]![key]}
      onChange={(v) => put(i, { [key]: v })}
    />
  )
  // a load that is added goes where the last one went, never by itself into a case that carries the weight of the members
  const usual = loads.at(-1)?.loadCase ?? (p.cases.find((c) => !c.selfWeight) ?? p.cases[0])?.id ?? ''
  const fresh: Load = {
    loadCase: usual,
    kind: 'distributed',
    direction: 'global-z',
    from: 0,
    to: length,
    value: p.us ? -1 : -10,
    valueTo: p.us ? -1 : -10,
  }
  return (
    <>
      <div className="field">
        <span>Member</span>
        <Select
          aria-label="Member"
          style={{ width: 160 }}
          value={member}
          onChange={setMember}
          options={p.elements.map((k) => ({ value: k.id, label: k.id }))}
        />
      </div>
      <p className="soft">
        Places from the start of the member, {distance} (it is {length.toFixed(2)} long); distributed loads in{' '}
        {unitOf('distributed', p.us)}, point loads in {unitOf('point', p.us)}. Downwards is negative along global z.
        Loads of slabs come on top.
      </p>
      {loads.length === 0 && <p className="soft">No load of its own.</p>}
      {loads.map((l, i) => {
        const spread = l.kind.startsWith('distributed')
        return (
          <div key={i} className="load-row">
            <Select
              size="small"
              aria-label={`Case of load ${i + 1}`}
              value={l.loadCase}
              style={{ width: 76 }}
              popupMatchSelectWidth={200}
              options={p.cases.map((c) => ({ value: c.id, label: c.id, title: c.name }))}
              onChange={(loadCase) => put(i, { loadCase })}
            />
            <Select
              size="small"
              aria-label={`Kind of load ${i + 1}`}
              value={l.kind}
              style={{ width: 112 }}
              options={KINDS}
              onChange={(kind) => put(i, { kind })}
            />
            <Select
              size="small"
              aria-label={`Direction of load ${i + 1}`}
              value={l.direction}
              style={{ width: 94 }}
              options={DIRECTIONS}
              onChange={(direction) => put(i, { direction })}
            />
            <span className="soft">{spread ? 'from' : 'at'}</span>
            {number(i, 'from', 'Place', distance, length)}
            {spread && (
              <>
                <span className="soft">to</span>
                {number(i, 'to', 'End', distance, length)}
              </>
            )}
            {number(i, 'value', 'Value', unitOf(l.kind, p.us))}
            {spread && number(i, 'valueTo', 'Value at the end', unitOf(l.kind, p.us))}
            <Button
              size="small"
              type="text"
              aria-label={`Remove load ${i + 1}`}
              onClick={() => set(loads.filter((_, k) => k !== i))}
            >
              ×
            </Button>
          </div>
        )
      })}
      <Button size="small" disabled={p.cases.length === 0} onClick={() => set([...loads, fresh])}>
        Add a load
      </Button>
    </>
  )
}
