import { describe, expect, it } from 'vitest'
import { levels, nearestPoint, scales, step, ticks } from './typeCurve'

const points = [
  { types: 40, kg: 100_000, pieces: 900, marks: 180 },
  { types: 30, kg: 100_500, pieces: 910, marks: 182 },
  { types: 20, kg: 104_000, pieces: 950, marks: 190 },
  { types: 10, kg: 120_000, pieces: 1000, marks: 200 },
]
const frame = { width: 500, height: 300, left: 50, right: 10, top: 10, bottom: 30 }

describe('the curve of types', () => {
  it('runs over the whole frame, fewest types left, least steel low', () => {
    const s = scales(points, 101_000, frame)
    expect(s.x(10)).toBeCloseTo(50)
    expect(s.x(40)).toBeCloseTo(490)
    expect(s.x(20)).toBeCloseTo(270) // halfway between 10 and 40 by ratio
    expect(s.y(120_000)).toBeCloseTo(10)
    expect(s.y(100_000)).toBeLessThan(270)
    expect(s.y(100_000)).toBeGreaterThan(s.y(104_000))
  })
  it('bears a single point and a building of one member', () => {
    const s = scales([{ types: 1, kg: 50, pieces: 3, marks: 0 }], 50, frame)
    expect(Number.isFinite(s.x(1))).toBe(true)
    expect(Number.isFinite(s.y(50))).toBe(true)
  })
  it('finds the point under the pointer', () => {
    const { x } = scales(points, 101_000, frame)
    expect(nearestPoint(points, x, 0).types).toBe(10)
    expect(nearestPoint(points, x, x(30) + 3).types).toBe(30)
    expect(nearestPoint(points, x, 10_000).types).toBe(40)
  })
  it('steps to fewer and to more, and from what lies between two points', () => {
    expect(step(points, 30, 1).types).toBe(20)
    expect(step(points, 30, -1).types).toBe(40)
    expect(step(points, 10, 1).types).toBe(10)
    expect(step(points, 40, -1).types).toBe(40)
    expect(step(points, 25, 1).types).toBe(20)
    expect(step(points, 25, -1).types).toBe(30)
    expect(step(points, 99, 1).types).toBe(40)
    expect(step(points, 5, -1).types).toBe(10)
  })
  it('has round levels of steel', () => {
    expect(levels(143_000, 172_000, 1000)).toEqual([150_000, 160_000, 170_000])
    expect(levels(44_900, 46_100, 1000)).toEqual([45_000, 45_500, 46_000])
  })
  it('has round numbers on its axis and its ends', () => {
    expect(ticks(41, 252)).toEqual([41, 50, 70, 100, 200, 252])
    expect(ticks(1, 3)).toEqual([1, 2, 3])
  })
})
