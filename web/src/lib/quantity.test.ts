import { describe, expect, it } from 'vitest'
import { readQuantity } from './quantity'

const value = (text: string, unit?: string) => {
  const r = readQuantity(text, unit)
  return 'value' in r ? r.value : r.trouble
}

describe('numbers as people type them', () => {
  it.each([
    ['2.2', 2.2],
    ['2,2', 2.2],
    ['-2,25', -2.25],
    ['−3', -3],
    ['+4', 4],
    ['.5', 0.5],
    [',5', 0.5],
    ['0,500', 0.5],
    ['1.200', 1.2],
    ['12 500', 12500],
    ['12\u2009500', 12500],
    ['12 500,5', 12500.5],
    ["12'500", 12500],
    ['12’500.25', 12500.25],
    ['1,234,567', 1234567],
    ['1.234.567', 1234567],
    ['1,234.5', 1234.5],
    ['1.234,5', 1234.5],
    ['1e3', 1000],
    ['1,5e-2', 0.015],
    ['7.', 7],
    ['7,', 7],
    [' 8 ', 8],
  ])('%s is %d', (text, v) => expect(value(text)).toBeCloseTo(v, 12))

  it.each(['', 'abc', '1.2.3', '1,2,3', '12 34', '1,23,456', '--2', '1 m', '2/0/1', '1e400', 'Infinity', 'NaN', '٣'])(
    '“%s” is not guessed',
    (text) => expect(typeof value(text)).toBe('string'),
  )

  it('says both readings of a comma before three digits', () =>
    expect(value('1,200')).toBe('“1,200” could be 1.2 or 1200: leave the comma out, or use a point.'))
})

describe('units typed behind', () => {
  it.each([
    ['6.5 m', 'mm', 6500],
    ['6,5m', 'm', 6.5],
    ['650 mm', 'm', 0.65],
    ['65cm', 'mm', 650],
    ['12 in', 'ft', 1],
    ['12 inches', 'ft', 1],
    ['2 feet', 'in', 24],
    ['30', 'mm', 30],
    ['30 kN', 'kN', 30],
    ['3 t', 'kN', NaN],
    ['1 tonf', 'kN', 9.80665],
    ['1000 kgf', 'kN', 9.80665],
    ['1 kip', 'kN', 4.4482216152605],
    ['2000 lb', 'kip', 2],
    ['10 kN·m', 'kNm', 10],
    ['10 kN m', 'kNm', 10],
    ['10e6 N·mm', 'kNm', 10],
    ['12 kip-in', 'kip·ft', 1],
    ['1 kip-ft', 'kNm', 1.3558179483314],
    ['2 klf', 'kip/ft', 2],
    ['500 plf', 'kip/ft', 0.5],
    ['1 kip/ft', 'kN/m', 14.593902937],
    ['4 ksi', 'MPa', 27.579029172],
    ['30 N/mm²', 'MPa', 30],
    ['5 kN/m2', 'kPa', 5],
    ['50 psf', 'kN/m²', 2.3940125],
    ['40 %', '%', 40],
  ])('%s in %s', (text, unit, v) =>
    Number.isNaN(v) ? expect(typeof value(text, unit)).toBe('string') : expect(value(text, unit)).toBeCloseTo(v, 6),
  )

  it.each([
    ['5 kN', 'mm'],
    ['5 m', 'kN'],
    ['5 m', ''],
    ['5 parsec', 'm'],
  ])('%s in a field of %s is refused', (text, unit) => expect(value(text, unit)).toMatch(/not a unit that fits/))
})

describe('feet and inches', () => {
  it.each([
    ['20\'-6"', 'ft', 20.5],
    ['20\' 6"', 'ft', 20.5],
    ["20'6", 'ft', 20.5],
    ["12'500", 'mm', 12500],
    ["12'500", 'ft', NaN],

    ["20'", 'ft', 20],
    ['20ft 6in', 'ft', 20.5],
    ['20’-6”', 'in', 246],
    ['6 1/2"', 'in', 6.5],
    ['1/2"', 'in', 0.5],
    ['6 1/2', 'in', 6.5],
    ['20\'-6 1/2"', 'in', 246.5],
    ['-2\'-0"', 'ft', -2],
    ['1\'-3"', 'mm', 381],
  ])('%s in %s', (text, unit, v) =>
    Number.isNaN(v) ? expect(typeof value(text, unit)).toBe('string') : expect(value(text, unit)).toBeCloseTo(v, 9),
  )

  it('says what is wrong with fourteen inches', () => expect(value('20\'-14"', 'ft')).toMatch(/twelve inches/))
})
