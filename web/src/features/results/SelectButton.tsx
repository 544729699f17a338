import { Button } from 'antd'
import { lazy, Suspense, useState } from 'react'
import type { Group } from './alike'
import type { Selection } from './useSelection'

const SelectMenu = lazy(() => import('./SelectMenu').then((m) => ({ default: m.SelectMenu })))

/** Ways to select others; the menu comes when it is first asked for. */
export function SelectButton(p: { groups: () => Group[]; selection: Selection; everything?: string[] }) {
  const [wanted, setWanted] = useState(false)
  const button = <Button onClick={() => setWanted(true)}>Select…</Button>
  return wanted ? (
    <Suspense fallback={button}>
      <SelectMenu {...p} />
    </Suspense>
  ) : (
    button
  )
}
