import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useEffect, useState } from 'react'
import { type ApiError, type Session } from '../../api/client'
import { people } from '../../api/people'
import type { Mode } from '../../app/theme'
import { TitleLine } from '../../app/TitleLine'
import { useSession } from './session'
import { REFUSED } from './words'

/** The address of this page without what the provider's answer added, and that answer. */
function cameBack() {
  const u = new URL(window.location.href)
  const refused = REFUSED[u.searchParams.get('refused') ?? '']
  u.searchParams.delete('refused')
  return { refused, to: u.pathname + u.search }
}

/** Name and password, or an office's own provider. */
export function SignInPage({ mode, onMode }: { mode: Mode; onMode: () => void }) {
  const queries = useQueryClient()
  const { provider } = useSession()
  const { refused, to } = cameBack()
  const [name, setName] = useState('')
  const [password, setPassword] = useState('')
  useEffect(() => {
    document.title = 'Sign in · Kolonne'
  }, [])
  const signIn = useMutation<Session, ApiError>({
    mutationFn: () => people.signIn(name, password),
    onSuccess: (s) => {
      // what another person saw at this browser is not shown to this one
      queries.removeQueries({ predicate: (q) => q.queryKey[0] !== 'session' })
      queries.setQueryData(['session'], s)
    },
    onError: () => setPassword(''),
  })
  return (
    <div className="front">
      <TitleLine mode={mode} onMode={onMode} />
      <main className="front-page narrow">
        <h1>Sign in</h1>
        {refused && (
          <p role="alert" className="over-ink">
            {refused}
          </p>
        )}
        {provider && (
          <p>
            <Button href={`/openid/begin?to=${encodeURIComponent(to)}`}>Sign in with {provider}</Button>
          </p>
        )}
        <form
          className="sign-in"
          onSubmit={(e) => {
            e.preventDefault()
            signIn.mutate()
          }}
        >
          <label>
            Name
            <Input autoFocus autoComplete="username" value={name} onChange={(e) => setName(e.target.value)} />
          </label>
          <label>
            Password
            <Input.Password
              autoComplete="current-password"
              value={password}
              onChange={(e) => setPassword(e.target.value)}
            />
          </label>
          {signIn.isError && (
            <p role="alert" className="over-ink">
              {signIn.error.message} <span className="soft">{signIn.error.detail}</span>
            </p>
          )}
          <Button type="primary" htmlType="submit" disabled={!name || !password} loading={signIn.isPending}>
            Sign in
          </Button>
        </form>
        <p className="soft">
          No account, or the password forgotten? An administrator of your office gives you a password, which you change
          when you first sign in.
        </p>
      </main>
    </div>
  )
}
