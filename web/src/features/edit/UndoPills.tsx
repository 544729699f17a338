import { useQuery } from '@tanstack/react-query'
import { Tooltip } from 'antd'
import { useEffect } from 'react'
import { api, type State } from '../../api/client'
import { useEdit } from './useEdit'

/** Undo and redo of the last change of the project, whatever it was, by pointing or by Ctrl Z and Ctrl Shift Z. */
export function UndoPills({ id, state }: { id: string; state?: State }) {
  const history = useQuery({ queryKey: ['project', id, 'edits'], queryFn: ({ signal }) => api.edits(id, signal) })
  const edit = useEdit(id, state)
  const h = history.data
  const last = [...(h?.entries ?? [])].reverse().find((e) => e.inForce && e.kind !== 'undo' && e.kind !== 'redo')
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return
      // a field with something typed has an undo of its own
      if ((e.target as HTMLElement).closest('input:not([data-clean]), textarea, [data-own-undo]')) return
      e.preventDefault()
      if (e.shiftKey ? h?.canRedo : h?.canUndo) edit.mutate(e.shiftKey ? 'redo' : 'undo')
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
  if (!h || (!h.canUndo && !h.canRedo)) return null
  return (
    <>
      <Tooltip title={last ? `Undo: ${last.summary} (Ctrl Z)` : ''}>
        <button
          type="button"
          className="pill button"
          aria-label="Undo"
          disabled={!h.canUndo}
          onClick={() => edit.mutate('undo')}
        >
          ↶
        </button>
      </Tooltip>
      <Tooltip title="Redo (Ctrl Shift Z)">
        <button
          type="button"
          className="pill button"
          aria-label="Redo"
          disabled={!h.canRedo}
          onClick={() => edit.mutate('redo')}
        >
          ↷
        </button>
      </Tooltip>
    </>
  )
}
