import { Switch, Tooltip } from 'antd'
import type { Element, Factors } from '../../api/client'
import { AllLike, shownOf } from './MemberTable'
import type { PartProps } from './part'
import { FACTORS } from './draft'
import { NumberField } from '../../ui/NumberField'

/** Stiffness factors: those of the role (beams and columns, set with the analysis), or a member's own. */
export function Stiffness(p: PartProps) {
  const own = (e: Element) => {
    const d = p.drafts[e.id]?.factors
    return d === undefined ? e.ownFactors : d !== null
  }
  const factors = (e: Element): Factors => p.drafts[e.id]?.factors ?? e.factors
  return (
    <>
      <p className="soft">
        Factors on the gross section. Without factors of its own a member takes those of its role, set under Model,
        Analysis.
      </p>
      <table className="plain">
        <thead>
          <tr>
            <th>member</th>
            <th>own</th>
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
          {shownOf(p.elements).map((e) => (
            <tr key={e.id}>
              <td>
                <b>{e.id}</b>
              </td>
              <td>
                <Switch
                  size="small"
                  aria-label={`Own factors of ${e.id}`}
                  checked={own(e)}
                  onChange={(on) => p.onChange([e.id], { factors: on ? factors(e) : null })}
                />
              </td>
              {FACTORS.map((f) => (
                <td key={f.key} className="num">
                  <NumberField
                    label={`${f.name} of ${e.id}`}
                    small
                    width={56}
                    disabled={!own(e)}
                    least={0.0001}
                    most={100}
                    live
                    value={factors(e)[f.key]}
                    onChange={(v) => p.onChange([e.id], { factors: { ...factors(e), [f.key]: v } })}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <AllLike
        elements={p.elements}
        onAll={(members) => p.onChange(members, { factors: own(p.elements[0]!) ? factors(p.elements[0]!) : null })}
      />
    </>
  )
}
