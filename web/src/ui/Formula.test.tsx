import { render, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Maths } from '../api/client'
import { Formula } from './Formula'

const leaf = (kind: string, text: string): Maths => ({ kind, text, parts: [] })
const of = (kind: string, ...parts: Maths[]): Maths => ({ kind, text: '', parts })
const none = of('row')

describe('Formula', () => {
  it('sets fractions, indices, powers, roots and brackets, and is read as it is written', () => {
    const vc = of('script', leaf('letter', 'V'), leaf('name', 'c'), none)
    const aoh = of('script', leaf('letter', 'A'), leaf('name', 'oh'), leaf('digits', '2'))
    const square = of('script', of('bracketed', of('fraction', leaf('letter', 'd'), vc)), none, leaf('digits', '3'))
    const whole = of('row', of('fraction', vc, aoh), leaf('sign', '+'), square, of('root', leaf('digits', '30')))
    const { container } = render(<Formula of={whole} text="Vc / Aoh² + (d / Vc)³ √30" />)
    expect(screen.getByRole('math', { name: 'Vc / Aoh² + (d / Vc)³ √30' })).toBeVisible()
    const [over, under] = container.querySelector('.fraction')!.children
    expect(over!.innerHTML).toContain('<i>V</i><sub>c</sub>')
    expect(under!.querySelector('.both')!.textContent).toBe('2oh')
    expect(container.querySelector('.bracketed .open + span .fraction')).not.toBeNull()
    expect(container.querySelector('sup')!.textContent).toBe('3')
    expect(container.querySelector('.beside .root')!.textContent).toBe('30')
  })

  it('parts words from symbols by a blank', () => {
    const { container } = render(
      <Formula of={of('row', leaf('words', 'at most'), leaf('letter', 'f'))} text="at most f" />,
    )
    expect(container.querySelector('.apart')!.textContent).toBe('f')
  })
})
