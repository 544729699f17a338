import { Button, Dropdown } from 'antd'
import type { Group } from './alike'
import type { Selection } from './useSelection'

/** Ways to select others. */
export function SelectMenu(p: { groups: () => Group[]; selection: Selection; everything?: string[] }) {
  const groups = p.groups()
  return (
    <Dropdown
      trigger={['click']}
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
      <Button>Select…</Button>
    </Dropdown>
  )
}
