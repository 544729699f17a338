import { useMutation, useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { change } from '../../api/changes'
import { api, type ApiError, type Edit, type Project, type State } from '../../api/client'

export type Step = { edits: Edit[] } | 'undo' | 'redo'

/**
 * Changes of a project's model, one after another; what is refused is told in the engineer's words.
 *
 * @param seen version that what is changed was read at, where it is older than the state
 */
export function useEdit(
  id: string,
  state: State | undefined,
  onDone?: (p: Project, from: number) => void,
  seen?: number,
) {
  const { message } = App.useApp()
  const queries = useQueryClient()
  return useMutation<Project, ApiError, Step, number>({
    // the news of the next version may come before the answer
    onMutate: () => state?.version ?? 0,
    mutationFn: (step) =>
      change(id, seen ?? state?.version ?? 0, (version) =>
        step === 'undo'
          ? api.undo(id, version)
          : step === 'redo'
            ? api.redo(id, version)
            : api.edit(id, version, step.edits),
      ),
    onError: (e) =>
      void message.error(
        `${e.message} ${e.findings[0] ? `${e.findings[0].where}: ${e.findings[0].what} ${e.findings[0].mend}` : e.detail}`,
        8,
      ),
    onSuccess: (p, _step, from) => onDone?.(p, from),
    onSettled: () => queries.invalidateQueries({ queryKey: ['project', id] }),
  })
}
