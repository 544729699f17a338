import type { Curves, Demand, SectionAnswer } from '../../api/client'
import { isOver, utilisation } from '../../lib/format'
import { strength, unitsOf } from '../../lib/units'
import { CalculationPanel } from '../../ui/CalculationPanel'
import { ForceMomentPlot } from '../column/ForceMomentPlot'
import { MomentsPlot } from '../column/MomentsPlot'
import { StrainPicture } from './StrainPicture'
import { nearest } from './strains'

const CHECKS: Record<string, string> = {
  'axial-bending': 'axial with bending',
  'axial-limit': 'cap on axial force',
  'torsion-threshold': 'threshold of torsion',
  'torsion-out-of-scope': 'torsion, out of scope of this outline',
  'torsion-y': 'torsion with shear along the width',
  'torsion-z': 'torsion with shear along the depth',
  'shear-torsion-limit-y': 'limit of torsion with shear along the width',
  'shear-torsion-limit-z': 'limit of torsion with shear along the depth',
  'torsion-bending': 'axial with bending beside torsion',
  'torsion-bars': 'bars for torsion',
  'torsion-spacing': 'spacing of ties for torsion',
  'torsion-bar-spacing': 'distance of bars round the ties',
  'shear-out-of-scope': 'shear, out of scope of this outline',
  'shear-y': 'shear along the width',
  'shear-z': 'shear along the depth',
  'shear-limit-y': 'limit of shear along the width',
  'shear-limit-z': 'limit of shear along the depth',
  'bars-near-face': 'no bar near the edge that is pulled',
  'no-equilibrium': 'nothing takes the tension',
  none: 'no limit by this code',
}
const checkName = (c: string) => CHECKS[c] ?? c.replace(/-/g, ' ')

/** The use of every set, the chosen one marked. */
export function SetTable(p: { answer: SectionAnswer; picked: number; onPick: (i: number) => void }) {
  const { answer, picked } = p
  const column = answer.sets.some((s) => s.atAxial !== null)
  if (answer.sets.length === 0) return <p className="soft">Give a set of forces.</p>
  return (
    <table className="plain" aria-label="Use of the sets">
      <thead>
        <tr>
          <th>Set</th>
          <th className="num">Use</th>
          <th>governs</th>
          {column && <th className="num">at this N</th>}
        </tr>
      </thead>
      <tbody>
        {answer.sets.map((s, i) => (
          <tr key={i} aria-selected={i === picked} onClick={() => p.onPick(i)}>
            <td>
              <button type="button" className="link" onClick={() => p.onPick(i)}>
                {s.name}
              </button>
            </td>
            <td className="num">
              <b className={isOver(s.utilisation) ? 'over-ink' : ''}>
                {s.governs === 'none' ? '–' : utilisation(s.utilisation)}
              </b>
            </td>
            <td>{checkName(s.governs)}</td>
            {column && <td className="num">{s.atAxial === null ? '–' : utilisation(s.atAxial)}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

const demandOf = (s: SectionAnswer['sets'][number], i: number): Demand => ({
  combination: s.name,
  combinationNumber: i,
  number: 0,
  place: checkName(s.governs),
  p: s.p,
  mx: s.mx,
  my: s.my,
  factor: 1,
  utilisation: s.utilisation,
})

/** Checks and calculation of the chosen set, and where all lie in the strength of the section. */
export function BenchResults(p: {
  answer: SectionAnswer
  us: boolean
  picked: number
  onPick: (i: number) => void
  /** the strains of a point of the curve are asked for, or those of the set */
  onAlong: (point: number | undefined) => void
}) {
  const { answer, picked } = p
  const set = answer.sets[picked]
  const units = unitsOf(p.us)
  const demands: Demand[] = answer.sets.flatMap((s, i) => (s.kind === 'strength' ? [demandOf(s, i)] : []))
  const demand = demands.find((d) => d.combinationNumber === picked)
  const stress = (v: number) => strength(v, units)
  const plot = (curves: Curves, picked: Demand) => ({
    curves,
    demands,
    picked,
    units,
    onPick: (d: Demand) => p.onPick(d.combinationNumber),
  })
  return (
    <>
      {answer.findings.map((f) => (
        <p key={f.what} className="notice over-ink">
          {f.what} {f.mend}
        </p>
      ))}
      <div className="plots">
        {answer.curves && demand && (
          <ForceMomentPlot
            {...plot(answer.curves, demand)}
            at={answer.strains?.along == null ? undefined : answer.curves.design[answer.strains.along]}
          />
        )}
        {answer.strains && set && answer.strains.bars.length > 0 && (
          <StrainPicture
            strains={answer.strains}
            units={units}
            {...(answer.curves && demand
              ? { curve: { last: answer.curves.design.length - 1, nearest: nearest(answer.curves.design, demand) } }
              : {})}
            service={set.kind !== 'strength'}
            onAlong={p.onAlong}
          />
        )}
        {answer.curves && demand && <MomentsPlot {...plot(answer.curves, demand)} />}
      </div>
      {set && (
        <>
          <h2>{set.name}</h2>
          {set.stresses && (
            <p>
              Cracked section: concrete {stress(set.stresses.concrete)} in compression, bars{' '}
              {stress(set.stresses.tension)} in tension and {stress(set.stresses.compression)} in compression.
              {set.checks.length === 0 && set.governs === 'none' && ' The code limits none of them under this set.'}
            </p>
          )}
          <table className="plain" aria-label="Checks of the set">
            <tbody>
              {set.checks.map((c) => (
                <tr key={c.check}>
                  <td>{checkName(c.check)}</td>
                  <td className="num">{c.demand}</td>
                  <td className="soft">of {c.capacity}</td>
                  <td className="num">
                    <b className={isOver(c.utilisation) ? 'over-ink' : ''}>{utilisation(c.utilisation)}</b>
                  </td>
                  <td className="soft">{c.clause}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <CalculationPanel calculation={{ heading: set.name, steps: answer.calculation }} />
        </>
      )}
    </>
  )
}
