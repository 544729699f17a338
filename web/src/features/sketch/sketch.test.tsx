import { act, render, renderHook, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, type BeamSketch } from '../../api/client'
import { Around, codes } from '../../test/fixtures'
import { beamStart, beamToUnits, withoutSpan, withSpan } from './beamDraft'
import { BeamSketchPage } from './BeamSketchPage'
import { columnStart, columnToUnits } from './columnDraft'
import { ColumnSketchPage } from './ColumnSketchPage'
import { useDraft } from './useDraft'

const envelope = {
  member: 'B1',
  x: [0, 3, 6],
  myHigh: [0, 90, -20],
  myLow: [0, 40, -120],
  vzHigh: [80, 0, -30],
  vzLow: [30, 0, -90],
  nLow: [-500, -500, -490],
  mzHigh: [0, 0, 0],
  mzLow: [0, 0, 0],
}
const preview = vi.spyOn(api, 'sketchPreview')
const create = vi.spyOn(api, 'sketchCreate')

beforeEach(() => {
  vi.spyOn(api, 'catalogue').mockResolvedValue({ codes })
  localStorage.clear()
  preview.mockReset()
  preview.mockResolvedValue({
    findings: [],
    combinations: 7,
    standard: 'ACI 318-19 table 5.3.1',
    forceUnit: 'kN',
    momentUnit: 'kNm',
    envelopes: [envelope],
  })
  create.mockReset()
  create.mockResolvedValue({ id: 'new', name: '', createdAt: '', changedAt: '', version: 1 })
})

describe('the draft of a beam', () => {
  it('grows and shrinks at the right with its supports and loads', () => {
    const more = withSpan(beamStart)
    expect([more.spans.length, more.supports.length]).toEqual([5, 6])
    expect(more.supports.slice(0, -1).every((s, i) => i === 0 || s.kind !== 'free')).toBe(true)
    const less = withoutSpan(beamStart, 1)
    expect([less.spans.length, less.supports.length, less.loads.length]).toEqual([3, 4, 6])
    expect(Math.max(...less.loads.map((l) => l.span))).toBe(2)
  })
  it('turns into the other units and back', () => {
    const us = beamToUnits(beamStart, 'US')
    expect([us.spans[0]!.length, us.fc, us.loads[0]!.value]).toEqual([19.69, 4.4, 0.959])
    const back = beamToUnits(us, 'SI')
    expect(back.spans[0]!.length).toBeCloseTo(6, 1)
    expect(back.loads[0]!.value).toBeCloseTo(14, 1)
    expect(columnToUnits(columnToUnits(columnStart, 'US'), 'SI').loads[0]!.axial).toBeCloseTo(900, 0)
  })
  it('is kept in the browser and can be undone', () => {
    const hook = renderHook(() => useDraft('k', { a: 1 }))
    act(() => hook.result.current.set({ a: 2 }))
    expect(JSON.parse(localStorage.getItem('k')!)).toEqual({ a: 2 })
    act(() => {
      window.dispatchEvent(new KeyboardEvent('keydown', { key: 'z', ctrlKey: true }))
    })
    expect(hook.result.current.draft).toEqual({ a: 1 })
    act(() => {
      window.dispatchEvent(new KeyboardEvent('keydown', { key: 'z', ctrlKey: true, shiftKey: true }))
    })
    expect(hook.result.current.draft).toEqual({ a: 2 })
    expect(renderHook(() => useDraft('k', { a: 1 })).result.current.draft).toEqual({ a: 2 })
    localStorage.setItem('k', 'no json')
    expect(renderHook(() => useDraft('k', { a: 1 })).result.current.draft).toEqual({ a: 1 })
  })
})

describe('the page of a beam', () => {
  const open = () =>
    render(
      <Around>
        <BeamSketchPage mode="light" onMode={() => {}} />
      </Around>,
    )
  const sent = () => preview.mock.calls.at(-1)![1] as BeamSketch
  it('shows the envelopes of what is drawn up and makes a project of it', async () => {
    open()
    expect(await screen.findByText('−120')).toBeInTheDocument()
    expect(screen.getByText(/7 strength combinations/)).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: /Make it a project/ }))
    await waitFor(() => expect(create).toHaveBeenCalledWith('beam', beamStart))
  })
  it('follows what is typed; loads to the end of a span stay to its end', async () => {
    open()
    const field = await screen.findByLabelText('Length of span 2')
    await userEvent.clear(field)
    await userEvent.type(field, '9')
    await waitFor(() => expect(sent().spans[1]!.length).toBe(9))
    expect(
      sent()
        .loads.filter((l) => l.span === 1)
        .every((l) => l.to === 9),
    ).toBe(true)
    const section = screen.getByLabelText('Section of span 1')
    await userEvent.clear(section)
    await userEvent.type(section, '350x650')
    await waitFor(() => expect(sent().spans[0]!.section).toMatchObject({ shape: 'rectangle', b: 350, h: 650 }))
  })
  it('cannot be made while something is missing, and says what', async () => {
    preview.mockResolvedValue({
      findings: [
        {
          severity: 'fails',
          code: 'sketch',
          where: 'span 1',
          what: 'The span is 0 long.',
          mend: 'Give it a length.',
          clause: '',
          combination: '',
        },
      ],
      combinations: 0,
      standard: 'ACI 318-19 table 5.3.1',
      forceUnit: 'kN',
      momentUnit: 'kNm',
      envelopes: [],
    })
    open()
    expect(await screen.findByText('The span is 0 long.', { exact: false })).toBeInTheDocument()
    expect(screen.getByRole('button', { name: /Make it a project/ })).toBeDisabled()
  })
})

describe('the page of a column', () => {
  it('sends the loads by case', async () => {
    render(
      <Around>
        <ColumnSketchPage mode="light" onMode={() => {}} />
      </Around>,
    )
    const field = await screen.findByLabelText('lateral Y in W')
    await userEvent.clear(field)
    await userEvent.type(field, '12')
    await waitFor(() =>
      expect(preview.mock.calls.at(-1)![1].loads).toContainEqual(expect.objectContaining({ loadCase: 'W', hy: 12 })),
    )
    const choose = async (words: string) => {
      await userEvent.click(screen.getByLabelText('Design code'))
      await userEvent.click(await screen.findByText(words))
    }
    await choose('ACI 318-19, US')
    await waitFor(() =>
      expect(preview.mock.calls.at(-1)![1]).toMatchObject({ units: 'US', code: 'aci-318-19', height: 13.78 }),
    )
    await choose('EN 1992-1-1, SI')
    await waitFor(() =>
      expect(preview.mock.calls.at(-1)![1]).toMatchObject({ units: 'SI', code: 'en-1992-1-1', height: 4.2 }),
    )
  })
})
