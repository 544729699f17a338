import { describe, expect, it } from 'vitest'
import { force, grouped, isOver, utilisation } from './format'
import {
  density,
  distanceIn,
  forceIn,
  lengthFrom,
  lengthIn,
  massIn,
  momentIn,
  SI,
  strength,
  stressFrom,
  stressIn,
  tonnage,
  US,
  volumeIn,
} from './units'

describe('numbers as they are shown', () => {
  it('groups thousands with a thin space and uses a true minus', () => {
    expect(grouped(1234567.8, 1)).toBe('1\u2009234\u2009567.8')
    expect(grouped(-1234)).toBe('−1\u2009234')
    expect(grouped(-0.0001, 1)).toBe('0.0')
  })
  it('shows forces with three significant figures', () => {
    expect([318.2, 61.44, 5.123, 0].map(force)).toEqual(['318', '61.4', '5.12', '0'])
  })
  it('shows utilisations with two decimals and no number where there is no capacity', () => {
    expect(utilisation(1.144)).toBe('1.14')
    expect(utilisation(99.99)).toBe('> 99')
  })
  it('counts exactly 1.00 as satisfied', () => {
    expect(isOver(1)).toBe(false)
    expect(isOver(1.0001)).toBe(true)
  })
})

describe('units', () => {
  it('leaves SI alone and converts to US customary', () => {
    expect(lengthIn(254, SI)).toBe(254)
    expect(lengthIn(254, US)).toBeCloseTo(10, 12)
    expect(distanceIn(3048, US)).toBeCloseTo(10, 12)
    expect(forceIn(4.4482216152605, US)).toBeCloseTo(1, 12)
    expect(momentIn(1.3558179483314, US)).toBeCloseTo(1, 12)
    expect(stressIn(413.6854376, US)).toBeCloseTo(60, 6)
    expect(massIn(45.359237, US)).toBeCloseTo(100, 9)
    expect(volumeIn(7.64554857984, US)).toBeCloseTo(10, 9)
  })
  it('tells steel in tonnes or in tons of 2000 lb', () => {
    expect([tonnage(182_240, SI), tonnage(907.18474, US)]).toEqual(['182.2 t', '1.0 tons'])
    expect([density(1180, 10, SI), density(1180, 10, US), density(0, 0, SI)]).toEqual([
      '118 kg/m³',
      '199 lb/yd³',
      '0 kg/m³',
    ])
    expect([strength(35, SI), strength(27.579, US)]).toEqual(['35 MPa', '4 ksi'])
  })
  it('goes there and back', () => {
    expect(lengthFrom(lengthIn(600, US), US)).toBeCloseTo(600, 10)
    expect(stressFrom(stressIn(420, US), US)).toBeCloseTo(420, 10)
  })
})
