import { useSyncExternalStore } from 'react'
import { api, type Job } from '../api/client'
import { followJob, lost } from './jobs'

/** Files that are being made, by what is asked for: they go on and are saved on whatever page one is by then. */
const making = new Map<string, Job>()
const listeners = new Set<() => void>()

function told(key: string, job: Job | undefined) {
  if (job) making.set(key, job)
  else making.delete(key)
  listeners.forEach((l) => l())
}

/** Saves what a job made, as a link would. */
function save(job: Job) {
  const link = document.createElement('a')
  link.href = api.madeUrl(job.id)
  link.download = ''
  link.click()
}

/**
 * Takes a job that makes a file under its key: follows it, and saves the file when it is there.
 * @param again asks for the file once more, where its server ended before it was made
 */
export function take(key: string, job: Job, again?: () => Promise<Job>) {
  told(key, job)
  followJob(job.id, (j) => {
    if (again && lost(j)) {
      again().then(
        (next) => take(key, next),
        () => told(key, j),
      )
      return
    }
    if (j.phase === 'done') save(j)
    told(key, j.phase === 'done' || j.phase === 'cancelled' ? undefined : j)
  })
}

function subscribe(listener: () => void) {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

/** How the file stands that is made under a key; undefined where none is. */
export function useMaking(key: string): Job | undefined {
  return useSyncExternalStore(subscribe, () => making.get(key))
}
