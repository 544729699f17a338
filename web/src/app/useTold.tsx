import { App } from 'antd'
import { useEffect, useRef } from 'react'
import type { State } from '../api/client'
import { WINDOW } from '../api/person'

/** Tells what others changed as soon as they did, and what one's own change brought with it. */
export function useTold(state?: State) {
  const { notification } = App.useApp()
  const known = useRef<number>(undefined)
  const last = state?.last
  useEffect(() => {
    if (!last) return
    const first = known.current === undefined
    const fresh = !first && last.version > known.current!
    known.current = Math.max(known.current ?? 0, last.version)
    if (!fresh) return
    const own = last.window === WINDOW
    if (own && last.effects.length === 0) return
    const details = last.effects.map((e) => <div key={e}>{e}.</div>)
    notification.info({
      title: own ? 'This came with the change' : `${last.person || 'Another window'} changed the project`,
      description: own ? (
        details
      ) : (
        <>
          {last.summary}
          {details}
        </>
      ),
      placement: 'bottomRight',
      duration: own ? 12 : 6,
    })
  }, [last, notification])
}
