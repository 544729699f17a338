import { useQuery } from '@tanstack/react-query'
import { Segmented } from 'antd'
import { lazy, Suspense } from 'react'
import { useSearchParams } from 'react-router'
import { api, type State } from '../../api/client'
import { unitsOf } from '../../lib/units'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { useMayEdit } from '../people/session'
import { AnalysisPart } from './AnalysisPart'
import { ChangesPart } from './ChangesPart'
import { ReadPart } from './ReadPart'

const RevisionPart = lazy(() => import('./revision/RevisionPart').then((m) => ({ default: m.RevisionPart })))

const PARTS = [
  { value: 'read', label: 'What was read' },
  { value: 'analysis', label: 'Analysis' },
  { value: 'changes', label: 'History and forces' },
  { value: 'revision', label: 'Newer model' },
]

/** The model: what was read, how it is analysed and balances, and how it was changed. */
export function ModelPage({ id, state }: { id: string; state?: State }) {
  const [params, setParams] = useSearchParams()
  const may = useMayEdit()
  const part = params.get('part') ?? 'read'
  const q = useQuery({ queryKey: ['project', id, 'model'], queryFn: ({ signal }) => api.model(id, signal) })
  if (q.isError) return <ErrorView error={q.error} onRetry={() => void q.refetch()} />
  if (!q.data) return <Loading words="Reading the model" />
  const m = q.data
  const units = unitsOf(m.units === 'US')
  return (
    <div className="paper">
      <h1>{m.name}</h1>
      <p className="soft">
        From {m.fileName}, units {m.units}.{' '}
        {m.importedForces
          ? 'The forces were solved elsewhere.'
          : 'The forces are Kolonne’s own, from linear analysis of the frame.'}
        {m.forcesStale && <b className="over-ink"> They are stale: the model was changed after they were taken.</b>}{' '}
        <a href={api.exportUrl(id, 'model')}>Download the file as it was given</a>, or{' '}
        <a href={api.exportUrl(id, 'analysis.ifc')}>the model as it is now, IFC</a>
      </p>
      <Segmented
        aria-label="Part of the model"
        value={part}
        options={may ? PARTS : PARTS.filter((p) => p.value !== 'revision')}
        onChange={(v) => setParams(v === 'read' ? {} : { part: v }, { replace: true })}
      />
      {part === 'analysis' && <AnalysisPart id={id} state={state} model={m} units={units} />}
      {part === 'changes' && <ChangesPart id={id} state={state} model={m} />}
      {part === 'revision' && may && (
        <Suspense fallback={<Loading words="Opening the page" />}>
          <RevisionPart id={id} state={state} model={m} />
        </Suspense>
      )}
      {!['analysis', 'changes', may ? 'revision' : ''].includes(part) && <ReadPart model={m} />}
    </div>
  )
}
