import { useEffect, useRef } from 'react'
import type { View } from '../../api/client'
import { tokensOf, type Mode } from '../../app/theme'
import { SpaceRenderer } from '../../drawing/spaceRenderer'

/** The building in three dimensions: drag turns it, the wheel comes nearer, a click selects. */
export default function SpaceView(p: { view: View; matching: Set<string>; selected?: string; mode: Mode; onSelect: (mark: string | undefined) => void }) {
  const host = useRef<HTMLDivElement>(null)
  const renderer = useRef<SpaceRenderer>(null)
  const pick = useRef(p.onSelect)
  useEffect(() => {
    pick.current = p.onSelect
  })
  useEffect(() => {
    const r = new SpaceRenderer(host.current!, p.view, (m) => pick.current(m))
    renderer.current = r
    return () => {
      r.dispose()
      renderer.current = null
    }
  }, [p.view])
  useEffect(() => {
    renderer.current?.paint(tokensOf(p.mode), p.matching, p.selected)
  }, [p.view, p.mode, p.matching, p.selected])
  return <div className="space" ref={host} role="img" aria-label="The building in three dimensions" />
}
