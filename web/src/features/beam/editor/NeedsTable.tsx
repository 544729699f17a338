import type { Beam } from '../../../api/client'
import { distanceIn, type Units } from '../../../lib/units'

const MM2_PER_IN2 = 645.16

/** Steel required, provided and to spare, place by place. */
export function NeedsTable({ beam, units }: { beam: Beam; units: Units }) {
  const area = (mm2: number) => (units.us ? (mm2 / MM2_PER_IN2).toFixed(2) : mm2.toFixed(0))
  const perLength = (v: number) => (units.us ? (v / 25.4).toFixed(4) : v.toFixed(3))
  const place = (mm: number) => distanceIn(mm, units).toFixed(1)
  const row = (
    key: string,
    place: string,
    required: number,
    provided: number,
    text: (v: number) => string,
    note = '',
  ) => (
    <tr key={key}>
      <td>{place}</td>
      <td className="num" title={note}>
        {required < 0 ? 'none is enough' : text(required)}
        {note && <span className="soft"> min</span>}
      </td>
      <td className="num">{text(provided)}</td>
      <td className={required < 0 || provided < required * (1 - 1e-6) ? 'num over-ink' : 'num'}>
        {required < 0
          ? ''
          : required > 0
            ? `${provided >= required ? '+' : '−'}${Math.abs((100 * (provided - required)) / required).toFixed(0)} %`
            : '·'}
      </td>
    </tr>
  )
  return (
    <section aria-label="Required and provided">
      <h2>
        Steel, {units.us ? 'in²' : 'mm²'}; stirrups {units.us ? 'in²/in' : 'mm²/mm'}
      </h2>
      <table className="plain">
        <thead>
          <tr>
            <th>place</th>
            <th className="num">required</th>
            <th className="num">provided</th>
            <th className="num">to spare</th>
          </tr>
        </thead>
        <tbody>
          {beam.needs
            .filter((n) => n.requiredMm2 !== 0 || n.face === 'bottom')
            .map((n) =>
              row(
                `${n.face}${n.number}`,
                `${n.face} ${n.label}`,
                n.requiredMm2,
                n.providedMm2,
                area,
                n.minimum ? 'The minimum of the code decides' : '',
              ),
            )}
          {beam.legs.map((z, i) =>
            row(
              `z${i}`,
              `stirrups ${place(z.from)}–${place(z.to)} ${units.distance}`,
              z.required,
              z.provided,
              perLength,
            ),
          )}
        </tbody>
      </table>
    </section>
  )
}
