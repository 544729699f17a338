import { useQuery } from '@tanstack/react-query'
import { App, Button, Drawer, Segmented } from 'antd'
import { useState } from 'react'
import { api, type Edit, type PutSectionEdit, type State } from '../../api/client'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { Concrete } from './Concrete'
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

const PARTS = ['Section', 'Concrete', 'Stiffness', 'Connections', 'Loads'] as const

/** Changes the members of a line or stack: section, stiffness, connections and loads; then analyses and designs again. */
export function EditDrawer(p: Props) {
  const { message, modal } = App.useApp()
  const [part, setPart] = useState<(typeof PARTS)[number]>('Section')
  const [drafts, setDrafts] = useState<Record<string, Draft>>({})
  const [added, setAdded] = useState<PutSectionEdit[]>([])
  const elements = useQuery({
    queryKey: ['project', p.id, 'element', p.members],
    queryFn: ({ signal }) => api.elements(p.id, p.members, signal),
    staleTime: 0,
  })
  const analysis = useQuery({
    queryKey: ['project', p.id, 'analysis'],
    queryFn: ({ signal }) => api.analysis(p.id, signal),
  })
  const [seen, setSeen] = useState(p.state?.version ?? 0)
  const save = useEdit(
    p.id,
    p.state,
    (row, from) => {
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
    },
    seen,
  )
  const list = elements.data?.elements ?? []
  const edits = [
    ...added.filter((a) => Object.values(drafts).some((d) => d.section === a.id)),
    ...editsOf(list, drafts),
  ]
  const change = (members: string[], d: Draft) =>
    setDrafts((old) => ({ ...old, ...Object.fromEntries(members.map((m) => [m, { ...old[m], ...d }])) }))
  const props: PartProps = { elements: list, drafts, us: p.state?.totals?.usUnits ?? false, onChange: change }
  // who was refused because of somebody else sees the newest state beside what they typed, and may apply it on top
  const apply = () =>
    edits.length > 0 &&
    save.mutate(
      { edits },
      { onError: (e) => (e.status === 412 || e.status === 409) && setSeen(p.state?.version ?? seen) },
    )
  const effects = useQuery({
    queryKey: ['project', p.id, 'effects', JSON.stringify(edits)],
    queryFn: ({ signal }) => api.editEffects(p.id, edits, signal),
    enabled: edits.some((e) => LINES.has(e.kind)),
    retry: false,
  })
  const close = () => {
    if (edits.length === 0) return p.onClose()
    modal.confirm({
      title: `Throw away ${edits.length === 1 ? 'the change' : `${edits.length} changes`}?`,
      content: `${sentence(edits)}. Nothing of it has been applied.`,
      okText: 'Throw away',
      okButtonProps: { danger: true },
      cancelText: 'Go on',
      onOk: p.onClose,
    })
  }
  return (
    <Drawer
      open
      title={`Change ${p.mark}`}
      size={660}
      onClose={close}
      footer={
        <div className="drawer-foot">
          <span className="soft grow">
            {edits.length === 0 ? 'Nothing is changed yet.' : sentence(edits)}
            {effects.data?.effects.map((e) => (
              <div key={e} className="over-ink">
                {e}.
              </div>
            ))}
          </span>
          <Button onClick={close}>Cancel</Button>
          <Button type="primary" disabled={edits.length === 0} loading={save.isPending} onClick={apply}>
            Apply and analyse
          </Button>
        </div>
      }
    >
      {elements.isError ? (
        <ErrorView error={elements.error} onRetry={() => void elements.refetch()} />
      ) : list.length === 0 ? (
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
                const made = sectionOf(w, props.us ? 'in' : 'mm')
                if (made) setAdded((a) => [...a.filter((k) => k.id !== made.id), made])
                return made?.id
              }}
            />
          )}
          {part === 'Concrete' && <Concrete {...props} />}
          {part === 'Stiffness' && <Stiffness {...props} />}
          {part === 'Connections' && <Connections {...props} />}
          {part === 'Loads' && (
            <LoadTable
              {...props}
              cases={
                analysis.data?.balance
                  .filter((b) => !b.generated)
                  .map((b) => ({ id: b.id, name: b.name, selfWeight: b.selfWeight })) ?? []
              }
            />
          )}
        </div>
      )}
    </Drawer>
  )
}

/** Edits that may join or split lines. */
const LINES = new Set(['section', 'put-section', 'releases'])

const sentence = (edits: Edit[]) =>
  `${edits.length} change${edits.length > 1 ? 's' : ''}: ${edits.map(words).join('; ')}`

function words(e: Edit): string {
  switch (e.kind) {
    case 'section':
      return `section of ${e.members.length}`
    case 'material':
      return `concrete of ${e.members.length}`
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
