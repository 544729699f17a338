import { describe, expect, it } from 'vitest'
import { completions, valueOf, withValue } from './query'

describe('the query', () => {
  it('gives the value of a keyed word', () => {
    expect(valueOf('beam storey:L3 util>0.9', 'storey')).toBe('L3')
    expect(valueOf('beam', 'storey')).toBeUndefined()
  })
  it('sets, replaces and removes a keyed word and leaves the others alone', () => {
    expect(withValue('beam', 'storey', 'L3')).toBe('beam storey:L3')
    expect(withValue('beam storey:L3 util>0.9', 'storey', 'L4')).toBe('beam util>0.9 storey:L4')
    expect(withValue('beam storey:L3', 'storey', undefined)).toBe('beam')
    expect(withValue('', 'storey', 'Level 2')).toBe('storey:Level2')
  })
  it('completes the word that is being typed, not the ones before', () => {
    expect(completions('beam sto', ['L1', 'L2'], [])).toEqual(['beam storey:L1', 'beam storey:L2'])
    expect(completions('cause:s', [], ['shear', 'flexure'])).toEqual(['cause:shear'])
  })
})
