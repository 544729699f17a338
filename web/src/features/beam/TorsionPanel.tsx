import { useMutation } from '@tanstack/react-query'
import { Button, Select } from 'antd'
import { Link, useNavigate } from 'react-router'
import { api, type ApiError, type Beam, type Hand, type Relief, type ReliefOfAll, type State } from '../../api/client'
import { force } from '../../lib/format'
import { momentIn, type Units } from '../../lib/units'
import { ErrorView } from '../../ui/ErrorView'
import { useEdit } from '../edit/useEdit'

const KINDS = [
  { value: 'as-found', label: 'as re-analysis finds' },
  { value: 'equilibrium', label: 'needed for equilibrium' },
  { value: 'compatibility', label: 'from compatibility' },
]

/** Whether the line's torsion is needed, found by re-analysis; what comes from compatibility can be relieved. */
export function TorsionPanel({
  id,
  beam,
  state,
  units,
  onSave,
}: {
  id: string
  beam: Beam
  state?: State
  units: Units
  onSave: (h: Hand) => void
}) {
  const mark = beam.mark
  const navigate = useNavigate()
  const find = useMutation<Relief, ApiError>({ mutationFn: () => api.torsionRelief(id, mark) })
  const edit = useEdit(
    id,
    state,
    (row, from) =>
      void navigate(
        `/p/${id}/results?view=3d&show=change&from=${from}&to=${row.version}&sel=${encodeURIComponent(mark)}`,
      ),
  )
  const r = find.data
  const m = (knm: number) => `${force(momentIn(knm, units))} ${units.moment}`
  return (
    <section className="torsion-panel" aria-label="Torsion">
      <h2>Torsion</h2>
      {!r && (
        <>
          <p className="soft">
            Torsion that equilibrium does not need may be let down to the cracking torque (22.7.3.2): the frame is
            solved again without the line’s torsional stiffness to find out.
          </p>
          <Button loading={find.isPending} onClick={() => find.mutate()}>
            Is it needed?
          </Button>
        </>
      )}
      <label className="torsion-kind">
        <span className="soft">Why it is there</span>
        <Select
          size="small"
          aria-label="Kind of torsion"
          value={beam.hand.torsion}
          options={KINDS}
          style={{ width: 190 }}
          onChange={(torsion) => {
            find.reset()
            onSave({ ...beam.hand, torsion })
          }}
        />
        {beam.hand.torsion !== 'as-found' && <span className="hand-mark">✎ by hand</span>}
      </label>
      {find.isError && <ErrorView error={find.error} />}
      {r && (
        <>
          <p>
            <b>
              {r.kind === 'equilibrium'
                ? 'Needed for equilibrium: it must be resisted in full.'
                : 'From compatibility: it may be relieved.'}
            </b>{' '}
            <span className="soft">{r.evidence}</span>
          </p>
          {r.edits.length > 0 && (
            <>
              <p>
                Torsional stiffness × {r.factor.toPrecision(2)} lets it down from {m(r.torqueKnm)} to {m(r.relievedKnm)}
                ; the line cracks at {m(r.crackingKnm)}. What moves most:
              </p>
              <table className="plain">
                <thead>
                  <tr>
                    <th>line</th>
                    <th className="num">moment before</th>
                    <th className="num">after</th>
                    <th className="num">change</th>
                  </tr>
                </thead>
                <tbody>
                  {r.moved.map((k) => (
                    <tr key={k.member}>
                      <td>
                        <Link to={`/p/${id}/sheet/${encodeURIComponent(k.mark)}`}>{k.mark}</Link>
                      </td>
                      <td className="num">{force(momentIn(k.before, units))}</td>
                      <td className="num">{force(momentIn(k.after, units))}</td>
                      <td className="num">
                        {k.by > 0 ? '+' : ''}
                        {force(momentIn(k.by, units))}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
              <Button type="primary" loading={edit.isPending} onClick={() => edit.mutate({ edits: r.edits })}>
                Relieve it and design again
              </Button>
            </>
          )}
          {r.kind === 'compatibility' && r.edits.length === 0 && (
            <p className="soft">It is below the cracking torque of {m(r.crackingKnm)} already.</p>
          )}
        </>
      )}
      <AllLines id={id} state={state} units={units} />
    </section>
  )
}

/** The same for every line of the building that twists past its cracking torque, in one frame. */
function AllLines({ id, state, units }: { id: string; state?: State; units: Units }) {
  const navigate = useNavigate()
  const find = useMutation<ReliefOfAll, ApiError>({ mutationFn: () => api.reliefOfAll(id) })
  const edit = useEdit(
    id,
    state,
    (row, from) => void navigate(`/p/${id}/results?view=3d&show=change&from=${from}&to=${row.version}`),
  )
  const lines = find.data?.lines ?? []
  const relieved = lines.filter((l) => l.factor !== 1).length
  return (
    <div className="all-lines">
      <Button type="text" size="small" loading={find.isPending} onClick={() => find.mutate()}>
        Look at all lines of the building
      </Button>
      {find.isError && <ErrorView error={find.error} />}
      {find.data && lines.length === 0 && <p className="soft">No line twists past its cracking torque.</p>}
      {lines.length > 0 && (
        <>
          <table className="plain">
            <thead>
              <tr>
                <th>line</th>
                <th>torsion</th>
                <th className="num">{units.moment}</th>
                <th className="num">after</th>
                <th className="num">cracks at</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((l) => (
                <tr key={l.mark} title={l.evidence}>
                  <td>
                    <Link to={`/p/${id}/sheet/${encodeURIComponent(l.mark)}`}>{l.mark}</Link>
                  </td>
                  <td>{l.kind === 'equilibrium' ? 'needed' : 'relieved'}</td>
                  <td className="num">{force(momentIn(l.torqueKnm, units))}</td>
                  <td className="num">{force(momentIn(l.relievedKnm, units))}</td>
                  <td className="num">{force(momentIn(l.crackingKnm, units))}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {relieved > 0 && (
            <Button
              size="small"
              type="primary"
              loading={edit.isPending}
              onClick={() => edit.mutate({ edits: find.data!.edits })}
            >
              Relieve {relieved === 1 ? 'one line' : `${relieved} lines`} and design again
            </Button>
          )}
        </>
      )}
    </div>
  )
}
