import { Button, Input, Select } from 'antd'
import type { BeamSketch } from '../../api/client'
import { NumberField } from './fields'

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
            <th />
          </tr>
        </thead>
        <tbody>
          {cases.map((c, i) => (
            <tr key={i}>
              <td>
                <Input
                  size="small"
                  aria-label={`Case ${i + 1}`}
                  style={{ width: 54 }}
                  value={c.id}
                  status={c.id.trim() ? undefined : 'error'}
                  onChange={(e) => onRename(c.id, e.target.value)}
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
                  label={`Self-weight in ${c.id}`}
                  width={52}
                  min={0}
                  max={10}
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
