import { api, type Job } from '../api/client'

/** Follows a job until it has ended. */
export function followJob(id: string, tell: (j: Job) => void): () => void {
  const events = api.jobEvents(id)
  events.addEventListener('job', (e) => {
    const j = JSON.parse((e as MessageEvent).data) as Job
    tell(j)
    if (ended(j)) events.close()
  })
  return () => events.close()
}

export function ended(j: Job): boolean {
  return ['done', 'failed', 'cancelled'].includes(j.phase)
}
