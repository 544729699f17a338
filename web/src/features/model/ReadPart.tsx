import type { Model } from '../../api/client'
import { FindingList } from '../../ui/FindingList'

/** Counts, findings, combinations, sections and materials. */
export function ReadPart({ model: m }: { model: Model }) {
  return (
    <>
      <div className="counts">
        {m.counts.map((c) => (
          <div key={c.name}>
            <b>{c.count}</b>
            <span className="soft">{c.name}</span>
          </div>
        ))}
      </div>
      <h2>Findings</h2>
      {m.findings.length === 0 ? (
        <p className="soft">
          Nothing to report: every reference resolves, every part is supported, every panel hands over its whole load.
        </p>
      ) : (
        <FindingList findings={m.findings} />
      )}
      <div className="two">
        <section>
          <h2>Combinations</h2>
          <div className="scroll" tabIndex={0} role="region" aria-label="Combinations">
            <table className="plain">
              <thead>
                <tr>
                  <th>name</th>
                  <th>purpose</th>
                  <th>terms</th>
                </tr>
              </thead>
              <tbody>
                {m.combinations.map((c) => (
                  <tr key={c.id}>
                    <td>{c.name}</td>
                    <td className="soft">{c.purpose}</td>
                    <td className="soft">{terms(c.terms)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </section>
        <div>
          <Counts title="Sections" rows={m.sections} />
          <Counts title="Materials" rows={m.materials} />
        </div>
      </div>
    </>
  )
}

/** Factors and cases as a sum, with true minus signs. */
const terms = (t: Record<string, number>) =>
  Object.entries(t)
    .map(([k, f], i) => `${f < 0 ? (i > 0 ? '− ' : '−') : i > 0 ? '+ ' : ''}${Math.abs(f)} ${k}`)
    .join(' ')

function Counts({ title, rows }: { title: string; rows: { name: string; count: number }[] }) {
  return (
    <section>
      <h2>{title}</h2>
      <table className="plain">
        <tbody>
          {rows.map((r) => (
            <tr key={r.name}>
              <td>{r.name}</td>
              <td className="num">{r.count} members</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
