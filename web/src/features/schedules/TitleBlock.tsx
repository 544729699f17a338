import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { useRef, useState, type ReactNode } from 'react'
import { api, type ApiError, type ProjectData } from '../../api/client'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { SavedText } from '../../ui/SavedText'
import { Revisions } from './Revisions'
import { SheetView } from './SheetView'

const PAPERS = ['A4', 'A3', 'A1']
/** Height of a title block with the line above and the margin beneath it [mm]. */
const FOOT = 44

/** How much of the width a text gets; a quarter where nothing is said. */
const WIDE: Record<string, string> = { title: 'whole', client: 'half', address: 'half', notes: 'whole' }

const HELP: Record<string, string> = {
  title: 'as drawings and heads of pages name it; the project’s name where it is left empty',
  date: 'of this issue',
  notes: 'in the report, beneath the title',
}

/** What title blocks and heads of pages tell of the project, with the block as it will be printed. */
export function TitleBlock({ id, kinds }: { id: string; kinds: ReactNode }) {
  const [paper, setPaper] = useState('A3')
  const client = useQueryClient()
  const key = ['project', id, 'project-data']
  const data = useQuery({ queryKey: key, queryFn: ({ signal }) => api.projectData(id, signal) })
  const block = useQuery({
    queryKey: ['project', id, 'drawing', 'block', paper, data.data?.version],
    queryFn: ({ signal }) => api.titleBlock(id, paper, signal),
    placeholderData: keepPreviousData,
    enabled: data.isSuccess,
    retry: false,
  })
  const change = useMutation<ProjectData, ApiError, () => Promise<ProjectData>>({
    mutationFn: (how) => how(),
    onSuccess: (d) => {
      client.setQueryData(key, d)
      void client.invalidateQueries({ queryKey: ['project', id, 'drawing'] })
    },
    // what somebody else wrote meanwhile is shown beside what was typed
    onError: () => void client.invalidateQueries({ queryKey: key }),
  })
  if (data.isError) return <ErrorView error={data.error} onRetry={() => void data.refetch()} />
  if (!data.data) return <Loading words="Reading the title block" />
  const d = data.data
  const size = d.texts.find((t) => t.key === 'paper')
  return (
    <div className="schedules">
      <h1 className="sr">Title block</h1>
      <div>
        <div className="view-tools">
          {kinds}
          <span className="spring" />
          <Segmented aria-label="Paper shown" value={paper} options={PAPERS} onChange={setPaper} />
        </div>
        <div className="title-block">
          {block.data && (
            <SheetView sheet={block.data} foot={FOOT} logo={d.logo ? api.logoUrl(id, d.version) : undefined} />
          )}
          {block.isError && <ErrorView error={block.error} onRetry={() => void block.refetch()} />}
        </div>
        <div className="title-fields">
          {d.texts
            .filter((t) => t.key !== 'paper')
            .map((t) => (
              <label key={t.key} data-wide={WIDE[t.key]}>
                <span>
                  {t.name}
                  {HELP[t.key] && <span className="soft"> · {HELP[t.key]}</span>}
                </span>
                <SavedText
                  value={t.text}
                  longest={t.longest}
                  lines={t.key === 'notes' ? 3 : 1}
                  onSave={(text) => change.mutateAsync(() => api.changeText(id, t.key, t.text, text))}
                />
              </label>
            ))}
        </div>
        {change.isError && <ErrorView error={change.error} />}
        <Revisions
          revisions={d.revisions}
          onSave={(next) => change.mutateAsync(() => api.changeRevisions(id, d.revisions, next))}
        />
      </div>
      <aside className="side">
        <h2>Logo</h2>
        <Picture
          shown={d.logo ? api.logoUrl(id, d.version) : undefined}
          busy={change.isPending}
          onChoose={(f) => change.mutate(() => api.putLogo(id, f))}
          onRemove={() => change.mutate(() => api.removeLogo(id))}
        />
        <h2>Paper</h2>
        <p className="soft">Of reports and schedules; drawings are on the sheets that you choose beside them.</p>
        <Segmented
          aria-label="Paper of reports and schedules"
          value={size?.text || 'A4'}
          options={['A4', 'Letter']}
          onChange={(v) => change.mutate(() => api.changeText(id, 'paper', size?.text ?? '', v))}
        />
        <h2>Where it stands</h2>
        <p className="soft">
          In the title block of every drawing, in the head of every page of the report and the schedules, and on the
          first page of the report. What is typed is kept at once; nothing is designed anew for it.
        </p>
        <p className="soft">DXF files have all of it but the logo.</p>
      </aside>
    </div>
  )
}

function Picture({
  shown,
  busy,
  onChoose,
  onRemove,
}: {
  shown?: string
  busy: boolean
  onChoose: (f: File) => void
  onRemove: () => void
}) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      {shown && <img className="logo-shown" src={shown} alt="Logo of the project’s paper" />}
      <input
        ref={input}
        type="file"
        accept="image/png,image/jpeg"
        aria-label="Picture of the logo"
        className="sr"
        tabIndex={-1}
        onChange={(e) => {
          const f = e.target.files?.[0]
          if (f) onChoose(f)
          e.target.value = ''
        }}
      />
      <Button block loading={busy} onClick={() => input.current?.click()}>
        {shown ? 'Another picture' : 'Choose a picture'}
      </Button>
      {shown && (
        <Button block type="text" onClick={onRemove}>
          Take it away
        </Button>
      )}
      <p className="soft">PNG or JPEG, up to 512 kB.</p>
    </>
  )
}
