import type { Element } from '../../api/client'
import type { Draft } from './draft'

/** What every part of the drawer is given: the members, what is drafted of them, and where a change goes. */
export interface PartProps {
  elements: Element[]
  drafts: Record<string, Draft>
  us: boolean
  onChange: (members: string[], d: Draft) => void
}
