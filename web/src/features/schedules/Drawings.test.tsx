import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type DrawingSheet } from '../../api/client'
import { Around } from '../../test/fixtures'
import { SchedulesPage } from './SchedulesPage'

const sheet = (n: number): DrawingSheet => ({
  sheet: n,
  sheets: 3,
  width: 420,
  height: 297,
  marks: ['L1-B01'],
  lines: [{ layer: 'bars', width: 0.5, dashed: false, xy: [10, 20, 110, 20] }],
  discs: [{ x: 50, y: 60, radius: 2, filled: true, width: 0.5 }],
  logo: null,
  texts: [{ x: 10, y: 280, height: 3.5, align: 'start', bold: true, text: 'L1-B01' }],
})
const drawing = vi.spyOn(api, 'drawing')

beforeEach(() => {
  drawing.mockReset().mockImplementation((_id, _paper, _marks, n) => Promise.resolve(sheet(n)))
  vi.spyOn(api, 'project').mockResolvedValue({ id: 'p', name: 'Veldhaven', createdAt: '', changedAt: '', version: 1 })
})

const open = (at: string) =>
  render(
    <Around at={at}>
      <SchedulesPage id="p" />
    </Around>,
  )

describe('the drawings', () => {
  it('show a sheet to scale, y upwards, and turn to the next', async () => {
    open('/?kind=drawings')
    const paper = await screen.findByRole('img', { name: 'Sheet 1 of 3: L1-B01' })
    expect(paper.querySelector('path')).toHaveAttribute('d', 'M10 277L110 277')
    expect(paper.querySelector('circle')).toHaveAttribute('cy', '237')
    await userEvent.click(screen.getByTitle('Next Page'))
    await waitFor(() => expect(drawing).toHaveBeenCalledWith('p', 'A1', '', 2, expect.anything()))
    expect(await screen.findByRole('img', { name: /Sheet 2 of 3/ })).toBeInTheDocument()
  })

  it('draw the marks that are asked for, and so do the files', async () => {
    open('/?kind=drawings&paper=A3&page=2')
    await screen.findByRole('img', { name: /Sheet 3 of 3/ })
    await userEvent.type(screen.getByLabelText('Marks to draw'), 'L1-B01, TB4{Enter}')
    await waitFor(() => expect(drawing).toHaveBeenCalledWith('p', 'A3', 'L1-B01, TB4', 1, expect.anything()))
    const make = vi.spyOn(api, 'makeExport').mockRejectedValue(new ApiError(503, 'Not now.', 'Try again.'))
    await userEvent.click(screen.getByRole('button', { name: 'Drawings, DXF' }))
    expect(make).toHaveBeenCalledWith('p', 'drawings.dxf', { paper: 'A3', marks: 'L1-B01, TB4' })
  })

  it('say which mark there is not, beside the field where it was typed', async () => {
    drawing.mockRejectedValue(new ApiError(404, 'There is no beam line, column stack or type X9.', 'Choose again.'))
    open('/?kind=drawings&marks=X9')
    expect(await screen.findByText('There is no beam line, column stack or type X9.')).toBeInTheDocument()
    expect(screen.getByLabelText('Marks to draw')).toHaveValue('X9')
  })
})
