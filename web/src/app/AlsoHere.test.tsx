import { render, screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { Around } from '../test/fixtures'
import { AlsoHere } from './AlsoHere'

const here = (...people: string[]) => render(<AlsoHere people={people} />, { wrapper: Around })

describe('who else is here', () => {
  it('is nobody, or stands as initials with the names to read', () => {
    const { container } = here()
    expect(container.querySelector('.also-here')).toBeNull()
    here('Zoë van Quist')
    expect(screen.getByLabelText('Also here: Zoë van Quist')).toHaveTextContent('ZQ')
  })

  it('names who told no name a window, and counts more than two', () => {
    here('', 'ana', 'Émile', 'Ines')
    expect(screen.getByLabelText('Also here: Another window, ana, Émile, Ines')).toHaveTextContent('·A+2')
  })
})
