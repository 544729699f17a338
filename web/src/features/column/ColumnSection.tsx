import { Button, Tooltip } from 'antd'
import type { ReactNode } from 'react'
import type { Column, HandLifts, Lift } from '../../api/client'
import { lengthIn, strength, type Units } from '../../lib/units'
import { barFill } from '../beam/BeamSections'
import { useMayEdit } from '../people/session'
import { alike, toAlike, toggleHeld } from './lifts'

const SIZE = 190

/** Face and place of a bar between the corners; undefined for corners and round columns. Bars come in pairs: along x, then up the sides. */
function between(lift: Lift, index: number): { face: 'x' | 'y'; at: number } | undefined {
  const rows = lift.whole.rows
  if (!rows) return undefined
  const alongX = index < 2 * rows.alongX
  const at = alongX ? Math.floor(index / 2) : Math.floor((index - 2 * rows.alongX) / 2) + 1
  if (alongX && (at === 0 || at === rows.alongX - 1)) return undefined
  return { face: alongX ? 'x' : 'y', at }
}

/** The lift's section with bars and ties to scale; a click on a bar between the corners gives it a leg or takes it away. */
export function ColumnSection({
  column,
  lift,
  units,
  bench,
  onSave,
}: {
  column: Column
  lift: Lift
  units: Units
  /** what leads to the bench and from it */
  bench?: ReactNode
  onSave: (h: HandLifts) => void
}) {
  const may = useMayEdit()
  const coverMm = column.coverMm
  const { width: b, depth: h, shape } = lift.section
  const k = SIZE / Math.max(b, h)
  // bars lie about the centroid, which is the middle but of ells and tees
  const off = middle(lift.outline?.corners)
  const cx = 12 + SIZE / 2 - off.x * k
  const cy = 12 + SIZE / 2 + off.y * k
  const coupled = lift.standing.some((words) => words.includes('coupled'))
  const largest = Math.max(...lift.spots.map((s) => s.diameter))
  const inset = (coverMm + lift.tie.diameter / 2) * k
  const sizes = [...new Map(lift.spots.map((s) => [s.size, s.diameter])).entries()].sort((p, q) => q[1] - p[1])
  return (
    <div className="column-section">
      <svg
        width={SIZE + 24}
        height={SIZE + 24}
        role="group"
        aria-label={`Section ${lift.section.label} with ${lift.bars}`}
      >
        {shape === 'circle' ? (
          <>
            <circle className="concrete" cx={cx} cy={cy} r={(b / 2) * k} />
            <circle className="tie" cx={cx} cy={cy} r={(b / 2) * k - inset} />
          </>
        ) : lift.outline ? (
          <Outline outline={lift.outline} cx={cx} cy={cy} k={k} />
        ) : (
          <>
            <rect className="concrete" x={cx - (b / 2) * k} y={cy - (h / 2) * k} width={b * k} height={h * k} />
            <rect
              className="tie"
              x={cx - (b / 2) * k + inset}
              y={cy - (h / 2) * k + inset}
              width={b * k - 2 * inset}
              height={h * k - 2 * inset}
              rx={4}
            />
            <Legs lift={lift} cx={cx} cy={cy} k={k} inset={inset} />
          </>
        )}
        {lift.spots.map((s, i) => {
          const bar = (
            <circle
              key={i}
              cx={cx + s.y * k}
              cy={cy - s.z * k}
              r={(s.diameter / 2) * k}
              fill={barFill(s.diameter, largest)}
              stroke="var(--ink)"
            />
          )
          const place = between(lift, i)
          if (!place) return bar
          const held = (place.face === 'x' ? lift.tie.heldX : lift.tie.heldY)[place.at]
          const toggle = () => may && onSave(toggleHeld(column, lift, place.face, place.at))
          return (
            <Tooltip key={i} title={held ? 'Held by a leg; click to take it away' : 'Not held; click to give it a leg'}>
              <g
                className="held-bar"
                role="button"
                tabIndex={0}
                aria-pressed={held}
                aria-label={`Leg at bar ${place.at + 1} ${place.face === 'x' ? 'across' : 'in depth'}`}
                onClick={toggle}
                onKeyDown={(e) => e.key === 'Enter' && toggle()}
              >
                {bar}
              </g>
            </Tooltip>
          )
        })}
      </svg>
      <div>
        <span className="pill">{lift.bars}</span> <span className="pill">{lift.ties}</span>
        <p className="soft">
          {lift.section.label} · f′c {strength(lift.section.fc, units)}
          <br />
          {lengthIn(lengthIn(lift.areaMm2, units), units).toFixed(units.us ? 2 : 0)} {units.length}² ·{' '}
          {(100 * lift.ratio).toFixed(2)} %{coupled ? '' : `, at laps ${(200 * lift.ratio).toFixed(2)} %`}
          <br />
          sway index {lift.qx.toFixed(2)}, {lift.qy.toFixed(2)} · δs {lift.magnifierMx.toFixed(2)},{' '}
          {lift.magnifierMy.toFixed(2)}
          <br />
          effective lengths {lift.effectiveLengthMx.toFixed(2)}, {lift.effectiveLengthMy.toFixed(2)} of clear
        </p>
        <ul className="standing soft" aria-label="How the bars stand">
          {lift.standing.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
        <p className="key soft">
          {sizes.map(([label, d]) => (
            <span key={label}>
              <svg width={12} height={12}>
                <circle cx={6} cy={6} r={4.5} fill={barFill(d, largest)} stroke="var(--ink)" />
              </svg>{' '}
              {label}
            </span>
          ))}
        </p>
        {may && <ToAlike column={column} lift={lift} onSave={onSave} />} {bench}
      </div>
    </div>
  )
}

/** Middle of what corners reach over, x and y in turn. */
function middle(corners: number[] = []): { x: number; y: number } {
  if (corners.length === 0) return { x: 0, y: 0 }
  const xs = corners.filter((_, i) => i % 2 === 0)
  const ys = corners.filter((_, i) => i % 2 === 1)
  return { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 }
}

/** An ell or a tee with the closed ties of its legs and the cross-ties. */
function Outline(p: { outline: NonNullable<Lift['outline']>; cx: number; cy: number; k: number }) {
  const x = (v: number) => p.cx + v * p.k
  const y = (v: number) => p.cy - v * p.k
  const { corners, closed, cross } = p.outline
  const points = corners.map((v, i) => (i % 2 === 0 ? x(v) : y(v))).join(' ')
  return (
    <>
      <polygon className="concrete" points={points} />
      {closed.map(([x1, y1, x2, y2], i) => (
        <rect
          key={i}
          className="tie"
          x={x(x1!)}
          y={y(y2!)}
          width={(x2! - x1!) * p.k}
          height={(y2! - y1!) * p.k}
          rx={4}
        />
      ))}
      {cross.map(([x1, y1, x2, y2], i) => (
        <line key={i} className="tie" x1={x(x1!)} y1={y(y1!)} x2={x(x2!)} y2={y(y2!)} />
      ))}
    </>
  )
}

/** The lift's cage on the other lifts of its section. */
function ToAlike({ column, lift, onSave }: { column: Column; lift: Lift; onSave: (h: HandLifts) => void }) {
  const others = alike(column, lift)
  if (others.length === 0) return null
  const where = others.map((l) => l.storey || 'the top').join(', ')
  return (
    <Tooltip title={`The bars and ties of this lift by hand on ${where} as well: ${lift.section.label}`}>
      <Button size="small" onClick={() => onSave(toAlike(column, lift))}>
        This cage also to {where}
      </Button>
    </Tooltip>
  )
}

/** Inner legs that hold bars between the corners. */
function Legs({ lift, cx, cy, k, inset }: { lift: Lift; cx: number; cy: number; k: number; inset: number }) {
  const { width: b, depth: h } = lift.section
  const corner = Math.max(...lift.spots.map((s) => s.y))
  const side = Math.max(...lift.spots.map((s) => s.z))
  const place = (n: number, i: number, half: number) => -half + (2 * half * i) / (n - 1)
  const x = lift.tie.heldX
  const y = lift.tie.heldY
  return (
    <>
      {x.map(
        (held, i) =>
          held &&
          i > 0 &&
          i < x.length - 1 && (
            <line
              key={`x${i}`}
              className="tie"
              x1={cx + place(x.length, i, corner) * k}
              x2={cx + place(x.length, i, corner) * k}
              y1={cy - (h / 2) * k + inset}
              y2={cy + (h / 2) * k - inset}
            />
          ),
      )}
      {y.map(
        (held, i) =>
          held &&
          i > 0 &&
          i < y.length - 1 && (
            <line
              key={`y${i}`}
              className="tie"
              y1={cy - place(y.length, i, side) * k}
              y2={cy - place(y.length, i, side) * k}
              x1={cx - (b / 2) * k + inset}
              x2={cx + (b / 2) * k - inset}
            />
          ),
      )}
    </>
  )
}
