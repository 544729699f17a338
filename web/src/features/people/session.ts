import { createContext, useContext } from 'react'
import type { Session } from '../../api/client'

/** One person on their own machine, who signs in nowhere. */
export const ALONE: Session = { team: false, name: '', administrator: false, mustChange: false, provider: '' }

export const SessionContext = createContext<Session>(ALONE)

/** Who uses the pages. */
export const useSession = () => useContext(SessionContext)

/** Whether somebody of a role may change the project; without a team everybody may. */
export const mayEdit = (role?: string) => role !== 'reader' && role !== 'checker'

/** Whether somebody of a role may rename, share and delete the project. */
export const mayOwn = (role?: string) => !role || role === 'owner'

export const ROLES: Record<string, string> = {
  reader: 'looks at everything and downloads it',
  checker: 'fills in the title block and its revisions as well',
  engineer: 'changes model, basis, cages and types as well',
  owner: 'renames, shares and deletes the project as well',
}

/** What people did, in words. */
export const DEEDS: Record<string, string> = {
  import: 'brought in',
  'edit-model': 'changed the model',
  'hand-set': 'set a cage by hand',
  'change-basis': 'changed the basis',
  'set-basis': 'set the basis',
  'set-mark': 'gave a mark',
  'set-types': 'changed types',
  'revise-model': 'adopted a newer model',
  'undo-edit': 'undid a change',
  'redo-edit': 'redid a change',
  rename: 'renamed the project',
  'project-data': 'changed the title block',
  share: 'shared the project',
  unshare: 'stopped sharing',
  export: 'downloaded',
  delete: 'deleted the project',
  'bring-back': 'brought the project back',
  remove: 'removed the project for good',
  'keep-basis': 'kept a basis',
  'forget-basis': 'forgot a kept basis',
  'sign-in': 'signed in',
  'sign-out-others': 'signed other browsers out',
  password: 'changed a password',
  'account-add': 'made an account',
  'account-change': 'changed an account',
  'account-reset': 'gave a new password',
  'token-add': 'made a token',
  'token-end': 'ended a token',
}
