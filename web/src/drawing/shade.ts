import type { ViewMember } from '../api/client'

/** What the colour of a member stands for; the order is that of the server's values. */
export const SHADES = [
  {
    value: 'strength',
    label: 'strength',
    says: 'Bending, shear with torsion or axial force with bending, whichever is used most',
  },
  { value: 'bending', label: 'bending', says: 'Bending of beams' },
  { value: 'shear', label: 'shear with torsion', says: 'Shear and torsion: stirrups and concrete' },
  { value: 'axial', label: 'axial with bending', says: 'Columns' },
  { value: 'deflection', label: 'deflection', says: 'Deflection, or minimum depth where none is computed' },
  {
    value: 'detailing',
    label: 'detailing',
    says: 'Spacings, least steel, anchorage, cracks: often near 1.00 because a detailer goes there',
  },
  { value: 'congestion', label: 'congestion', says: 'Clear distance that bars need over what they have' },
  { value: 'density', label: 'steel per concrete', says: 'Mass of steel in a volume of concrete' },
] as const

export type Shade = (typeof SHADES)[number]['value']

/** Steel per concrete that the darkest step begins at [kg/m3]. */
export const DENSEST = 300

/** How dark a member is, 0 to 1. */
export function shadeOf(m: ViewMember, shade: Shade): number {
  const i = SHADES.findIndex((s) => s.value === shade)
  const v = m.shades[i] ?? 0
  return shade === 'density' ? Math.min(1, v / DENSEST) : Math.min(1, v)
}

export const shadeFrom = (text: string | null): Shade => SHADES.find((s) => s.value === text)?.value ?? 'strength'
