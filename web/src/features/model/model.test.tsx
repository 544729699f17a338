import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, type ForceFile, type Model } from '../../api/client'
import { analysis, Around, history, state } from '../../test/fixtures'
import { ModelPage } from './ModelPage'

const model: Model = {
  name: 'Zaal',
  units: 'SI',
  fileName: 'zaal.json',
  importedForces: false,
  forcesStale: false,
  counts: [{ name: 'members', count: 60 }],
  sections: [{ name: '300x600', count: 60 }],
  materials: [],
  combinations: [{ id: 'K1', name: '1.4D', purpose: 'strength', terms: { G: 1.4 } }],
  findings: [],
  sway: [{ baseM: 0, topM: 4, qx: 0.02, qy: null }],
}
const gross = { area: 1, shearY: 1, shearZ: 1, iy: 1, iz: 1, torsion: 1 }
const project = { id: 'p', name: '', createdAt: '', changedAt: '', version: 6 }
const edit = vi.spyOn(api, 'edit')

beforeEach(() => {
  edit.mockReset()
  edit.mockResolvedValue(project)
  vi.spyOn(api, 'model').mockResolvedValue(model)
  vi.spyOn(api, 'analysis').mockResolvedValue(analysis)
  vi.spyOn(api, 'edits').mockResolvedValue(history)
  vi.spyOn(api, 'options').mockResolvedValue({
    shearDeformation: false,
    rigidEnds: 0,
    patternLive: false,
    inclination: 0,
    pDelta: {},
    beams: gross,
    columns: gross,
  })
})

const open = (part = '') =>
  render(
    <Around at={`/?part=${part}`}>
      <ModelPage id="p" state={state} />
    </Around>,
  )

describe('the analysis of the model', () => {
  it('shows loads against reactions, the residual, drift and masses', async () => {
    open('analysis')
    const row = (await screen.findByText('self-weight')).closest('tr')!
    expect(within(row).getByText('−900')).toBeInTheDocument()
    expect(within(row).getByText('900')).toBeInTheDocument()
    expect(within(row).getByText('2e-14')).toBeInTheDocument()
    expect(screen.getByText('1/2000')).toBeInTheDocument()
    expect(screen.getByText('91.8')).toBeInTheDocument()
    expect(screen.getByText(/third iteration/)).toBeInTheDocument()
  })
  it('applies the options as one edit', async () => {
    open('analysis')
    await userEvent.click(await screen.findByLabelText('Shear deformation'))
    await userEvent.click(screen.getByText('cracked by ACI 318'))
    await userEvent.clear(screen.getByLabelText('Out of plumb, mm/m'))
    await userEvent.type(screen.getByLabelText('Out of plumb, mm/m'), '2.5')
    await userEvent.click(screen.getByText('Apply and analyse'))
    await waitFor(() => expect(edit).toHaveBeenCalled())
    expect(edit.mock.calls[0]![2][0]).toMatchObject({
      kind: 'options',
      analysis: { shearDeformation: 'yes', patternLive: 'no', inclination: 0.0025, pDelta: {} },
      roleStiffness: [
        { role: 'beam', factorIy: 0.35 },
        { role: 'column', factorIy: 0.7, factorTorsion: 1 },
      ],
    })
  })
  it('takes back what was not applied', async () => {
    open('analysis')
    await userEvent.click(await screen.findByLabelText('Pattern live load'))
    await userEvent.click(screen.getByText('Take back'))
    expect(screen.getByLabelText('Pattern live load')).not.toBeChecked()
    expect(edit).not.toHaveBeenCalled()
  })
})

describe('changes and forces', () => {
  it('lists the edits with a way to see what they moved', async () => {
    open('changes')
    expect(await screen.findByText('section 400x800 for member b')).toBeInTheDocument()
    expect(screen.getByText('what moved')).toHaveAttribute('href', '/p/p/results?show=change&from=1&to=2')
  })
  it('says when imported forces are stale and goes back to its own', async () => {
    vi.spyOn(api, 'model').mockResolvedValue({ ...model, importedForces: true, forcesStale: true })
    open('changes')
    expect(await screen.findByText(/they are stale\.$/)).toBeInTheDocument()
    await userEvent.click(screen.getByText('Use Kolonne’s own analysis'))
    await userEvent.click(await screen.findByText('Use own'))
    await waitFor(() => expect(edit).toHaveBeenCalledWith('p', 5, [{ kind: 'forces', rows: [] }]))
  })
  it('proposes a mapping, previews with it, and takes the forces under a name', async () => {
    const file: ForceFile = {
      file: 'f',
      fileName: 'turm.csv',
      sheets: ['cover', 'forces'],
      sheet: 'forces',
      headers: ['Bar', 'LC', 'Dist', 'M', 'V2', 'V3'],
      unitRow: [],
      remembered: '',
      doubts: [{ quantity: 'vz', headers: ['V2', 'V3'], what: '“V2” and “V3” could be Vz or Vy. Choose the column.' }],
      rows: 9,
      sample: [],
      saved: [{ name: 'before', mapping: [] }],
      proposal: [
        { quantity: 'member', header: 'Bar', unit: '', opposite: false },
        { quantity: 'case', header: 'LC', unit: '', opposite: false },
        { quantity: 'x', header: 'Dist', unit: 'm', opposite: false },
      ],
      units: [
        { quantity: 'x', units: ['m', 'ft'] },
        { quantity: 'my', units: ['kNm'] },
        { quantity: 'vz', units: ['kN', 'tonf'] },
      ],
    }
    vi.spyOn(api, 'forceFile').mockResolvedValue(file)
    const preview = vi.spyOn(api, 'forcePreview').mockResolvedValue({
      rows: [{ member: 'b', loadCase: 'G', xM: 1.5, forces: [0, 0, 12.3, 0, 45.6, 0] }],
      used: 9,
      total: 9,
      without: [],
      gaps: [{ loadCase: 'W', members: 3, first: ['a', 'b', 'c'] }],
      totals: [{ component: 'My', own: 100, read: 10.2, factor: 0.102, verdict: 'other-unit' }],
      findings: [],
    })
    const sheet = vi.spyOn(api, 'forceSheet').mockResolvedValue(file)
    const take = vi.spyOn(api, 'forceImport').mockResolvedValue(project)
    open('changes')
    await userEvent.click(await screen.findByText('Import forces solved elsewhere'))
    await screen.findByText(/Drop a table here/)
    await userEvent.upload(
      document.querySelector<HTMLInputElement>('.ant-modal input[type=file]')!,
      new File(['x'], 'turm.csv'),
    )
    expect(await screen.findByText('45.6')).toBeInTheDocument()
    expect(preview.mock.calls[0]![3]).toEqual(file.proposal)
    await userEvent.click(screen.getByLabelText('Column of My'))
    await userEvent.click((await screen.findAllByText('M')).at(-1)!)
    await waitFor(() =>
      expect(preview.mock.calls.at(-1)![3]).toContainEqual({
        quantity: 'my',
        header: 'M',
        unit: 'kNm',
        opposite: false,
      }),
    )
    await userEvent.type(screen.getByPlaceholderText('not remembered'), 'turm')
    const button = screen.getByRole('button', { name: 'Take the forces' })
    expect(screen.getByText('another unit?')).toBeInTheDocument()
    expect(button).toBeDisabled()
    await userEvent.click(screen.getByLabelText('Zero is meant there'))
    expect(button).toBeDisabled()
    // what only a person can say is said
    expect(screen.getByText(/could be Vz or Vy/)).toBeInTheDocument()
    await userEvent.click(screen.getByLabelText('Column of Vz'))
    await userEvent.click((await screen.findAllByText('V3')).at(-1)!)
    await waitFor(() => expect(screen.queryByText(/could be Vz or Vy/)).toBeNull())
    await waitFor(() => expect(button).toBeEnabled())
    await userEvent.click(screen.getByRole('button', { name: 'Take the forces' }))
    await waitFor(() => expect(take).toHaveBeenCalledTimes(1))
    expect(take.mock.calls[0]!.slice(0, 3)).toEqual(['p', 'f', 5])
    expect(take.mock.calls[0]![3]).toMatchObject({ sheet: 'forces', name: 'turm', incomplete: true })
    expect(sheet).not.toHaveBeenCalled()
  }, 20_000)
})
