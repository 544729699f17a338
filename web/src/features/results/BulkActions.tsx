import { useMutation, useQueryClient } from '@tanstack/react-query'
import { App, Button, Dropdown } from 'antd'
import { useNavigate } from 'react-router'
import { change } from '../../api/changes'
import { api, type ApiError, type Project, type ResultRow, type State, type View } from '../../api/client'

type Action = (version: number) => Promise<Project>

/** Changes of all selected lines and stacks in one step, one entry of the history. */
export function BulkActions(p: { id: string; state?: State; rows: ResultRow[]; view: View }) {
  const { message } = App.useApp()
  const queries = useQueryClient()
  const navigate = useNavigate()
  const seen = p.state?.version ?? 0
  const marks = new Set(p.rows.map((r) => r.mark))
  const members = p.view.members.filter((m) => marks.has(p.view.marks[m.line]!)).map((m) => m.id)
  const act = useMutation<Project, ApiError, Action>({
    mutationFn: (send) => change(p.id, seen, send),
    onError: (e) => void message.error(`${e.message} ${e.findings[0] ? `${e.findings[0].what}` : e.detail}`, 8),
    onSettled: () => queries.invalidateQueries({ queryKey: ['project', p.id] }),
  })
  const resize = (deeper: number, wider: number) =>
    act.mutate(async (v) => api.edit(p.id, v, (await api.resized(p.id, members, deeper, wider)).edits))
  const torsion = (kind: string) => act.mutate((v) => api.handOfMany(p.id, v, [...marks], false, kind))
  const actions: Record<string, () => void> = {
    deeper: () => resize(1, 0),
    wider: () => resize(0, 1),
    shallower: () => resize(-1, 0),
    narrower: () => resize(0, -1),
    release: () => act.mutate((v) => api.handOfMany(p.id, v, [...marks], true, null)),
    'as-found': () => torsion('as-found'),
    equilibrium: () => torsion('equilibrium'),
    compatibility: () => torsion('compatibility'),
    local: () => void navigate(`/p/${p.id}/basis`, { state: { members: p.rows.map((r) => r.id) } }),
  }
  const beams = p.rows.some((r) => r.role === 'beam')
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        onClick: ({ key }) => actions[key]!(),
        items: [
          {
            type: 'group',
            label: 'Section, by the step of the basis',
            children: [
              { key: 'deeper', label: 'One step deeper' },
              { key: 'wider', label: 'One step wider' },
              { key: 'shallower', label: 'One step shallower' },
              { key: 'narrower', label: 'One step narrower' },
            ],
          },
          {
            type: 'group',
            label: 'Torsion of beams',
            children: [
              { key: 'as-found', label: 'As re-analysis finds', disabled: !beams },
              { key: 'equilibrium', label: 'From equilibrium', disabled: !beams },
              { key: 'compatibility', label: 'From compatibility', disabled: !beams },
            ],
          },
          { type: 'divider' },
          { key: 'local', label: 'Local settings: cover, steel, bars, sway…' },
          { key: 'release', label: 'Release what is set by hand', disabled: !p.rows.some((r) => r.handSet) },
        ],
      }}
    >
      <Button loading={act.isPending}>All at once…</Button>
    </Dropdown>
  )
}
