import { Button, Progress } from 'antd'
import { useEffect, useState } from 'react'
import { api, type Job } from '../api/client'
import { followJob, lost } from '../lib/jobs'
import { FindingList } from './FindingList'

/** Follows the reading of a model until it is done, was refused, or was cancelled. @param onDone takes what the job made */
export function ImportProgress(p: { job: Job; onDone: (result: string) => void; onClose: () => void }) {
  const [job, setJob] = useState(p.job)
  const { onDone } = p
  useEffect(
    () =>
      followJob(p.job.id, (j) => {
        setJob(j)
        if (j.phase === 'done' && j.result) onDone(j.result)
      }),
    [p.job.id, onDone],
  )
  if (job.phase === 'failed')
    return (
      <div className="notice" role="alert">
        <h2>The model cannot be taken in yet</h2>
        <p className="soft">
          {lost(job)
            ? 'Nothing was stored.'
            : `${job.findings.length} findings. Mend them in the program that made the file, then drop it again; nothing was stored.`}
        </p>
        <FindingList findings={job.findings} />
        <Button onClick={p.onClose}>Close</Button>
      </div>
    )
  return (
    <div className="notice import">
      <span>{job.phase === 'cancelled' ? 'Cancelled; nothing was stored.' : `${job.doing}…`}</span>
      {job.phase !== 'cancelled' && (
        <Progress
          percent={job.total > 0 ? Math.floor((100 * job.done) / job.total) : 100}
          status="active"
          showInfo={job.total > 0}
        />
      )}
      {job.phase !== 'cancelled' && (
        <Button size="small" onClick={() => void api.cancelJob(job.id)}>
          Cancel
        </Button>
      )}
    </div>
  )
}
