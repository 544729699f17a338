import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query'
import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { App } from 'antd'
import { MemoryRouter } from 'react-router'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type Beam, type Hand, type Member } from '../../../api/client'
import { SI, US } from '../../../lib/units'
import { Around, beam, check, state } from '../../../test/fixtures'
import { BeamSheet } from '../BeamSheet'
import { stationUse } from '../UtilisationDiagram'
import {
  addBars,
  changeBars,
  changeSides,
  changeZone,
  handParts,
  isHand,
  NOTHING,
  removeBars,
  removeZone,
  splitZone,
} from './hand'
import { keyed, nextPick } from './keys'
import { NeedsTable } from './NeedsTable'

const twoZones: Beam = {
  ...beam,
  zones: [
    { span: 0, from: 200, to: 2000, size: 'T10', legs: 2, spacing: 150, places: [] },
    { span: 0, from: 2000, to: 5800, size: 'T10', legs: 2, spacing: 250, places: [] },
  ],
}

describe('changes of a cage', () => {
  it('sets the whole face by hand and leaves the other to Kolonne', () => {
    const h = changeBars(beam, 2, { count: 4 })
    expect(Object.keys(h.faces)).toEqual(['bottom'])
    expect(h.faces.bottom!.map((b) => b.count)).toEqual([2, 4])
  })
  it('snaps ends to the ends of the line, where hooks stand', () => {
    const h = changeBars(beam, 2, { from: -140, to: 5900 })
    expect(h.faces.bottom![1]).toMatchObject({ from: -150, hookFrom: true, to: 5900, hookTo: false })
    expect(changeBars(beam, 2, { to: 20 }).faces.bottom![1]!.to).toBe(250)
  })
  it('hooks no bar at a free end', () => {
    const free = { ...beam, supports: [{ ...beam.supports[0]!, kind: 'free' }, beam.supports[1]!] }
    expect(changeBars(free, 2, { from: -150 }).faces.bottom![1]!.hookFrom).toBe(false)
  })
  it('adds bars over the nearer support and along a span, and removes them', () => {
    expect(addBars(beam, 'top', 300).faces.top![1]).toMatchObject({ from: -150, to: 1600, hookFrom: true, count: 2 })
    expect(addBars(beam, 'bottom', 3000).faces.bottom![2]).toMatchObject({ from: 200, to: 5800 })
    expect(removeBars(beam, 2).faces.bottom).toHaveLength(1)
  })
  it('keeps a zone between its neighbours, splits and merges', () => {
    expect(changeZone(twoZones, 1, { from: 100 }).stirrups['0']![1]!.from).toBe(400)
    expect(changeZone(twoZones, 0, { from: 900 }).stirrups['0']![0]!.from).toBe(200)
    expect(splitZone(twoZones, 1).stirrups['0']!.map((z) => z.from)).toEqual([200, 2000, 3900])
    expect(removeZone(twoZones, 0)!.stirrups['0']).toEqual([{ from: 200, size: 'T10', legs: 2, spacing: 250 }])
    expect(removeZone(beam, 0)).toBeUndefined()
  })
  it('gives side bars where there were none, never fewer than none', () => {
    expect(changeSides(beam, 0, { perFace: 2 }).sides['0']).toEqual({ size: 'T12', perFace: 2 })
    expect(changeSides(beam, 0, { perFace: -1 }).sides['0']!.perFace).toBe(0)
  })
  it('names what is set and what is left when it is released', () => {
    const set: Beam = {
      ...twoZones,
      hand: {
        ...changeZone(twoZones, 0, { legs: 3 }),
        faces: changeBars(beam, 2, { count: 4 }).faces,
        demands: [{ from: 0, to: 2000, values: { shear: 100 } }],
      },
    }
    expect(handParts(set, SI).map((q) => q.words)).toEqual(['bottom bars', 'stirrups', 'demand at 0.0–2.0 m'])
    expect(handParts(set, US).map((q) => q.words)).toContain('demand at 0.0–6.6 ft')
    expect(handParts(set, SI)[0]!.released.faces).toEqual({})
    expect(isHand(set, { part: 'bars', index: 1 })).toBe(true)
    expect(isHand(set, { part: 'bars', index: 0 })).toBe(false)
    expect(isHand(set, { part: 'zone', index: 1 })).toBe(true)
    expect(isHand(set, { part: 'sides', span: 0 })).toBe(false)
  })
})

describe('keys', () => {
  const bars = { part: 'bars', index: 2 } as const
  const zone = { part: 'zone', index: 1 } as const
  it('change number, size, layer and ends of bars', () => {
    const one = (key: string, shift = false, end: 'from' | 'to' = 'to') =>
      keyed(beam, bars, key, shift, end, 50)!.faces.bottom![1]
    expect(one('ArrowUp')!.count).toBe(4)
    expect(one('ArrowDown')!.count).toBe(2)
    expect(one('ArrowUp', true)!.size).toBe('T25')
    expect(one('l')!.layer).toBe(2)
    expect(one('ArrowLeft')!.to).toBe(5900)
    expect(one('ArrowRight', false, 'from')!.from).toBe(100)
    expect(keyed(beam, bars, 'q', false, 'to', 50)).toBeUndefined()
  })
  it('change legs, size, spacing and the beginning of a zone', () => {
    const one = (key: string, shift = false) => keyed(twoZones, zone, key, shift, 'to', 50)!.stirrups['0']!
    expect(one('ArrowUp')[1]!.legs).toBe(3)
    expect(one('ArrowDown')[1]!.legs).toBe(2)
    expect(one('ArrowUp', true)[1]!.size).toBe('T12')
    expect(one('+')[1]!.spacing).toBe(275)
    expect(one('ArrowLeft')[1]!.from).toBe(1950)
    expect(one('Delete')).toHaveLength(1)
  })
  it('change side bars, and walk through the parts', () => {
    expect(keyed(beam, { part: 'sides', span: 0 }, 'ArrowUp', false, 'to', 50)!.sides['0']!.perFace).toBe(1)
    expect(nextPick(beam, { part: 'bars', index: 2 }, 'bars')).toEqual({ part: 'bars', index: 0 })
    expect(nextPick(beam, bars, 'zone')).toEqual({ part: 'zone', index: 0 })
  })
})

describe('the sheet as an editor', () => {
  const sent: { hand: Hand; version: number }[] = []
  const answer = (hand: Hand): Beam => ({
    ...beam,
    hand,
    groups: beam.groups.map((g) => {
      const list = hand.faces[g.face]
      const at = beam.groups.filter((q) => q.face === g.face).indexOf(g)
      return list?.[at] ? { ...g, ...list[at] } : g
    }),
    checks: [check('flexure-bottom', (hand.faces.bottom?.[1]?.count ?? 3) < 3 ? 1.21 : 0.9, 1)],
  })

  function Sheet() {
    const q = useQuery<Member>({
      queryKey: ['project', 'p', 'member', beam.mark],
      queryFn: () => api.member('p', beam.mark),
      staleTime: Infinity,
    })
    return q.data?.beam ? <BeamSheet id="p" beam={q.data.beam} units={SI} state={state} /> : null
  }
  function open() {
    render(
      <App>
        <QueryClientProvider client={new QueryClient()}>
          <MemoryRouter>
            <Sheet />
          </MemoryRouter>
        </QueryClientProvider>
      </App>,
    )
    return screen.findByRole('button', { name: '3T20 bottom, layer 1' })
  }
  beforeEach(() => {
    sent.length = 0
    vi.spyOn(api, 'member').mockResolvedValue({
      id: 'l1',
      mark: beam.mark,
      role: 'beam',
      beam,
      column: null,
      type: '',
      local: [],
      previous: null,
      next: null,
      failingRank: 0,
      failingCount: 0,
    })
    vi.spyOn(api, 'calculation').mockResolvedValue({ heading: 'At 3.00 m', steps: [] })
    vi.spyOn(api, 'preferences').mockResolvedValue({
      current: 'least-steel',
      preferences: [{ preference: 'least-steel', steelKg: 1, bars: 1, layers: 1, sizes: 1, satisfied: true }],
    })
    vi.spyOn(api, 'handSet').mockImplementation((_p, _m, version, hand) => {
      sent.push({ hand, version })
      return Promise.resolve({ version: version + 1, beam: answer(hand) })
    })
  })

  it('takes bars away by key, sees the check fail, and recovers', async () => {
    await userEvent.click(await open())
    await userEvent.keyboard('{ArrowDown}')
    expect(await screen.findByText('flexure-bottom 1.21')).toBeInTheDocument()
    expect(sent[0]).toMatchObject({ version: 5, hand: { faces: { bottom: [{ count: 2 }, { count: 2 }] } } })
    await userEvent.keyboard('{ArrowUp}')
    expect(await screen.findByText('all satisfied')).toBeInTheDocument()
    expect(sent[1]!.version).toBe(6)
    expect(screen.getByText('✎ by hand')).toBeInTheDocument()
  })

  it('lays bars in pairs and takes them apart', async () => {
    await userEvent.click(await open())
    await userEvent.click(screen.getByRole('button', { name: 'Pairs' }))
    await waitFor(() => expect(sent.at(-1)!.hand.faces.bottom![1]).toMatchObject({ count: 3, pairs: true }))
    expect(await screen.findByRole('button', { name: '3T20 bottom, layer 1, bundled' })).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Pairs' }))
    await waitFor(() => expect(sent.at(-1)!.hand.faces.bottom![1]).toMatchObject({ pairs: false }))
  })

  it('straightens and bends the ends of bars in the supports', async () => {
    await open()
    await userEvent.click(screen.getByRole('button', { name: '2T16 top, layer 1, through' }))
    await userEvent.click(screen.getByRole('button', { name: 'Bent at the left end' }))
    await waitFor(() => expect(sent.at(-1)!.hand.faces.top![0]).toMatchObject({ hookFrom: false, hookTo: true }))
  })

  it('shows where long bars are lapped', () => {
    const long: Beam = {
      ...beam,
      groups: beam.groups.map((g, i) => (i === 0 ? { ...g, laps: [{ from: 2600, to: 3400 }] } : g)),
    }
    const { container } = render(
      <Around>
        <BeamSheet id="p" beam={long} units={SI} state={state} />
      </Around>,
    )
    expect(screen.getByRole('button', { name: '2T16 top, layer 1, through, one lap' })).toBeInTheDocument()
    expect(container.querySelectorAll('.lap')).toHaveLength(1)
  })

  it('releases what is set', async () => {
    await userEvent.click(await open())
    await userEvent.click(screen.getByRole('button', { name: 'Number of bars: one more' }))
    await userEvent.click(screen.getByRole('button', { name: 'Done' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Release bottom bars' }))
    await waitFor(() => expect(sent.at(-1)!.hand).toEqual(NOTHING))
  })

  it('does not leave the sheet on Escape while a bar is picked', async () => {
    await userEvent.click(await open())
    await userEvent.keyboard('{Escape}')
    expect(screen.getByText(/Click bars or a stirrup zone/)).toBeInTheDocument()
  })

  it('tells why a change was refused', async () => {
    vi.spyOn(api, 'handSet').mockRejectedValue(
      new ApiError(412, 'Somebody else changed the project meanwhile.', 'Look at the newest state.'),
    )
    await userEvent.click(await open())
    await userEvent.keyboard('{ArrowUp}')
    expect(await screen.findByText(/Somebody else changed the project/)).toBeInTheDocument()
  })

  it('types a demand in place of the analysis', async () => {
    await open()
    await userEvent.click(screen.getByRole('button', { name: 'Type a demand for a stretch' }))
    await userEvent.type(screen.getByLabelText('Sagging moment, by size'), '250')
    await userEvent.click(screen.getByRole('button', { name: 'Use it' }))
    await waitFor(() => expect(sent[0]!.hand.demands).toEqual([{ from: 200, to: 5800, values: { sagging: 250 } }]))
  })

  it('lists identical lines and copies to those that the cage satisfies', async () => {
    vi.spyOn(api, 'identical').mockResolvedValue({
      lines: [
        { mark: 'L2-B01', storey: 'L2', utilisation: 0.8, satisfied: true, now: 0.9, handSet: false },
        { mark: 'L3-B01', storey: 'L3', utilisation: 1.3, satisfied: false, now: 0.9, handSet: true },
      ],
    })
    const copy = vi
      .spyOn(api, 'copyCage')
      .mockResolvedValue({ id: 'p', name: '', createdAt: '', changedAt: '', version: 6 })
    await open()
    await userEvent.click(screen.getByRole('button', { name: /Find lines/ }))
    await userEvent.click(await screen.findByRole('button', { name: 'Copy the cage to one line' }))
    await waitFor(() => expect(copy).toHaveBeenCalledWith('p', 'L1-B01', 5, ['L2-B01']))
  })

  it('tells why other stirrups lost and takes one of them', async () => {
    vi.spyOn(api, 'stirrups').mockResolvedValue({
      span: 0,
      options: [
        { size: 'T10', legs: 2, from: [200], spacing: [200], massKg: 20, pieces: 28, practical: true, lost: '' },
        {
          size: 'T12',
          legs: 2,
          from: [200, 2000],
          spacing: [250, 300],
          massKg: 24,
          pieces: 22,
          practical: true,
          lost: '20 % heavier',
        },
      ],
    })
    await open()
    await userEvent.click(screen.getByText(/Zone T10/, { selector: 'title' }).parentElement!)
    await userEvent.click(screen.getByRole('button', { name: 'Why these?' }))
    expect(await screen.findByText('20 % heavier')).toBeInTheDocument()
    await userEvent.click(screen.getAllByRole('button', { name: 'use' })[1]!)
    await waitFor(() =>
      expect(sent[0]!.hand.stirrups['0']).toEqual([
        { from: 200, size: 'T12', legs: 2, spacing: 250 },
        { from: 2000, size: 'T12', legs: 2, spacing: 300 },
      ]),
    )
  })

  it('reads every combination, largest first', async () => {
    vi.spyOn(api, 'readings').mockResolvedValue({
      x: 3000,
      readings: [
        { combination: '1.4D', moment: 90, shear: 8, torque: 0, axial: 0 },
        { combination: '1.2D + 1.6L', moment: 180, shear: 2, torque: 0, axial: 0 },
      ],
    })
    const { container } = render(
      <Around>
        <BeamSheet id="p" beam={beam} units={SI} state={state} />
      </Around>,
    )
    await userEvent.click(screen.getByText(/Every combination at 3.00 m/))
    const first = () => container.querySelector('.readings tbody tr td')!.textContent
    await waitFor(() => expect(first()).toBe('1.2D + 1.6L'))
    await userEvent.click(screen.getByRole('button', { name: /^V, kN/ }))
    expect(first()).toBe('1.4D')
  })
})

describe('what is asked and there', () => {
  it('shows required, provided and to spare', () => {
    render(
      <Around>
        <NeedsTable beam={beam} units={SI} />
      </Around>,
    )
    expect(screen.getByText('bottom A1–B1').closest('tr')).toHaveTextContent('1180' + '1345' + '+14 %')
  })
  it('says where no number of bars is enough, and reads in US customary units', () => {
    render(
      <Around>
        <NeedsTable beam={{ ...beam, needs: [{ ...beam.needs[1]!, requiredMm2: -1 }] }} units={US} />
      </Around>,
    )
    expect(screen.getByText('none is enough')).toBeInTheDocument()
    expect(screen.getByText('2.08')).toBeInTheDocument()
  })
  it('uses the worst of bending, shear and torsion', () => {
    expect(stationUse(beam.points[1]!)).toBeCloseTo(0.9)
    expect(stationUse(beam.points[0]!)).toBeCloseTo(120 / 140)
    expect(stationUse({ ...beam.points[0]!, limitUse: 1.67 })).toBeCloseTo(1.67)
  })
})
