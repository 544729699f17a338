import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, type Basis, type ResultsPage, type View } from '../../../api/client'
import { SI, US } from '../../../lib/units'
import { Around, basis, codes } from '../../../test/fixtures'
import { localChange, localFields, localPatched, valueWords, whereWords } from './local'
import { LocalPart } from './LocalPart'

const basement = { role: 'column', storeys: ['B1'], members: [], set: { beamCoverMm: 50 } }
const fields = localFields(codes[0]!.fields)
const field = (key: string) => fields.find((f) => f.key === key)!

describe('local settings', () => {
  it('are patches: what is gone is the project’s again, what is taken away is gone', () => {
    const now = { storeys: ['B1'], members: [], set: { fyMpa: 500 } }
    expect(localChange(basement, now)).toEqual({ ...now, role: null, set: { fyMpa: 500, beamCoverMm: null } })
    const all = localPatched({ basement }, { basement: localChange(basement, now) })
    expect(all).toEqual({ basement: now })
    expect(localPatched(all, { basement: null, roof: localChange(undefined, basement) })).toEqual({ roof: basement })
  })

  it('are told in words and units', () => {
    expect(whereWords({ ...basement, members: ['a', 'b', 'c', 'd'] }, (m) => m.toUpperCase())).toBe(
      'columns of B1; A, B, C and 1 more',
    )
    expect(whereWords({ storeys: ['L1', 'L2'], members: [], set: {} }, (m) => m)).toBe('beams and columns of L1, L2')
    expect(valueWords(field('beamCoverMm'), 50.8, US)).toBe('2 in')
    expect(valueWords(field('beamBars'), ['T16', 'T20'], SI)).toBe('T16 T20')
    expect(valueWords(field('bundles'), true, SI)).toBe('where single bars do not fit')
    expect(valueWords(field('swayX'), 'braced', SI)).toBe('taken as braced')
  })

  it('are of values that may differ only', () => {
    expect(fields.map((f) => f.key)).not.toContain('redistribution')
    expect(new Set(fields.map((f) => f.key)).size).toBe(fields.length)
  })
})

describe('the part of the page', () => {
  const change = vi.fn()
  beforeEach(() => {
    change.mockReset()
    const rows = ['L1-B1', 'C-A1'].map((mark) => ({
      id: `m-${mark}`,
      mark,
      local: mark === 'C-A1' ? ['basement'] : [],
    }))
    vi.spyOn(api, 'results').mockResolvedValue({ rows } as unknown as ResultsPage)
    vi.spyOn(api, 'view').mockResolvedValue({ storeys: [{ name: 'B1' }, { name: 'L1' }] } as unknown as View)
  })
  const open = (b: Basis, at?: { members: string[] }) =>
    render(
      <Around at={{ pathname: '/p/p/basis', state: at }}>
        <LocalPart id="p" basis={b} code={codes[0]!} units={SI} onChange={change} />
      </Around>,
    )

  it('adds settings once they have a name, members and a value', async () => {
    open(basis)
    await userEvent.click(screen.getByRole('button', { name: 'Add local settings' }))
    const take = screen.getByRole('button', { name: 'Take and design again' })
    expect(take).toBeDisabled()
    await userEvent.type(screen.getByLabelText('Name'), 'wet rooms')
    expect(screen.getByText('Choose storeys, lines or columns.')).toBeInTheDocument()
    await userEvent.click(screen.getByLabelText('Storeys'))
    await userEvent.click(await screen.findByTitle('L1'))
    expect(screen.getByText('Tick a value that differs.')).toBeInTheDocument()
    await userEvent.click(screen.getByLabelText('Cover of beams, own value'))
    const cover = screen.getByRole('textbox', { name: 'Cover of beams' })
    await userEvent.clear(cover)
    await userEvent.type(cover, '55{Enter}')
    await waitFor(() => expect(take).toBeEnabled())
    await userEvent.click(take)
    expect(change).toHaveBeenCalledWith({
      'wet rooms': { role: null, storeys: ['L1'], members: [], set: { beamCoverMm: 55 } },
    })
  })

  it('say so where being outside the frame changes nothing', async () => {
    const outside = { local: { core: { storeys: ['L1'], members: [], set: { outsideFrame: true } } } }
    const idle = /Changes nothing yet/
    const shown = open({ ...basis, ductility: 'none', ...outside })
    await userEvent.click(screen.getByRole('button', { name: 'Change core' }))
    expect(screen.getByText(idle)).toBeInTheDocument()
    shown.unmount()
    open({ ...basis, ductility: 'special', ...outside })
    await userEvent.click(screen.getByRole('button', { name: 'Change core' }))
    expect(screen.queryByText(idle)).toBeNull()
  })

  it('shows for whom they hold, renames and takes away', async () => {
    open({ ...basis, local: { basement } })
    const row = (await screen.findByText('basement')).closest('tr')!
    expect(within(row).getByText('columns of B1')).toBeInTheDocument()
    expect(within(row).getByText('50 mm')).toBeInTheDocument()
    expect(await within(row).findByRole('link', { name: '1' })).toHaveAttribute(
      'href',
      '/p/p/results?q=local%3Abasement',
    )
    await userEvent.click(within(row).getByRole('button', { name: 'Change basement' }))
    await userEvent.type(screen.getByLabelText('Name'), ' 2')
    await userEvent.click(screen.getByRole('button', { name: 'Take and design again' }))
    expect(change).toHaveBeenCalledWith({ basement: null, 'basement 2': { ...basement, set: { beamCoverMm: 50 } } })
    await userEvent.click(within(row).getByRole('button', { name: 'Take basement away' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Remove' }))
    expect(change).toHaveBeenLastCalledWith({ basement: null })
  })

  it('begins with the members that the worklist hands over', async () => {
    open(basis, { members: ['m-L1-B1'] })
    expect(await screen.findByText('L1-B1')).toBeInTheDocument()
    expect(screen.getByText('New local settings')).toBeInTheDocument()
  })
})
