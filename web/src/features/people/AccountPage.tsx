import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Input, Popconfirm } from 'antd'
import { useState } from 'react'
import { type ApiError, type MadeToken, type OwnAccount } from '../../api/client'
import { people } from '../../api/people'
import type { Mode } from '../../app/theme'
import { TitleLine } from '../../app/TitleLine'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { PasswordForm } from './PasswordForm'
import { useSession } from './session'
import { ToldOnce } from './ToldOnce'
import { REFUSED } from './words'

const KEY = ['account']
const day = (at: string) => (at ? new Date(at).toLocaleDateString() : 'never')

/** A person's own account: password, browsers that are signed in, tokens of programs. */
export function AccountPage({ mode, onMode }: { mode: Mode; onMode: () => void }) {
  const q = useQuery({ queryKey: KEY, queryFn: ({ signal }) => people.account(signal), staleTime: 0 })
  return (
    <div className="front">
      <TitleLine mode={mode} onMode={onMode} />
      <main className="front-page">
        <h1>Your account</h1>
        {q.isError && <ErrorView error={q.error} onRetry={() => void q.refetch()} />}
        {q.isPending && <Loading words="Reading your account" />}
        {q.data && (
          <div className="two">
            <div>
              <Password />
              <Provider account={q.data} />
            </div>
            <div>
              <Browsers account={q.data} />
              <Tokens account={q.data} />
            </div>
          </div>
        )}
      </main>
    </div>
  )
}

function Password() {
  const queries = useQueryClient()
  return (
    <section>
      <h2>Password</h2>
      <p className="soft">Changing it signs your other browsers out and ends your tokens.</p>
      <PasswordForm onDone={() => void queries.invalidateQueries({ queryKey: KEY })} />
    </section>
  )
}

/** Signing in through the office's provider, where there is one. */
function Provider({ account }: { account: OwnAccount }) {
  const { provider } = useSession()
  const refused = REFUSED[new URL(window.location.href).searchParams.get('refused') ?? '']
  if (!provider) return null
  return (
    <section aria-label="Provider">
      <h2>{provider}</h2>
      <p className="soft">
        {account.linked
          ? `You sign in through ${provider} as this account.`
          : `Sign in there once, and from then on either way leads to this account.`}
      </p>
      {refused && (
        <p role="alert" className="over-ink">
          {refused}
        </p>
      )}
      {!account.linked && (
        <Button size="small" href="/openid/begin?link=1">
          Link with {provider}
        </Button>
      )}
    </section>
  )
}

function Browsers({ account }: { account: OwnAccount }) {
  const queries = useQueryClient()
  const end = useMutation<OwnAccount, ApiError>({
    mutationFn: people.signOutOthers,
    onSuccess: (a) => queries.setQueryData(KEY, a),
  })
  return (
    <section aria-label="Browsers">
      <h2>Signed in</h2>
      <table className="plain">
        <tbody>
          {account.browsers.map((b, i) => (
            <tr key={i}>
              <td title={b.device}>{b.here ? <b>This browser</b> : short(b.device)}</td>
              <td className="soft">{b.address}</td>
              <td className="soft">since {day(b.beganAt)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {account.browsers.some((b) => !b.here) && (
        <Button size="small" loading={end.isPending} onClick={() => end.mutate()}>
          Sign the others out
        </Button>
      )}
      {end.isError && <p className="over-ink">{end.error.message}</p>}
    </section>
  )
}

/** A browser by its name and system, as far as it tells them. */
function short(device: string): string {
  const name = /(Firefox|Edg|Chrome|Safari)/.exec(device)?.[1]
  const system = /(Windows|Mac OS|Linux|Android|iPhone|iPad)/.exec(device)?.[1]
  return [name === 'Edg' ? 'Edge' : (name ?? 'Another browser'), system && `on ${system}`].filter(Boolean).join(' ')
}

function Tokens({ account }: { account: OwnAccount }) {
  const queries = useQueryClient()
  const [name, setName] = useState('')
  const [made, setMade] = useState<MadeToken>()
  const make = useMutation<MadeToken, ApiError>({
    mutationFn: () => people.makeToken(name),
    onSuccess: (m) => {
      setMade(m)
      setName('')
      void queries.invalidateQueries({ queryKey: KEY })
    },
  })
  const end = useMutation<OwnAccount, ApiError, string>({
    mutationFn: people.endToken,
    onSuccess: (a) => queries.setQueryData(KEY, a),
  })
  const error = make.error ?? end.error
  return (
    <section aria-label="Tokens">
      <h2>Tokens</h2>
      <p className="soft">
        A program that sends <code>Authorization: Bearer …</code> with a token may do what you may. One lasts a year.
      </p>
      <table className="plain">
        <tbody>
          {account.tokens.map((t) => (
            <tr key={t.id}>
              <td>{t.name}</td>
              <td className="soft">used {day(t.usedAt)}</td>
              <td className="soft">until {day(t.endsAt)}</td>
              <td className="num">
                <Popconfirm
                  title={`End “${t.name}”?`}
                  description="The program that uses it is let in no longer."
                  okText="End"
                  cancelText="Keep"
                  okButtonProps={{ danger: true }}
                  onConfirm={() => end.mutate(t.id)}
                >
                  <Button size="small" type="text">
                    End
                  </Button>
                </Popconfirm>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <form
        className="one-line"
        onSubmit={(e) => {
          e.preventDefault()
          make.mutate()
        }}
      >
        <Input
          size="small"
          aria-label="Name of a new token"
          placeholder="program or machine that uses it"
          maxLength={60}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <Button size="small" htmlType="submit" disabled={!name.trim()} loading={make.isPending}>
          Make a token
        </Button>
      </form>
      {error && (
        <p role="alert" className="over-ink">
          {error.message} {error.detail}
        </p>
      )}
      {made && <ToldOnce words={`The token for ${made.token.name}`} secret={made.secret} />}
    </section>
  )
}
