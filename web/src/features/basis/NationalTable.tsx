import type { Parameter } from '../../api/client'
import { NumberField } from '../../ui/NumberField'

/** Parameters that the code leaves to nations: the recommended value, and one's own in its place. */
export function NationalTable(p: {
  parameters: Parameter[]
  given: Record<string, number>
  /** one's own value of a parameter, or null for the recommended one */
  onChange: (key: string, v: number | null) => void
}) {
  return (
    <section aria-label="National parameters" className="national">
      <h2>National parameters</h2>
      <p className="soft">
        Recommended values count where nothing is given. Clear a value to go back to the recommended one.
      </p>
      <table className="plain">
        <thead>
          <tr>
            <th>parameter</th>
            <th>clause</th>
            <th className="num">recommended</th>
            <th className="num">in force</th>
          </tr>
        </thead>
        <tbody>
          {p.parameters.map((q) => (
            <tr key={q.key} aria-selected={q.key in p.given}>
              <td>{q.words}</td>
              <td>{q.clause}</td>
              <td className="num">{q.recommended}</td>
              <td className="num">
                <Value parameter={q} value={p.given[q.key]} onChange={(v) => p.onChange(q.key, v)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

function Value({
  parameter: q,
  value,
  onChange,
}: {
  parameter: Parameter
  value?: number
  onChange: (v: number | null) => void
}) {
  return (
    <NumberField
      small
      empty
      label={q.words}
      placeholder={String(q.recommended)}
      least={q.least}
      most={q.most}
      whole={q.whole}
      value={value ?? null}
      width={90}
      onChange={(v) => onChange(v === q.recommended ? null : v)}
      onEmpty={() => onChange(null)}
    />
  )
}
