import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError } from '../../api/client'
import { SI } from '../../lib/units'
import { Around, column } from '../../test/fixtures'
import { benchStart, type Bench } from './bench'
import { entryOf, fromEntry } from './draft'
import { fromLift } from './fromLift'
import BenchLinks from './BenchLinks'
import { fits } from './KeptBars'
import { KeptMenu } from './KeptMenu'

const lift = column.lifts[1]!
/** Four corners, 60 from the faces: cover 40, ties 10, half of 20. */
const four: Bench = { ...fromLift(column, lift, [], 'aci-318m-19', SI), name: 'four corners' }

/** What the server keeps, as it answers. */
let shelf: Bench[] = []
const answer = () => ({
  sections: [...shelf]
    .sort((a, b) => a.name.localeCompare(b.name))
    .map((b) => ({ keptAt: '2026-01-02T03:04:00Z', section: entryOf(b) })),
})

beforeEach(() => {
  localStorage.clear()
  shelf = []
  vi.spyOn(api, 'keptSections').mockImplementation(() => Promise.resolve(answer()))
  vi.spyOn(api, 'forgetSection').mockImplementation((name) => {
    shelf = shelf.filter((b) => b.name !== name)
    return Promise.resolve(answer())
  })
  vi.spyOn(api, 'keepSection').mockImplementation((e) => {
    if (e.fc === 1) return Promise.reject(new ApiError(422, 'It is refused.', 'Mend it.'))
    shelf = [...shelf.filter((b) => b.name !== e.id), fromEntry(e)]
    return Promise.resolve(answer())
  })
})

const menu = (bench: Bench, onOpen = vi.fn()) =>
  render(
    <Around>
      <KeptMenu bench={bench} onOpen={onOpen} />
    </Around>,
  )

describe('sections that are kept', () => {
  it('are kept, opened and forgotten on the bench', async () => {
    const opened = vi.fn()
    shelf = [{ ...benchStart, name: 'another' }]
    menu(four, opened)
    await userEvent.click(await screen.findByRole('button', { name: 'Keep' }))
    expect(await screen.findByText('Kept (2)')).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Keep in its place' })).toBeInTheDocument()
    await userEvent.click(screen.getByRole('combobox', { name: 'Sections that are kept' }))
    await userEvent.click(await screen.findByTitle('another'))
    expect(opened).toHaveBeenCalledWith({ ...benchStart, name: 'another' })
    await userEvent.click(screen.getByRole('button', { name: 'Forget' }))
    expect(await screen.findByText('Kept (1)')).toBeInTheDocument()
    expect(shelf.map((k) => k.name)).toEqual(['another'])
  })

  it('say why one is refused', async () => {
    menu({ ...four, fc: 1 })
    await userEvent.click(await screen.findByRole('button', { name: 'Keep' }))
    expect(await screen.findByText('It is refused. Mend it.')).toBeInTheDocument()
    expect(shelf).toEqual([])
  })

  it('come from a browser that kept them alone, under names that are free', async () => {
    shelf = [{ ...benchStart, name: 'mine' }]
    const own = [{ ...four, name: 'mine' }, { ...four, name: 'bad', fc: 1 }, null, { name: 3 }]
    localStorage.setItem('kolonne.bench.kept', JSON.stringify(own))
    menu(four)
    expect(await screen.findByText('Kept (2)')).toBeInTheDocument()
    expect(shelf.map((k) => [k.name, k.shape.shape])).toEqual([
      ['mine', 'ell'],
      ['mine (2)', 'rectangle'],
    ])
    expect(JSON.parse(localStorage.getItem('kolonne.bench.kept')!)).toEqual([{ ...four, name: 'bad', fc: 1 }])
  })

  it('are none where the browser has something else there', async () => {
    for (const bad of ['{', '7', '[null, {"name": 3}]']) {
      localStorage.setItem('kolonne.bench.kept', bad)
      const { unmount } = menu({ ...benchStart, name: bad })
      await userEvent.click(await screen.findByRole('button', { name: 'Keep' }))
      expect(await screen.findByRole('button', { name: 'Forget' })).toBeInTheDocument()
      unmount()
    }
    expect(shelf).toHaveLength(3)
  })
})

describe('their bars on the sheet of a column', () => {
  it('are offered where the section, the sizes and the places fit', () => {
    const kept: Bench[] = [
      four,
      { ...four, name: 'wider', shape: { ...four.shape, b: 500 } },
      { ...four, name: 'of a size that is not allowed', bars: four.bars.map((b) => ({ ...b, bar: 'T40' })) },
      { ...four, name: 'one inside', bars: [...four.bars, { ...four.bars[0]!, count: 1, x: 0, z: 200 }] },
      { ...four, name: 'a beam', use: 'beam' },
    ]
    expect(fits(kept, column, lift, SI)).toEqual([
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

  it('are asked for, and set by hand by a choice', async () => {
    const saved = vi.fn()
    shelf = [four]
    const { unmount } = links(saved)
    await userEvent.click(await screen.findByRole('button', { name: 'Bars from the bench…' }))
    await userEvent.click(await screen.findByTitle('four corners'))
    expect(saved).toHaveBeenCalledWith({
      lifts: { 1: expect.objectContaining({ rows: expect.objectContaining({ alongX: 2 }) }) },
    })
    unmount()
    shelf = [{ ...four, cover: 90 }]
    links(saved)
    await userEvent.click(await screen.findByRole('button', { name: 'Bars from the bench…' }))
    expect(await screen.findByText('No section that is kept fits this lift.')).toBeInTheDocument()
  })

  it('are not offered where only sections of beams are kept', async () => {
    shelf = [{ ...four, use: 'beam' }]
    links(vi.fn())
    await waitFor(() => expect(api.keptSections).toHaveBeenCalled())
    expect(screen.queryByRole('button', { name: 'Bars from the bench…' })).not.toBeInTheDocument()
  })
})

const links = (onSave: () => void) =>
  render(
    <Around>
      <BenchLinks id="p" column={column} lift={lift} demands={[]} units={SI} onSave={onSave} />
    </Around>,
  )
