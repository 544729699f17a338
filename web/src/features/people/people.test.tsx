import { render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { api, ApiError, type Account, type Session } from '../../api/client'
import { people } from '../../api/people'
import { TitleLine } from '../../app/TitleLine'
import { Around } from '../../test/fixtures'
import { AccountPage } from './AccountPage'
import { OfficePage } from './OfficePage'
import { SessionContext } from './session'
import { SessionGate } from './SessionGate'
import { SharingPill } from './SharingPill'

const session = (over: Partial<Session> = {}): Session => ({
  team: true,
  name: 'Ines Ravn',
  administrator: false,
  mustChange: false,
  provider: '',
  ...over,
})
const AT = '2026-03-01T10:00:00Z'

const gate = () =>
  render(
    <Around>
      <SessionGate mode="light" onMode={() => {}}>
        <TitleLine mode="light" onMode={() => {}} />
        <p>the pages</p>
      </SessionGate>
    </Around>,
  )

describe('the gate', () => {
  it('shows the pages at once to one person on their own machine', async () => {
    vi.spyOn(api, 'session').mockResolvedValue(session({ team: false, name: '' }))
    gate()
    expect(await screen.findByText('the pages')).toBeInTheDocument()
    expect(screen.queryByLabelText(/Signed in as/)).toBeNull()
  })

  it('asks for name and password, tells why not, and opens', async () => {
    vi.spyOn(api, 'session').mockResolvedValue(session({ name: '' }))
    const signIn = vi
      .spyOn(people, 'signIn')
      .mockRejectedValueOnce(new ApiError(401, 'Name or password is wrong.', 'Try again.'))
      .mockResolvedValueOnce(session())
    gate()
    await userEvent.type(await screen.findByLabelText('Name'), 'Ines Ravn')
    await userEvent.type(screen.getByLabelText('Password'), 'wrong{Enter}')
    expect(await screen.findByRole('alert')).toHaveTextContent('Name or password is wrong.')
    expect(screen.getByLabelText('Password')).toHaveValue('')
    await userEvent.type(screen.getByLabelText('Password'), 'right one{Enter}')
    expect(await screen.findByText('the pages')).toBeInTheDocument()
    expect(signIn).toHaveBeenLastCalledWith('Ines Ravn', 'right one')
    expect(await screen.findByLabelText('Signed in as Ines Ravn')).toHaveTextContent('IR')
  })

  it('offers the provider, comes back to the same page, and tells why it was not let in', async () => {
    vi.spyOn(api, 'session').mockResolvedValue(session({ name: '', provider: 'Velde Engineers' }))
    window.history.replaceState(null, '', '/p/x/results?sel=B1&refused=denied')
    gate()
    const link = await screen.findByRole('link', { name: 'Sign in with Velde Engineers' })
    expect(link).toHaveAttribute('href', '/openid/begin?to=%2Fp%2Fx%2Fresults%3Fsel%3DB1')
    expect(screen.getByRole('alert')).toHaveTextContent('did not sign you in')
    window.history.replaceState(null, '', '/')
  })

  it('has a given password changed first', async () => {
    vi.spyOn(api, 'session')
      .mockResolvedValueOnce(session({ mustChange: true }))
      .mockResolvedValue(session())
    const change = vi.spyOn(people, 'changePassword').mockResolvedValue()
    gate()
    await userEvent.type(await screen.findByLabelText('Password now'), 'given')
    await userEvent.type(screen.getByLabelText(/^New password ?Twelve/), 'violet umbrella')
    await userEvent.type(screen.getByLabelText(/^New password again/), 'violet umbrell')
    expect(screen.getByText('It differs from the one above.')).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Change password' })).toBeDisabled()
    await userEvent.type(screen.getByLabelText(/^New password again/), 'a')
    await userEvent.click(screen.getByRole('button', { name: 'Change password' }))
    expect(change).toHaveBeenCalledWith('given', 'violet umbrella')
    expect(await screen.findByText('the pages')).toBeInTheDocument()
  })

  it('signs out to the page that signs in', async () => {
    vi.spyOn(api, 'session')
      .mockResolvedValueOnce(session())
      .mockResolvedValue(session({ name: '' }))
    const out = vi.spyOn(people, 'signOut').mockResolvedValue()
    gate()
    await userEvent.click(await screen.findByLabelText('Signed in as Ines Ravn'))
    expect(screen.queryByText('People of the office')).toBeNull()
    await userEvent.click(await screen.findByText('Sign out'))
    expect(await screen.findByRole('heading', { name: 'Sign in' })).toBeInTheDocument()
    expect(out).toHaveBeenCalled()
  })
})

describe('the account', () => {
  const account = {
    name: 'Ines Ravn',
    linked: false,
    browsers: [
      { device: 'Mozilla/5.0 (X11; Linux) Firefox/140', address: '10.0.0.4', beganAt: AT, seenAt: AT, here: true },
      { device: 'Mozilla/5.0 (Windows) Edg/141', address: '10.0.0.9', beganAt: AT, seenAt: AT, here: false },
    ],
    tokens: [{ id: 't', name: 'nightly', madeAt: AT, endsAt: '2027-03-01T10:00:00Z', usedAt: '' }],
  }

  it('tells its browsers and signs the others out', async () => {
    vi.spyOn(people, 'account').mockResolvedValue(account)
    const out = vi
      .spyOn(people, 'signOutOthers')
      .mockResolvedValue({ ...account, browsers: account.browsers.filter((b) => b.here) })
    render(<AccountPage mode="light" onMode={() => {}} />, { wrapper: Around })
    expect(await screen.findByText('Edge on Windows')).toBeInTheDocument()
    await userEvent.click(screen.getByRole('button', { name: 'Sign the others out' }))
    await waitFor(() => expect(screen.queryByText('Edge on Windows')).toBeNull())
    expect(out).toHaveBeenCalled()
    expect(screen.queryByRole('button', { name: 'Sign the others out' })).toBeNull()
  })

  const page = () =>
    render(
      <SessionContext.Provider value={session({ provider: 'Velde Engineers' })}>
        <AccountPage mode="light" onMode={() => {}} />
      </SessionContext.Provider>,
      { wrapper: Around },
    )

  it('is linked with the provider, and tells why it was not', async () => {
    vi.spyOn(people, 'account').mockResolvedValue(account)
    window.history.replaceState(null, '', '/account?refused=linked')
    page()
    const link = await screen.findByRole('link', { name: 'Link with Velde Engineers' })
    expect(link).toHaveAttribute('href', '/openid/begin?link=1')
    expect(screen.getByRole('alert')).toHaveTextContent('somebody who has another account here')
  })

  it('tells that it is linked', async () => {
    vi.spyOn(people, 'account').mockResolvedValue({ ...account, linked: true })
    window.history.replaceState(null, '', '/account')
    page()
    expect(await screen.findByText('You sign in through Velde Engineers as this account.')).toBeInTheDocument()
    expect(screen.queryByRole('link', { name: /Link with/ })).toBeNull()
  })

  it('makes a token, shows it once, and ends one', async () => {
    vi.spyOn(people, 'account').mockResolvedValue(account)
    vi.spyOn(people, 'makeToken').mockResolvedValue({
      token: { ...account.tokens[0]!, name: 'site' },
      secret: 'kol_abc',
    })
    const end = vi.spyOn(people, 'endToken').mockResolvedValue({ ...account, tokens: [] })
    render(<AccountPage mode="light" onMode={() => {}} />, { wrapper: Around })
    await userEvent.type(await screen.findByLabelText('Name of a new token'), 'site{Enter}')
    expect(await screen.findByRole('status')).toHaveTextContent('The token for site, shown this once: kol_abc')
    await userEvent.click(screen.getByRole('button', { name: 'End' }))
    await userEvent.click(within(await screen.findByRole('tooltip')).getByRole('button', { name: 'End' }))
    await waitFor(() => expect(screen.queryByText('nightly')).toBeNull())
    expect(end).toHaveBeenCalledWith('t', expect.anything())
  })
})

describe('the office', () => {
  const anna: Account = {
    id: 'a',
    name: 'Anna',
    administrator: true,
    active: true,
    mustChange: false,
    madeAt: AT,
    signedInAt: AT,
  }

  beforeEach(() => {
    vi.spyOn(people, 'accounts').mockResolvedValue({ accounts: [anna] })
    vi.spyOn(api, 'projects').mockResolvedValue({
      projects: [{ id: 'p', name: 'Zaal', createdAt: AT, changedAt: AT, version: 1 }],
    })
    vi.spyOn(people, 'allDeeds').mockResolvedValue({
      deeds: [
        {
          at: AT,
          project: 'p',
          version: 0,
          person: 'Anna',
          address: '10.0.0.4',
          kind: 'share',
          detail: 'Ben as reader',
        },
      ],
    })
  })

  it('adds a colleague and tells the password once', async () => {
    const add = vi
      .spyOn(people, 'addAccount')
      .mockResolvedValue({ account: { ...anna, id: 'b', name: 'Ben' }, password: 'abcd-efgh' })
    render(<OfficePage mode="light" onMode={() => {}} />, { wrapper: Around })
    await userEvent.type(await screen.findByLabelText('Name of a new account'), 'Ben{Enter}')
    expect(await screen.findByRole('status')).toHaveTextContent('Ben signs in with this password')
    expect(screen.getByRole('status')).toHaveTextContent('abcd-efgh')
    expect(add).toHaveBeenCalledWith('Ben', false)
  })

  it('tells why an account cannot be closed, and what was done in which project', async () => {
    vi.spyOn(people, 'standAccount').mockRejectedValue(
      new ApiError(409, 'Anna is the last administrator.', 'Make somebody else one.'),
    )
    render(<OfficePage mode="light" onMode={() => {}} />, { wrapper: Around })
    await userEvent.click(await screen.findByRole('button', { name: 'Close' }))
    expect(await screen.findByRole('alert')).toHaveTextContent('Anna is the last administrator.')
    expect(await screen.findByText('· Zaal')).toBeInTheDocument()
    expect(screen.getByText('Ben as reader')).toBeInTheDocument()
  })
})

describe('sharing', () => {
  const project = { id: 'p', name: 'Zaal', createdAt: AT, changedAt: AT, version: 1 }
  const sharing = {
    people: [{ account: 'a', name: 'Anna', role: 'owner' }],
    others: [{ account: 'b', name: 'Ben' }],
  }
  const pill = (role: string) =>
    render(
      <Around>
        <SessionContext.Provider value={session()}>
          <SharingPill project={{ ...project, role }} />
        </SessionContext.Provider>
      </Around>,
    )

  beforeEach(() => {
    vi.spyOn(people, 'deeds').mockResolvedValue({ deeds: [] })
  })

  it('is not there for one person on their own machine', () => {
    render(<SharingPill project={project} />, { wrapper: Around })
    expect(screen.queryByRole('button')).toBeNull()
  })

  it('shares as an owner', async () => {
    vi.spyOn(people, 'sharing').mockResolvedValue(sharing)
    const share = vi.spyOn(people, 'share').mockResolvedValue({
      people: [...sharing.people, { account: 'b', name: 'Ben', role: 'engineer' }],
      others: [],
    })
    pill('owner')
    await userEvent.click(screen.getByRole('button', { name: 'People' }))
    await userEvent.click(await screen.findByLabelText('Share with'))
    await userEvent.click(await screen.findByTitle('Ben'))
    await userEvent.click(screen.getByRole('button', { name: 'Share' }))
    expect(await screen.findByText('Everybody of the office has a role already.')).toBeInTheDocument()
    expect(share).toHaveBeenCalledWith('p', 'b', 'engineer')
    expect(screen.getByText('Ben')).toBeInTheDocument()
  })

  it('tells a reader what they are, and shows who else', async () => {
    vi.spyOn(people, 'sharing').mockResolvedValue({ people: sharing.people, others: [] })
    pill('reader')
    await userEvent.click(screen.getByRole('button', { name: 'reader' }))
    expect(await screen.findByText('Anna')).toBeInTheDocument()
    expect(screen.queryByRole('button', { name: 'Remove' })).toBeNull()
    expect(screen.queryByLabelText('Share with')).toBeNull()
  })
})
