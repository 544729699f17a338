import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { Check, Finding, State } from '../../api/client'
import { StateSentence } from '../../app/StateSentence'
import { CheckTable } from '../../ui/CheckTable'
import { FindingList } from '../../ui/FindingList'
import { InlineText } from '../../ui/InlineText'
import { UtilisationBar } from '../../ui/UtilisationBar'
import { CausesStrip } from './CausesStrip'
import { StoreyLadder } from './StoreyLadder'

const check = (kind: string, utilisation: number) =>
  ({
    kind,
    title: kind,
    satisfied: utilisation <= 1,
    utilisation,
    demand: '1 kN',
    capacity: '2 kN',
    clause: '',
    place: '',
    combination: '',
  }) as Check

describe('the causes strip', () => {
  it('narrows to a cause and shows all again', async () => {
    const onChoose = vi.fn()
    const { rerender } = render(<CausesStrip causes={{ shear: 2, flexure: 5 }} failing={6} onChoose={onChoose} />)
    await userEvent.click(screen.getByText(/shear/))
    expect(onChoose).toHaveBeenLastCalledWith('shear')
    rerender(<CausesStrip causes={{ shear: 2 }} chosen="shear" failing={2} onChoose={onChoose} />)
    await userEvent.click(screen.getByRole('button', { pressed: true }))
    expect(onChoose).toHaveBeenLastCalledWith(undefined)
  })
  it('says so where nothing fails', () => {
    render(<CausesStrip causes={{}} failing={0} onChoose={() => {}} />)
    expect(screen.getByText('Nothing here fails.')).toBeInTheDocument()
  })
})

describe('the storey ladder', () => {
  it('narrows to a rung by its name without spaces', async () => {
    const onChoose = vi.fn()
    render(
      <StoreyLadder
        rungs={[{ id: 'r', name: 'Level 2', elevationM: 7.8, utilisations: [0.5, 1.2], fails: 1 }]}
        onChoose={onChoose}
      />,
    )
    expect(screen.getByText('1 fail')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button'))
    expect(onChoose).toHaveBeenCalledWith('Level2')
  })
})

describe('what is over', () => {
  it('is hatched, so that it survives black-and-white paper', () => {
    const { container } = render(<UtilisationBar value={1.2} satisfied={false} />)
    expect(container.querySelector('[fill="url(#hatch)"]')).not.toBeNull()
  })
  it('comes first in the table of checks', () => {
    render(<CheckTable checks={[check('shear', 0.5), check('flexure', 1.3)]} />)
    expect(screen.getAllByRole('row')[1]).toHaveTextContent('flexure')
  })
})

describe('the sentence of state', () => {
  const state = {
    version: 2,
    designed: 1,
    current: false,
    doing: 'designing',
    done: 30,
    total: 60,
    findings: [],
    totals: null,
  } as unknown as State
  it('says what is being computed and how far', () => {
    render(<StateSentence live={{ state, reachable: true, waiting: 0 }} />)
    expect(screen.getByRole('status')).toHaveTextContent('designing 50 %…')
  })
  it('says why a building could not be designed', () => {
    const f = {
      severity: 'fails',
      where: 'Joint J1',
      what: 'It moves freely.',
      mend: 'Support it.',
      code: '',
      clause: '',
      combination: '',
    } as Finding
    render(<StateSentence live={{ state: { ...state, doing: '', findings: [f] }, reachable: true, waiting: 0 }} />)
    expect(screen.getByText(/not designed: It moves freely/)).toBeInTheDocument()
  })
})

describe('findings and names', () => {
  it('shows place, reason and mend', () => {
    render(
      <FindingList
        findings={[
          {
            severity: 'fails',
            where: 'member M1',
            what: 'It is 0 mm long.',
            mend: 'Delete it.',
            code: 'x',
            clause: '',
            combination: '',
          },
        ]}
      />,
    )
    expect(screen.getByText('member M1')).toBeInTheDocument()
    expect(screen.getByText(/Delete it/)).toBeInTheDocument()
  })
  it('keeps a typed name on Enter and drops it on Escape', async () => {
    const onCommit = vi.fn()
    render(<InlineText value="Old" label="Name" onCommit={onCommit} />)
    await userEvent.type(screen.getByLabelText('Name'), ' one{Escape}')
    expect(onCommit).not.toHaveBeenCalled()
    await userEvent.type(screen.getByLabelText('Name'), ' one{Enter}')
    expect(onCommit).toHaveBeenCalledWith('Old one')
  })
})
