import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { Boundary } from './Boundary'

describe('what cannot be drawn', () => {
  it('is told in its place, drawn again when asked, and cleared by another page', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined)
    let broken = true
    const Page = () => {
      if (broken) throw new Error('no points')
      return <p>drawn</p>
    }
    const { rerender } = render(
      <Boundary at="/a">
        <Page />
      </Boundary>,
    )
    expect(screen.getByRole('alert')).toHaveTextContent('no points')
    broken = false
    await userEvent.click(screen.getByText('Draw it again'))
    expect(screen.getByText('drawn')).toBeInTheDocument()
    broken = true
    rerender(
      <Boundary at="/a">
        <Page key="new" />
      </Boundary>,
    )
    expect(screen.getByRole('alert')).toBeInTheDocument()
    broken = false
    rerender(
      <Boundary at="/b">
        <Page />
      </Boundary>,
    )
    expect(screen.getByText('drawn')).toBeInTheDocument()
  })
})
