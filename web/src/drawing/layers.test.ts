import { describe, expect, it } from 'vitest'
import type { Compare, Deflection, Diagram, MemberDiagram, Reactions, View } from '../api/client'
import { axesOf } from './axes'
import { curve, displacementAt, peak, typicalPeak, valueAt } from './diagram'
import { changeColor, changeParts, placedValues, planRibbons, planShapes } from './planLayer'
import { planScene } from './planScene'
import { arrows, deflected, niceFactor, ribbons } from './spaceLayer'

const member = (id: string, role: string, ends: number[]) => ({
  id,
  role,
  ends,
  widthMm: 300,
  depthMm: 600,
  line: 0,
  part: 0,
  utilisation: 0.5,
  satisfied: true,
  round: false,
  joint: null,
  crowded: 0,
  outline: null,
  shades: [0.5, 0.5, 0.3, 0, 0.7, 0.99, 0.8, 150],
})
const view: View = {
  version: 1,
  marks: ['L1-B01'],
  grid: [],
  storeys: [],
  members: [
    member('b', 'beam', [0, 0, 3000, 6000, 0, 3000]),
    member('back', 'beam', [6000, 4000, 3000, 0, 4000, 3000]),
    member('c', 'column', [0, 0, 0, 0, 0, 3000]),
  ],
}
const diagram = (component: string, members: MemberDiagram[]): Diagram => ({
  version: 1,
  of: 'case:G',
  component,
  unit: 'kNm',
  most: 80,
  members,
})

describe('a diagram along a member', () => {
  it('has a point where it crosses zero', () => {
    expect(curve([0, 4], [-30, 10])).toEqual([
      [0, -30],
      [3, 0],
      [4, 10],
    ])
  })
  it('is read between stations, after a jump on its far side', () => {
    expect(valueAt([0, 2, 2, 4], [10, 10, -30, -30], 1)).toBe(10)
    expect(valueAt([0, 2, 2, 4], [10, 10, -30, -10], 3)).toBe(-20)
    expect(valueAt([0, 4], [1, 3], 99)).toBe(3)
    expect(valueAt([], [], 1)).toBe(0)
  })
  it('has a peak of either sign, also in the lower edge of an envelope', () => {
    expect(peak({ id: 'b', x: [0, 1, 2], v: [5, 8, 2], low: [-1, -9, 0] })).toEqual({ x: 1, v: -9 })
  })
  it('is scaled so that one very large value neither flattens all others nor fills the view', () => {
    const of = (v: number): MemberDiagram => ({ id: 'm', x: [0], v: [v], low: null })
    expect(typicalPeak([...Array<number>(99).fill(10), 12].map(of))).toBe(10)
    expect(typicalPeak([...Array<number>(99).fill(10), 4000].map(of))).toBeCloseTo(4000 / 6, 9)
    expect(typicalPeak([])).toBe(1)
  })
})

describe('diagrams in plan', () => {
  const scene = planScene(view, 3000)
  const sag = (id: string): MemberDiagram => ({ id, x: [0, 3, 6], v: [0, 80, 0], low: null })
  it('draw sagging towards the bottom of the page, whichever way the member runs', () => {
    for (const r of planRibbons(scene.members, diagram('my', [sag('b'), sag('back')]), 10)) {
      expect(r.peak.y).toBe(r.member.y1 + 800)
      expect(r.rings).toHaveLength(1)
    }
  })
  it('draw the shear of a reversed member on the same side as its neighbour’s', () => {
    const [one, two] = planRibbons(
      scene.members,
      diagram('vz', [
        { id: 'b', x: [0, 6], v: [50, -50], low: null },
        { id: 'back', x: [0, 6], v: [50, -50], low: null },
      ]),
      10,
    )
    const up = (r: typeof one) =>
      r!.rings
        .find((k) => k.positive)!
        .points.split(' ')
        .some((p) => Number(p.split(',')[1]) < r!.member.y1)
    // at its own start each goes up on the page: a beam with the same load looks the same from either side
    expect([up(one), up(two)]).toEqual([true, false])
  })
  it('put values where they do not lie on one another, largest first', () => {
    const near = planRibbons(scene.members, diagram('my', [sag('b'), { ...sag('back'), v: [0, 40, 0] }]), 10)
    const crowded = near.map((r) => ({ ...r, peak: { ...r.peak, x: 0, y: 0 } }))
    expect(placedValues(crowded, 500, String).map((v) => v.text)).toEqual(['80'])
    expect(placedValues(near, 500, String)).toHaveLength(2)
  })
})

const shape: Deflection = {
  version: 1,
  of: 'case:W',
  mostMm: 5.1,
  members: [
    { id: 'b', points: [0, 0, 0, 0, 0.5, 3, 1, -4, 1, 0, 0, 0] },
    { id: 'c', points: [0, 0, 0, 0, 1, 4, 0, 0] },
  ],
}

describe('the deflected shape', () => {
  it('is read between its points', () => {
    expect(displacementAt(shape.members[0]!.points, 0.25)).toEqual([1.5, 0.5, -2])
    expect(displacementAt(shape.members[0]!.points, 1)).toEqual([0, 0, 0])
  })
  it('moves the plan by what the exaggeration makes of it', () => {
    expect(planShapes(planScene(view, 3000).members, shape, 100)[0]!.points).toBe('0,0 3300,-100 6000,0')
  })
  it('is drawn in space as strips, coloured by how far they move', () => {
    const t = deflected(view, shape, 100)
    expect(t.positions.length).toBe(t.values.length * 3)
    expect(Math.max(...t.values)).toBeLessThanOrEqual(1.0001)
    expect(
      deflected(view, shape, 0)
        .positions.filter((_, i) => i % 3 === 2)
        .every((z) => z <= 3.3 && z >= 0),
    ).toBe(true)
  })
  it('is exaggerated by a round number', () => {
    expect(niceFactor(view, 5)).toBe(50)
    expect(niceFactor(view, 0)).toBe(1)
  })
})

describe('layers in space', () => {
  it('hang sagging moments below their beam', () => {
    const t = ribbons(view, diagram('my', [{ id: 'b', x: [0, 3, 6], v: [0, 80, 0], low: null }]), 0.01)
    expect(Math.min(...t.positions.filter((_, i) => i % 3 === 2))).toBeCloseTo(2.2, 9)
    expect(new Set(t.values)).toEqual(new Set([1]))
  })
  it('show reactions as arrows that end at their joint', () => {
    const r: Reactions = {
      version: 1,
      of: '',
      forceUnit: 'kN',
      momentUnit: 'kNm',
      joints: [
        { joint: 'A', xM: 1, yM: 2, zM: 0, forces: [0, 0, 300, 0, 0, 0] },
        { joint: 'B', xM: 0, yM: 0, zM: 0, forces: [0, 0, 0, 0, 0, 0] },
      ],
    }
    expect(arrows(r, 2)).toEqual([{ joint: 'A', tip: [1, 2, 0], direction: [0, 0, 1], length: 2 }])
  })
  it('take the axes of an upright member along global X and Y', () => {
    const a = axesOf(view.members[2]!)
    expect([a.x, a.y, a.z, a.length]).toEqual([[0, 0, 1], [1, 0, 0], [0, 1, 0], 3])
  })
})

describe('changes', () => {
  const c: Compare = {
    from: 1,
    to: 2,
    component: 'my',
    unit: 'kNm',
    most: 40,
    changes: [
      { member: 'b', mark: 'B', before: 10, after: 50, by: 40 },
      { member: 'c', mark: 'C', before: 50, after: 40, by: -10 },
      { member: 'd', mark: 'D', before: 1, after: 1, by: 0.001 },
    ],
  }
  it('are parts of the largest, small ones left out', () => {
    expect([...changeParts(c)]).toEqual([
      ['b', 1],
      ['c', -0.25],
    ])
  })
  it('are told apart by colour and strength', () => {
    expect(changeColor(1)).toContain('--accent')
    expect(changeColor(-0.25)).toContain('--less) 60%')
    expect(changeColor(undefined)).toBe('var(--concrete)')
  })
})
