import { useQueryClient } from '@tanstack/react-query'
import { Button, Progress } from 'antd'
import { useCallback, useEffect, useRef, useState } from 'react'
import { api, ApiError, type Job, type State } from '../../api/client'
import { ErrorView } from '../../ui/ErrorView'
import { FindingList } from '../../ui/FindingList'
import { followJob } from '../../lib/jobs'
import type { TypeRole } from './useTypes'

/** Has the curve made as soon as the design is current, with progress; cancelled, it waits to be asked. */
export function CurveMaking({ id, role, state }: { id: string; role: TypeRole; state?: State }) {
  const queries = useQueryClient()
  const [job, setJob] = useState<Job>()
  const [error, setError] = useState<ApiError>()
  const asked = useRef<string>(undefined)
  const made = useCallback(
    (j: Job) => {
      setJob(j)
      if (j.phase === 'done') void queries.invalidateQueries({ queryKey: ['project', id, 'types', 'curve', role] })
    },
    [queries, id, role],
  )
  const start = useCallback(() => {
    setError(undefined)
    api.makeTypeCurve(id, role).then(setJob, (e: unknown) => setError(e as ApiError))
  }, [id, role])
  const ready = state?.current ?? false
  const version = state?.designed ?? 0
  useEffect(() => {
    const key = `${id} ${role} ${version}`
    if (!ready || asked.current === key) return
    asked.current = key
    start()
  }, [ready, id, role, version, start])
  const follow = job?.id
  useEffect(() => (follow ? followJob(follow, made) : undefined), [follow, made])
  if (error) return <ErrorView error={error} onRetry={start} />
  if (job?.phase === 'failed')
    return (
      <div className="notice" role="alert">
        <FindingList findings={job.findings} />
        <Button onClick={start}>Try again</Button>
      </div>
    )
  if (job?.phase === 'cancelled')
    return (
      <div className="notice">
        Cancelled. The types in force stay as they are.{' '}
        <Button size="small" onClick={start}>
          Make the curve
        </Button>
      </div>
    )
  return (
    <div className="notice import">
      <span>{!ready ? 'The curve is made when the design is current…' : `${job?.doing ?? 'waiting'}…`}</span>
      <Progress
        percent={job && job.total > 0 ? Math.floor((100 * job.done) / job.total) : 0}
        status="active"
        showInfo={!!job && job.total > 0}
      />
      {job && (
        <Button size="small" onClick={() => void api.cancelJob(job.id)}>
          Cancel
        </Button>
      )}
    </div>
  )
}
