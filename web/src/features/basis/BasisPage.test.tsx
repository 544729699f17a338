import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type Basis } from '../../api/client'
import { Around, basis, codes, state } from '../../test/fixtures'
import { SI, US } from '../../lib/units'
import { BasisPage } from './BasisPage'
import { localPatched } from './local/local'
import { RoleContext } from '../people/session'
import { numberOf, shown, stored, unitOf } from './fields'

let kept: Basis
const set = vi.spyOn(api, 'changeBasis')

beforeEach(() => {
  kept = basis
  set.mockReset()
  set.mockImplementation((_id, _v, { national, local, ...fields }) => {
    const given = Object.entries({ ...kept.national, ...national }).filter((e) => e[1] !== null)
    kept = {
      ...kept,
      ...fields,
      national: Object.fromEntries(given) as Basis['national'],
      local: localPatched(kept.local, local),
    }
    return Promise.resolve({ id: 'p', name: '', createdAt: '', changedAt: '', version: 6 })
  })
  vi.spyOn(api, 'basis').mockImplementation(() => Promise.resolve(kept))
  vi.spyOn(api, 'catalogue').mockResolvedValue({ codes })
})

const open = () =>
  render(
    <Around>
      <BasisPage id="p" state={state} />
    </Around>,
  )

describe('the basis page', () => {
  it('stores a number when Enter is pressed, with the version it saw', async () => {
    open()
    const field = await screen.findByLabelText('Cover of beams')
    await userEvent.clear(field)
    await userEvent.type(field, '45{Enter}')
    await waitFor(() => expect(set).toHaveBeenCalledWith('p', 5, { beamCoverMm: 45 }))
  })

  it('does not store a number outside its limits and says which they are', async () => {
    open()
    const field = await screen.findByLabelText('Cover of beams')
    await userEvent.clear(field)
    await userEvent.type(field, '500')
    await userEvent.tab()
    expect(await screen.findByText('Between 10 and 150 mm.')).toBeInTheDocument()
    expect(field).toHaveValue('500')
    expect(set).not.toHaveBeenCalled()
  })

  it('adds and removes bars but never the last one', async () => {
    open()
    const stirrups = await screen.findByRole('group', { name: 'Stirrups and ties' })
    await userEvent.click(stirrups.querySelector('button[aria-pressed=true]')!)
    expect(set).not.toHaveBeenCalled()
    const beams = screen.getByRole('group', { name: 'Beams' })
    await userEvent.click([...beams.querySelectorAll('button')].find((b) => b.textContent === 'T25')!)
    await waitFor(() => expect(set).toHaveBeenCalledWith('p', 5, { beamBars: ['T16', 'T20', 'T25'] }))
  })

  it('sets flanges, rules for earthquakes and bars in pairs', async () => {
    open()
    await userEvent.click(await screen.findByLabelText('Flanges of beams'))
    await userEvent.click(await screen.findByText('from the slabs'))
    await waitFor(() => expect(set).toHaveBeenLastCalledWith('p', 5, { slabFlanges: true }))
    await userEvent.click(await screen.findByLabelText('Seismic detailing'))
    await userEvent.click(await screen.findByText('special frames (18.6)'))
    await waitFor(() => expect(set).toHaveBeenLastCalledWith('p', expect.anything(), { ductility: 'special' }))
    await userEvent.click(await screen.findByLabelText('Bundled bars'))
    await userEvent.click(await screen.findByText('where single bars do not fit'))
    await waitFor(() => expect(set).toHaveBeenLastCalledWith('p', expect.anything(), { bundles: true }))
  })

  it('asks how bars of columns are joined, and whose list starter bars are in', async () => {
    open()
    await userEvent.click(await screen.findByLabelText('Splices of columns'))
    await userEvent.click(await screen.findByText('couplers where they can be'))
    await waitFor(() => expect(set).toHaveBeenLastCalledWith('p', 5, { columnSplices: 'couplers' }))
    await userEvent.click(await screen.findByLabelText('Ties of round columns'))
    await userEvent.click(await screen.findByText('a spiral'))
    await waitFor(() => expect(set).toHaveBeenLastCalledWith('p', expect.anything(), { roundTies: 'spirals' }))
    await userEvent.click(await screen.findByLabelText('Starter bars'))
    await userEvent.click(await screen.findByText('with the foundations'))
    await waitFor(() => expect(set).toHaveBeenLastCalledWith('p', expect.anything(), { starterBars: false }))
  })

  it('takes effective lengths from what meets at the ends, and asks for factors only where they count', async () => {
    open()
    expect(await screen.findByLabelText('Length factor k along X')).toBeInTheDocument()
    await userEvent.click(screen.getByLabelText('Effective lengths'))
    await userEvent.click(await screen.findByText('what meets at their ends'))
    await waitFor(() => expect(set).toHaveBeenLastCalledWith('p', 5, { effectiveLengths: 'from-ends' }))
    await waitFor(() => expect(screen.queryByLabelText('Length factor k along X')).not.toBeInTheDocument())
  })

  it('says why a change was refused and shows what is stored', async () => {
    set.mockRejectedValueOnce(new ApiError(412, 'Somebody else changed the project meanwhile.', 'Look again.'))
    open()
    const field = await screen.findByLabelText('Most legs')
    await userEvent.clear(field)
    await userEvent.type(field, '4{Enter}')
    expect(await screen.findByText(/Somebody else changed/)).toBeInTheDocument()
    await waitFor(() => expect(screen.getByLabelText('Most legs')).toHaveValue('6'))
  })
})

describe('fields of the basis', () => {
  it('show and store the same value in both systems', () => {
    for (const f of codes[0]!.fields) {
      for (const u of [SI, US]) {
        const v = numberOf(basis, f)
        expect(stored(f, shown(f, v, u), u)).toBeCloseTo(v, 1)
      }
    }
    const of = (key: string) => codes[0]!.fields.find((f) => f.key === key)!
    expect(unitOf(of('beamCoverMm'), US)).toBe('in')
    expect(shown(of('practicalCap'), 0.04, SI)).toBe(4)
  })
})

describe('national parameters', () => {
  beforeEach(() => {
    kept = { ...basis, code: 'en-1992-1-1' }
  })
  it('stores a value in place of the recommended one and takes it back', async () => {
    open()
    const field = await screen.findByLabelText('γC, partial factor of concrete')
    await userEvent.type(field, '1.4{Enter}')
    await waitFor(() => expect(set.mock.calls.at(-1)![2]).toEqual({ national: { gammaC: 1.4 } }))
    await userEvent.clear(await screen.findByDisplayValue('1.4'))
    await userEvent.tab()
    await waitFor(() => expect(set.mock.calls.at(-1)![2]).toEqual({ national: { gammaC: null } }))
  })
  it('refuses what cannot be meant', async () => {
    open()
    await userEvent.type(await screen.findByLabelText('γC, partial factor of concrete'), '5{Enter}')
    expect(await screen.findByText('Between 1 and 2.')).toBeInTheDocument()
    expect(set).not.toHaveBeenCalled()
  })

  it('is seen by a reader and off', async () => {
    render(
      <Around>
        <RoleContext.Provider value="reader">
          <BasisPage id="p" state={state} />
        </RoleContext.Provider>
      </Around>,
    )
    expect(await screen.findByLabelText('Cover of beams')).toBeDisabled()
    expect(screen.getByLabelText('Design code')).toBeDisabled()
    expect(screen.getByText('Engineers of the project change its basis; you see it as it is.')).toBeInTheDocument()
    expect(screen.getByRole('link', { name: 'Download' })).not.toHaveAttribute('aria-disabled', 'true')
    await userEvent.click(screen.getAllByRole('button', { name: 'T16' })[0]!)
    expect(set).not.toHaveBeenCalled()
  })
})
