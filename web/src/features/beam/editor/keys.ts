import type { Beam, Hand } from '../../../api/client'
import { changeBars, changeSides, changeZone, nextSize, removeBars, removeZone, type Pick } from './hand'

/** What a key does to the part that is picked: a changed cage, or undefined where the key means nothing. */
export function keyed(
  beam: Beam,
  pick: Pick,
  key: string,
  shift: boolean,
  end: 'from' | 'to',
  stepMm: number,
): Hand | undefined {
  const up = key === 'ArrowUp' ? 1 : key === 'ArrowDown' ? -1 : 0
  const along = key === 'ArrowRight' ? 1 : key === 'ArrowLeft' ? -1 : 0
  if (pick.part === 'bars') {
    const g = beam.groups[pick.index]!
    if (up && shift) return changeBars(beam, pick.index, { size: nextSize(beam.sizes, g.size, up) })
    if (up) return changeBars(beam, pick.index, { count: Math.max(1, g.count + up) })
    if (along)
      return changeBars(
        beam,
        pick.index,
        end === 'from' ? { from: g.from + along * stepMm } : { to: g.to + along * stepMm },
      )
    if (key === 'l') return changeBars(beam, pick.index, { layer: (g.layer % 3) + 1 })
    if (key === 'Delete') return removeBars(beam, pick.index)
  }
  if (pick.part === 'zone') {
    const z = beam.zones[pick.index]!
    if (up && shift) return changeZone(beam, pick.index, { size: nextSize(beam.stirrupSizes, z.size, up) })
    if (up) return changeZone(beam, pick.index, { legs: Math.max(2, z.legs + up) })
    if (along) return changeZone(beam, pick.index, { from: z.from + along * stepMm })
    if (key === '+' || key === '-')
      return changeZone(beam, pick.index, {
        spacing: Math.max(25, z.spacing + (key === '+' ? 1 : -1) * beam.spacingStepMm),
      })
    if (key === 'Delete') return removeZone(beam, pick.index)
  }
  if (pick.part === 'sides') {
    const s = beam.sides.find((q) => q.span === pick.span)
    if (up && shift) return changeSides(beam, pick.span, { size: nextSize(beam.sizes, s?.size ?? beam.sizes[0]!, up) })
    if (up) return changeSides(beam, pick.span, { perFace: (s?.perFace ?? 0) + up })
    if (key === 'Delete') return changeSides(beam, pick.span, { perFace: 0 })
  }
  return undefined
}

/** The parts in the order in which keys walk through them. */
export function nextPick(beam: Beam, pick: Pick | undefined, part: 'bars' | 'zone'): Pick {
  const n = part === 'bars' ? beam.groups.length : beam.zones.length
  return { part, index: pick?.part === part ? (pick.index + 1) % n : 0 }
}
