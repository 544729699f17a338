import { Button, Dropdown } from 'antd'
import { useState } from 'react'
import type { Group } from './alike'
import type { Selection } from './useSelection'

/** The menu of ways to select others, open from the start. */
export function SelectMenu(p: { groups: () => Group[]; selection: Selection; everything?: string[] }) {
  const [open, setOpen] = useState(true)
  const groups = p.groups()
  return (
    <Dropdown
      trigger={['click']}
      open={open}
      onOpenChange={setOpen}
      menu={{
        items: [
          ...groups.map((g) => ({ key: g.key, label: `${g.words} (${g.marks.length})` })),
          ...(p.everything ? [{ key: 'invert', label: 'invert' }] : []),
        ],
        onClick: ({ key }) =>
          p.selection.set(
            key === 'invert'
              ? p.everything!.filter((m) => !p.selection.all.has(m))
              : groups.find((g) => g.key === key)!.marks,
          ),
      }}
    >
      <Button autoFocus>Select…</Button>
    </Dropdown>
  )
}
