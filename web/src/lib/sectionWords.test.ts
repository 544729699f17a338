import { describe, expect, it } from 'vitest'
import { parseSection, sectionWords } from './sectionWords'

describe('words of a section', () => {
  it.each([
    ['300x600', '300x600'],
    ['300 × 600', '300x600'],
    ['12,5x24', '12.5x24'],
    ['tee 300x600 1200x150', 'tee 300x600 1200x150'],
    ['circle 500', 'circle 500'],
  ])('reads %s', (words, read) => expect(sectionWords(parseSection(words)!)).toBe(read))

  it.each(['1,200x600', '300', '300x', '0x600', 'tee 300x600 200x150', 'tee 300x600 1200x700', 'circle 0', '-300x600'])(
    'makes nothing of %s',
    (words) => expect(parseSection(words)).toBeUndefined(),
  )
})
