import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { Route, Routes, useLocation } from 'react-router'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type State } from '../api/client'
import { WINDOW } from '../api/person'
import { rememberList } from '../lib/address'
import { SI } from '../lib/units'
import { Around, beam, state } from '../test/fixtures'
import { MemberSheet } from './MemberSheet'
import { StateSentence } from './StateSentence'
import { useTold } from './useTold'

function Where() {
  const l = useLocation()
  return <output data-testid="where">{l.pathname + l.search}</output>
}

function Told({ state: s }: { state: State }) {
  useTold('p', s)
  return null
}

const last = (version: number, window: string, effects: string[] = []) => ({
  ...state,
  last: { version, person: 'Ines', window, summary: 'Cover of beams 40 → 45 mm', effects },
})

describe('what others do', () => {
  it('is told with the name and the sentence, once', async () => {
    const { rerender } = render(<Told state={last(5, 'other')} />, { wrapper: Around })
    expect(screen.queryByText(/changed the project/)).toBeNull()
    rerender(<Told state={last(6, 'other')} />)
    expect(await screen.findByText('Ines changed the project')).toBeInTheDocument()
    expect(screen.getByText('Cover of beams 40 → 45 mm')).toBeInTheDocument()
  })

  it('is not told of one’s own, but for what came with it', async () => {
    const { rerender } = render(<Told state={last(5, WINDOW)} />, { wrapper: Around })
    rerender(<Told state={last(6, WINDOW)} />)
    rerender(<Told state={last(7, WINDOW, ['L1-B01 becomes L1-B01 and L1-B09'])} />)
    expect(await screen.findByText('L1-B01 becomes L1-B01 and L1-B09.')).toBeInTheDocument()
    expect(screen.queryByText('Ines changed the project')).toBeNull()
  })
})

describe('the sentence of state', () => {
  it('says that the server is away and how many changes wait', () => {
    const { rerender } = render(<StateSentence live={{ state, reachable: false, waiting: 0 }} />)
    expect(screen.getByRole('status')).toHaveTextContent('The server does not answer. What is shown stays')
    rerender(<StateSentence live={{ state, reachable: false, waiting: 2 }} />)
    expect(screen.getByRole('status')).toHaveTextContent('2 changes wait and will be sent in order.')
  })
})

describe('the sheet', () => {
  const open = (address: string) =>
    render(
      <Around at={address}>
        <Where />
        <Routes>
          <Route path="/p/:id/sheet/:mark" element={<MemberSheet id="p" units={SI} state={state} />} />
          <Route path="*" element={null} />
        </Routes>
      </Around>,
    )
  beforeEach(() => {
    vi.spyOn(api, 'calculation').mockResolvedValue({ heading: '', steps: [] })
    vi.spyOn(api, 'member').mockImplementation((_id, mark) =>
      mark === 'L1-B09'
        ? Promise.reject(
            new ApiError(410, 'L1-B09 is L1-B01 now.', '', [
              {
                severity: 'note',
                code: 'mark.moved',
                where: 'L1-B01',
                what: '',
                mend: '',
                clause: '',
                combination: '',
              },
            ]),
          )
        : Promise.resolve({
            id: 'l1',
            mark,
            role: 'beam',
            beam: { ...beam, mark },
            column: null,
            type: 'TB3',
            local: [],
            previous: null,
            next: null,
            failingRank: 0,
            failingCount: 0,
          }),
    )
  })

  it('leads from a mark that a line had to the line', async () => {
    open('/p/p/sheet/L1-B09')
    await waitFor(() => expect(screen.getByTestId('where')).toHaveTextContent('/p/p/sheet/L1-B01'))
    expect(await screen.findByText('L1-B09 is L1-B01 now.')).toBeInTheDocument()
  })

  it('leads to the type whose cage the line shares', async () => {
    open('/p/p/sheet/L1-B01')
    const type = await screen.findByRole('link', { name: 'TB3' })
    expect(type).toHaveAttribute('href', '/p/p/types?type=TB3')
  })

  it('renames the mark in place and goes on under the new one', async () => {
    const set = vi
      .spyOn(api, 'setMark')
      .mockResolvedValue({ id: 'p', name: '', createdAt: '', changedAt: '', version: 6 })
    open('/p/p/sheet/L1-B01')
    const mark = await screen.findByLabelText('Mark')
    await userEvent.clear(mark)
    await userEvent.type(mark, 'G-1{Enter}')
    await waitFor(() => expect(screen.getByTestId('where')).toHaveTextContent('/p/p/sheet/G-1'))
    expect(set).toHaveBeenCalledWith('p', 5, 'L1-B01', 'G-1')
  })

  it('returns to the very list on Escape, and takes nonsense in the address for nothing', async () => {
    rememberList('p', 'q=storey:L1+util>0.9&view=3d')
    open('/p/p/sheet/L1-B01?at=abc')
    await screen.findByLabelText('Mark')
    await userEvent.keyboard('{Escape}')
    expect(screen.getByTestId('where')).toHaveTextContent('/p/p/results?q=storey%3AL1+util%3E0.9&view=3d&sel=L1-B01')
  })
})
