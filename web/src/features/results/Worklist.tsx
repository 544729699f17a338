import { useVirtualizer } from '@tanstack/react-virtual'
import { Button } from 'antd'
import { useEffect, useMemo, useRef } from 'react'
import type { ResultRow } from '../../api/client'
import { utilisation } from '../../lib/format'
import { UtilisationBar } from '../../ui/UtilisationBar'
import { howOf, type Selection } from './useSelection'

/** One row a beam line or column stack, worst first. */
export function Worklist(p: {
  rows: ResultRow[]
  selection: Selection
  onOpen: (m: string) => void
  onClear: () => void
}) {
  const scroll = useRef<HTMLDivElement>(null)
  const v = useVirtualizer({
    count: p.rows.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => 47,
    overscan: 8,
  })
  const { primary, all } = p.selection
  const marks = useMemo(() => p.rows.map((r) => r.mark), [p.rows])
  const index = primary === undefined ? -1 : marks.indexOf(primary)
  useEffect(() => {
    if (index >= 0) v.scrollToIndex(index, { align: 'auto' })
  }, [index, v])
  return (
    <>
      <div className="row head soft">
        <span>mark</span>
        <span>governing check</span>
        <span />
        <span className="num">util.</span>
        <span>section</span>
        <span className="rest">bars, stirrups, notes</span>
      </div>
      <div
        className="rows"
        ref={scroll}
        role="listbox"
        aria-label="Beam lines and column stacks"
        aria-multiselectable
        tabIndex={0}
        aria-activedescendant={index >= 0 ? `row-${index}` : undefined}
      >
        {p.rows.length === 0 && (
          <div className="notice">
            Nothing matches.{' '}
            <Button type="link" size="small" onClick={p.onClear}>
              Clear the query
            </Button>
          </div>
        )}
        <div style={{ height: v.getTotalSize(), position: 'relative' }}>
          {v.getVirtualItems().map((it) => {
            const r = p.rows[it.index]!
            return (
              <div
                key={r.mark}
                id={`row-${it.index}`}
                role="option"
                aria-selected={all.has(r.mark)}
                data-primary={r.mark === primary || undefined}
                className="row"
                data-fails={!r.satisfied}
                style={{
                  transform: `translateY(${it.start}px)`,
                  height: it.size,
                  position: 'absolute',
                  left: 0,
                  right: 0,
                }}
                onClick={(e) => (e.shiftKey ? p.selection.range(marks, r.mark) : p.selection.pick(r.mark, howOf(e)))}
                onDoubleClick={() => p.onOpen(r.mark)}
              >
                <b>
                  {r.mark}
                  {r.handSet && (
                    <span className="soft" title="A part of it is set by hand">
                      {' '}
                      ✎
                    </span>
                  )}
                </b>
                <span className="clip" title={r.check}>
                  {r.check}
                </span>
                <UtilisationBar value={r.utilisation} satisfied={r.satisfied} />
                <b className={r.satisfied ? 'num' : 'num over-ink'}>{utilisation(r.utilisation)}</b>
                <span className="second soft clip" title={r.section}>
                  {r.section}
                </span>
                <span className="second rest soft clip">
                  {r.type && <b title="Type whose cage it shares">{r.type} </b>}
                  {r.bars} · {r.stirrups}
                  {r.notes > 0 && ` · ${r.notes} note${r.notes > 1 ? 's' : ''}`}
                </span>
              </div>
            )
          })}
        </div>
      </div>
    </>
  )
}
