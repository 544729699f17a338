import type { TypesAt } from '../../api/client'
import type { Units } from '../../lib/units'
import { tons } from './TypeTable'

/** What a point of the curve would make: who shares, and what it costs. */
export function PreviewTable({ at, units }: { at: TypesAt; units: Units }) {
  const shared = at.groups
    .filter((g) => g.members.length > 1)
    .map((g) => ({ ...g, members: [...g.members].sort((a, b) => a.localeCompare(b, undefined, { numeric: true })) }))
  const alone = at.groups.length - shared.length
  return (
    <>
      <div className="type-row preview head soft">
        <span title="The member of the type that takes most steel by itself">cage led by</span>
        <span>section</span>
        <span className="num">members</span>
        <span>storeys</span>
        <span>who shares it</span>
        <span className="num">{units.us ? 'tons' : 't'}</span>
        <span className="num" title="More than the same members take with cages of their own">
          surplus
        </span>
      </div>
      <div className="rows" tabIndex={0} role="list" aria-label="Types at this point">
        {shared.map((g) => (
          <div key={g.heaviest} className="type-row preview" role="listitem">
            <b className="clip">{g.heaviest}</b>
            <span className="clip" title={g.section}>
              {g.section}
            </span>
            <span className="num">{g.members.length}</span>
            <span className="clip">{g.storeys}</span>
            <span className="clip soft" title={g.members.join(', ')}>
              {g.members.join(', ')}
            </span>
            <span className="num">{tons(g.steelKg, units)}</span>
            <span className="num">
              {g.steelKg >= g.aloneKg ? '+' : '−'}
              {tons(Math.abs(g.steelKg - g.aloneKg), units)}
            </span>
          </div>
        ))}
        {alone > 0 && (
          <div className="type-row soft">
            <span style={{ gridColumn: '1 / -1' }}>
              and {alone} {alone === 1 ? 'member keeps a cage of its own' : 'members keep cages of their own'}
            </span>
          </div>
        )}
      </div>
    </>
  )
}
