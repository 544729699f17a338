import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { SI } from '../../lib/units'
import { Around, column } from '../../test/fixtures'
import { benchStart, type Bench } from './bench'
import { fromLift } from './fromLift'
import { forget, keep, keptSections } from './kept'
import KeptBars, { fits } from './KeptBars'
import { KeptMenu } from './KeptMenu'

const lift = column.lifts[1]!
/** Four corners, 60 from the faces: cover 40, ties 10, half of 20. */
const four: Bench = { ...fromLift(column, lift, [], 'aci-318m-19', SI), name: 'four corners' }

beforeEach(() => localStorage.clear())

describe('sections that are kept', () => {
  it('are found by name, replaced and forgotten', () => {
    keep({ ...four, name: 'b' })
    keep({ ...four, name: 'a' })
    keep({ ...four, name: 'b', cover: 50 })
    expect(keptSections().map((k) => [k.name, k.cover])).toEqual([
      ['a', 40],
      ['b', 50],
    ])
    forget('a')
    expect(keptSections()).toHaveLength(1)
  })

  it('are a hundred at most, and none where the browser has something else there', () => {
    for (let i = 0; i < 100; i++) expect(keep({ ...four, name: `n${i}` })).toBe(true)
    expect(keep({ ...four, name: 'one more' })).toBe(false)
    expect(keep({ ...four, name: 'n7' })).toBe(true)
    for (const bad of ['{', '7', '[null, {"name": 3}]']) {
      localStorage.setItem('kolonne.bench.kept', bad)
      expect(keptSections()).toEqual([])
    }
  })

  it('are opened and forgotten on the bench', async () => {
    const opened = vi.fn()
    keep({ ...benchStart, name: 'another' })
    render(
      <Around>
        <KeptMenu bench={four} onOpen={opened} />
      </Around>,
    )
    await userEvent.click(screen.getByRole('button', { name: 'Keep' }))
    expect(screen.getByText('Kept (2)')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('combobox', { name: 'Sections that are kept' }))
    await userEvent.click(await screen.findByTitle('another'))
    expect(opened).toHaveBeenCalledWith(expect.objectContaining({ name: 'another' }))
    await userEvent.click(screen.getByRole('button', { name: 'Forget' }))
    expect(keptSections().map((k) => k.name)).toEqual(['another'])
  })
})

describe('their bars on the sheet of a column', () => {
  it('are offered where the section, the sizes and the places fit', () => {
    keep(four)
    keep({ ...four, name: 'wider', shape: { ...four.shape, b: 500 } })
    keep({ ...four, name: 'of a size that is not allowed', bars: four.bars.map((b) => ({ ...b, bar: 'T40' })) })
    keep({ ...four, name: 'one inside', bars: [...four.bars, { ...four.bars[0]!, count: 1, x: 0, z: 200 }] })
    keep({ ...four, name: 'a beam', use: 'beam' })
    expect(fits(column, lift, SI)).toEqual([
      {
        name: 'four corners',
        bars: {
          rows: { alongX: 2, alongY: 2, corner: 'T20', face: 'T20', heldX: [], heldY: [] },
          ring: null,
          legs: null,
        },
      },
    ])
  })

  it('are set by hand by a choice', async () => {
    const saved = vi.fn()
    keep(four)
    render(
      <Around>
        <KeptBars column={column} lift={lift} units={SI} onSave={saved} />
      </Around>,
    )
    await userEvent.click(screen.getByRole('combobox', { name: 'Bars from the bench' }))
    await userEvent.click(await screen.findByTitle('four corners'))
    expect(saved).toHaveBeenCalledWith({
      lifts: { 1: expect.objectContaining({ rows: expect.objectContaining({ alongX: 2 }) }) },
    })
  })
})
