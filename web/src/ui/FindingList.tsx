import type { Finding } from '../api/client'

/** Findings, worst first as they come: place, what, and how to mend. */
export function FindingList({ findings }: { findings: Finding[] }) {
  if (findings.length === 0) return null
  return (
    <ul className="findings">
      {findings.map((f, i) => (
        <li key={i} data-severity={f.severity}>
          <b>{f.severity}</b>
          <span>
            <span className="where">{f.where}</span> {f.what}{' '}
            <span className="soft">
              {f.mend} {f.clause && `· ${f.clause}`}
            </span>
          </span>
        </li>
      ))}
    </ul>
  )
}
