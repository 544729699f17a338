import { InputNumber } from 'antd'
import { useState } from 'react'
import type { Parameter } from '../../api/client'

/** Parameters that the code leaves to nations: the recommended value, and one's own in its place. */
export function NationalTable(p: {
  parameters: Parameter[]
  given: Record<string, number>
  onChange: (v: Record<string, number>) => void
}) {
  const set = (key: string, v: number | null) => {
    const rest = Object.fromEntries(Object.entries(p.given).filter(([k]) => k !== key))
    p.onChange(v === null ? rest : { ...rest, [key]: v })
  }
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
                <Value parameter={q} value={p.given[q.key]} onChange={(v) => set(q.key, v)} />
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
  const [draft, setDraft] = useState<number | null>()
  const shown = draft === undefined ? (value ?? null) : draft
  const bad = shown !== null && (shown < q.least || shown > q.most)
  const commit = () => {
    if (!bad && draft !== undefined && draft !== (value ?? null)) onChange(draft === q.recommended ? null : draft)
    setDraft(undefined)
  }
  return (
    <>
      {bad && (
        <span className="over-ink">
          {q.least} to {q.most}{' '}
        </span>
      )}
      <InputNumber
        size="small"
        controls={false}
        aria-label={q.words}
        placeholder={String(q.recommended)}
        status={bad ? 'error' : undefined}
        value={shown}
        onChange={setDraft}
        onBlur={commit}
        onPressEnter={commit}
        style={{ width: 90 }}
      />
    </>
  )
}
