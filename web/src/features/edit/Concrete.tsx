import { Select } from 'antd'
import { MemberTable } from './MemberTable'
import type { PartProps } from './part'

/** Another concrete for one member or all of them. */
export function Concrete(p: PartProps) {
  const options = (p.elements[0]?.materials ?? []).map((m) => ({ value: m, label: m }))
  return (
    <MemberTable
      {...p}
      heading="concrete"
      all={(members) => (
        <Select
          aria-label="Concrete of all"
          style={{ width: 220 }}
          placeholder="choose for all"
          value={undefined}
          options={options}
          onChange={(material: string) => p.onChange(members, { material })}
        />
      )}
      one={(e) => (
        <Select
          aria-label={`Concrete of ${e.id}`}
          style={{ width: 220 }}
          value={p.drafts[e.id]?.material ?? e.material}
          options={options}
          onChange={(material: string) => p.onChange([e.id], { material })}
        />
      )}
    />
  )
}
