import { render, screen } from '@testing-library/react'
import type { ReactNode } from 'react'
import { describe, expect, it, vi } from 'vitest'
import { api, type Model, type ResultRow, type State } from '../../api/client'
import { StateSentence } from '../../app/StateSentence'
import { US } from '../../lib/units'
import { Around, beam, state } from '../../test/fixtures'
import { UnitsContext } from '../../ui/useUnits'
import { PreferenceTable } from '../beam/PreferenceTable'
import { StirrupOptions } from '../beam/editor/StirrupOptions'
import { ReadPart } from '../model/ReadPart'
import { LayerCard } from './LayerCard'
import type { Layer } from './layer'
import { SelectionStrip } from './SelectionStrip'
import { StoreyLadder } from './StoreyLadder'

const us = (page: ReactNode) => <UnitsContext.Provider value={US}>{page}</UnitsContext.Provider>

describe('a project in US customary units', () => {
  it('tells the steel of the building in tons and pounds per cubic yard', () => {
    const totals: State['totals'] = {
      code: 'ACI 318-19',
      usUnits: true,
      members: 60,
      lines: 20,
      satisfied: 20,
      overstressed: 0,
      failing: 0,
      notes: 0,
      steelKg: 9071.8474,
      concreteM3: 76.4554857984,
      causes: {},
    }
    render(<StateSentence live={{ state: { ...state, totals }, reachable: true, waiting: 0 }} />)
    expect(screen.getByText('10.0 tons')).toBeInTheDocument()
    expect(screen.getByText(/200 lb\/yd³/)).toBeInTheDocument()
  })
  it('tells the same in tonnes without them', () => {
    const totals: State['totals'] = {
      code: 'ACI 318M-19',
      usUnits: false,
      members: 60,
      lines: 20,
      satisfied: 20,
      overstressed: 0,
      failing: 0,
      notes: 0,
      steelKg: 9000,
      concreteM3: 75,
      causes: {},
    }
    render(<StateSentence live={{ state: { ...state, totals }, reachable: true, waiting: 0 }} />)
    expect(screen.getByText('9.0 t')).toBeInTheDocument()
    expect(screen.getByText(/120 kg\/m³/)).toBeInTheDocument()
  })
  it('tells levels in feet and the selected line in pounds', () => {
    render(
      us(
        <StoreyLadder
          rungs={[{ id: 'r', name: 'L2', elevationM: 3.048, utilisations: [0.5], fails: 0 }]}
          onChoose={() => {}}
        />,
      ),
    )
    expect(screen.getByText('+10.00')).toBeInTheDocument()
    const row = {
      mark: 'L2-B01',
      role: 'beam',
      parts: 2,
      steelKg: 453.59237,
      check: 'Shear',
      utilisation: 0.9,
      place: '',
      combination: '',
      clause: '',
      finding: '',
      section: '12 × 24 in',
      bars: '',
      stirrups: '',
      satisfied: true,
    } as unknown as ResultRow
    render(
      us(
        <SelectionStrip
          row={row}
          groups={() => []}
          selection={{ all: new Set(), pick: () => {}, range: () => {}, set: () => {} }}
          onOpen={() => {}}
          onEdit={() => {}}
        />,
      ),
    )
    expect(screen.getByText('2 spans · 1000 lb')).toBeInTheDocument()
  })
  it('tells movements in inches', () => {
    const layer = {
      show: 'shape',
      of: 'case:W',
      component: 'my',
      from: 0,
      to: 0,
      loading: false,
      shape: { version: 1, of: '', mostMm: 5, members: [{ id: 'b', points: [0, 0, 0, 0, 1, 0, 0, -25.4] }] },
    } as Layer
    render(us(<LayerCard layer={layer} under={{ member: 'b', mark: 'B', part: 1, x: 0, y: 0 }} />))
    expect(screen.getByText('X 0.000 · Y 0.000 · Z −1.000 in')).toBeInTheDocument()
  })
  it('tells the price of a preference in pounds', async () => {
    vi.spyOn(api, 'preferences').mockResolvedValue({
      current: 'least-steel',
      preferences: [
        { preference: 'least-steel', steelKg: 100, bars: 10, layers: 1, sizes: 2, satisfied: true },
        { preference: 'fewest-bars', steelKg: 110, bars: 8, layers: 1, sizes: 2, satisfied: true },
      ],
    })
    render(<Around>{us(<PreferenceTable id="p" mark="B" />)}</Around>)
    expect(await screen.findByText('lb')).toBeInTheDocument()
    expect(screen.getByText('220')).toBeInTheDocument()
    expect(screen.getByText('+22')).toBeInTheDocument()
  })
  it('tells spacings of stirrups in inches without zeros at the end', async () => {
    vi.spyOn(api, 'stirrups').mockResolvedValue({
      options: [
        {
          size: '#4',
          legs: 2,
          from: [0, 1000],
          spacing: [127, 190.5],
          massKg: 45.359237,
          pieces: 40,
          practical: true,
          lost: '',
        },
      ],
    } as unknown as Awaited<ReturnType<typeof api.stirrups>>)
    render(
      <Around>
        <StirrupOptions id="p" beam={beam} span={0} units={US} onSave={() => {}} />
      </Around>,
    )
    screen.getByText('Why these?').click()
    expect(await screen.findByText('5 / 7.5')).toBeInTheDocument()
    expect(screen.getByText('100.0')).toBeInTheDocument()
  })
})

describe('combinations as they were read', () => {
  it('are sums with true minus signs', () => {
    const combinations: Model['combinations'] = [
      { id: 'K', name: 'up', purpose: 'strength', terms: { G: 0.9, W: -1, S: 0.2 } },
      { id: 'L', name: 'down', purpose: 'strength', terms: { W: -1.6 } },
    ]
    render(
      <ReadPart
        model={{
          name: '',
          units: 'SI',
          fileName: '',
          importedForces: false,
          forcesStale: false,
          counts: [],
          sections: [],
          materials: [],
          combinations,
          findings: [],
          sway: [],
        }}
      />,
    )
    expect(screen.getByText('0.9 G − 1 W + 0.2 S')).toBeInTheDocument()
    expect(screen.getByText('−1.6 W')).toBeInTheDocument()
  })
})
