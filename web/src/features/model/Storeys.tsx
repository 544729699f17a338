import { Select } from 'antd'
import { useState } from 'react'
import type { AnalysisSummary, Model } from '../../api/client'
import { force, grouped } from '../../lib/format'
import { distanceIn, forceIn, lengthIn, type Units } from '../../lib/units'

/** Drift and shear of every storey under a lateral case, stability indices, masses and their centres. */
export function Storeys({ a, sway, units }: { a: AnalysisSummary; sway: Model['sway']; units: Units }) {
  const cases = [...new Set(a.drifts.map((d) => d.loadCase))]
  const [chosen, setChosen] = useState<string>()
  const of = chosen && cases.includes(chosen) ? chosen : cases[0]
  const rows = a.drifts.filter((d) => d.loadCase === of).reverse()
  const m = (v: number) => distanceIn(v * 1000, units).toFixed(2)
  const part = (v: number) => (v === 0 ? '·' : `1/${Math.round(1 / Math.abs(v))}`)
  return (
    <section>
      <h2>
        Drift and shear of storeys{' '}
        {cases.length > 0 && (
          <Select
            size="small"
            aria-label="Lateral case"
            value={of}
            style={{ width: 150 }}
            onChange={setChosen}
            options={cases.map((c) => ({ value: c, label: a.balance.find((b) => b.id === c)?.name ?? c }))}
          />
        )}
      </h2>
      {cases.length === 0 ? (
        <p className="soft">Not known: there is no lateral case, or the forces were solved elsewhere.</p>
      ) : (
        <table className="plain">
          <thead>
            <tr>
              <th>storey</th>
              <th className="num">{units.distance}</th>
              <th className="num" title="Mean movement of the floor against the floor below">
                drift X, {units.length}
              </th>
              <th className="num">Y, {units.length}</th>
              <th className="num" title="Largest movement of a column’s head against its foot, over its height">
                worst X
              </th>
              <th className="num">Y</th>
              <th className="num" title="What the part above pushes the part below">
                shear X, {a.forceUnit}
              </th>
              <th className="num">Y, {a.forceUnit}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r.storey}>
                <td>
                  <b>{r.storey}</b>
                </td>
                <td className="num soft">
                  {m(r.baseM)}–{m(r.topM)}
                </td>
                <td className="num">{grouped(lengthIn(r.driftMm[0]!, units), units.us ? 3 : 2)}</td>
                <td className="num">{grouped(lengthIn(r.driftMm[1]!, units), units.us ? 3 : 2)}</td>
                <td className="num soft">{part(r.worst[0]!)}</td>
                <td className="num soft">{part(r.worst[1]!)}</td>
                <td className="num">{force(r.shear[0]!)}</td>
                <td className="num">{force(r.shear[1]!)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <h2>Stability index of storeys</h2>
      {sway.length === 0 ? (
        <p className="soft">Not known: there is no lateral case, or the forces were solved elsewhere.</p>
      ) : (
        <table className="plain">
          <thead>
            <tr>
              <th>storey</th>
              <th className="num" title="Stability index Q = ΣPu Δo / (Vus lc); up to 0.05 counts as braced">
                Q along X
              </th>
              <th className="num">Q along Y</th>
            </tr>
          </thead>
          <tbody>
            {[...sway].reverse().map((s) => (
              <tr key={s.baseM}>
                <td>
                  {m(s.baseM)} to {m(s.topM)} {units.distance}
                </td>
                <td className="num">{s.qx?.toFixed(3) ?? '–'}</td>
                <td className="num">{s.qy?.toFixed(3) ?? '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <h2>Mass of storeys</h2>
      <table className="plain">
        <thead>
          <tr>
            <th>storey</th>
            <th
              className="num"
              title={
                units.us
                  ? 'Dead and superimposed loads, lumped at the floor'
                  : 'Dead and superimposed loads over g, lumped at the floor'
              }
            >
              {units.us ? 'weight, kip' : 'mass, t'}
            </th>
            <th className="num">centre X, {units.distance}</th>
            <th className="num">Y, {units.distance}</th>
          </tr>
        </thead>
        <tbody>
          {[...a.masses].reverse().map((s) => (
            <tr key={s.storey}>
              <td>
                <b>{s.storey}</b>
              </td>
              <td className="num">{force(units.us ? forceIn(9.80665 * s.massT, units) : s.massT)}</td>
              <td className="num">{m(s.xM)}</td>
              <td className="num">{m(s.yM)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
