import { createContext, useContext } from 'react'
import type { Session } from '../../api/client'

/** One person on their own machine, who signs in nowhere. */
export const ALONE: Session = { team: false, name: '', administrator: false, mustChange: false, provider: '' }

export const SessionContext = createContext<Session>(ALONE)

/** Who uses the pages. */
export const useSession = () => useContext(SessionContext)

/** Whether somebody of a role may change the project; without a team everybody may. */
export const mayEdit = (role?: string) => role !== 'reader' && role !== 'checker'

/** The role in the project that is open; none where there is no team. */
export const RoleContext = createContext<string | undefined>(undefined)

/** Whether whoever looks at the open project may change it: what changes it is not offered to others. */
export const useMayEdit = () => mayEdit(useContext(RoleContext))

/** Whether somebody of a role may rename, share and delete the project. */
export const mayOwn = (role?: string) => !role || role === 'owner'
