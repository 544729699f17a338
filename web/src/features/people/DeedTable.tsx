import type { Deed } from '../../api/client'
import { DEEDS } from './words'

/** Who did what, when and from where. @param projects their names by id, where it is of several */
export function DeedTable({ deeds, projects }: { deeds: Deed[]; projects?: Map<string, string> }) {
  return (
    <table className="plain deeds">
      <thead>
        <tr>
          <th>when</th>
          <th>who</th>
          <th>what</th>
          <th>from</th>
        </tr>
      </thead>
      <tbody>
        {deeds.map((d, i) => (
          <tr key={i}>
            <td className="soft nowrap">{new Date(d.at).toLocaleString()}</td>
            <td>{d.person || <span className="soft">the server</span>}</td>
            <td>
              {DEEDS[d.kind] ?? d.kind}
              {d.detail && <span className="soft"> {d.detail}</span>}
              {projects?.has(d.project) && <span className="soft"> · {projects.get(d.project)}</span>}
            </td>
            <td className="soft nowrap">{d.address}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
