import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { NumberField } from './NumberField'

const field = () => screen.getByLabelText<HTMLInputElement>('Length')

describe('a number field', () => {
  it('takes a decimal comma and another unit when it is left', async () => {
    const take = vi.fn()
    render(<NumberField label="Length" unit="m" value={6} onChange={take} />)
    await userEvent.clear(field())
    await userEvent.type(field(), '2,25')
    expect(take).not.toHaveBeenCalled()
    await userEvent.tab()
    expect(take).toHaveBeenLastCalledWith(2.25)
    await userEvent.clear(field())
    await userEvent.type(field(), '650 mm{Enter}')
    expect(take).toHaveBeenLastCalledWith(0.65)
  })

  it('keeps what it does not understand, says why, and gives it up on Escape', async () => {
    const take = vi.fn()
    const page = vi.fn()
    render(
      <div onKeyDown={page}>
        <NumberField label="Length" unit="m" value={6} onChange={take} />
      </div>,
    )
    await userEvent.clear(field())
    await userEvent.type(field(), '1,200{Enter}')
    expect(await screen.findByText(/could be 1.2 or 1200/)).toBeInTheDocument()
    expect(field()).toHaveValue('1,200')
    expect(field()).toBeInvalid()
    page.mockClear()
    await userEvent.keyboard('{Escape}')
    expect(field()).toHaveValue('6')
    expect(page).not.toHaveBeenCalled()
    expect(take).not.toHaveBeenCalled()
  })

  it('counts as it is typed where it is live, within its limits', async () => {
    const take = vi.fn()
    render(<NumberField label="Length" live least={3} most={20} value={6} onChange={take} />)
    await userEvent.clear(field())
    await userEvent.type(field(), '150')
    expect(take.mock.calls).toEqual([[15]])
    await userEvent.tab()
    expect(await screen.findByText('Between 3 and 20.')).toBeInTheDocument()
  })

  it('moves with the arrows up to its limits, and can be emptied where that means something', async () => {
    const take = vi.fn()
    const empty = vi.fn()
    render(<NumberField label="Length" step={0.5} most={6.2} empty value={6} onChange={take} onEmpty={empty} />)
    field().focus()
    await userEvent.keyboard('{ArrowUp}{ArrowDown}')
    expect(take.mock.calls).toEqual([[6.2], [5.5]])
    await userEvent.clear(field())
    await userEvent.tab()
    expect(empty).toHaveBeenCalledOnce()
  })

  it('is told apart while something is typed in it, so that undo is the field’s', async () => {
    render(<NumberField label="Length" value={6} onChange={() => undefined} />)
    expect(field().dataset.clean).toBe('true')
    await userEvent.type(field(), '1')
    expect(field().dataset.clean).toBeUndefined()
  })
})
