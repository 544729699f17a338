import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type SectionAnswer, type Strains } from '../../api/client'
import { Around, codes, curves } from '../../test/fixtures'
import { BenchPage } from './BenchPage'
import { benchStart, singles } from './bench'
import { entryOf, read, setsOf, toCode } from './draft'
import { inset, placesRound, polygons, ringsOf, type Point } from './outline'

const shape = benchStart.shape
const area = (r: Point[]) =>
  Math.abs(r.reduce((s, [x, z], i) => s + (x * r[(i + 1) % r.length]![1] - r[(i + 1) % r.length]![0] * z) / 2, 0))

describe('outlines', () => {
  it('have the areas of their shapes', () => {
    expect(area(ringsOf({ ...shape, shape: 'rectangle' })[0]!)).toBe(400 * 700)
    for (const s of ['tee', 'ell', 'inverted-tee'] as const)
      expect(area(ringsOf({ ...shape, shape: s })[0]!)).toBe(300 * 700 + 400 * 300)
    expect(area(ringsOf({ ...shape, shape: 'polygon' })[0]!)).toBe(600 * 600 - 350 * 350)
  })

  it('read polygons with openings, and say where a line is no corner', () => {
    expect(polygons('0 0\n10 0\n10 10\n\n2 1\n3,5 1\n3 2')).toEqual([
      [
        [0, 0],
        [10, 0],
        [10, 10],
      ],
      [
        [2, 1],
        [3.5, 1],
        [3, 2],
      ],
    ])
    expect(polygons('0 0\nx 1')).toBeUndefined()
  })

  it('move inwards from every edge, also at corners that turn in', () => {
    const ell = ringsOf({ ...shape, shape: 'ell' })[0]!
    const inner = inset(ell, 50)
    expect(inner).toContainEqual([-300, 50])
    expect(inner).toContainEqual([-100, 450])
    expect(area(inner)).toBe(600 * 600 - 400 * 400)
    expect(area(inset([...ell].reverse(), 50))).toBe(600 * 600 - 400 * 400)
  })

  it('carry bars round their edge no farther apart than asked', () => {
    const places = placesRound({ ...shape, shape: 'rectangle' }, 60, 250)
    // 280 by 580 between the corners: two gaps and three
    expect(places).toHaveLength(2 * 2 + 2 * 3)
    expect(placesRound({ ...shape, shape: 'circle' }, 60, 250)).toHaveLength(6)
  })
})

describe('forces from a table', () => {
  it('are read with headings in any order and units behind', () => {
    expect(setsOf('Combo\tMy (kNm)\tN [kN]\n1.2D\t120\t-2600\n')).toEqual({
      sets: [{ name: '1.2D', n: -2600, vy: 0, vz: 0, t: 0, my: 120, mz: 0 }],
    })
  })
  it('are read without headings, with names or without', () => {
    expect(setsOf('A;-100;1;2;3;4;5')).toEqual({ sets: [{ name: 'A', n: -100, vy: 1, vz: 2, t: 3, my: 4, mz: 5 }] })
    expect(setsOf('-1,2,3\n4,5,6')).toMatchObject({
      sets: [
        { name: 'set 1', n: -1, vy: 2 },
        { n: 4, vz: 6 },
      ],
    })
  })
  it('say which cell is no number', () => {
    expect(setsOf('A;x;1')).toEqual({ trouble: '“x” in row 1 is no number.' })
    expect(setsOf(' ')).toEqual({ trouble: 'There is no row.' })
    expect(setsOf('1;2\n'.repeat(301))).toMatchObject({ trouble: expect.stringContaining('301') as string })
  })
})

describe('a draft', () => {
  it('comes back from what was downloaded', () => {
    for (const s of ['ell', 'polygon'] as const) {
      const b = { ...benchStart, shape: { ...shape, shape: s } }
      expect(read(JSON.stringify({ sections: [entryOf(b)] }))).toEqual(b)
    }
    expect(read('{')).toBeUndefined()
    expect(read('{}')).toBeUndefined()
  })
  it('takes what sets are for from a column of the table', () => {
    const r = setsOf('name\tkind\tN\tMy\nA\tquasi-permanent\t-100\t20\nB\t\t-50\t10')
    expect(r).toMatchObject({
      sets: [
        { name: 'A', kind: 'quasi-permanent', n: -100 },
        { name: 'B', my: 10 },
      ],
    })
    expect(setsOf('kind\tN\nrare\t5')).toEqual({
      trouble: '“rare” in row 1 is none of strength, characteristic, quasi-permanent.',
    })
  })
  it('takes the units and bars of another code', () => {
    const us = toCode(benchStart, 'aci-318-19', true, ['#4', '#6', '#8'])
    expect(us.shape.h).toBe(27.5)
    expect(us.bars[0]).toMatchObject({ bar: '#6', x: -11.5 })
    expect(us.stirrup.bar).toBe('#4')
    expect(us.sets[0]!.n).toBe(-585)
    expect(toCode(benchStart, 'en-1992-1-1', false, ['T16', 'T20']).fc).toBe(30)
  })
  it('is of single bars where one is pointed at', () => {
    expect(singles([{ bar: 'T20', count: 3, x: 0, z: 0, x2: 100, z2: 50 }]).map((b) => [b.x, b.z])).toEqual([
      [0, 0],
      [50, 25],
      [100, 50],
    ])
  })
})

describe('the bench', () => {
  const strains: Strains = {
    along: null,
    towardsDeg: 90,
    sizeMm: 700,
    edge: 3,
    far: -4,
    bars: [
      { depthMm: 60, strain: 2.4, stressMpa: 420 },
      { depthMm: 640, strain: -3.4, stressMpa: -420 },
    ],
    concrete: [0, 25.5, 250, 25.5, 250, 0],
  }
  const answer: SectionAnswer = {
    code: 'ACI 318M-19',
    strengths: { areaMm2: 330000, centroidXMm: -70, centroidZMm: 420 },
    findings: [],
    sets: benchStart.sets.map((s, i) => ({
      name: s.name,
      kind: s.kind ?? 'strength',
      stresses: s.kind ? { concrete: 9.4, tension: 180.2, compression: 61, bars: [-61, 180.2] } : null,
      utilisation: 0.5 + i / 4,
      governs: 'axial-bending',
      atAxial: 0.4,
      neutralAxisMm: 300,
      towardsDeg: 90,
      p: -s.n,
      mx: s.my,
      my: s.mz,
      checks: [
        { check: 'axial-bending', utilisation: 0.5 + i / 4, demand: '1 kNm', capacity: '2 kNm', clause: '22.4' },
      ],
    })),
    picture: { rings: [], diameter: 0, bars: [] },
    curves: null,
    strains,
    calculation: [],
  }
  const tried = vi.spyOn(api, 'trySection')
  beforeEach(() => {
    localStorage.clear()
    vi.spyOn(api, 'catalogue').mockResolvedValue({ codes })
    tried.mockReset()
    tried.mockResolvedValue(answer)
  })
  const open = () =>
    render(
      <Around>
        <BenchPage mode="light" onMode={() => undefined} />
      </Around>,
    )

  it('shows the use of every set and the checks of the one that is chosen', async () => {
    open()
    await userEvent.click(await screen.findByRole('button', { name: '0.9D + W y' }))
    await waitFor(() => expect(tried.mock.calls.at(-1)![1]).toBe(2))
    expect(screen.getByRole('heading', { name: '0.9D + W y' })).toBeInTheDocument()
    expect(screen.getAllByText('1.00').length).toBeGreaterThan(0)
  })

  it('stands while the answer to another set is on its way', async () => {
    tried.mockResolvedValueOnce({ ...answer, curves })
    open()
    expect(await screen.findByRole('img', { name: 'Interaction of axial force and moment' })).toBeInTheDocument()
    tried.mockReturnValue(new Promise(() => undefined))
    await userEvent.click(screen.getByRole('button', { name: 'D + 0.3L' }))
    expect(screen.getByRole('heading', { name: 'D + 0.3L' })).toBeInTheDocument()
  })

  it('shows strains and stresses of the set, and along the curve', async () => {
    tried.mockResolvedValue({ ...answer, curves })
    open()
    expect(await screen.findByText('at the strength, on the ray')).toBeInTheDocument()
    // 700 · 3 / 7
    expect(screen.getByText('x = 300 mm')).toBeInTheDocument()
    expect(screen.getByText('bar 420 MPa pulled')).toBeInTheDocument()
    tried.mockResolvedValue({ ...answer, curves, strains: { ...strains, along: 1, edge: -2, far: -150, concrete: [] } })
    const slider = screen.getByRole('slider')
    fireEvent.change(slider, { target: { value: (slider as HTMLInputElement).value === '2' ? '1' : '2' } })
    expect(await screen.findByText('at a point of the curve')).toBeInTheDocument()
    expect([1, 2]).toContain(tried.mock.calls.at(-1)![2])
    expect(document.querySelector('.on-curve')).not.toBeNull()
    expect(screen.queryByText(/^x = /)).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'back to the set' }))
    await waitFor(() => expect(tried.mock.calls.at(-1)![2]).toBeUndefined())
  })

  it('tells the stresses of a set under service load, on the bars as well', async () => {
    open()
    await userEvent.click(await screen.findByRole('button', { name: 'D + 0.3L' }))
    expect(await screen.findByText(/concrete 9.4 MPa in compression, bars 180.2 MPa in tension/)).toBeInTheDocument()
    expect(screen.getByText(/^T20 at x -290, z 60, 61 MPa in compression/)).toBeInTheDocument()
    await userEvent.click(screen.getByRole('combobox', { name: 'What set 1 is for' }))
    await userEvent.click(await screen.findByTitle('stresses'))
    await waitFor(() => expect(tried.mock.calls.at(-1)![0].forces![0]!.kind).toBe('characteristic'))
  })

  it('takes what a column brings, and gives back what was there by undo', async () => {
    const brought = { ...benchStart, name: 'C-A1, lift to L1' }
    render(
      <Around at={{ pathname: '/bench', state: { bench: brought } }}>
        <BenchPage mode="light" onMode={() => undefined} />
      </Around>,
    )
    expect(await screen.findByDisplayValue('C-A1, lift to L1')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
    expect(await screen.findByDisplayValue('Corner of the stair')).toBeInTheDocument()
  })

  it('asks again when a bar is taken away by key, and undo gives it back', async () => {
    open()
    const bar = await screen.findByRole('button', { name: 'T20 at -290, 60: remove' })
    bar.focus()
    await userEvent.keyboard('{Delete}')
    await waitFor(() => expect(tried.mock.calls.at(-1)![0].bars).toHaveLength(10))
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
    await waitFor(() => expect(tried.mock.calls.at(-1)![0].bars).toHaveLength(4))
  })

  it('takes a pasted table and tells what is wrong with a section', async () => {
    open()
    await userEvent.click(await screen.findByRole('button', { name: 'Paste a table…' }))
    await userEvent.click(screen.getByLabelText('Table of forces'))
    await userEvent.paste('N\tMy\n-100\t50')
    tried.mockRejectedValue(new ApiError(422, 'It cannot be taken.', 'The bar lies outside the section.'))
    await userEvent.click(screen.getByRole('button', { name: 'Take these sets' }))
    expect(await screen.findByText(/lies outside the section/)).toBeInTheDocument()
    expect(tried.mock.calls.at(-1)![0].forces).toEqual([{ name: 'set 1', n: -100, vy: 0, vz: 0, t: 0, my: 50, mz: 0 }])
  })

  it('is written on paper, or says why not', async () => {
    const paper = vi
      .spyOn(api, 'sectionPaper')
      .mockRejectedValueOnce(new ApiError(422, 'It cannot be taken.', 'No bars.'))
    URL.createObjectURL = vi.fn(() => 'blob:paper')
    URL.revokeObjectURL = vi.fn()
    open()
    const button = await screen.findByRole('button', { name: 'Calculation, PDF' })
    await userEvent.click(button)
    expect(await screen.findByText('It cannot be taken. No bars.')).toBeInTheDocument()
    paper.mockResolvedValue(new Blob(['%PDF']))
    await userEvent.click(button)
    await waitFor(() => expect(URL.createObjectURL).toHaveBeenCalled())
    expect(paper.mock.calls.at(-1)![0].id).toBe('Corner of the stair')
  })
})
