import { useQueries, useQuery } from '@tanstack/react-query'
import { App, Button, Drawer, Segmented } from 'antd'
import { useState } from 'react'
import { api, type Edit, type PutSectionEdit, type State } from '../../api/client'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { Connections } from './Connections'
import { editsOf, sectionOf, type Draft } from './draft'
import { LoadTable } from './LoadTable'
import type { PartProps } from './part'
import { Sections } from './Sections'
import { Stiffness } from './Stiffness'
import { useEdit } from './useEdit'

interface Props {
  id: string
  mark: string
  members: string[]
  state?: State
  onClose: () => void
  /** shows what the edit moved between two versions */
  onDone: (from: number, to: number) => void
}

const PARTS = ['Section', 'Stiffness', 'Connections', 'Loads'] as const

/** Changes the members of a line or stack: section, stiffness, connections and loads; then analyses and designs again. */
export function EditDrawer(p: Props) {
  const { message } = App.useApp()
  const [part, setPart] = useState<(typeof PARTS)[number]>('Section')
  const [drafts, setDrafts] = useState<Record<string, Draft>>({})
  const [added, setAdded] = useState<PutSectionEdit[]>([])
  const elements = useQueries({
    queries: p.members.map((m) => ({
      queryKey: ['project', p.id, 'element', m],
      queryFn: ({ signal }: { signal: AbortSignal }) => api.element(p.id, m, signal),
      staleTime: 0,
    })),
  })
  const analysis = useQuery({
    queryKey: ['project', p.id, 'analysis'],
    queryFn: ({ signal }) => api.analysis(p.id, signal),
  })
  const save = useEdit(p.id, p.state, (row, from) => {
    const key = `edit-${row.version}`
    message.open({
      key,
      duration: 8,
      type: 'success',
      content: (
        <>
          Analysed again.{' '}
          <Button
            type="link"
            size="small"
            onClick={() => {
              p.onDone(from, row.version)
              message.destroy(key)
            }}
          >
            See what moved
          </Button>
        </>
      ),
    })
    p.onClose()
  })
  const failed = elements.find((e) => e.isError)
  const list = elements.flatMap((e) => (e.data ? [e.data] : []))
  const edits = [
    ...added.filter((a) => Object.values(drafts).some((d) => d.section === a.id)),
    ...editsOf(list, drafts),
  ]
  const change = (members: string[], d: Draft) =>
    setDrafts((old) => ({ ...old, ...Object.fromEntries(members.map((m) => [m, { ...old[m], ...d }])) }))
  const props: PartProps = { elements: list, drafts, us: p.state?.totals?.usUnits ?? false, onChange: change }
  const apply = () => edits.length > 0 && save.mutate({ edits })
  return (
    <Drawer
      open
      title={`Change ${p.mark}`}
      size={660}
      onClose={p.onClose}
      footer={
        <div className="drawer-foot">
          <span className="soft grow">
            {edits.length === 0
              ? 'Nothing is changed yet.'
              : `${edits.length} change${edits.length > 1 ? 's' : ''}: ${edits.map(words).join('; ')}`}
          </span>
          <Button onClick={p.onClose}>Cancel</Button>
          <Button type="primary" disabled={edits.length === 0} loading={save.isPending} onClick={apply}>
            Apply and analyse
          </Button>
        </div>
      }
    >
      {failed ? (
        <ErrorView error={failed.error!} onRetry={() => void failed.refetch()} />
      ) : list.length < p.members.length ? (
        <Loading words="Reading the members" />
      ) : (
        <div
          data-own-undo
          onKeyDown={(e) => {
            if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) apply()
          }}
        >
          <Segmented value={part} onChange={setPart} options={[...PARTS]} aria-label="What to change" />
          {part === 'Section' && (
            <Sections
              {...props}
              added={added.map((a) => a.id)}
              onAdd={(w) => {
                const made = sectionOf(w)
                if (made) setAdded((a) => [...a.filter((k) => k.id !== made.id), made])
                return made?.id
              }}
            />
          )}
          {part === 'Stiffness' && <Stiffness {...props} />}
          {part === 'Connections' && <Connections {...props} />}
          {part === 'Loads' && (
            <LoadTable
              {...props}
              cases={analysis.data?.balance.filter((b) => !b.generated).map((b) => ({ id: b.id, name: b.name })) ?? []}
            />
          )}
        </div>
      )}
    </Drawer>
  )
}

function words(e: Edit): string {
  switch (e.kind) {
    case 'section':
      return `section of ${e.members.length}`
    case 'put-section':
      return `new section ${e.id}`
    case 'stiffness':
      return `stiffness of ${e.members.length}`
    case 'releases':
      return `connections of ${e.members.length}`
    case 'member-loads':
      return `loads in ${e.case}`
    default:
      return e.kind
  }
}
