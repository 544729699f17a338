import { api, ApiError } from './client'
import { WINDOW } from './person'

/**
 * Changes of a project go to the server one after another, each on top of the one before, so that quick ones of one's own are never taken for somebody
 * else's. While the server cannot be reached they wait and are sent again in order.
 */
interface Line {
  /** version that a change of this window was made on → version that it made */
  own: Map<number, number>
  tail: Promise<unknown>
}

const lines = new Map<string, Line>()
const waiting = new Map<string, number>()
const listeners = new Set<() => void>()
const RETRY_MS = 500

const lineOf = (id: string): Line => {
  const l = lines.get(id) ?? { own: new Map<number, number>(), tail: Promise.resolve() }
  lines.set(id, l)
  return l
}

/** Forgets what was changed in this window: the project is left, or opened anew. What is on its way is sent all the same. */
export const forgetChanges = () => lines.clear()

/** How many changes of a project wait for the server. */
export const changesWaiting = (id: string) => waiting.get(id) ?? 0

export function onWaiting(l: () => void): () => void {
  listeners.add(l)
  return () => listeners.delete(l)
}

function wait(id: string, by: number) {
  waiting.set(id, changesWaiting(id) + by)
  listeners.forEach((l) => l())
}

/** The version that the page has seen, past changes that this window itself made since. */
function past(l: Line, seen: number): number {
  let v = seen
  while (l.own.has(v)) v = l.own.get(v)!
  return v
}

const unreachable = (e: unknown) => e instanceof ApiError && (e.status === 0 || e.status === 503)
const pause = () => new Promise((done) => setTimeout(done, RETRY_MS))

/**
 * Sends a change when those before it have been answered.
 *
 * @param seen version of the project that the person saw
 */
export function change<T extends { version: number }>(
  id: string,
  seen: number,
  send: (version: number) => Promise<T>,
): Promise<T> {
  const l = lineOf(id)
  const next = l.tail.then(async () => {
    const version = past(l, seen)
    const answer = await patiently(id, version, send)
    // an answer further on stands on changes of others: what was seen before does not lead to it
    if (answer.version === version + 1) l.own.set(version, answer.version)
    return answer
  })
  l.tail = next.catch(() => undefined)
  return next
}

async function patiently<T extends { version: number }>(
  id: string,
  version: number,
  send: (version: number) => Promise<T>,
): Promise<T> {
  let told = false
  try {
    for (;;) {
      try {
        return await send(version)
      } catch (e) {
        // an answer that was lost on the way: the change may be there already
        if (told && e instanceof ApiError && (e.status === 412 || e.status === 409)) {
          const { last } = await api.state(id)
          if (last.window === WINDOW && last.version === version + 1) return (await api.project(id)) as unknown as T
        }
        if (!unreachable(e)) throw e
        if (!told) wait(id, 1)
        told = true
        await pause()
      }
    }
  } finally {
    if (told) wait(id, -1)
  }
}
