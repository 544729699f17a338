import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type Basis, type KeptBasis } from '../../../api/client'
import { Around, basis, codes } from '../../../test/fixtures'
import { replacing } from '../replacing'
import { KeepBasis } from './KeepBasis'
import { OtherBases } from './OtherBases'

const office: KeptBasis = { name: 'Office', keptAt: '2026-01-02T03:04:00Z', basis: { ...basis, name: 'Office' } }
const compare = vi.spyOn(api, 'compareBasis')
const line = (name: string, here: string, there: string) => ({ name, here, there, same: here === there })

beforeEach(() => {
  vi.spyOn(api, 'bases').mockResolvedValue({ bases: [office] })
  vi.spyOn(api, 'projects').mockResolvedValue({ projects: [] })
  compare.mockReset()
  compare.mockResolvedValue({
    basis: office.basis,
    lines: [line('Cover of beams', '40 mm', '45 mm'), line('Largest aggregate', '20 mm', '20 mm')],
  })
})

describe('kept bases', () => {
  it('replaces one of the same name only by saying so', async () => {
    const keep = vi.spyOn(api, 'keepBasis').mockResolvedValue({ bases: [office] })
    const close = vi.fn()
    render(
      <Around>
        <KeepBasis basis={basis} onClose={close} />
      </Around>,
    )
    const name = screen.getByLabelText('Name to keep it by')
    expect(name).toHaveValue('Standard, SI')
    await userEvent.clear(name)
    expect(screen.getByRole('button', { name: 'Keep' })).toBeDisabled()
    await userEvent.type(name, 'Office')
    await userEvent.click(await screen.findByRole('button', { name: 'Replace the one kept' }))
    await waitFor(() => expect(close).toHaveBeenCalled())
    expect(keep).toHaveBeenCalledWith({ ...basis, name: 'Office' })
  })

  it('are compared line by line, what differs first, and taken', async () => {
    const take = vi.fn()
    render(
      <Around>
        <OtherBases id="p" codes={codes} local={basis.local} onTake={take} onClose={() => undefined} />
      </Around>,
    )
    expect(screen.getByRole('button', { name: 'Take the other and design again' })).toBeDisabled()
    await userEvent.click(screen.getByLabelText('Other basis'))
    await userEvent.click(await screen.findByTitle('Office'))
    expect(await screen.findByText('45 mm')).toBeInTheDocument()
    expect(screen.queryByText('Largest aggregate')).not.toBeInTheDocument()
    await userEvent.click(screen.getByLabelText('All lines'))
    expect(screen.getByText('Largest aggregate')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Take the other and design again' }))
    expect(take).toHaveBeenCalledWith(office.basis)
  })

  it('come from files too, and what is wrong with one is told', async () => {
    compare.mockRejectedValue(new ApiError(422, 'It cannot be taken.', 'fy is 9000 MPa.'))
    const { baseElement } = render(
      <Around>
        <OtherBases id="p" codes={codes} local={basis.local} onTake={() => undefined} onClose={() => undefined} />
      </Around>,
    )
    const text = '{"fyMpa":9000}'
    await userEvent.upload(
      baseElement.querySelector<HTMLInputElement>('input[type=file]')!,
      new File([text], 'ours.json', { type: 'application/json' }),
    )
    expect(await screen.findByText(/fy is 9000 MPa/)).toBeInTheDocument()
    expect(compare.mock.calls[0]![1]).toBe(text)
  })

  it('bring back the recommended values and take away local settings that the other does not have', () => {
    const a = { storeys: ['L1'], members: [], set: { fyMpa: 500 } }
    const now = { ...basis, national: { gammaC: 1.4, k1: 2 }, local: { a, b: a } } as Basis
    const other = { ...basis, national: { k1: 3 }, local: { a: { ...a, set: { beamCoverMm: 50 } } } } as Basis
    expect(replacing(now, other).national).toEqual({ gammaC: null, k1: 3 })
    expect(replacing(now, other).local).toEqual({
      a: { ...a, role: null, set: { beamCoverMm: 50, fyMpa: null } },
      b: null,
    })
    expect(replacing(now, { ...other, local: now.local }).local).toEqual({
      a: { ...a, role: null },
      b: { ...a, role: null },
    })
  })
})
