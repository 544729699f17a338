import { useQuery } from '@tanstack/react-query'
import { Button, Switch, Tooltip } from 'antd'
import { useState } from 'react'
import { api, type Factors, type Options, type OptionsEdit, type State } from '../../api/client'
import { Loading } from '../../ui/Loading'
import { NumberField } from '../../ui/NumberField'
import { factorFields, FACTORS } from '../edit/draft'
import { useEdit } from '../edit/useEdit'

const GROSS: Factors = { area: 1, shearY: 1, shearZ: 1, iy: 1, iz: 1, torsion: 1 }

interface Props {
  id: string
  state?: State
  cases: { id: string; name: string }[]
}

/** Factors of the axial forces with that of one case; none where it is 0. */
function withFactor(all: Record<string, number>, loadCase: string, v: number): Record<string, number> {
  const next = { ...all }
  if (v) next[loadCase] = v
  else delete next[loadCase]
  return next
}

/** How the frame is analysed; nothing happens until it is applied, then the model is solved and designed again. */
export function OptionsForm({ id, state, cases }: Props) {
  const stored = useQuery({ queryKey: ['project', id, 'options'], queryFn: ({ signal }) => api.options(id, signal) })
  const [draft, setDraft] = useState<Options>()
  const edit = useEdit(id, state, () => setDraft(undefined))
  if (!stored.data) return <Loading words="Reading the options" />
  const o = draft ?? stored.data
  const set = (change: Partial<Options>) => setDraft({ ...o, ...change })
  const changed = JSON.stringify(o) !== JSON.stringify(stored.data)
  const second = Object.keys(o.pDelta).length > 0
  return (
    <section aria-label="How the frame is analysed">
      <h2>How the frame is analysed</h2>
      <Row
        name="Shear deformation"
        help="Members deform in shear as well as in bending. Counts for short deep members."
      >
        <Switch
          aria-label="Shear deformation"
          checked={o.shearDeformation}
          onChange={(shearDeformation) => set({ shearDeformation })}
        />
      </Row>
      <Row
        name="Rigid ends"
        help="Part of the length inside a joint that does not deform: 0 measures members to the joints, 1 to the faces. Members with rigid ends in the model keep theirs."
      >
        <NumberField
          label="Rigid ends"
          least={0}
          most={1}
          step={0.1}
          live
          value={o.rigidEnds}
          onChange={(rigidEnds) => set({ rigidEnds })}
        />
      </Row>
      <Row
        name="Pattern live load"
        help="Live load on all spans, on odd, on even and on adjacent pairs along every beam line, as cases of their own."
      >
        <Switch
          aria-label="Pattern live load"
          checked={o.patternLive}
          onChange={(patternLive) => set({ patternLive })}
        />
      </Row>
      <Row
        name="Out of plumb, mm/m"
        help="Inclination of the whole frame: horizontal forces of that part of the vertical loads stand in the combinations for strength, each way along X and Y, or with the wind. Not with earthquakes. EN 1992-1-1 5.2 asks for it; what it asks for here is told with the results. 0 for none."
      >
        <NumberField
          label="Out of plumb, mm/m"
          least={0}
          most={20}
          step={0.1}
          live
          value={Math.round(o.inclination * 1e6) / 1e3}
          onChange={(v) => set({ inclination: v / 1000 })}
        />
      </Row>
      <Row
        name="Second order"
        help="P-Delta: axial forces of the cases below soften the frame. The iteration and its convergence are told above."
      >
        <Switch
          aria-label="Second order"
          checked={second}
          onChange={(on) => set({ pDelta: on ? Object.fromEntries(cases.slice(0, 1).map((c) => [c.id, 1.2])) : {} })}
        />
      </Row>
      {second && (
        <Row name="Axial forces of" help="Load cases and factors whose axial forces act on the moved frame.">
          <span className="chips">
            {cases.map((c) => (
              <label key={c.id} className="factor-chip">
                {c.id}{' '}
                <NumberField
                  small
                  width={54}
                  label={`Factor of ${c.id}`}
                  placeholder="0"
                  empty
                  live
                  value={o.pDelta[c.id] ?? null}
                  onChange={(v) => set({ pDelta: withFactor(o.pDelta, c.id, v) })}
                  onEmpty={() => set({ pDelta: withFactor(o.pDelta, c.id, 0) })}
                />
              </label>
            ))}
          </span>
        </Row>
      )}
      <table className="plain">
        <thead>
          <tr>
            <th>factors of</th>
            {FACTORS.map((f) => (
              <th key={f.key} className="num">
                <Tooltip title={f.says}>
                  <span>{f.name}</span>
                </Tooltip>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {(['beams', 'columns'] as const).map((role) => (
            <tr key={role}>
              <td>{role}</td>
              {FACTORS.map((f) => (
                <td key={f.key} className="num">
                  <NumberField
                    small
                    width={58}
                    least={0.0001}
                    most={100}
                    live
                    label={`${f.name} of ${role}`}
                    value={o[role][f.key]}
                    onChange={(v) => set({ [role]: { ...o[role], [f.key]: v } })}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="chips">
        <Tooltip title="ACI 318-19 table 6.6.3.1.1 a: beams 0.35, columns 0.70 of the gross second moment of area">
          <button
            type="button"
            onClick={() => set({ beams: { ...GROSS, iy: 0.35, iz: 0.35 }, columns: { ...GROSS, iy: 0.7, iz: 0.7 } })}
          >
            cracked by ACI 318
          </button>
        </Tooltip>
        <Tooltip title="Both 0.5, as often taken for EN 1998-1 4.3.1(7)">
          <button
            type="button"
            onClick={() => set({ beams: { ...GROSS, iy: 0.5, iz: 0.5 }, columns: { ...GROSS, iy: 0.5, iz: 0.5 } })}
          >
            half, EN 1998-1
          </button>
        </Tooltip>
        <button type="button" onClick={() => set({ beams: GROSS, columns: GROSS })}>
          gross
        </button>
      </p>
      <Button
        type="primary"
        disabled={!changed}
        loading={edit.isPending}
        onClick={() => edit.mutate({ edits: [editOf(o)] })}
      >
        Apply and analyse
      </Button>{' '}
      <Button disabled={!changed} onClick={() => setDraft(undefined)}>
        Take back
      </Button>
    </section>
  )
}

function Row({ name, help, children }: { name: string; help: string; children: React.ReactNode }) {
  return (
    <label className="field">
      <Tooltip title={help}>
        <span>{name}</span>
      </Tooltip>
      <span>{children}</span>
    </label>
  )
}

/** The options in the fields of the model file. */
function editOf(o: Options): OptionsEdit {
  const yes = (b: boolean) => (b ? 'yes' : 'no')
  return {
    kind: 'options',
    analysis: {
      shearDeformation: yes(o.shearDeformation),
      rigidEnds: o.rigidEnds,
      patternLive: yes(o.patternLive),
      inclination: o.inclination,
      pDelta: o.pDelta,
    },
    roleStiffness: [
      { role: 'beam', ...factorFields(o.beams) },
      { role: 'column', ...factorFields(o.columns) },
    ],
  }
}
