import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api } from '../../api/client'
import { SI, US } from '../../lib/units'
import { Around, beam, check, column, curves, interaction, state, step } from '../../test/fixtures'
import { ColumnSheet } from '../column/ColumnSheet'
import { RoleContext } from '../people/session'
import { BeamSheet } from './BeamSheet'

const calculation = vi.spyOn(api, 'calculation')

beforeEach(() => {
  calculation.mockReset()
  calculation.mockResolvedValue({
    heading: 'At 3.00 m',
    steps: [
      { ...step('Shear', '', '', '', '22.5'), title: true, words: '1.4D', formula: null, numbers: null },
      step('Vu / φVn', 'Vu / φVn', '120 / 100', '1.20', '22.5'),
    ],
  })
  vi.spyOn(api, 'interaction').mockResolvedValue(interaction)
  vi.spyOn(api, 'curves').mockResolvedValue(curves)
  vi.spyOn(api, 'preferences').mockResolvedValue({
    current: 'least-steel',
    preferences: [
      { preference: 'least-steel', steelKg: 120, bars: 7, layers: 1, sizes: 2, satisfied: true },
      { preference: 'fewest-sizes', steelKg: 133.4, bars: 7, layers: 1, sizes: 1, satisfied: true },
    ],
  })
})

describe('the beam sheet', () => {
  it('shows bars, zones and sections in words', () => {
    render(
      <Around>
        <BeamSheet id="p" beam={beam} units={SI} />
      </Around>,
    )
    expect(screen.getAllByText('2T16 through')).toHaveLength(2)
    expect(screen.getByText('+ 3T20')).toBeInTheDocument()
    expect(screen.getByText('T10-200')).toBeInTheDocument()
    expect(screen.getByLabelText(/Section at A1–B1 middle: top 2T16, bottom 2T16 \+ 3T20/)).toBeInTheDocument()
  })

  it('opens the calculation of the governing station and walks with the arrow keys', async () => {
    render(
      <Around>
        <BeamSheet id="p" beam={beam} units={SI} />
      </Around>,
    )
    await waitFor(() => expect(calculation.mock.calls[0]![2]).toEqual({ station: 1 }))
    await userEvent.keyboard('{ArrowRight}')
    await waitFor(() => expect(calculation.mock.calls.at(-1)![2]).toEqual({ station: 2 }))
    await userEvent.keyboard('{ArrowRight}')
    expect(calculation.mock.calls.at(-1)![2]).toEqual({ station: 2 })
  })

  it('goes to the place of a check that is clicked', async () => {
    render(
      <Around>
        <BeamSheet id="p" beam={beam} units={SI} />
      </Around>,
    )
    await userEvent.click(screen.getByText('shear'))
    await waitFor(() => expect(calculation.mock.calls.at(-1)![2]).toEqual({ station: 0 }))
  })

  it('marks a result over 1.00 in the calculation', async () => {
    render(
      <Around>
        <BeamSheet id="p" beam={beam} units={SI} />
      </Around>,
    )
    expect(await screen.findByText('1.20')).toHaveClass('over-ink')
  })

  it('hatches the shear diagram only where the shear check fails', () => {
    const over = { ...beam, points: beam.points.map((p) => ({ ...p, vn: 100 })) }
    const { container, rerender } = render(
      <Around>
        <BeamSheet id="p" beam={over} units={SI} />
      </Around>,
    )
    const hatched = () =>
      container.querySelector('[aria-label^="Shear"]')!.querySelectorAll('[fill="url(#hatch)"]').length
    expect(hatched()).toBe(0)
    rerender(
      <Around>
        <BeamSheet id="p" beam={{ ...over, checks: [check('shear', 1.2, 0)] }} units={SI} />
      </Around>,
    )
    expect(hatched()).toBeGreaterThan(0)
  })

  it('draws the shear of a ductile frame only where there is one', () => {
    const { container, rerender } = render(
      <Around>
        <BeamSheet id="p" beam={beam} units={SI} />
      </Around>,
    )
    expect(container.querySelectorAll('.sway')).toHaveLength(0)
    rerender(
      <Around>
        <BeamSheet id="p" beam={{ ...beam, points: beam.points.map((p) => ({ ...p, ve: 180 })) }} units={SI} />
      </Around>,
    )
    expect(container.querySelectorAll('.sway')).toHaveLength(2)
    expect(screen.getByText(/strength of the ends dash-dotted/)).toBeInTheDocument()
  })

  it('reads in US customary units', () => {
    render(
      <Around>
        <BeamSheet id="p" beam={beam} units={US} />
      </Around>,
    )
    expect(screen.getByText(/moment, kip·ft/)).toBeInTheDocument()
    expect(screen.getByText('9.84 ft')).toBeInTheDocument()
  })
})

describe('preferences on the beam sheet', () => {
  it('shows what another preference would cost', async () => {
    render(
      <Around>
        <BeamSheet id="p" beam={beam} units={SI} />
      </Around>,
    )
    expect(await screen.findByText('one size a line')).toBeInTheDocument()
    expect(screen.getByText('+13')).toBeInTheDocument()
  })
})

describe('sections on the beam sheet', () => {
  it('shows what satisfies at the least cost and takes it with one action', async () => {
    const tried = {
      inProject: true,
      present: false,
      satisfied: true,
      inBand: true,
      strength: 0.95,
      steelKg: 100,
      concreteM3: 1,
      formworkM2: 10,
      cost: 520,
      where: '',
    }
    vi.spyOn(api, 'sections').mockResolvedValue({
      why: '',
      options: [
        {
          ...tried,
          label: '300 × 500',
          inProject: false,
          edits: [
            { kind: 'put-section', id: '300x500', shape: 'rectangle', b: 300, h: 500 },
            { kind: 'section', members: ['m'], section: '300x500' },
          ],
        },
        { ...tried, label: '300 × 600', present: true, cost: 650, edits: [] },
        { ...tried, label: '300 × 400', satisfied: false, strength: 1.3, edits: [] },
      ],
    })
    const edit = vi
      .spyOn(api, 'edit')
      .mockResolvedValue({ id: 'p', name: '', createdAt: '', changedAt: '', version: 6 })
    render(
      <Around>
        <BeamSheet id="p" beam={beam} units={SI} state={state} />
      </Around>,
    )
    await userEvent.click(screen.getByRole('button', { name: 'Try other sections' }))
    expect(await screen.findByText(/300 × 500 satisfies everything and costs 20 % less/)).toBeInTheDocument()
    expect(screen.getByText('1.30 fails')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Take 300 × 500' }))
    await waitFor(() => expect(edit.mock.calls.at(-1)![2]).toHaveLength(2))
  })
  it.each([
    ['', /limits of the basis leave no other section/],
    ['No other section: the hook needs 239 mm.', /^No other section: the hook needs 239 mm\.$/],
  ])('says so where nothing is worth a try, and why (%s)', async (why, said) => {
    vi.spyOn(api, 'sections').mockResolvedValue({ options: [], why })
    render(
      <Around>
        <BeamSheet id="p" beam={beam} units={SI} state={state} />
      </Around>,
    )
    await userEvent.click(screen.getByRole('button', { name: 'Try other sections' }))
    expect(await screen.findByText(said)).toBeInTheDocument()
  })
})

describe('torsion and deflection on the beam sheet', () => {
  const twisted = { ...beam, checks: [...beam.checks, check('torsion', 0.8, 1)] }
  const relief = {
    kind: 'compatibility',
    evidence: 'The torque falls from 101.1 to 0.3 kNm.',
    factor: 0.15,
    torqueKnm: 101,
    relievedKnm: 34,
    crackingKnm: 34.3,
    moved: [{ mark: 'L5-B25', member: 'x', before: 565, after: 628, by: 63 }],
    edits: [{ kind: 'stiffness' as const, members: ['m'], factorTorsion: 0.15 }],
  }
  it('draws torsion only where it counts, and deflections with their limit', () => {
    const { rerender } = render(
      <Around>
        <BeamSheet id="p" beam={beam} units={SI} />
      </Around>,
    )
    expect(screen.queryByLabelText('Torsion, demand against capacity')).not.toBeInTheDocument()
    expect(screen.getByText('14.2 of 25.0')).toBeInTheDocument()
    rerender(
      <Around>
        <BeamSheet id="p" beam={twisted} units={US} />
      </Around>,
    )
    expect(screen.getByLabelText('Torsion, demand against capacity')).toBeInTheDocument()
    expect(screen.getByText('0.56 of 0.98')).toBeInTheDocument()
  })
  it('finds out whether torsion is needed, shows what would move, and relieves it', async () => {
    vi.spyOn(api, 'torsionRelief').mockResolvedValue(relief)
    const edit = vi
      .spyOn(api, 'edit')
      .mockResolvedValue({ id: 'p', name: '', createdAt: '', changedAt: '', version: 6 })
    render(
      <Around>
        <BeamSheet id="p" beam={twisted} units={SI} state={state} />
      </Around>,
    )
    await userEvent.click(screen.getByRole('button', { name: 'Is it needed?' }))
    expect(await screen.findByText(/From compatibility/)).toBeInTheDocument()
    expect(screen.getByText('+63.0')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Relieve it and design again' }))
    await waitFor(() => expect(edit).toHaveBeenCalledWith('p', 5, relief.edits))
  })
  it('lets a person say why the torsion is there', async () => {
    const set = vi.spyOn(api, 'handSet').mockResolvedValue({ version: 6, beam: twisted })
    render(
      <Around>
        <BeamSheet id="p" beam={twisted} units={SI} state={state} />
      </Around>,
    )
    await userEvent.click(screen.getByLabelText('Kind of torsion'))
    await userEvent.click(await screen.findByText('needed for equilibrium'))
    await waitFor(() => expect(set.mock.calls.at(-1)![3]).toMatchObject({ torsion: 'equilibrium' }))
  })
  it('relieves all lines of the building together', async () => {
    vi.spyOn(api, 'reliefOfAll').mockResolvedValue({
      moved: [],
      edits: relief.edits,
      lines: [
        {
          mark: 'L1-B01',
          kind: 'compatibility',
          evidence: '',
          factor: 0.2,
          torqueKnm: 101,
          relievedKnm: 34,
          crackingKnm: 34.3,
        },
        {
          mark: 'L1-B02',
          kind: 'equilibrium',
          evidence: '',
          factor: 1,
          torqueKnm: 60,
          relievedKnm: 60,
          crackingKnm: 34.3,
        },
      ],
    })
    const edit = vi
      .spyOn(api, 'edit')
      .mockResolvedValue({ id: 'p', name: '', createdAt: '', changedAt: '', version: 6 })
    render(
      <Around>
        <BeamSheet id="p" beam={twisted} units={SI} state={state} />
      </Around>,
    )
    await userEvent.click(screen.getByRole('button', { name: 'Look at all lines of the building' }))
    expect(await screen.findByText('needed')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Relieve one line and design again' }))
    await waitFor(() => expect(edit).toHaveBeenCalledWith('p', 5, relief.edits))
  })
  it('says so where torsion must be resisted', async () => {
    vi.spyOn(api, 'torsionRelief').mockResolvedValue({
      ...relief,
      kind: 'equilibrium',
      factor: 1,
      moved: [],
      edits: [],
    })
    render(
      <Around>
        <BeamSheet id="p" beam={twisted} units={SI} state={state} />
      </Around>,
    )
    await userEvent.click(screen.getByRole('button', { name: 'Is it needed?' }))
    expect(await screen.findByText(/must be resisted in full/)).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: /Relieve it/ })).not.toBeInTheDocument()
  })
})

describe('the column sheet', () => {
  it('shows the worst demand first and opens the one that is picked', async () => {
    render(
      <Around>
        <ColumnSheet id="p" column={column} units={SI} />
      </Around>,
    )
    await waitFor(() => expect(calculation.mock.calls.at(-1)![2]).toEqual({ lift: 0, combination: 4, demand: 0 }))
    await userEvent.click(screen.getByRole('cell', { name: '1.4D' }))
    await waitFor(() => expect(calculation.mock.calls.at(-1)![2]).toEqual({ lift: 0, combination: 0, demand: 2 }))
  })

  it('goes to another lift by pointer and by key', async () => {
    render(
      <Around>
        <ColumnSheet id="p" column={column} units={SI} />
      </Around>,
    )
    await userEvent.click(screen.getByText(/Lift to L2/, { selector: 'title' }).parentElement!)
    expect(await screen.findByText('axial-limit')).toBeInTheDocument()
    screen.getByText(/Lift to L1/, { selector: 'title' }).parentElement!.focus()
    await userEvent.keyboard('{Enter}')
    expect(await screen.findByText('axial-bending')).toBeInTheDocument()
  })

  it('says so where no combination acts on a lift', async () => {
    vi.spyOn(api, 'interaction').mockResolvedValue({ demands: [] })
    render(
      <Around>
        <ColumnSheet id="p" column={column} units={SI} />
      </Around>,
    )
    expect(await screen.findByText(/No combination for strength acts on this lift/)).toBeInTheDocument()
  })
})

describe('a reader of the project', () => {
  it('sees a line and its numbers, and is offered no change of them', async () => {
    const set = vi.spyOn(api, 'handSet').mockClear()
    const tried = vi.spyOn(api, 'tryHand').mockClear()
    render(
      <Around>
        <RoleContext.Provider value="reader">
          <BeamSheet id="p" beam={beam} units={SI} state={state} />
        </RoleContext.Provider>
      </Around>,
    )
    expect(await screen.findByText('At 3.00 m of the line')).toBeInTheDocument()
    expect(screen.queryByRole('toolbar')).toBeNull()
    expect(screen.queryByRole('button', { name: 'take' })).toBeNull()
    await userEvent.keyboard('ba+s')
    expect(set).not.toHaveBeenCalled()
    expect(tried).not.toHaveBeenCalled()
  })

  it('sees a column likewise', async () => {
    const change = vi.spyOn(api, 'columnSet').mockClear()
    render(
      <Around>
        <RoleContext.Provider value="checker">
          <ColumnSheet id="p" column={column} units={SI} state={state} />
        </RoleContext.Provider>
      </Around>,
    )
    expect(await screen.findByRole('heading', { name: /^Lift to/ })).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: /Release|Fewer|More/ })).toBeNull()
    await userEvent.keyboard('+-')
    expect(change).not.toHaveBeenCalled()
  })
})
