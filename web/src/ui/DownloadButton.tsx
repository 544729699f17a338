import { useMutation } from '@tanstack/react-query'
import { Button, Progress } from 'antd'
import { useEffect, type ReactNode } from 'react'
import { api, type ApiError, type Job } from '../api/client'
import { take, useMaking } from '../lib/exports'
import { ErrorView } from './ErrorView'
import { FindingList } from './FindingList'

interface Props {
  id: string
  /** As the server calls it, for instance `report.pdf`. */
  file: string
  /** What is asked for besides. */
  asked?: Record<string, string>
  primary?: boolean
  children: ReactNode
}

function Making({ job }: { job: Job }) {
  return (
    <div className="making" role="status">
      <span className="soft">{job.doing}…</span>
      <Progress
        size="small"
        status="active"
        percent={job.total > 0 ? Math.floor((100 * job.done) / job.total) : 0}
        showInfo={job.total > 0}
        aria-label="Progress"
      />
      <Button size="small" onClick={() => void api.cancelJob(job.id)}>
        Cancel
      </Button>
    </div>
  )
}

/** Has a file made, tells how far it is, can be cancelled, and saves it when it is there. */
export function DownloadButton({ id, file, asked, primary, children }: Props) {
  const key = JSON.stringify([id, file, asked])
  const job = useMaking(key)
  const ask = () => api.makeExport(id, file, asked ?? {})
  const start = useMutation<Job, ApiError>({
    mutationFn: ask,
    onSuccess: (j) => take(key, j, ask),
  })
  const { reset } = start
  useEffect(reset, [key, reset])
  const failed = job?.phase === 'failed'
  return (
    <>
      <Button
        block
        type={primary ? 'primary' : 'default'}
        disabled={start.isPending || (!!job && !failed)}
        onClick={() => start.mutate()}
      >
        {children}
      </Button>
      {job && !failed && <Making job={job} />}
      {failed && <FindingList findings={job.findings} />}
      {start.isError && <ErrorView error={start.error} />}
    </>
  )
}
