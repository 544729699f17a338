import { displacementAt, peak, SIDE, valueAt } from '../../drawing/diagram'
import type { Under } from '../../drawing/under'
import { force, grouped } from '../../lib/format'
import { lengthIn, type Units } from '../../lib/units'
import { useUnits } from '../../ui/useUnits'
import type { Layer } from './layer'

/** The value under the cursor, with the peak of the member. */
export function LayerCard({ layer, under }: { layer: Layer; under: Under }) {
  const words = wordsOf(layer, under, useUnits())
  if (!words) return null
  return (
    <div className="hover-card" style={{ left: under.x + 14, top: under.y + 10 }}>
      {words.map((w, i) => (
        <div key={i} className={i > 1 ? 'soft' : ''}>
          {i === 0 ? <b>{w}</b> : w}
        </div>
      ))}
    </div>
  )
}

function wordsOf(layer: Layer, u: Under, units: Units): string[] | undefined {
  if (u.joint) {
    const r = layer.reactions?.joints.find((j) => j.joint === u.joint)
    if (!r || !layer.reactions) return undefined
    const [fx = 0, fy = 0, fz = 0, mx = 0, my = 0, mz = 0] = r.forces
    return [
      `Joint ${u.joint}`,
      `Rx ${force(fx)} · Ry ${force(fy)} · Rz ${force(fz)} ${layer.reactions.forceUnit}`,
      `Mx ${force(mx)} · My ${force(my)} · Mz ${force(mz)} ${layer.reactions.momentUnit}`,
    ]
  }
  const title = `${u.mark ?? ''}${u.mark === u.member ? '' : ` · ${u.member}`}`
  const d = layer.diagram?.members.find((m) => m.id === u.member)
  if (d && layer.diagram) {
    const unit = layer.diagram.unit
    const length = d.x.at(-1) ?? 0
    const at = u.part * length
    const v = valueAt(d.x, d.v, at)
    const top = peak(d)
    const m = (x: number) => `${x.toFixed(2)} ${unit.includes('kip') ? 'ft' : 'm'}`
    const k = unit.includes('kip') ? 1 / 0.3048 : 1
    return [
      title,
      `${SIDE[layer.component]!.name} ${d.low ? `${force(valueAt(d.x, d.low, at))} to ${force(v)}` : force(v)} ${unit} at ${m(at * k)}`,
      `peak ${force(top.v)} ${unit} at ${m(top.x * k)}`,
    ]
  }
  const s = layer.shape?.members.find((m) => m.id === u.member)
  if (s) {
    const move = (mm: number) => grouped(lengthIn(mm, units), units.us ? 3 : 2)
    const [x, y, z] = displacementAt(s.points, u.part)
    return [title, `X ${move(x)} · Y ${move(y)} · Z ${move(z)} ${units.length}`, `${(100 * u.part).toFixed(0)} % along`]
  }
  const c = layer.compare?.changes.find((k) => k.member === u.member)
  if (c && layer.compare) {
    const n = (v: number | null) => (v === null ? 'not there' : force(v))
    return [
      title,
      `${SIDE[layer.component]!.name} ${n(c.before)} → ${n(c.after)} ${layer.compare.unit}`,
      `${c.by > 0 ? '+' : ''}${force(c.by)} ${layer.compare.unit}`,
    ]
  }
  return undefined
}
