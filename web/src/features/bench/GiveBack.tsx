import { App, Button, Tooltip } from 'antd'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api, type ApiError } from '../../api/client'
import { withLift } from '../column/lifts'
import { arrangementOf } from './arrangement'
import { sizeOf } from './fromLift'
import type { Bench } from './bench'

/** Gives the bars of the bench to the lift that they came from, as set by hand. */
export default function GiveBack({ bench }: { bench: Bench & Required<Pick<Bench, 'from'>> }) {
  const { message } = App.useApp()
  const go = useNavigate()
  const [giving, setGiving] = useState(false)
  const { id, mark, lift, size } = bench.from
  const give = async () => {
    const bars =
      size === sizeOf(bench) ? arrangementOf(bench) : { trouble: 'The section is no longer that of the lift.' }
    if ('trouble' in bars) return void message.error(bars.trouble, 8)
    setGiving(true)
    try {
      const [state, member] = await Promise.all([api.state(id), api.member(id, mark)])
      const to = member.column?.lifts[lift]
      if (!member.column || !to) return void message.error(`${mark} has no such lift any more.`)
      await api.columnSet(id, mark, state.version, withLift(member.column, lift, { ...to.hand, ...bars }))
      void go(`/p/${id}/sheet/${encodeURIComponent(mark)}?lift=${lift}`)
    } catch (e) {
      const q = e as ApiError
      void message.error([q.message, q.findings?.[0]?.what ?? q.detail].join(' '), 8)
    } finally {
      setGiving(false)
    }
  }
  return (
    <Tooltip title="Sets these bars by hand on the lift that they came from; from its sheet they go to others that they fit. Undo takes them back.">
      <Button size="small" loading={giving} onClick={() => void give()}>
        Give to {mark}
      </Button>
    </Tooltip>
  )
}
