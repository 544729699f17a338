import { useMutation } from '@tanstack/react-query'
import { App, Button, Input } from 'antd'
import { useState } from 'react'
import { type ApiError } from '../../api/client'
import { people } from '../../api/people'

/** Changes one's own password. */
export function PasswordForm({ onDone }: { onDone: () => void }) {
  const { message } = App.useApp()
  const [old, setOld] = useState('')
  const [password, setPassword] = useState('')
  const [again, setAgain] = useState('')
  const change = useMutation<void, ApiError>({
    mutationFn: () => people.changePassword(old, password),
    onSuccess: () => {
      setOld('')
      setPassword('')
      setAgain('')
      void message.success('The password is changed; other browsers are signed out.')
      onDone()
    },
  })
  const differs = again !== '' && again !== password
  return (
    <form
      className="sign-in"
      onSubmit={(e) => {
        e.preventDefault()
        change.mutate()
      }}
    >
      <label>
        Password now
        <Input.Password autoComplete="current-password" value={old} onChange={(e) => setOld(e.target.value)} />
      </label>
      <label>
        New password
        <Input.Password autoComplete="new-password" value={password} onChange={(e) => setPassword(e.target.value)} />
        <span className="soft">Twelve characters or more; some unrelated words do well.</span>
      </label>
      <label>
        New password again
        <Input.Password
          autoComplete="new-password"
          status={differs ? 'error' : undefined}
          value={again}
          onChange={(e) => setAgain(e.target.value)}
        />
        {differs && <span className="over-ink">It differs from the one above.</span>}
      </label>
      {change.isError && (
        <p role="alert" className="over-ink">
          {change.error.message} <span className="soft">{change.error.detail}</span>
        </p>
      )}
      <Button
        type="primary"
        htmlType="submit"
        disabled={!old || !password || again !== password}
        loading={change.isPending}
      >
        Change password
      </Button>
    </form>
  )
}
