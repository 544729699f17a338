import { fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useEffect } from 'react'
import { useLocation } from 'react-router'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError } from '../../api/client'
import { SI, US } from '../../lib/units'
import { Around, basis, column, curves, interaction, step, surface as mesh } from '../../test/fixtures'
import { ColumnSheet } from './ColumnSheet'
import { DemandTable } from './DemandTable'

const surface = vi.spyOn(api, 'interaction')
const drawn = vi.spyOn(api, 'curves')
const calculation = vi.spyOn(api, 'calculation')

beforeEach(() => {
  surface.mockReset().mockResolvedValue(interaction)
  drawn.mockReset().mockResolvedValue(curves)
  vi.spyOn(api, 'surface').mockResolvedValue(mesh)
  calculation.mockReset().mockResolvedValue({
    heading: 'Axial force with bending',
    steps: [step('φ', 'from εt', 'εt = 5.1', '0.90', '21.2.2')],
  })
})

/** Tells where the pages went, and what they brought. */
function Where({ tell }: { tell: (path: string, brought?: string) => void }) {
  const at = useLocation()
  useEffect(() => tell(at.pathname, (at.state as { bench?: { name: string } } | null)?.bench?.name), [at, tell])
  return null
}

const open = (at = '/') =>
  render(
    <Around at={at}>
      <ColumnSheet id="p" column={column} units={SI} />
    </Around>,
  )

describe('the sheet of a column', () => {
  it('opens at the lift that decides, with its section, its surface and the calculation of its worst demand', async () => {
    open()
    expect(screen.getByText('Lift to L1, utilisation 0.80', { selector: 'title' }).parentElement!).toHaveAttribute(
      'aria-pressed',
      'true',
    )
    expect(screen.getByRole('group', { name: 'Section 400 × 400 with 4T25 + 4T20' })).toBeInTheDocument()
    expect(await screen.findByRole('img', { name: 'Interaction of axial force and moment' })).toBeInTheDocument()
    expect(await screen.findByLabelText('Calculation')).toHaveTextContent('21.2.2')
    expect(calculation).toHaveBeenCalledWith('p', 'C-A1', { lift: 0, combination: 4, demand: 0 }, expect.anything())
    expect(screen.getByText('axial-bending')).toBeInTheDocument()
  })

  it('names beams whose bars do not pass in the joint at the head of the lift', async () => {
    const { unmount } = open('/?lift=1')
    const joint = await screen.findByRole('region', { name: 'Crowded joints' })
    expect(joint).toHaveTextContent('L1-B01: 5 bars side by side above, room for 4')
    expect(within(joint).getAllByRole('listitem')).toHaveLength(1)
    expect(within(joint).getByRole('link')).toHaveAttribute('href', '/p/p/sheet/L1-B01')
    unmount()
    open('/?lift=0')
    expect(screen.queryByRole('region', { name: 'Crowded joints' })).not.toBeInTheDocument()
  })

  it('tries other sections for the chosen lift and says how many take one', async () => {
    const tried = vi.spyOn(api, 'sections').mockResolvedValue({
      why: '',
      options: [
        {
          label: '500 × 500',
          inProject: false,
          present: false,
          satisfied: true,
          inBand: true,
          strength: 0.9,
          steelKg: 400,
          concreteM3: 2,
          formworkM2: 20,
          cost: 1240,
          where: '3 lifts',
          edits: [{ kind: 'section', members: ['c1', 'c2', 'c3'], section: '500x500' }],
        },
        {
          label: '400 × 400',
          inProject: true,
          present: true,
          satisfied: false,
          inBand: false,
          strength: 1.4,
          steelKg: 500,
          concreteM3: 1.3,
          formworkM2: 16,
          cost: 1136,
          where: '2 lifts',
          edits: [],
        },
      ],
    })
    open()
    await userEvent.click(screen.getByRole('button', { name: 'Try other sections' }))
    expect(await screen.findByText(/500 × 500 satisfies everything/)).toBeInTheDocument()
    expect(screen.getByText(/new 3 lifts/)).toBeInTheDocument()
    expect(tried).toHaveBeenCalledWith('p', 'C-A1', 0, expect.anything())
  })

  it('takes the lift to the bench', async () => {
    vi.spyOn(api, 'basis').mockResolvedValue(basis)
    const went = vi.fn()
    render(
      <Around>
        <ColumnSheet id="p" column={column} units={SI} />
        <Where tell={went} />
      </Around>,
    )
    await userEvent.click(await screen.findByRole('button', { name: 'To the bench' }))
    await waitFor(() => expect(went).toHaveBeenLastCalledWith('/bench', 'C-A1, lift to L1'))
  })

  it('follows the lift that is chosen with the mouse or with Enter', async () => {
    open()
    await userEvent.click(screen.getByText(/Lift to L2/, { selector: 'title' }).parentElement!)
    await waitFor(() => expect(surface).toHaveBeenCalledWith('p', 'C-A1', 1, expect.anything()))
    expect(screen.getByRole('heading', { name: 'Lift to L2' })).toBeInTheDocument()
    expect(screen.getByText('axial-limit')).toBeInTheDocument()
    screen.getByText(/Lift to L1/, { selector: 'title' }).parentElement!.focus()
    await userEvent.keyboard('{Enter}')
    expect(screen.getByRole('heading', { name: 'Lift to L1' })).toBeInTheDocument()
  })

  it('draws the ties of the lift that is chosen, and the joints of a ductile frame with what they use', () => {
    const framed = {
      ...column,
      lifts: column.lifts.map((l, i) =>
        i === 0
          ? {
              ...l,
              checks: [
                ...l.checks,
                {
                  ...l.checks[0]!,
                  kind: 'joint-shear-x',
                  title: 'Shear of the joint',
                  utilisation: 1.12,
                  satisfied: false,
                },
              ],
            }
          : l,
      ),
    }
    const { container } = render(
      <Around at="/">
        <ColumnSheet id="p" column={framed} units={SI} />
      </Around>,
    )
    expect(container.querySelectorAll('.stack-tie')).toHaveLength(3)
    const joint = screen.getByText('Joint at L1: Shear of the joint 1.12', { selector: 'title' }).parentElement!
    expect(joint).toHaveAttribute('fill', 'url(#hatch)')
    expect(container.querySelectorAll('.joint-mark')).toHaveLength(1)
  })

  it('opens at the lift of its address', () => {
    open('/?lift=1')
    expect(screen.getByRole('heading', { name: 'Lift to L2' })).toBeInTheDocument()
  })

  it('explains the demand that is picked', async () => {
    open()
    await userEvent.click(await screen.findByRole('cell', { name: '1.4D' }))
    await waitFor(() =>
      expect(calculation).toHaveBeenCalledWith('p', 'C-A1', { lift: 0, combination: 0, demand: 2 }, expect.anything()),
    )
    expect(screen.getByRole('row', { name: /1\.4D/ })).toHaveAttribute('aria-selected', 'true')
  })

  it('stays readable where the surface cannot be had, and says why', async () => {
    surface.mockRejectedValue(new ApiError(404, 'There is no column C-A1.', ''))
    open()
    expect(await screen.findByText('There is no column C-A1.')).toBeInTheDocument()
    expect(screen.getByText('axial-bending')).toBeInTheDocument()
    expect(calculation).not.toHaveBeenCalled()
  })
})

describe('the strength of a lift', () => {
  it('is drawn through the demand that is picked, at its angle or at another', async () => {
    open()
    expect(await screen.findByText('75°, of this combination')).toBeInTheDocument()
    expect(drawn).toHaveBeenCalledWith('p', 'C-A1', { lift: 0, combination: 4, demand: 0 }, expect.anything())
    fireEvent.change(screen.getByRole('slider', { name: 'Angle of the moments in degrees' }), { target: { value: 76 } })
    await waitFor(() =>
      expect(drawn).toHaveBeenCalledWith(
        'p',
        'C-A1',
        { lift: 0, combination: 4, demand: 0, angle: 76 },
        expect.anything(),
      ),
    )
    await userEvent.click(screen.getByRole('button', { name: '76° · back to 75°' }))
    expect(await screen.findByText('75°, of this combination')).toBeInTheDocument()
  })

  it('tells how far the axial force may fall or rise, at the angle of the moments alone', async () => {
    const own = (Math.atan2(interaction.demands[0]!.mx, interaction.demands[0]!.my) * 180) / Math.PI
    drawn.mockResolvedValue({ ...curves, angleDeg: own })
    open()
    expect(await screen.findByText('210')).toBeInTheDocument()
    expect(screen.getByText('3 400')).toBeInTheDocument()
    drawn.mockResolvedValue({ ...curves, angleDeg: 10 })
    fireEvent.change(screen.getByRole('slider', { name: 'Angle of the moments in degrees' }), { target: { value: 10 } })
    await waitFor(() => expect(screen.queryByText('210')).not.toBeInTheDocument())
  })

  it('stands all round under the axial force of the demand, with what is used of it', async () => {
    open()
    await userEvent.click(await screen.findByText('Mx – My'))
    const plot = await screen.findByRole('img', { name: 'Moments about both axes' })
    expect(plot).toHaveTextContent('0.93')
    expect(plot).toHaveTextContent('N stays 1 890 kN')
  })

  it('tells what the moments are made of, with an arrow for each part that is there', async () => {
    open()
    const table = await screen.findByRole('table', { name: 'What the moments are made of' })
    expect(within(table).getByRole('row', { name: /other loads/ })).toHaveTextContent('other loads15050')
    expect(within(table).getByRole('row', { name: /together/ })).toHaveTextContent('together388102')
    await userEvent.click(screen.getByText('Mx – My'))
    const plot = await screen.findByRole('img', { name: 'Moments about both axes' })
    expect([...plot.querySelectorAll('.part title')].map((t) => t.textContent)).toEqual([
      'sustained',
      'other loads',
      'eccentricity',
      'second order',
    ])
    const last = plot.querySelector('.part.secondOrder polygon')!.getAttribute('points')!
    const picked = plot.querySelector('.picked')!
    expect(interaction.demands[0]).toMatchObject({ mx: 388, my: 102 })
    expect(last.startsWith(`${picked.getAttribute('cx')},${picked.getAttribute('cy')} `)).toBe(true)
  })

  it('says so where the axial force alone is too much', async () => {
    drawn.mockResolvedValue({ ...curves, atAxial: null })
    open()
    await userEvent.click(await screen.findByText('Mx – My'))
    expect(await screen.findByText('the force alone is too much')).toBeInTheDocument()
  })

  it('is a surface to turn with arrow keys, which leave the cage as it is', async () => {
    const set = vi.spyOn(api, 'columnSet')
    open()
    await userEvent.click(await screen.findByText('surface'))
    const plot = await screen.findByRole('application', { name: /Strength surface/ })
    const before = plot.querySelector('.picked')!.getAttribute('cx')
    plot.focus()
    await userEvent.keyboard('{ArrowRight}')
    expect(plot.querySelector('.picked')!.getAttribute('cx')).not.toBe(before)
    expect(set).not.toHaveBeenCalled()
  })
})

describe('the table of demands', () => {
  const many = Array.from({ length: 12 }, (_, i) => ({
    ...interaction.demands[0]!,
    combination: `K${i}`,
    utilisation: 1.2 - i / 10,
  }))

  it('shows the worst, and the rest when asked', async () => {
    render(<DemandTable demands={many} units={SI} onPick={() => {}} />)
    expect(screen.getAllByRole('row')).toHaveLength(10)
    await userEvent.click(screen.getByRole('button', { name: 'and 3 more, below 0.30' }))
    expect(screen.getAllByRole('row')).toHaveLength(13)
  })

  it('marks what is over, and shows forces in kips', () => {
    render(<DemandTable demands={many.slice(0, 4)} units={US} onPick={() => {}} />)
    expect(screen.getByText('1.20')).toHaveClass('over-ink')
    expect(screen.getByText('0.90')).not.toHaveClass('over-ink')
    expect(within(screen.getByRole('row', { name: /K0/ })).getByText('425')).toBeInTheDocument() // 1890 kN
  })
})
