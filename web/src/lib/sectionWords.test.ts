import { describe, expect, it } from 'vitest'
import { parseSection, sectionWords } from './sectionWords'

describe('words of a section', () => {
  it.each([
    ['300x600', '300x600'],
    ['300 × 600', '300x600'],
    ['12,5x24', '12.5x24'],
    ['tee 300x600 1200x150', 'tee 300x600 1200x150'],
    ['circle 500', 'circle 500'],
    ['30x60 cm', '300x600'],
    ['0.3 x 0.65 m', '300x650'],
    ['0,3m × 600 mm', '300x600'],
    ['tee 30x60 120x15 cm', 'tee 300x600 1200x150'],
    ['tee 300x600 mm 1.2 m x 150', 'tee 300x600 1200x150'],
    ['circle 50cm', 'circle 500'],
    ['12"x24"', '304.8x609.6'],
    ['12 x 24 in', '304.8x609.6'],
  ])('reads %s', (words, read) => expect(sectionWords(parseSection(words, 'mm')!)).toBe(read))

  it.each([
    ['12x24', '12x24'],
    ['1\'-0" x 2\'-6"', '12x30'],
    ['1 x 2 ft', '12x24'],
    ['ell 12x24 36x6"', 'ell 12x24 36x6'],
    ['300x600 mm', '11.811x23.622'],
  ])('reads %s in inches', (words, read) => expect(sectionWords(parseSection(words, 'in')!)).toBe(read))

  it.each([
    '1,200x600',
    '300',
    '300x',
    '0x600',
    'tee 300x600 200x150',
    'tee 300x600 1200x700',
    'circle 0',
    '-300x600',
    '300x600 kN',
    '300x600 mm cm',
  ])('makes nothing of %s', (words) => expect(parseSection(words, 'mm')).toBeUndefined())
})
