import { useVirtualizer } from '@tanstack/react-virtual'
import { useRef } from 'react'
import { SIDE } from '../../drawing/diagram'
import { force } from '../../lib/format'
import type { Layer } from './layer'

/** Members by how much an edit changed them, largest first. */
export function ChangeList({
  layer,
  selected,
  onSelect,
}: {
  layer: Layer
  selected?: string
  onSelect: (mark: string) => void
}) {
  // rounding of the solver is no change
  const least = Math.max(0.005, 1e-3 * (layer.compare?.most ?? 0))
  const rows = (layer.compare?.changes ?? []).filter((c) => Math.abs(c.by) >= least)
  const parent = useRef<HTMLDivElement>(null)
  const list = useVirtualizer({
    count: rows.length,
    getScrollElement: () => parent.current,
    estimateSize: () => 27,
    overscan: 10,
  })
  if (!layer.compare)
    return (
      <p className="strip-words soft">{layer.from > 0 ? 'Comparing…' : 'Choose what to compare above the view.'}</p>
    )
  if (rows.length === 0)
    return <p className="strip-words soft">Nothing changed: every member carries the same between these versions.</p>
  const n = (v: number | null) => (v === null ? '–' : force(v))
  return (
    <>
      <p className="strip-words soft">
        Largest {SIDE[layer.component]!.name.toLowerCase()} over the strength combinations, {layer.compare.unit};{' '}
        {rows.length} members changed.
      </p>
      <div className="change-row head soft">
        <span>line</span>
        <span>member</span>
        <span className="num">before</span>
        <span className="num">after</span>
        <span className="num">change</span>
      </div>
      <div
        className="rows"
        ref={parent}
        role="listbox"
        aria-label="Changed members"
        tabIndex={0}
        onKeyDown={(e) => {
          const step = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0
          if (step === 0) return
          // the list of changes walks by itself while it has the focus
          e.preventDefault()
          e.nativeEvent.stopImmediatePropagation()
          let to = rows.findIndex((r) => r.mark === selected)
          // a line has several members: on to the next line
          do to += step
          while (rows[to]?.mark === selected)
          const row = rows[to]
          if (!row) return
          list.scrollToIndex(to)
          onSelect(row.mark)
        }}
      >
        <div style={{ height: list.getTotalSize(), position: 'relative' }}>
          {list.getVirtualItems().map((v) => {
            const r = rows[v.index]!
            return (
              <div
                key={r.member}
                className="change-row"
                role="option"
                aria-selected={r.mark === selected}
                onClick={() => onSelect(r.mark)}
                style={{ position: 'absolute', top: v.start, left: 0, right: 0 }}
              >
                <b>{r.mark}</b>
                <span className="soft">{r.member}</span>
                <span className="num">{n(r.before)}</span>
                <span className="num">{n(r.after)}</span>
                <span className="num">
                  {r.by > 0 ? '+' : ''}
                  {force(r.by)}
                </span>
              </div>
            )
          })}
        </div>
      </div>
    </>
  )
}
