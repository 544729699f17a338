import { Select, Switch, Tooltip } from 'antd'
import type { ForceFile, Mapped } from '../../../api/client'

const QUANTITIES: { key: string; name: string; says: string; must?: boolean; text?: boolean }[] = [
  { key: 'member', name: 'member', says: 'Name of the member as in the model', must: true, text: true },
  { key: 'case', name: 'load case', says: 'Name of the load case as in the model', must: true, text: true },
  { key: 'x', name: 'place', says: 'From the start of the member; ratio counts from 0 to 1', must: true },
  { key: 'n', name: 'N', says: 'Axial force, tension positive' },
  { key: 'vz', name: 'Vz', says: 'Shear in the vertical plane of a beam, V = dM/dx' },
  { key: 'my', name: 'My', says: 'Bending in the vertical plane of a beam, sagging positive' },
  { key: 't', name: 'T', says: 'Torsion' },
  { key: 'vy', name: 'Vy', says: 'Shear sideways' },
  { key: 'mz', name: 'Mz', says: 'Bending sideways' },
]

/** Which column of the table is which quantity, in which unit, with which sign. */
export function MappingTable({
  file,
  mapping,
  doubts,
  onChange,
}: {
  file: ForceFile
  mapping: Mapped[]
  doubts: ForceFile['doubts']
  onChange: (m: Mapped[], quantity: string) => void
}) {
  const headers = file.headers.map((h, i) => ({ value: h, label: file.unitRow[i] ? `${h}, ${file.unitRow[i]}` : h }))
  const of = (q: string) => mapping.find((m) => m.quantity === q)
  const put = (q: string, change: Partial<Mapped> | undefined) => {
    const rest = mapping.filter((m) => m.quantity !== q)
    if (!change) return onChange(rest, q)
    const units = file.units.find((u) => u.quantity === q)?.units ?? []
    onChange([...rest, { quantity: q, header: '', unit: units[0] ?? '', opposite: false, ...of(q), ...change }], q)
  }
  return (
    <table className="plain">
      <thead>
        <tr>
          <th>quantity</th>
          <th>column</th>
          <th>unit</th>
          <th title="The table has the sign the other way round">opposite sign</th>
        </tr>
      </thead>
      <tbody>
        {QUANTITIES.map((q) => {
          const m = of(q.key)
          return (
            <tr key={q.key}>
              <td>
                <Tooltip title={q.says}>
                  <b className={(q.must && !m) || doubts.some((d) => d.quantity === q.key) ? 'over-ink' : ''}>
                    {q.name}
                  </b>
                </Tooltip>
              </td>
              <td>
                <Select
                  size="small"
                  aria-label={`Column of ${q.name}`}
                  style={{ width: 150 }}
                  allowClear
                  placeholder={q.must ? 'choose' : 'none: 0'}
                  value={m?.header}
                  options={headers}
                  onChange={(header?: string) => put(q.key, header ? { header } : undefined)}
                />
              </td>
              <td>
                {!q.text && (
                  <Select
                    size="small"
                    aria-label={`Unit of ${q.name}`}
                    style={{ width: 84 }}
                    disabled={!m}
                    value={m?.unit || undefined}
                    status={m && !m.unit ? 'error' : undefined}
                    placeholder="choose"
                    options={(file.units.find((u) => u.quantity === q.key)?.units ?? []).map((u) => ({
                      value: u,
                      label: u,
                    }))}
                    onChange={(unit) => put(q.key, { unit })}
                  />
                )}
              </td>
              <td>
                {!q.text && q.key !== 'x' && (
                  <Switch
                    size="small"
                    aria-label={`Opposite sign of ${q.name}`}
                    disabled={!m}
                    checked={m?.opposite ?? false}
                    onChange={(opposite) => put(q.key, { opposite })}
                  />
                )}
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}
