import { useQueryClient } from '@tanstack/react-query'
import { App } from 'antd'
import { useCallback, useRef, useState } from 'react'
import { change } from '../../api/changes'
import type { ApiError, Member, State } from '../../api/client'

/** How what is set by hand on a member reaches the server: H what is set, A the answer when it is stored, P the member checked with it. */
interface Ways<H, A extends { version: number }, P> {
  put: (version: number, hand: H) => Promise<A>
  check: (hand: H, signal: AbortSignal) => Promise<P>
  /** the member as the answer shows it */
  land: (old: Member, answer: A) => Member
}

/**
 * Keeps what is set by hand on a member: every change is stored as it is made, one after the other; of several that wait only the
 * newest is sent. `tryOut` checks a change while a bar is dragged or a choice hovered, without storing it.
 */
export function useHandSet<H, A extends { version: number }, P>(
  id: string,
  mark: string,
  state: State | undefined,
  ways: Ways<H, A, P>,
) {
  const { message } = App.useApp()
  const queries = useQueryClient()
  const [preview, setPreview] = useState<P>()
  const [saving, setSaving] = useState(false)
  const seen = useRef(0)
  const busy = useRef(false)
  const waiting = useRef<H>(undefined)
  const trying = useRef<AbortController>(undefined)
  const way = useRef(ways)
  seen.current = state?.version ?? 0
  way.current = ways

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

  const letGo = useCallback(() => {
    trying.current?.abort()
    setPreview(undefined)
  }, [])

  const save = useCallback(
    async (hand: H) => {
      waiting.current = hand
      trying.current?.abort()
      if (busy.current) return
      busy.current = true
      setSaving(true)
      try {
        while (waiting.current) {
          const next = waiting.current
          waiting.current = undefined
          const answer = await change(id, seen.current, (v) => way.current.put(v, next))
          queries.setQueryData<Member>(['project', id, 'member', mark], (old) => old && way.current.land(old, answer))
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

  const tryOut = useCallback((hand: H) => {
    trying.current?.abort()
    const now = new AbortController()
    trying.current = now
    way.current.check(hand, now.signal).then(
      (b) => !now.signal.aborted && setPreview(b),
      () => undefined,
    )
  }, [])

  return { save, tryOut, letGo, preview, saving }
}
