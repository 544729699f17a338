import { useQuery } from '@tanstack/react-query'
import { Tooltip } from 'antd'
import { useEffect } from 'react'
import { api, type State } from '../../api/client'
import { useEdit } from './useEdit'

/** Undo and redo of the model's edits, by pointing or by Ctrl Z and Ctrl Shift Z. */
export function UndoPills({ id, state }: { id: string; state?: State }) {
  const history = useQuery({ queryKey: ['project', id, 'edits'], queryFn: ({ signal }) => api.edits(id, signal) })
  const edit = useEdit(id, state)
  const h = history.data
  const last = [...(h?.entries ?? [])].reverse().find((e) => e.inForce && e.summary !== 'undo' && e.summary !== 'redo')
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z' || edit.isPending) return
      if ((e.target as HTMLElement).closest('input, textarea, [data-own-undo]')) return
      const again = e.shiftKey
      if (again ? h?.canRedo : h?.canUndo) {
        e.preventDefault()
        edit.mutate(again ? 'redo' : 'undo')
      }
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
          aria-label="Undo the edit"
          disabled={!h.canUndo || edit.isPending}
          onClick={() => edit.mutate('undo')}
        >
          ↶
        </button>
      </Tooltip>
      <Tooltip title="Redo (Ctrl Shift Z)">
        <button
          type="button"
          className="pill button"
          aria-label="Redo the edit"
          disabled={!h.canRedo || edit.isPending}
          onClick={() => edit.mutate('redo')}
        >
          ↷
        </button>
      </Tooltip>
    </>
  )
}
