import { Button, InputNumber, Select } from 'antd'
import { useState } from 'react'
import type { Load } from '../../api/client'
import type { PartProps } from './part'

const KINDS = [
  { value: 'distributed', label: 'spread' },
  { value: 'point', label: 'point' },
  { value: 'moment', label: 'moment' },
  { value: 'distributed-moment', label: 'spread moment' },
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

/** Loads on a member, by load case; loads of panels come on top of these. */
export function LoadTable(p: PartProps & { cases: { id: string; name: string }[] }) {
  const [member, setMember] = useState(p.elements[0]!.id)
  const e = p.elements.find((k) => k.id === member)!
  const loads = p.drafts[member]?.loads ?? e.loads
  const length = e.lengthM / (p.us ? 0.3048 : 1)
  const set = (next: Load[]) => p.onChange([member], { loads: next })
  const put = (i: number, change: Partial<Load>) => set(loads.map((l, k) => (k === i ? { ...l, ...change } : l)))
  const [line, force] = p.us ? ['kip/ft', 'kip'] : ['kN/m', 'kN']
  const number = (i: number, key: 'from' | 'to' | 'value' | 'valueTo', label: string, most?: number) => (
    <InputNumber
      aria-label={`${label} of load ${i + 1}`}
      size="small"
      style={{ width: 62 }}
      controls={false}
      min={most === undefined ? undefined : 0}
      max={most}
      value={Math.round(loads[i]![key] * 1000) / 1000}
      onChange={(v) => v !== null && put(i, { [key]: v })}
    />
  )
  const fresh: Load = {
    loadCase: p.cases[0]?.id ?? '',
    kind: 'distributed',
    direction: 'global-z',
    from: 0,
    to: length,
    value: -10,
    valueTo: -10,
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
        Places from the start of the member, {p.us ? 'ft' : 'm'} (it is {length.toFixed(2)} long); {line} spread,{' '}
        {force} at a point. Downwards is negative along global z. Loads of slabs come on top.
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
              style={{ width: 92 }}
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
            {number(i, 'from', 'Place', length)}
            {spread && (
              <>
                <span className="soft">to</span>
                {number(i, 'to', 'End', length)}
              </>
            )}
            {number(i, 'value', 'Size')}
            {spread && number(i, 'valueTo', 'Size at the end')}
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
