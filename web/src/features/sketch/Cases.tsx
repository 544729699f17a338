import { Button, Input, Select, Tooltip } from 'antd'
import { useState } from 'react'
import { NumberField } from '../../ui/NumberField'
import type { BeamSketch } from '../../api/client'

type Case = BeamSketch['cases'][number]

const KINDS = ['dead', 'superimposed', 'live', 'roof-live', 'snow', 'wind', 'seismic', 'soil'].map((value) => ({
  value,
  label: value,
}))

/** Load cases with their kind, from which the combinations are made, and the part of the self-weight that they carry. */
export function Cases({
  cases,
  onChange,
  onRename,
}: {
  cases: Case[]
  onChange: (c: Case[]) => void
  onRename: (from: string, to: string) => void
}) {
  const put = (i: number, c: Partial<Case>) => onChange(cases.map((k, n) => (n === i ? { ...k, ...c } : k)))
  const free =
    ['D', 'SD', 'L', 'Lr', 'S', 'W', 'E', 'H'].find((n) => cases.every((c) => c.id !== n)) ?? `C${cases.length + 1}`
  return (
    <section>
      <h2>Load cases</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>case</th>
            <th>name</th>
            <th>kind</th>
            <th className="num" title="Factor on the weight of the concrete in this case">
              self-weight
            </th>
            <td />
          </tr>
        </thead>
        <tbody>
          {cases.map((c, i) => (
            <tr key={i}>
              <td>
                <CaseName
                  label={`Case ${i + 1}`}
                  value={c.id}
                  others={cases.filter((k) => k !== c).map((k) => k.id)}
                  onCommit={(to) => onRename(c.id, to)}
                />
              </td>
              <td>
                <Input
                  size="small"
                  aria-label={`Name of case ${c.id}`}
                  style={{ width: 130 }}
                  value={c.name}
                  onChange={(e) => put(i, { name: e.target.value })}
                />
              </td>
              <td>
                <Select
                  size="small"
                  aria-label={`Kind of case ${c.id}`}
                  style={{ width: 116 }}
                  value={c.kind}
                  options={KINDS}
                  onChange={(kind) => put(i, { kind })}
                />
              </td>
              <td className="num">
                <NumberField
                  small
                  live
                  label={`Self-weight in ${c.id}`}
                  width={52}
                  least={0}
                  most={10}
                  value={c.selfWeight}
                  onChange={(selfWeight) => put(i, { selfWeight })}
                />
              </td>
              <td>
                <Button
                  size="small"
                  type="text"
                  aria-label={`Remove case ${c.id}`}
                  disabled={cases.length === 1}
                  onClick={() => onChange(cases.filter((_, n) => n !== i))}
                >
                  ×
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button size="small" onClick={() => onChange([...cases, { id: free, name: '', kind: 'live', selfWeight: 0 }])}>
        Add a case
      </Button>
    </section>
  )
}

/** The short name of a case; it counts when the field is left, so that typing never passes through another's name. */
function CaseName(p: { label: string; value: string; others: string[]; onCommit: (v: string) => void }) {
  const [draft, setDraft] = useState<string>()
  const text = (draft ?? p.value).trim()
  const trouble = text === '' ? 'Type a name.' : p.others.includes(text) ? `Another case is called ${text}.` : undefined
  const leave = () => {
    if (draft === undefined || trouble) return
    if (text !== p.value) p.onCommit(text)
    setDraft(undefined)
  }
  return (
    <Tooltip title={trouble} open={trouble !== undefined} color="var(--over)">
      <Input
        size="small"
        aria-label={p.label}
        aria-invalid={trouble !== undefined}
        style={{ width: 54 }}
        value={draft ?? p.value}
        status={trouble ? 'error' : undefined}
        onChange={(e) => setDraft(e.target.value)}
        onBlur={leave}
        onPressEnter={leave}
        onKeyDown={(e) => {
          if (e.key === 'Escape' && draft !== undefined) {
            e.stopPropagation()
            setDraft(undefined)
          }
        }}
      />
    </Tooltip>
  )
}
