import type { ResultRow, View, ViewMember } from '../../api/client'

/** How far off a grid line a member may lie to be on it [mm]. */
const NEAR = 50

type Grid = View['grid'][number]

const off = (g: Grid, x: number, y: number) =>
  Math.abs((g.x2 - g.x1) * (y - g.y1) - (g.y2 - g.y1) * (x - g.x1)) / Math.hypot(g.x2 - g.x1, g.y2 - g.y1)

/** Whether both ends of a member lie on a grid line in plan. */
export function onGrid(m: ViewMember, g: Grid): boolean {
  const [x1, y1, , x2, y2] = m.ends as [number, number, number, number, number, number]
  return off(g, x1, y1) <= NEAR && off(g, x2, y2) <= NEAR
}

/** Marks of the lines and stacks that lie on a grid line. */
export function marksOnGrid(view: View, g: Grid): string[] {
  return [...new Set(view.members.filter((m) => onGrid(m, g)).map((m) => view.marks[m.line]!))]
}

/** A way to select others, with what it would select. */
export interface Group {
  key: string
  words: string
  marks: string[]
}

/** Groups that a line belongs to, and those of the whole building. @param all every row, @param listed those of the list */
export function groupsOf(view: View, all: ResultRow[], listed: ResultRow[], row: ResultRow | undefined): Group[] {
  const of = (key: string, words: string, test: (r: ResultRow) => boolean): Group => ({
    key,
    words,
    marks: all.filter(test).map((r) => r.mark),
  })
  const out: Group[] = [{ key: 'list', words: 'all in the list', marks: listed.map((r) => r.mark) }]
  if (row) {
    out.push(
      of(
        'like',
        'all like this: role, section and spans',
        (r) => r.role === row.role && r.section === row.section && r.parts === row.parts,
      ),
      of('section', `all of section ${row.section}`, (r) => r.section === row.section),
      ...row.storeys
        .slice(0, 1)
        .map((s) => of('storey', `all of storey ${s}`, (r) => r.role === row.role && r.storeys.includes(s))),
      ...row.causes
        .slice(0, 3)
        .map((c) => of(`cause-${c}`, `all that fail by ${c.replace(/-/g, ' ')}`, (r) => r.causes.includes(c))),
    )
    const mine = view.members.filter((m) => view.marks[m.line] === row.mark)
    for (const g of view.grid.filter((q) => mine.length > 0 && mine.every((m) => onGrid(m, q))))
      out.push({ key: `grid-${g.id}`, words: `all on grid line ${g.id}`, marks: marksOnGrid(view, g) })
  }
  return out.filter((g) => g.marks.length > 0)
}
