import {
  p,
  post,
  request,
  send,
  type Account,
  type Deed,
  type GivenAccount,
  type MadeToken,
  type OwnAccount,
  type Session,
  type Sharing,
} from './client'

/** Accounts, signing in and sharing: only pages of an office load it. */
export const people = {
  signIn: (name: string, password: string) => request<Session>('/api/session', post({ name, password })),
  signOut: () => request<void>('/api/session', { method: 'DELETE' }),
  account: (signal?: AbortSignal) => request<OwnAccount>('/api/account', { signal }),
  changePassword: (old: string, password: string) =>
    request<void>('/api/account/password', send('PUT', { old, password })),
  signOutOthers: () => request<OwnAccount>('/api/account/browsers', { method: 'DELETE' }),
  makeToken: (name: string) => request<MadeToken>('/api/account/tokens', post({ name })),
  endToken: (id: string) => request<OwnAccount>(`/api/account/tokens/${id}`, { method: 'DELETE' }),
  accounts: (signal?: AbortSignal) => request<{ accounts: Account[] }>('/api/accounts', { signal }),
  addAccount: (name: string, administrator: boolean) =>
    request<GivenAccount>('/api/accounts', post({ name, administrator })),
  resetAccount: (id: string) => request<GivenAccount>(`/api/accounts/${id}/password`, { method: 'POST' }),
  standAccount: (id: string, active: boolean, administrator: boolean) =>
    request<Account>(`/api/accounts/${id}`, send('PUT', { active, administrator })),
  allDeeds: (signal?: AbortSignal) => request<{ deeds: Deed[] }>('/api/deeds', { signal }),
  deeds: (id: string, signal?: AbortSignal) => request<{ deeds: Deed[] }>(`${p(id)}/deeds`, { signal }),
  sharing: (id: string, signal?: AbortSignal) => request<Sharing>(`${p(id)}/people`, { signal }),
  share: (id: string, account: string, role: string) =>
    request<Sharing>(`${p(id)}/people/${account}`, send('PUT', { role })),
  unshare: (id: string, account: string) => request<Sharing>(`${p(id)}/people/${account}`, { method: 'DELETE' }),
}
