import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState, useSyncExternalStore } from 'react'
import { changesWaiting, onWaiting } from './changes'
import { api, ApiError, type State } from './client'

/** What is known of a project's state, and whether the server can be reached. */
export interface Live {
  state?: State
  reachable: boolean
  /** changes that wait for the server */
  waiting: number
  /** who else has the project open; an empty name is one that nobody told */
  people: string[]
}

/** How soon a stream that ended is opened again [ms]. */
const AGAIN = 700

/** Follows a project's state and drops what was cached of an older design. */
export function useProjectState(id: string): Live {
  const [state, setState] = useState<State>()
  const [reachable, setReachable] = useState(true)
  const [people, setPeople] = useState<string[]>([])
  const waiting = useSyncExternalStore(onWaiting, () => changesWaiting(id))
  const queries = useQueryClient()
  useEffect(() => {
    let designed = -1
    let version = -1
    let ended = false
    let events: EventSource
    let timer: ReturnType<typeof setTimeout>
    const open = () => {
      events = api.projectEvents(id)
      events.addEventListener('state', (e) => {
        const s = JSON.parse((e as MessageEvent).data) as State
        setState(s)
        setReachable((was) => {
          // what failed while the server was away is asked again
          if (!was) void queries.refetchQueries({ predicate: (q) => q.state.status === 'error' })
          return true
        })
        if (s.designed !== designed || s.version !== version) {
          // while a design is being made only what does not depend on it is read again
          const design = s.designed !== designed
          designed = s.designed
          version = s.version
          void queries.invalidateQueries({
            queryKey: ['project', id],
            predicate: (q) => design || STORED.has(String(q.queryKey[2])),
          })
        }
      })
      events.addEventListener('people', (e) =>
        setPeople((JSON.parse((e as MessageEvent).data) as { people: string[] }).people),
      )
      // a stream also ends when the server puts a project out of memory: whether the server answers is asked first
      events.addEventListener('error', () => {
        events.close()
        void look()
      })
    }
    const look = async () => {
      if (ended) return
      try {
        await api.state(id)
        open()
      } catch (e) {
        const gone = e instanceof ApiError && e.status === 404
        // whoever is signed out is asked to sign in, not told that the server is away
        const out = e instanceof ApiError && (e.status === 401 || e.status === 403)
        if (gone) void queries.invalidateQueries({ queryKey: ['project', id, 'row'] })
        else if (out) void queries.invalidateQueries({ queryKey: ['session'] })
        else setReachable(false)
        if (!gone) timer = setTimeout(() => void look(), AGAIN)
      }
    }
    open()
    return () => {
      ended = true
      clearTimeout(timer)
      events.close()
    }
  }, [id, queries])
  return { state, reachable, waiting, people }
}

/** What belongs to the stored project and not to its design. */
const STORED = new Set(['row', 'basis', 'edits', 'options', 'element', 'analysis', 'model'])

export function useProject(id: string) {
  return useQuery({ queryKey: ['project', id, 'row'], queryFn: ({ signal }) => api.project(id, signal) })
}
