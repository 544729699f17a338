import { App } from 'antd'
import { useEffect, useRef } from 'react'
import { api, type Outcome, type State } from '../api/client'
import { WINDOW } from '../api/person'
import { utilisation } from '../lib/format'

/** Tells what others changed as soon as they did, and what one's own change brought with it. */
export function useTold(id: string, state?: State) {
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
  // when the design follows one's own change, what it mended and broke
  const told = useRef<number>(undefined)
  useEffect(() => {
    if (!last || told.current === undefined) {
      told.current = last?.version
      return
    }
    if (last.window !== WINDOW || !state?.current || state.designed < last.version || told.current >= last.version)
      return
    told.current = last.version
    void api.outcome(id).then(
      (o) => {
        if (o.to < last.version || o.mended + o.broken === 0) return
        notification.open({
          title: [o.mended > 0 && `mended ${o.mended}`, o.broken > 0 && `broke ${o.broken}`].filter(Boolean).join(', '),
          description: (
            <>
              <Turned words="now satisfied" list={o.firstMended} count={o.mended} id={id} />
              <Turned words="now fail" list={o.firstBroken} count={o.broken} id={id} />
            </>
          ),
          placement: 'bottomRight',
          duration: 15,
        })
      },
      () => undefined,
    )
  }, [id, last, state, notification])
}

/** Lines and stacks that a change turned, with their utilisations before and after. */
function Turned(p: { words: string; list: Outcome['firstMended']; count: number; id: string }) {
  if (p.count === 0) return null
  return (
    <div>
      <span className="soft">{p.words}: </span>
      {p.list.slice(0, 6).map((c, i) => (
        <span key={c.mark}>
          {i > 0 && ', '}
          <a href={`/p/${p.id}/sheet/${encodeURIComponent(c.mark)}`}>{c.mark}</a> {utilisation(c.before)} →{' '}
          {utilisation(c.after)}
        </span>
      ))}
      {p.count > 6 && ` and ${p.count - 6} more`}
    </div>
  )
}
