import { describe, expect, it } from 'vitest'
import { unitsOf } from '../../lib/units'
import { column, interaction } from '../../test/fixtures'
import { singles } from './bench'
import { fromLift } from './fromLift'

describe('a lift on the bench', () => {
  const { demands } = interaction
  const lift = column.lifts[0]!

  it('is its section, its bars from the soffit, and the combinations that use it most', () => {
    const b = fromLift(column, lift, demands, 'en-1992-1-1', unitsOf(false))
    expect(b).toMatchObject({
      name: 'C-A1, lift to L1',
      use: 'column',
      code: 'en-1992-1-1',
      us: false,
      fy: 420,
      cover: 40,
    })
    expect(b.shape).toMatchObject({ shape: 'rectangle', b: 400, h: 400 })
    // bars lie ±140 about the middle of 400
    expect(singles(b.bars)).toHaveLength(8)
    expect(b.bars[0]).toEqual({ bar: 'T25', count: 2, x: -140, z: 60, x2: -140, z2: 340 })
    expect(singles(b.bars).filter((q) => q.bar === 'T20')).toHaveLength(4)
    expect(b.stirrup).toEqual({ bar: 'T10', spacing: 200, legs: 2, spiral: false })
    // tension is positive on the bench
    expect(b.sets.map((s) => [s.name, s.n, s.my, s.mz])).toEqual([
      ['0.9D + E x−', -1890, 388, 102],
      ['1.4D', -2960, 52, 33],
    ])
  })

  it('has the worst of each combination, six at most, and a set to begin with where there is none', () => {
    const many = Array.from({ length: 40 }, (_, i) => ({
      ...demands[0]!,
      combination: `c${i % 20}`,
      combinationNumber: i % 20,
      utilisation: i / 40,
    }))
    const sets = fromLift(column, lift, many, 'aci-318m-19', unitsOf(false)).sets
    expect(sets).toHaveLength(6)
    expect(sets[0]!.name).toBe('c19')
    expect(fromLift(column, lift, [], 'aci-318m-19', unitsOf(false)).sets).toHaveLength(1)
  })

  it('is in inches, kips and ksi where the basis is', () => {
    const b = fromLift(column, lift, demands, 'aci-318-19', unitsOf(true))
    expect(b.shape.b).toBeCloseTo(15.748, 3)
    expect(b.bars[0]!.z).toBeCloseTo(60 / 25.4, 3)
    expect(b.sets[1]!.n).toBeCloseTo(-665.4, 1)
    expect(b.fy).toBeCloseTo(60.92, 2)
  })

  it('is an ell from the lower left corner of what it reaches over', () => {
    const ell = {
      ...lift,
      section: { ...lift.section, shape: 'ell', width: 600, depth: 700, webWidth: 250, flangeDepth: 300 },
      outline: { corners: [-200, -400, 50, -400, 50, 0, 400, 0, 400, 300, -200, 300], closed: [], cross: [] },
      spots: [{ y: -140, z: -340, diameter: 20, size: 'T20', through: true }],
    }
    const b = fromLift(column, ell, demands, 'aci-318m-19', unitsOf(false))
    expect(b.shape).toMatchObject({ shape: 'ell', bw: 250, h: 700, bf: 600, hf: 300 })
    // 60 from the left of what is 600 wide about the middle, 60 above the soffit
    expect(b.bars[0]).toMatchObject({ x: -240, z: 60 })
    const onItsHead = { ...ell, section: { ...ell.section, shape: 'inverted-tee' } }
    expect(fromLift(column, onItsHead, demands, 'aci-318m-19', unitsOf(false)).shape.shape).toBe('inverted-tee')
  })
})
