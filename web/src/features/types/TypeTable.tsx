import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useMemo, useRef } from 'react'
import type { TypeRow } from '../../api/client'
import { utilisation } from '../../lib/format'
import { density, massIn, type Units } from '../../lib/units'

/** Steel in tonnes or tons, without its unit. */
export const tons = (kg: number, u: Units) => (u.us ? massIn(kg, u) / 2000 : kg / 1000).toFixed(2)

interface Props {
  rows: TypeRow[]
  units: Units
  /** the row that the detail is about, and all that keys act on */
  primary?: string
  chosen: ReadonlySet<string>
  onChoose: (mark: string, how: 'one' | 'toggle' | 'range') => void
  onKey: (e: React.KeyboardEvent) => void
  onOpen: (row: TypeRow) => void
}

/** The types in force, those that share a cage first; then members with cages of their own. */
export function TypeTable(p: Props) {
  const scroll = useRef<HTMLDivElement>(null)
  const v = useVirtualizer({
    count: p.rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => 31,
    overscan: 12,
  })
  const index = useMemo(() => p.rows.findIndex((r) => r.mark === p.primary), [p.rows, p.primary])
  useEffect(() => {
    if (index >= 0) v.scrollToIndex(index, { align: 'auto' })
  }, [index, v])
  const onKeyDown = (e: React.KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowUp: -1, PageDown: 15, PageUp: -15 }[e.key]
    if (!by || p.rows.length === 0) return p.onKey(e)
    e.preventDefault()
    const to = p.rows[Math.max(0, Math.min(p.rows.length - 1, index < 0 ? 0 : index + by))]!
    p.onChoose(to.mark, e.shiftKey ? 'range' : 'one')
  }
  return (
    <>
      <div className="type-row head soft">
        <span>type</span>
        <span>section</span>
        <span className="num">members</span>
        <span>storeys</span>
        <span>bars where it governs</span>
        <span className="num">util.</span>
        <span
          className="num wide"
          title="How near each other bars lie where they are nearest: 1 is as near as the code allows"
        >
          congest.
        </span>
        <span className="num">{p.units.us ? 'tons' : 't'}</span>
        <span className="num wide">
          {p.units.mass}/{p.units.volume}
        </span>
        <span className="num" title="More than the same members take with cages of their own">
          surplus
        </span>
      </div>
      <div
        className="rows"
        ref={scroll}
        role="listbox"
        aria-label="Types"
        aria-multiselectable
        tabIndex={0}
        aria-activedescendant={index >= 0 ? `type-${index}` : undefined}
        onKeyDown={onKeyDown}
      >
        {p.rows.length === 0 && <div className="notice">There are no members of this kind.</div>}
        <div style={{ height: v.getTotalSize(), position: 'relative' }}>
          {v.getVirtualItems().map((it) => {
            const r = p.rows[it.index]!
            return (
              <div
                key={r.id || r.mark}
                id={`type-${it.index}`}
                role="option"
                aria-selected={p.chosen.has(r.mark)}
                data-primary={r.mark === p.primary || undefined}
                className="type-row"
                data-shared={r.members.length > 1}
                style={{ transform: `translateY(${it.start}px)`, height: it.size }}
                onClick={(e) => p.onChoose(r.mark, e.shiftKey ? 'range' : e.ctrlKey || e.metaKey ? 'toggle' : 'one')}
                onDoubleClick={() => p.onOpen(r)}
              >
                <span className="clip">
                  <b>{r.mark}</b>
                  {r.locked && <span className="soft"> locked</span>}
                </span>
                <span className="clip" title={r.section}>
                  {r.section}
                </span>
                <span className="num">{r.members.length}</span>
                <span className="clip" title={r.storeys}>
                  {r.storeys}
                </span>
                <span className="clip soft" title={`${r.bars} · ${r.stirrups}`}>
                  {r.bars} · {r.stirrups}
                </span>
                <span className={r.satisfied ? 'num' : 'num over-ink'}>{utilisation(r.utilisation)}</span>
                <span className={r.congestion > 1 ? 'num wide over-ink' : 'num wide'}>{utilisation(r.congestion)}</span>
                <span className="num">{tons(r.steelKg, p.units)}</span>
                <span className="num wide">{density(r.densityKgM3, 1, p.units).split(' ')[0]}</span>
                <span className="num">
                  {r.members.length > 1
                    ? `${r.steelKg >= r.aloneKg ? '+' : '−'}${tons(Math.abs(r.steelKg - r.aloneKg), p.units)}`
                    : ''}
                </span>
              </div>
            )
          })}
        </div>
      </div>
    </>
  )
}
