import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { change } from '../../api/changes'
import { api, type ApiError, type Project, type State, type TypeChange } from '../../api/client'

export type TypeRole = 'beam' | 'column'

/** Types of a project, the curve of a role, and changes to them; what is refused is told in the engineer's words. */
export function useTypes(id: string, role: TypeRole, state: State | undefined) {
  const { message } = App.useApp()
  const queries = useQueryClient()
  const types = useQuery({ queryKey: ['project', id, 'types'], queryFn: ({ signal }) => api.types(id, signal) })
  const curve = useQuery({
    queryKey: ['project', id, 'types', 'curve', role],
    queryFn: ({ signal }) => api.typeCurve(id, role, signal),
  })
  const put = useMutation<Project, ApiError, TypeChange>({
    mutationFn: (c) => change(id, state?.version ?? 0, (version) => api.changeTypes(id, version, c)),
    onError: (e) =>
      void message.error(`${e.message} ${e.findings[0] ? `${e.findings[0].what} ${e.findings[0].mend}` : e.detail}`, 8),
    onSettled: () => queries.invalidateQueries({ queryKey: ['project', id] }),
  })
  return { types, curve, put }
}
