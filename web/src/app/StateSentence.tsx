import { Tooltip } from 'antd'
import type { State } from '../api/client'
import type { Live } from '../api/useProject'
import { grouped } from '../lib/format'
import { density, tonnage, unitsOf } from '../lib/units'

/** The building in one sentence, and whether the numbers on screen belong to today's model and basis. */
export function StateSentence({ live: { state, reachable, waiting } }: { live: Omit<Live, 'people'> }) {
  if (!reachable)
    return (
      <span className="sentence over-ink" role="status" data-reachable="false">
        The server does not answer.{' '}
        {waiting > 0
          ? `${waiting} ${waiting === 1 ? 'change waits' : 'changes wait'} and will be sent in order.`
          : 'What is shown stays; what you change waits until it is back.'}
      </span>
    )
  if (!state) return <span className="sentence soft">connecting…</span>
  const t = state.totals
  const units = unitsOf(t?.usUnits ?? false)
  return (
    <span className="sentence parts" role="status" data-current={state.current}>
      {t && (
        <span className="building">
          <b>{grouped(t.members)}</b> {t.members === 1 ? 'member' : 'members'} in <b>{grouped(t.lines)}</b>{' '}
          {t.lines === 1 ? 'line or stack' : 'lines and stacks'}
          {t.overstressed > 0 && (
            <Tooltip title="A strength is exceeded: bending, shear, torsion or axial force with bending over 1.00">
              <span className="over-ink" tabIndex={0}>
                {' '}
                · <b>{t.overstressed}</b> overstressed
              </span>
            </Tooltip>
          )}
          {t.failing > 0 && (
            <Tooltip title="Strong enough, but another requirement is not met: deflection, spacing, anchorage, detailing or scope">
              <span className="over-ink" tabIndex={0}>
                {' '}
                · <b>{t.failing}</b> failing
              </span>
            </Tooltip>
          )}
          {t.overstressed + t.failing === 0 && ' · all satisfied'}
          {t.notes > 0 && (
            <>
              {' '}
              · <b>{t.notes}</b> with notes
            </>
          )}
          {' · '}
          <Tooltip
            title={`Mass of all bars, with hooks and laps: ${density(t.steelKg, t.concreteM3, units)} over the concrete between faces of supports`}
          >
            <span>
              <b>{tonnage(t.steelKg, units)}</b> steel
              <span className="wide-only">, {density(t.steelKg, t.concreteM3, units)}</span>
            </span>
          </Tooltip>
        </span>
      )}
      {t && <span>·</span>}
      <Doing state={state} />
    </span>
  )
}

function Doing({ state }: { state: State }) {
  if (state.findings.length > 0)
    return (
      <Tooltip title={state.findings.map((f) => `${f.where}: ${f.what} ${f.mend}`).join('\n')}>
        <span className="over-ink">not designed: {state.findings[0]!.what}</span>
      </Tooltip>
    )
  if (state.doing)
    return (
      <span className="soft">
        {state.doing}
        {state.total > 0 && ` ${Math.floor((100 * state.done) / state.total)} %`}…
      </span>
    )
  return <span className="soft">{state.current ? 'all current' : 'not current'}</span>
}
