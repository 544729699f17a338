import { useState } from 'react'
import { Button } from 'antd'
import type { Demand } from '../../api/client'
import { force, utilisation } from '../../lib/format'
import { forceIn, momentIn, type Units } from '../../lib/units'
import { UtilisationBar } from '../../ui/UtilisationBar'

const SHORT = 9

/** Every combination at every place, worst first. */
export function DemandTable(p: { demands: Demand[]; picked?: Demand; units: Units; onPick: (d: Demand) => void }) {
  const [all, setAll] = useState(false)
  const shown = all ? p.demands : p.demands.slice(0, SHORT)
  const rest = p.demands.length - shown.length
  return (
    <div className="demands">
      <table className="plain">
        <thead>
          <tr>
            <th>combination</th>
            <th>at</th>
            <th className="num">N, {p.units.force}</th>
            <th className="num">Mx, {p.units.moment}</th>
            <th className="num">My, {p.units.moment}</th>
            <th className="num" title="Largest second-order magnifier in it">
              δ
            </th>
            <td />
            <th className="num">util.</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((d, i) => (
            <tr key={i} aria-selected={d === p.picked} onClick={() => p.onPick(d)}>
              <td>
                <button type="button" className="row-button">
                  {d.combination}
                </button>
              </td>
              <td>{d.place}</td>
              <td className="num">{force(forceIn(d.p, p.units))}</td>
              <td className="num">{force(momentIn(d.mx, p.units))}</td>
              <td className="num">{force(momentIn(d.my, p.units))}</td>
              <td className="num">{d.factor.toFixed(2)}</td>
              <td>
                <UtilisationBar value={d.utilisation} satisfied={d.utilisation <= 1 + 1e-6} />
              </td>
              <td className="num">
                <b className={d.utilisation > 1 + 1e-6 ? 'over-ink' : ''}>{utilisation(d.utilisation)}</b>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {rest > 0 && (
        <Button type="link" size="small" onClick={() => setAll(true)}>
          and {rest} more, below {utilisation(p.demands[SHORT]!.utilisation)}
        </Button>
      )}
    </div>
  )
}
