import { describe, expect, it } from 'vitest'
import type { Beam, Point, View } from '../api/client'
import { axisOf, nearest, peaks, scaleOf } from './beamScene'
import { niceStep, plotOf, projection, roundPlotOf } from './columnScene'
import { labelOf, planScene, ringOf } from './planScene'
import type { Shade } from './shade'
import { rampVariable } from './ramp'
import { spaceScene } from './spaceScene'
import { drawn } from '../test/fixtures'

const view: View = {
  version: 1,
  marks: ['L1-B01', 'C-A1'],
  grid: [{ id: 'A', x1: 0, y1: -1000, x2: 0, y2: 7000 }],
  storeys: [],
  members: [
    drawn('b', [0, 0, 3000, 6000, 0, 3000]),
    drawn('c', [0, 0, 0, 0, 0, 3000], 1, 'column'),
    drawn('d', [0, 0, 3000, 0, 0, 6000], 1, 'column'),
  ],
}
const point = (x: number, mPos: number, span = 0) => ({ x, span, mPos }) as Point

describe('the ramp', () => {
  it('has one step for each range and a sign of its own above 1.00', () => {
    expect([0.1, 0.4, 0.41, 0.92, 0.95, 1].map((u) => rampVariable(u))).toEqual([
      '--u0',
      '--u0',
      '--u1',
      '--u3',
      '--u4',
      '--u4',
    ])
    expect(rampVariable(1.01)).toBe('--over')
    expect(rampVariable(0.3, false)).toBe('--over')
  })
})

describe('the plan', () => {
  it('shows the beams of the level and the columns that reach it from below', () => {
    expect(planScene(view, 3000).members.map((m) => m.id)).toEqual(['b', 'c'])
  })
  it('shows the columns that leave the ground upwards, where nothing reaches it', () => {
    expect(planScene(view, 0).members.map((m) => m.id)).toEqual(['c'])
  })
  it('rings joints that beams’ bars do not pass where congestion is looked at, and those that fail always', () => {
    const tight = { ...view, members: view.members.map((m) => (m.role === 'column' ? { ...m, crowded: 2 } : m)) }
    const ring = (v: View, shade?: Shade) => ringOf(planScene(v, 3000, shade).members.find((m) => m.id === 'c')!)
    expect(ring(tight)).toBeUndefined()
    expect(ring(tight, 'congestion')).toBe('crowded')
    const both = { ...tight, members: tight.members.map((m) => (m.role === 'column' ? { ...m, joint: 1.3 } : m)) }
    expect(ring(both, 'congestion')).toBe('fails')
    expect(ring(both)).toBe('fails')
  })

  it('knows the joint of a column at the floor that it reaches, not at its foot', () => {
    const used = { ...view, members: view.members.map((m) => (m.role === 'column' ? { ...m, joint: 1.3 } : m)) }
    expect(planScene(used, 3000).members.find((m) => m.id === 'c')!.joint).toBe(1.3)
    expect(planScene(used, 0).members.find((m) => m.id === 'c')!.joint).toBeUndefined()
  })
  it('turns y downwards for the screen', () => {
    expect(planScene(view, 3000).grid[0]).toMatchObject({ y1: 1000, y2: -7000 })
  })
  it('says nothing of a member that is not in the list', () => {
    expect(labelOf(undefined, 'bars')).toBe('')
  })
})

describe('the space view', () => {
  it('gives a box for each member with axes at right angles', () => {
    for (const b of spaceScene(view)) {
      const [x, y, z] = b.axes
      const dot = (p: number[], q: number[]) => p.reduce((s, v, i) => s + v * q[i]!, 0)
      expect([dot(x, y), dot(y, z), dot(x, z)].map((v) => Math.abs(v) < 1e-12)).toEqual([true, true, true])
    }
    expect(spaceScene(view)[0]!.size).toEqual([6, 0.3, 0.6])
  })
  it('gives a box for each leg of an ell, where it stands in plan', () => {
    const c = view.members.find((m) => m.role === 'column')!
    const outline = [-250, -450, 50, -450, 50, -50, 450, -50, 450, 250, -250, 250]
    const boxes = spaceScene({ ...view, members: [{ ...c, outline }] })
    const [x, y] = [c.ends[0]! / 1000, c.ends[1]! / 1000]
    expect(boxes.map((b) => b.member)).toEqual([0, 0])
    expect(boxes.map((b) => b.size.slice(1))).toEqual([
      [0.3, 0.4],
      [0.3, 0.7],
    ])
    expect(boxes[0]!.centre[0]).toBeCloseTo(x - 0.1)
    expect(boxes[0]!.centre[1]).toBeCloseTo(y - 0.25)
    expect(boxes[1]!.centre[0]).toBeCloseTo(x + 0.1)
    expect(boxes[1]!.centre[1]).toBeCloseTo(y + 0.1)
    expect(spaceScene({ ...view, members: [{ ...c, outline: [-1, -2, 1, -2, 1, 2, -1, 2] }] })).toHaveLength(1)
  })
})

describe('the beam sheet', () => {
  const beam = {
    supports: [
      { x: 0, depth: 400 },
      { x: 6000, depth: 400 },
    ],
  } as Beam
  it('maps a place to the drawing and back', () => {
    const a = axisOf(beam, 900)
    expect(a.mm(a.x(2345))).toBeCloseTo(2345, 9)
    expect(a.x(-200)).toBe(a.left)
  })
  it('draws sagging moments downwards, on the tension side', () => {
    const y = scaleOf([100, -50], 0, 150, true)
    expect(y(100)).toBeGreaterThan(y(-50))
  })
  it('finds the station under the cursor and the peak of each span', () => {
    const pts = [point(0, 0), point(3000, 80), point(6000, 5), point(9000, 60, 1)]
    expect(nearest(pts, 3400)).toBe(1)
    expect(peaks(pts, (p) => p.mPos).map((p) => p.mPos)).toEqual([80, 60])
  })
})

describe('the interaction plot', () => {
  it('puts compression up and moments to the right, with round ticks', () => {
    const design = [
      { n: -1000, mx: 0, my: 0 },
      { n: 1000, mx: 240, my: -320 },
      { n: 4000, mx: 0, my: 0 },
    ]
    const c = { design, nominal: [] }
    const p = plotOf(c, [], 400, 300)
    expect(p.y(4000)).toBeLessThan(p.y(0))
    expect(p.x(400)).toBeGreaterThan(p.x(0))
    expect(p.yTicks).toContain(0)
    const us = plotOf(c, [], 400, 300, 1 / 4.448, 1 / 1.3558)
    expect(us.yTicks.every((t) => Math.abs((t / 4.448) % 10) < 1e-3 || Math.abs((t / 4.448) % 10) > 9.999)).toBe(true)
    expect([niceStep(100, 5), niceStep(4800, 6), niceStep(1.3, 5)]).toEqual([20, 1000, 0.2])
  })

  it('puts moments about both axes round the middle, to one scale', () => {
    const p = roundPlotOf([{ n: 0, mx: 200, my: -100 }], [], 400, 300)
    expect([p.x(0), p.y(0)]).toEqual([200, 150])
    expect(p.x(100) - p.x(0)).toBeCloseTo(p.y(0) - p.y(100))
    expect(p.xTicks).toEqual([-200, -100, 100, 200])
  })

  it('turns the surface: what faces the eye comes nearer, force stays upright', () => {
    const mesh = [
      [
        { n: -500, mx: 0, my: 0 },
        { n: 0, mx: 100, my: 0 },
        { n: 1500, mx: 0, my: 0 },
      ],
    ]
    const front = projection(mesh, 300, 300, { yaw: 0, tip: 0 })
    expect(front({ n: 1500, mx: 0, my: 0 })).toEqual({ x: 150, y: 30, near: 0 })
    expect(front({ n: 500, mx: 100, my: 0 })).toMatchObject({ x: 270, y: 150 })
    const side = projection(mesh, 300, 300, { yaw: Math.PI / 2, tip: 0 })
    expect(side({ n: 500, mx: 100, my: 0 }).near).toBeCloseTo(1)
    expect(side({ n: 500, mx: 100, my: 0 }).x).toBeCloseTo(150)
    const tipped = projection(mesh, 300, 300, { yaw: Math.PI / 2, tip: 0.5 })
    expect(tipped({ n: 500, mx: 100, my: 0 }).y).toBeGreaterThan(150)
  })
})
