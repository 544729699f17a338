import { Select } from 'antd'
import { AllLike, shownOf } from './MemberTable'
import type { PartProps } from './part'

const ACTIONS = [
  { value: 'my', label: 'my · bending' },
  { value: 'mz', label: 'mz · bending sideways' },
  { value: 't', label: 't · torsion' },
  { value: 'n', label: 'n · axial' },
  { value: 'vz', label: 'vz · shear' },
  { value: 'vy', label: 'vy · shear sideways' },
]

/** What the ends of members do not pass on: an action let go, or passed on by a stiffness. */
export function Connections(p: PartProps) {
  const unit = p.us ? 'kip ft/rad' : 'kNm/rad'
  return (
    <>
      <p className="soft">
        Actions that an end does not pass on. A stiffness makes it partial: <i>my=5000</i> passes bending on with 5000{' '}
        {unit}.
      </p>
      <table className="plain">
        <thead>
          <tr>
            <th>member</th>
            <th>start releases</th>
            <th>end releases</th>
          </tr>
        </thead>
        <tbody>
          {shownOf(p.elements).map((e) => (
            <tr key={e.id}>
              <td>
                <b>{e.id}</b>
              </td>
              {(['releaseStart', 'releaseEnd'] as const).map((end) => (
                <td key={end}>
                  <Select
                    mode="tags"
                    aria-label={`${end === 'releaseStart' ? 'Start' : 'End'} of ${e.id}`}
                    style={{ width: 180 }}
                    placeholder="nothing: rigid"
                    options={ACTIONS}
                    optionLabelProp="value"
                    value={p.drafts[e.id]?.[end] ?? e[end]}
                    onChange={(v) => p.onChange([e.id], { [end]: v })}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <AllLike
        elements={p.elements}
        onAll={(members) => {
          const e = p.elements[0]!
          const d = p.drafts[e.id]
          p.onChange(members, {
            releaseStart: d?.releaseStart ?? e.releaseStart,
            releaseEnd: d?.releaseEnd ?? e.releaseEnd,
          })
        }}
      />
    </>
  )
}
