import { useEffect, useRef, useState } from 'react'
import type { View } from '../../api/client'
import { tokensOf, type Mode } from '../../app/theme'
import { typicalPeak } from '../../drawing/diagram'
import { changeParts } from '../../drawing/planLayer'
import { arrows, deflected, ribbons } from '../../drawing/spaceLayer'
import { SpaceRenderer } from '../../drawing/spaceRenderer'
import type { Shade } from '../../drawing/shade'
import type { Under } from '../../drawing/under'
import type { Layer } from './layer'
import { LayerCard } from './LayerCard'
import { howOf, type How } from './useSelection'

interface Props {
  view: View
  layer: Layer
  /** scale of what the layer draws: mm to the largest value, or exaggeration of the shape */
  factor: number
  matching: Set<string>
  selected: ReadonlySet<string>
  shade: Shade
  mode: Mode
  onSelect: (mark: string | undefined, how: How) => void
}

/** The building in three dimensions: drag turns it, the wheel comes nearer, a click selects. */
export default function SpaceView(p: Props) {
  const host = useRef<HTMLDivElement>(null)
  const renderer = useRef<SpaceRenderer>(null)
  const [under, setUnder] = useState<Under>()
  const pick = useRef(p.onSelect)
  useEffect(() => {
    pick.current = p.onSelect
  })
  useEffect(() => {
    const r = new SpaceRenderer(host.current!, p.view, (m, e) => pick.current(m, howOf(e)), setUnder)
    renderer.current = r
    return () => {
      r.dispose()
      renderer.current = null
    }
  }, [p.view])
  const { layer, factor } = p
  useEffect(() => {
    const changes = layer.compare && changeParts(layer.compare)
    renderer.current?.paint(
      tokensOf(p.mode),
      p.matching,
      p.selected,
      layer.show === 'utilisation' ? p.shade : (changes ?? 'plain'),
    )
  }, [p.view, p.mode, p.matching, p.selected, p.shade, layer.show, layer.compare])
  useEffect(() => {
    const r = renderer.current
    const t = tokensOf(p.mode)
    if (layer.diagram)
      r?.overlay(ribbons(p.view, layer.diagram, factor / 1000 / typicalPeak(layer.diagram.members)), t, 'sign')
    else if (layer.shape) r?.overlay(deflected(p.view, layer.shape, factor), t, 'size')
    else r?.overlay(undefined, t, 'sign')
    r?.arrows(layer.reactions ? arrows(layer.reactions, (3 * factor) / 1000) : [], t)
  }, [p.view, p.mode, layer.diagram, layer.shape, layer.reactions, factor])
  return (
    <div
      className="space"
      ref={host}
      role="img"
      aria-label="The building in three dimensions"
      onMouseLeave={() => setUnder(undefined)}
    >
      {under && layer.show !== 'utilisation' && <LayerCard layer={layer} under={under} />}
    </div>
  )
}
