/** What a role may do, each with all that those before it may. */
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
  'keep-section': 'kept a section',
  'forget-section': 'forgot a kept section',
  'sign-in': 'signed in',
  'sign-out-others': 'signed other browsers out',
  password: 'changed a password',
  'account-add': 'made an account',
  'account-change': 'changed an account',
  'account-link': 'linked the account to the provider',
  'account-reset': 'gave a new password',
  'token-add': 'made a token',
  'token-end': 'ended a token',
}

/** Why somebody came back from the provider without what they went for. */
export const REFUSED: Record<string, string> = {
  denied: 'The provider did not sign you in.',
  stale: 'That sign-in began elsewhere or long ago; begin again.',
  provider: 'The provider does not answer as it should; try again in a while.',
  closed: 'Your account is closed; ask an administrator of your office.',
  linked:
    'The provider knows you as somebody who has another account here; sign in as that one, or ask an administrator.',
}
