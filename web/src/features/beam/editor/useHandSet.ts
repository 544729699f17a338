import { useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { useCallback, useRef, useState } from 'react'
import { change } from '../../../api/changes'
import { api, type ApiError, type Beam, type Hand, type Member, type State } from '../../../api/client'

/**
 * Keeps what is set by hand on a line: every change is stored as it is made, one after the other; of several that wait only the
 * newest is sent. `tryOut` checks a change while a bar is dragged, without storing it.
 */
export function useHandSet(id: string, mark: string, state: State | undefined) {
  const { message } = App.useApp()
  const queries = useQueryClient()
  const [preview, setPreview] = useState<Beam>()
  const [saving, setSaving] = useState(false)
  const seen = useRef(0)
  const busy = useRef(false)
  const waiting = useRef<Hand>(undefined)
  const trying = useRef<AbortController>(undefined)
  seen.current = state?.version ?? 0

  const failed = useCallback(
    (e: unknown) => {
      const q = e as ApiError
      void message.error(
        `${q.message} ${q.findings?.[0] ? `${q.findings[0].what} ${q.findings[0].mend}` : (q.detail ?? '')}`,
        8,
      )
      void queries.invalidateQueries({ queryKey: ['project', id] })
    },
    [id, message, queries],
  )

  const save = useCallback(
    async (hand: Hand) => {
      waiting.current = hand
      trying.current?.abort()
      if (busy.current) return
      busy.current = true
      setSaving(true)
      try {
        while (waiting.current) {
          const next = waiting.current
          waiting.current = undefined
          const answer = await change(id, seen.current, (v) => api.handSet(id, mark, v, next))
          queries.setQueryData<Member>(['project', id, 'member', mark], (old) => old && { ...old, beam: answer.beam })
        }
      } catch (e) {
        waiting.current = undefined
        failed(e)
      } finally {
        busy.current = false
        setSaving(false)
        setPreview(undefined)
      }
    },
    [failed, id, mark, queries],
  )

  const tryOut = useCallback(
    (hand: Hand) => {
      trying.current?.abort()
      const now = new AbortController()
      trying.current = now
      api.tryHand(id, mark, hand, now.signal).then(
        (b) => !now.signal.aborted && setPreview(b),
        () => undefined,
      )
    },
    [id, mark],
  )

  return { save, tryOut, preview, saving }
}
