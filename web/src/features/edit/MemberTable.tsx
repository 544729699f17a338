import type { ReactNode } from 'react'
import type { Element } from '../../api/client'
import type { PartProps } from './part'

/** Members that are shown one by one; of more only the row for all is. */
export const ONE_BY_ONE = 40

/** Those shown one by one: of many only the first, which the others can be made like. */
export const shownOf = (elements: Element[]) => (elements.length > ONE_BY_ONE ? elements.slice(0, 1) : elements)

/** Makes all members like the first. */
export function AllLike({ elements, onAll }: { elements: Element[]; onAll: (members: string[]) => void }) {
  if (elements.length < 2) return null
  return (
    <button type="button" className="pill button" onClick={() => onAll(elements.map((e) => e.id))}>
      All {elements.length} like {elements[0]!.id}
    </button>
  )
}

/** A row for all members and one for each, with a field to change. */
export function MemberTable(
  p: PartProps & { heading: string; all: (members: string[]) => ReactNode; one: (e: Element) => ReactNode },
) {
  const many = p.elements.length > ONE_BY_ONE
  return (
    <>
      <table className="plain">
        <thead>
          <tr>
            <th>member</th>
            <th className="num">length, {p.us ? 'ft' : 'm'}</th>
            <th>{p.heading}</th>
          </tr>
        </thead>
        <tbody>
          {p.elements.length > 1 && (
            <tr>
              <td className="soft">all {p.elements.length}</td>
              <td />
              <td>{p.all(p.elements.map((e) => e.id))}</td>
            </tr>
          )}
          {!many &&
            p.elements.map((e) => (
              <tr key={e.id}>
                <td>
                  <b>{e.id}</b>
                </td>
                <td className="num">{(e.lengthM / (p.us ? 0.3048 : 1)).toFixed(2)}</td>
                <td>{p.one(e)}</td>
              </tr>
            ))}
        </tbody>
      </table>
      {many && <p className="soft">{p.elements.length} members are changed together; select fewer to see each.</p>}
    </>
  )
}
