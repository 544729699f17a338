import { render, screen, waitFor } from '@testing-library/react'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, type Compare, type Diagram, type Rung, type View } from '../../api/client'
import { analysis, Around, history } from '../../test/fixtures'
import { ChangeList } from './ChangeList'
import { choiceOf, type Layer } from './layer'
import { LayerBar } from './LayerBar'
import { LayerCard } from './LayerCard'
import { planScene } from '../../drawing/planScene'
import { PlanView } from './PlanView'

const diagram: Diagram = {
  version: 1,
  of: 'case:G',
  component: 'my',
  unit: 'kNm',
  most: 80,
  members: [{ id: 'b', x: [0, 3, 6], v: [0, 80, 0], low: null }],
}
const compare: Compare = {
  from: 1,
  to: 2,
  component: 'my',
  unit: 'kNm',
  most: 30,
  changes: [
    { member: 'b', mark: 'B1', before: 50, after: 20, by: -30 },
    { member: 'c', mark: 'B2', before: null, after: 12, by: 12 },
  ],
}
const layer = (l: Partial<Layer>): Layer => ({
  show: 'forces',
  of: 'case:G',
  component: 'my',
  from: 1,
  to: 2,
  loading: false,
  ...l,
})

beforeEach(() => {
  vi.spyOn(api, 'analysis').mockResolvedValue(analysis)
  vi.spyOn(api, 'edits').mockResolvedValue(history)
})

describe('the choice of a layer', () => {
  it('comes from the address and ignores what it does not know', () => {
    expect(choiceOf(new URLSearchParams('show=forces'))).toMatchObject({
      show: 'forces',
      of: 'envelope:strength',
      component: 'my',
    })
    expect(choiceOf(new URLSearchParams('show=rainbow&comp=q'))).toMatchObject({ show: 'utilisation', component: 'my' })
    expect(choiceOf(new URLSearchParams('show=change&from=3&to=x'))).toMatchObject({ from: 3, to: 2_147_483_647 })
  })
})

describe('the value under the cursor', () => {
  it('is that of the diagram there, with the peak', () => {
    render(<LayerCard layer={layer({ diagram })} under={{ member: 'b', mark: 'L1-B01', part: 0.25, x: 0, y: 0 }} />)
    expect(screen.getByText('Moment 40.0 kNm at 1.50 m')).toBeInTheDocument()
    expect(screen.getByText('peak 80.0 kNm at 3.00 m')).toBeInTheDocument()
  })
  it('is the range of an envelope, a displacement, a change or all of a reaction', () => {
    const at = { member: 'b', mark: 'B', part: 0.5, x: 0, y: 0 }
    render(
      <LayerCard
        layer={layer({ diagram: { ...diagram, members: [{ id: 'b', x: [0, 6], v: [10, 10], low: [-5, -5] }] } })}
        under={at}
      />,
    )
    expect(screen.getByText('Moment −5.00 to 10.0 kNm at 3.00 m')).toBeInTheDocument()
    render(
      <LayerCard
        layer={layer({
          show: 'shape',
          shape: { version: 1, of: '', mostMm: 5, members: [{ id: 'b', points: [0, 0, 0, 0, 1, 0, 0, -4] }] },
        })}
        under={at}
      />,
    )
    expect(screen.getByText('X 0.00 · Y 0.00 · Z −2.00 mm')).toBeInTheDocument()
    render(<LayerCard layer={layer({ show: 'change', compare })} under={at} />)
    expect(screen.getByText('Moment 50.0 → 20.0 kNm')).toBeInTheDocument()
    render(
      <LayerCard
        layer={layer({
          show: 'reactions',
          reactions: {
            version: 1,
            of: '',
            forceUnit: 'kN',
            momentUnit: 'kNm',
            joints: [{ joint: 'A', xM: 0, yM: 0, zM: 0, forces: [1, 2, 345, 0, 0, 0] }],
          },
        })}
        under={{ joint: 'A', part: 0, x: 0, y: 0 }}
      />,
    )
    expect(screen.getByText('Rx 1.00 · Ry 2.00 · Rz 345 kN')).toBeInTheDocument()
  })
  it('is nothing where there is nothing', () => {
    const { container } = render(<LayerCard layer={layer({ diagram })} under={{ member: 'zz', part: 0, x: 0, y: 0 }} />)
    expect(container).toBeEmptyDOMElement()
  })
})

describe('the list of changes', () => {
  it('says how many members changed, of what, in which unit', () => {
    render(<ChangeList layer={layer({ show: 'change', compare })} onSelect={() => {}} />)
    expect(
      screen.getByText(/Largest moment over the strength combinations, kNm; 2 members changed/),
    ).toBeInTheDocument()
  })
  it('says so where nothing changed', () => {
    render(<ChangeList layer={layer({ show: 'change', compare: { ...compare, changes: [] } })} onSelect={() => {}} />)
    expect(screen.getByText(/Nothing changed/)).toBeInTheDocument()
  })
})

describe('the bar of a layer', () => {
  const bar = (l: Layer, onSet = vi.fn()) => {
    render(
      <Around>
        <LayerBar
          id="p"
          layer={l}
          scale={0}
          exaggeration={200}
          playing={false}
          onSet={onSet}
          onScale={() => {}}
          onPlay={() => {}}
        />
      </Around>,
    )
    return onSet
  }
  it('starts a shape with the first load case', async () => {
    const onSet = bar(layer({ show: 'shape', of: '' }))
    await waitFor(() => expect(onSet).toHaveBeenCalledWith({ of: 'case:G' }))
    expect(screen.getByLabelText('Play')).toBeInTheDocument()
  })
  it('compares with what stood before the last edit', async () => {
    const onSet = bar(layer({ show: 'change', from: 0 }))
    await waitFor(() => expect(onSet).toHaveBeenCalledWith({ from: '1' }))
  })
  it('says what to do where nothing was edited', async () => {
    vi.spyOn(api, 'edits').mockResolvedValue({ entries: [], canUndo: false, canRedo: false, modelVersion: 1 })
    bar(layer({ show: 'change', from: 0 }))
    expect(await screen.findByText(/not edited yet/)).toBeInTheDocument()
  })
})

describe('a diagram on the plan', () => {
  const view: View = {
    version: 1,
    marks: ['L1-B01'],
    grid: [],
    storeys: [],
    members: [
      {
        id: 'b',
        role: 'beam',
        ends: [0, 0, 3000, 6000, 0, 3000],
        widthMm: 300,
        depthMm: 600,
        line: 0,
        part: 0,
        utilisation: 0.5,
        satisfied: true,
        round: false,
        joint: null,
        crowded: 0,
        outline: null,
        shades: [0.5, 0.5, 0.3, 0, 0.7, 0.99, 0.8, 150],
      },
    ],
  }
  const storey: Rung = { id: 'L1', name: 'L1', elevationM: 3, utilisations: [], fails: 0 }
  it('is drawn with its peak, and the members step back', () => {
    const { container } = render(
      <PlanView
        scene={planScene(view, 3000)}
        name="Plan of L1"
        empty=""
        selected={new Set()}
        onBox={() => {}}
        storey={storey}
        rows={[]}
        matching={new Set(['L1-B01'])}
        label="utilisation"
        layer={layer({ diagram })}
        factor={2400}
        onSelect={() => {}}
        onOpen={() => {}}
      />,
    )
    expect(container.querySelectorAll('.ribbon')).toHaveLength(1)
    expect(screen.getByText('80.0')).toBeInTheDocument()
    expect(container.querySelector('.plan-member')).toHaveAttribute('fill', 'var(--concrete)')
  })
})
