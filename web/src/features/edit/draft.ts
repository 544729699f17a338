import type { Edit, EditedLoad, Element, Factors, Load, PutSectionEdit, RoleFactors } from '../../api/client'
import { parseSection } from '../../lib/sectionWords'

/** What a person has changed of a member, not yet applied. */
export interface Draft {
  section?: string
  material?: string
  /** null: the factors of the role again */
  factors?: Factors | null
  releaseStart?: string[]
  releaseEnd?: string[]
  loads?: Load[]
}

export const FACTORS: { key: keyof Factors; name: string; says: string }[] = [
  { key: 'iy', name: 'bending', says: 'On the second moment of area for bending in the vertical plane of a beam' },
  { key: 'iz', name: 'sideways', says: 'On the second moment of area for bending sideways' },
  {
    key: 'torsion',
    name: 'torsion',
    says: 'On the torsion constant; near zero sheds torsion that is not needed for equilibrium',
  },
  { key: 'area', name: 'axial', says: 'On the area' },
  { key: 'shearY', name: 'shear y', says: 'On the shear area along local y; counts where shear deformation is on' },
  { key: 'shearZ', name: 'shear z', says: 'On the shear area along local z; counts where shear deformation is on' },
]

type StiffnessFactors = Omit<RoleFactors, 'role'>

/** Factors in the fields of the model file. */
export const factorFields = (f: Factors): StiffnessFactors => ({
  factorArea: f.area,
  factorShearY: f.shearY,
  factorShearZ: f.shearZ,
  factorIy: f.iy,
  factorIz: f.iz,
  factorTorsion: f.torsion,
})

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** The edits that the drafts ask for; members with the same change share one. */
export function editsOf(elements: Element[], drafts: Record<string, Draft>): Edit[] {
  const out: Edit[] = []
  const grouped = new Map<string, { edit: (members: string[]) => Edit; members: string[] }>()
  const add = (member: string, edit: (members: string[]) => Edit) => {
    const key = JSON.stringify(edit([]))
    const g = grouped.get(key) ?? { edit, members: [] }
    g.members.push(member)
    grouped.set(key, g)
  }
  for (const e of elements) {
    const d = drafts[e.id]
    if (!d) continue
    const { section, material, factors } = d
    if (section !== undefined && section !== e.section) add(e.id, (members) => ({ kind: 'section', members, section }))
    if (material !== undefined && material !== e.material)
      add(e.id, (members) => ({ kind: 'material', members, material }))
    if (factors === null && e.ownFactors) add(e.id, (members) => ({ kind: 'stiffness', members }))
    if (factors && !(e.ownFactors && same(factors, e.factors)))
      add(e.id, (members) => ({ kind: 'stiffness', members, ...factorFields(factors) }))
    const start = d.releaseStart ?? e.releaseStart
    const end = d.releaseEnd ?? e.releaseEnd
    if (!same(start, e.releaseStart) || !same(end, e.releaseEnd))
      add(e.id, (members) => ({ kind: 'releases', members, releaseStart: start, releaseEnd: end }))
    if (d.loads && !same(d.loads, e.loads)) out.push(...loadEdits(e, d.loads))
  }
  return [...[...grouped.values()].map((g) => g.edit(g.members)), ...out]
}

function loadEdits(e: Element, loads: Load[]): Edit[] {
  const cases = [...new Set([...e.loads, ...loads].map((l) => l.loadCase))]
  return cases
    .map((loadCase) => ({
      loadCase,
      before: e.loads.filter((l) => l.loadCase === loadCase),
      after: loads.filter((l) => l.loadCase === loadCase),
    }))
    .filter((c) => !same(c.before, c.after))
    .map((c) => ({ kind: 'member-loads' as const, member: e.id, case: c.loadCase, loads: c.after.map(row) }))
}

/** A load in the fields of the model file. */
function row(l: Load): EditedLoad {
  const spread = l.kind.startsWith('distributed')
  return {
    kind: l.kind,
    direction: l.direction,
    from: l.from,
    value: l.value,
    ...(spread ? { to: l.to, valueTo: l.valueTo } : {}),
  }
}

/** A section that is not in the model yet, from its words. @param unit that the model counts sizes in */
export function sectionOf(words: string, unit: string): PutSectionEdit | undefined {
  const s = parseSection(words, unit)
  if (!s) return undefined
  const { shape, ...all } = s
  const sizes = Object.fromEntries(Object.entries(all).filter(([, v]) => v !== 0))
  const id = {
    rectangle: `${s.b}x${s.h}`,
    circle: `D${s.d}`,
    tee: `T${s.bw}x${s.h} ${s.bf}x${s.hf}`,
    ell: `L${s.bw}x${s.h} ${s.bf}x${s.hf}`,
    'inverted-tee': `IT${s.bw}x${s.h} ${s.bf}x${s.hf}`,
  }[shape]!
  return { kind: 'put-section', id, shape, ...sizes }
}
