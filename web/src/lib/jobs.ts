import { api, type ApiError, type Job } from '../api/client'

/** Between two questions to a server that does not answer [ms]. */
const AGAIN = 2000
const LOST = 'server.lost'

/** Follows a job until it has ended, over a server that is away for a while; one that no server knows any more has failed. */
export function followJob(id: string, tell: (j: Job) => void): () => void {
  let over = false
  let stop = () => {}
  const listen = () => {
    const events = api.jobEvents(id)
    stop = () => events.close()
    events.addEventListener('job', (e) => {
      const j = JSON.parse((e as MessageEvent).data) as Job
      tell(j)
      if (ended(j)) events.close()
    })
    // not left to the stream: for a job that nobody knows it would be opened, ended and opened again for ever
    events.onerror = () => {
      events.close()
      later()
    }
  }
  const later = () => {
    const timer = setTimeout(ask, AGAIN)
    stop = () => clearTimeout(timer)
  }
  const ask = () => {
    api.job(id).then(
      (j) => {
        if (over) return
        tell(j)
        if (!ended(j)) listen()
      },
      (e: ApiError) => {
        if (over) return
        if (e.status === 404) tell(unknown(id))
        else later()
      },
    )
  }
  listen()
  return () => {
    over = true
    stop()
  }
}

function unknown(id: string): Job {
  const finding = {
    severity: 'fails',
    code: LOST,
    where: 'server',
    what: 'The server was started anew before this was done.',
    mend: 'Ask for it again; nothing stored was changed.',
    clause: '',
    combination: '',
  }
  return { id, kind: '', phase: 'failed', doing: '', done: 0, total: 0, findings: [finding], result: null }
}

export function ended(j: Job): boolean {
  return ['done', 'failed', 'cancelled'].includes(j.phase)
}

/** Whether it failed with its server, for no fault of its own. */
export function lost(j: Job): boolean {
  return j.phase === 'failed' && j.findings.some((f) => f.code === LOST)
}
