import type { Compare, Deflection, Diagram } from '../api/client'
import { curves, displacementAt, peak, SIDE } from './diagram'
import type { PlanMember } from './planScene'

/** A member's diagram in plan: filled rings and the place and value of the peak. */
export interface PlanRibbon {
  member: PlanMember
  rings: { points: string; positive: boolean }[]
  peak: { x: number; y: number; value: number }
}

/** Unit vectors along a member on the screen and to the side where a positive value goes: down the page, or right. */
function frame(m: PlanMember, component: string) {
  const length = Math.hypot(m.x2 - m.x1, m.y2 - m.y1) || 1
  const ux = (m.x2 - m.x1) / length
  const uy = (m.y2 - m.y1) / length
  const flip = ux < -1e-6 || (Math.abs(ux) <= 1e-6 && uy > 0) ? -1 : 1
  const side = SIDE[component]!
  // bending goes to the tension side whichever way the member runs; a shear's sign turns with the member
  const by = side.sign * (component === 'my' || component === 'mz' ? -flip : flip * -flip)
  return { ux, uy, nx: -uy * by, ny: ux * by }
}

/** Diagrams of the beams of a storey. @param mmPerUnit length on the drawing of one unit of force */
export function planRibbons(members: PlanMember[], diagram: Diagram, mmPerUnit: number): PlanRibbon[] {
  const byId = new Map(diagram.members.map((d) => [d.id, d]))
  return members
    .filter((m) => !m.column && byId.has(m.id))
    .map((member) => {
      const d = byId.get(member.id)!
      const f = frame(member, diagram.component)
      const at = (x: number, v: number): [number, number] => [
        member.x1 + f.ux * x * 1000 + f.nx * v * mmPerUnit,
        member.y1 + f.uy * x * 1000 + f.ny * v * mmPerUnit,
      ]
      const rings = curves(d)
        .flatMap((c) =>
          [true, false].map((positive) => ({
            positive,
            points: ring(
              c.map(([x, v]): [number, number] => [x, positive ? Math.max(0, v) : Math.min(0, v)]),
              at,
            ),
          })),
        )
        .filter((r) => r.points !== '')
      const p = peak(d)
      const [x, y] = at(p.x, p.v)
      return { member, rings, peak: { x, y, value: p.v } }
    })
}

/** Places for the values of ribbons, largest first, where they do not lie on one another. */
export function placedValues(
  list: PlanRibbon[],
  size: number,
  words: (v: number) => string,
): { id: string; x: number; y: number; text: string }[] {
  const out: { id: string; x: number; y: number; text: string; half: number }[] = []
  for (const r of [...list].sort((a, b) => Math.abs(b.peak.value) - Math.abs(a.peak.value))) {
    const text = words(r.peak.value)
    const half = 0.3 * size * text.length
    const free = out.every((o) => Math.abs(o.x - r.peak.x) > o.half + half || Math.abs(o.y - r.peak.y) > 1.1 * size)
    if (free && r.peak.value !== 0) out.push({ id: r.member.id, x: r.peak.x, y: r.peak.y, text, half })
  }
  return out
}

function ring(c: [number, number][], at: (x: number, v: number) => [number, number]): string {
  if (c.every(([, v]) => v === 0)) return ''
  const points = [at(c[0]![0], 0), ...c.map(([x, v]) => at(x, v)), at(c.at(-1)![0], 0)]
  return points.map(([x, y]) => `${Math.round(x)},${Math.round(y)}`).join(' ')
}

/** Members as they move along X and Y, as polylines. */
export function planShapes(members: PlanMember[], shape: Deflection, factor: number): { id: string; points: string }[] {
  const byId = new Map(shape.members.map((d) => [d.id, d.points]))
  return members
    .filter((m) => !m.column && byId.has(m.id))
    .map((m) => {
      const points = byId.get(m.id)!
      const out: string[] = []
      for (let i = 0; i < points.length; i += 4) {
        const t = points[i]!
        const [dx, dy] = displacementAt(points, t)
        out.push(
          `${Math.round(m.x1 + t * (m.x2 - m.x1) + dx * factor)},${Math.round(m.y1 + t * (m.y2 - m.y1) - dy * factor)}`,
        )
      }
      return { id: m.id, points: out.join(' ') }
    })
}

/** Signed part (-1 to 1) by which each member changed, of the largest change; small ones are left out. */
export function changeParts(c: Compare): Map<string, number> {
  return new Map(
    c.changes.filter((k) => c.most > 0 && Math.abs(k.by) > 1e-3 * c.most).map((k) => [k.member, k.by / c.most]),
  )
}

/** Colour of a change: more in the accent, less in sand; strength by size. */
export function changeColor(part: number | undefined): string {
  if (part === undefined) return 'var(--concrete)'
  const percent = Math.round(20 + 80 * Math.sqrt(Math.abs(part)))
  return `color-mix(in srgb, var(${part > 0 ? '--accent' : '--less'}) ${percent}%, var(--concrete))`
}
