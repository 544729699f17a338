import { Button, Select, Tooltip } from 'antd'
import { useRef, useState } from 'react'
import { Link } from 'react-router'
import type { TypeChange, TypeRow } from '../../api/client'
import { rampColor } from '../../drawing/ramp'
import { utilisation } from '../../lib/format'
import { density, tonnage, type Units } from '../../lib/units'
import { InlineText } from '../../ui/InlineText'
import { useMayEdit } from '../people/session'
import { CagePreview } from './CagePreview'
import { TypePlan } from './TypePlan'

interface Props {
  id: string
  row: TypeRow
  /** types that a member may move to */
  others: TypeRow[]
  units: Units
  busy: boolean
  onChange: (c: TypeChange) => void
}

/** The chosen type: its name, its cage where it governs, how far its members use it, and where they are. */
export function TypeDetail({ id, row, others, units, busy, onChange }: Props) {
  const may = useMayEdit()
  const [picked, setPicked] = useState<string>()
  const box = useRef<HTMLDivElement>(null)
  const member = row.members.find((m) => m.mark === picked)
  const shared = row.members.length > 1
  const surplus = row.steelKg - row.aloneKg
  const longest = Math.max(...row.members.map((m) => m.parts))
  const uneven = row.members.some((m) => m.parts < longest)
  // the cage of the one that governs, unless it is only a part of another's
  const whole =
    row.members.find((m) => m.mark === row.governing && m.parts === longest) ??
    row.members.find((m) => m.parts === longest)
  return (
    <section className="type-detail" ref={box}>
      <h2>
        {row.id && may ? (
          <InlineText
            key={row.id + row.mark}
            value={row.mark}
            label="Mark of the type"
            onCommit={(mark) => onChange({ action: 'rename', type: row.id, mark })}
          />
        ) : (
          row.mark
        )}
        <span className="soft">
          {shared ? `${row.members.length} members` : 'a cage of its own'} · {row.section} ·{' '}
          {tonnage(row.steelKg, units)}
          {shared && ` · ${surplus >= 0 ? '+' : '−'}${tonnage(Math.abs(surplus), units)} over cages of their own`}
        </span>
      </h2>
      {!row.sound && (
        <p className="over-ink">
          No common cage serves all of them: some fail that would not fail by themselves. Take those out, or split the
          type.
        </p>
      )}
      {row.left.length > 0 && (
        <p className="soft">
          With a cage of their own although they belong to it: {row.left.map((l) => `${l.mark} (${l.why})`).join(', ')}.
        </p>
      )}
      <CagePreview id={id} mark={whole?.mark ?? row.governing} units={units} />
      {uneven && (
        <p className="soft">As in {whole?.mark}. Columns that end lower have its lifts as far up as they go.</p>
      )}
      <p className="soft">
        <Link to={`/p/${id}/sheet/${encodeURIComponent(row.governing)}`}>{row.governing}</Link> governs:{' '}
        {row.check.toLowerCase()}, {utilisation(row.utilisation)} · {density(row.densityKgM3, 1, units)} ·{' '}
        <Tooltip title="How near each other bars lie where they are nearest: 1 is as near as the code allows">
          <span className={row.congestion > 1 ? 'over-ink' : ''}>congestion {utilisation(row.congestion)}</span>
        </Tooltip>
      </p>
      <div className="type-foot">
        {shared && (
          <div className="type-members" role="group" aria-label="Members of the type">
            {row.members.map((m) => (
              <Tooltip
                key={m.mark}
                title={`${m.mark}${uneven ? `, ${m.parts} lifts` : ''} · ${utilisation(m.utilisation)}${m.satisfied ? '' : ' · fails'}`}
              >
                <button
                  type="button"
                  aria-label={m.mark}
                  aria-pressed={m.mark === picked}
                  style={{ background: m.satisfied ? rampColor(m.utilisation) : 'var(--over)' }}
                  onClick={() => setPicked(m.mark === picked ? undefined : m.mark)}
                />
              </Tooltip>
            ))}
          </div>
        )}
        <TypePlan id={id} marks={row.members.map((m) => m.mark)} />
      </div>
      {member && (
        <div className="type-member">
          <b>{member.mark}</b>{' '}
          <span className={member.satisfied ? '' : 'over-ink'}>{utilisation(member.utilisation)}</span>
          <Link to={`/p/${id}/sheet/${encodeURIComponent(member.mark)}`}>sheet</Link>
          <Button size="small" disabled={busy} onClick={() => onChange({ action: 'apart', members: [member.mark] })}>
            Take out
          </Button>
          <Select
            size="small"
            style={{ width: 150 }}
            aria-label="Move to type"
            placeholder="Move to type"
            value={null}
            disabled={busy || others.length === 0}
            options={others.map((o) => ({ value: o.id, label: o.mark }))}
            onChange={(type) => type && onChange({ action: 'merge', members: [member.mark], type })}
          />
        </div>
      )}
    </section>
  )
}
