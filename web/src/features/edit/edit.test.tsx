import { render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type Element } from '../../api/client'
import { analysis, Around, history, state } from '../../test/fixtures'
import { editsOf, sectionOf } from './draft'
import { EditDrawer } from './EditDrawer'
import { UndoPills } from './UndoPills'

const factors = { area: 1, shearY: 1, shearZ: 1, iy: 1, iz: 1, torsion: 1 }
const element = (id: string): Element => ({
  id,
  role: 'beam',
  section: '300x600',
  sections: ['300x600', '400x800'],
  material: 'C30',
  materials: ['C30', 'C40'],
  lengthM: 6,
  factors,
  ownFactors: false,
  releaseStart: [],
  releaseEnd: ['my'],
  loads: [{ loadCase: 'G', kind: 'distributed', direction: 'global-z', from: 0, to: 6, value: -10, valueTo: -10 }],
})
const project = { id: 'p', name: '', createdAt: '', changedAt: '', version: 6 }
const edit = vi.spyOn(api, 'edit')

beforeEach(() => {
  edit.mockReset()
  edit.mockResolvedValue(project)
  vi.spyOn(api, 'elements').mockImplementation((_p, m) => Promise.resolve({ elements: m.map(element) }))
  vi.spyOn(api, 'editEffects').mockResolvedValue({ effects: [] })
  vi.spyOn(api, 'analysis').mockResolvedValue(analysis)
  vi.spyOn(api, 'edits').mockResolvedValue(history)
})

describe('edits from drafts', () => {
  const two = [element('a'), element('b')]
  it('join members with the same change', () => {
    expect(editsOf(two, { a: { section: '400x800' }, b: { section: '400x800' } })).toEqual([
      { kind: 'section', section: '400x800', members: ['a', 'b'] },
    ])
  })
  it('leave out what is as it was', () => {
    expect(
      editsOf(two, { a: { section: '300x600', factors: null, releaseEnd: ['my'], loads: element('a').loads } }),
    ).toEqual([])
  })
  it('write stiffness, connections and loads in the fields of the model file', () => {
    const edits = editsOf([element('a')], {
      a: {
        factors: { ...factors, torsion: 0.01 },
        releaseStart: ['my=5000'],
        loads: [{ loadCase: 'L', kind: 'point', direction: 'global-z', from: 2, to: 2, value: -40, valueTo: 0 }],
      },
    })
    expect(edits).toEqual([
      {
        kind: 'stiffness',
        factorIy: 1,
        factorIz: 1,
        factorTorsion: 0.01,
        factorArea: 1,
        factorShearY: 1,
        factorShearZ: 1,
        members: ['a'],
      },
      { kind: 'releases', releaseStart: ['my=5000'], releaseEnd: ['my'], members: ['a'] },
      { kind: 'member-loads', member: 'a', case: 'G', loads: [] },
      {
        kind: 'member-loads',
        member: 'a',
        case: 'L',
        loads: [{ kind: 'point', direction: 'global-z', from: 2, value: -40 }],
      },
    ])
  })
  it('make a section from words', () => {
    expect(sectionOf('350×700', 'mm')).toEqual({
      kind: 'put-section',
      id: '350x700',
      shape: 'rectangle',
      b: 350,
      h: 700,
    })
    expect(sectionOf('tee 300x600 1200x150', 'mm')).toMatchObject({ shape: 'tee', bw: 300, hf: 150 })
    expect(sectionOf('circle 500', 'mm')).toMatchObject({ shape: 'circle', d: 500 })
    for (const bad of ['', '300', '0x500', 'tee 300x600 200x150', 'tee 300x600 900x700', 'round 3'])
      expect(sectionOf(bad, 'mm')).toBeUndefined()
  })
})

describe('the drawer', () => {
  const open = (onDone = vi.fn()) =>
    render(
      <Around>
        <EditDrawer id="p" mark="L1-B01" members={['a', 'b']} state={state} onClose={() => {}} onDone={onDone} />
      </Around>,
    )
  it('gives a new section to all members, with the version it saw', async () => {
    const onDone = vi.fn()
    open(onDone)
    await userEvent.type(await screen.findByLabelText('New section'), '350x700{Enter}')
    await userEvent.click(screen.getByRole('button', { name: 'Apply and analyse' }))
    await waitFor(() =>
      expect(edit).toHaveBeenCalledWith('p', 5, [
        { kind: 'put-section', id: '350x700', shape: 'rectangle', b: 350, h: 700 },
        { kind: 'section', section: '350x700', members: ['a', 'b'] },
      ]),
    )
    await userEvent.click(await screen.findByText('See what moved'))
    expect(onDone).toHaveBeenCalledWith(5, 6)
  })
  it('says what is wrong with words that make no section', async () => {
    open()
    const field = await screen.findByLabelText('New section')
    await userEvent.type(field, '350{Enter}')
    expect(screen.getByText('Nothing is changed yet.')).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Apply and analyse' })).toBeDisabled()
  })
  it('removes a load', async () => {
    open()
    await screen.findByLabelText('New section')
    await userEvent.click(screen.getByText('Loads'))
    await userEvent.click(await screen.findByLabelText('Remove load 1'))
    await userEvent.click(screen.getByRole('button', { name: 'Apply and analyse' }))
    await waitFor(() =>
      expect(edit).toHaveBeenCalledWith('p', 5, [{ kind: 'member-loads', member: 'a', case: 'G', loads: [] }]),
    )
  })
  it('tells why an edit was refused and stays open', async () => {
    edit.mockRejectedValue(
      new ApiError(422, 'The change cannot stand.', '', [
        {
          severity: 'fails',
          code: 'mechanism',
          where: 'joint B',
          what: 'It can move along X.',
          mend: 'Hold it.',
          clause: '',
          combination: '',
        },
      ]),
    )
    open()
    await userEvent.type(await screen.findByLabelText('New section'), '350x700{Enter}')
    await userEvent.click(screen.getByRole('button', { name: 'Apply and analyse' }))
    expect(await screen.findByText(/joint B: It can move along X/)).toBeInTheDocument()
    expect(screen.getByText('Change L1-B01')).toBeInTheDocument()
  })
})

describe('undo and redo', () => {
  it('answer to buttons and keys', async () => {
    const undo = vi.spyOn(api, 'undo').mockResolvedValue(project)
    render(
      <Around>
        <UndoPills id="p" state={state} />
      </Around>,
    )
    await userEvent.click(await screen.findByLabelText('Undo'))
    await waitFor(() => expect(undo).toHaveBeenCalledWith('p', 5))
    await waitFor(() => expect(screen.getByLabelText('Undo')).toBeEnabled())
    await userEvent.keyboard('{Control>}z{/Control}')
    await waitFor(() => expect(undo).toHaveBeenCalledTimes(2))
    expect(screen.getByLabelText('Redo')).toBeDisabled()
  })
})
