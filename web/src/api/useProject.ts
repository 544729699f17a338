import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { api, type State } from './client'

/** Follows a project's state and drops what was cached of an older design. */
export function useProjectState(id: string): State | undefined {
  const [state, setState] = useState<State>()
  const queries = useQueryClient()
  useEffect(() => {
    const events = api.projectEvents(id)
    let designed = -1
    events.addEventListener('state', (e) => {
      const s = JSON.parse((e as MessageEvent).data) as State
      setState(s)
      if (s.designed !== designed) {
        designed = s.designed
        void queries.invalidateQueries({ queryKey: ['project', id] })
      }
    })
    return () => events.close()
  }, [id, queries])
  return state
}

export function useProject(id: string) {
  return useQuery({ queryKey: ['project', id, 'row'], queryFn: ({ signal }) => api.project(id, signal) })
}
