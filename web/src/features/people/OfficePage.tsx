import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Checkbox, Input, Popconfirm } from 'antd'
import { useState } from 'react'
import { api, type Account, type ApiError, type GivenAccount } from '../../api/client'
import { people } from '../../api/people'
import type { Mode } from '../../app/theme'
import { TitleLine } from '../../app/TitleLine'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { DeedTable } from './DeedTable'
import { ToldOnce } from './ToldOnce'

const KEY = ['accounts']

/** The accounts of the office and what was done, for its administrators. */
export function OfficePage({ mode, onMode }: { mode: Mode; onMode: () => void }) {
  const q = useQuery({ queryKey: KEY, queryFn: ({ signal }) => people.accounts(signal), staleTime: 0 })
  const deeds = useQuery({ queryKey: ['deeds'], queryFn: ({ signal }) => people.allDeeds(signal), staleTime: 0 })
  const list = useQuery({ queryKey: ['projects'], queryFn: ({ signal }) => api.projects(signal) })
  const names = new Map(list.data?.projects.map((p) => [p.id, p.name]))
  const [given, setGiven] = useState<GivenAccount>()
  return (
    <div className="front">
      <TitleLine mode={mode} onMode={onMode} />
      <main className="front-page wide">
        <h1>People of the office</h1>
        <p className="soft">
          Everybody signs in under their own name, which stands in histories. An account is not removed but closed, so
          that a history stays true; administrators are owners of every project.
        </p>
        <AddAccount onGiven={setGiven} />
        {given && (
          <ToldOnce
            words={`${given.account.name} signs in with this password and changes it`}
            secret={given.password}
          />
        )}
        {q.isError && <ErrorView error={q.error} onRetry={() => void q.refetch()} />}
        {q.isPending && <Loading words="Reading the accounts" />}
        {q.data && (
          <table className="plain projects">
            <thead>
              <tr>
                <th>name</th>
                <th>administrator</th>
                <th>signed in last</th>
                <td />
              </tr>
            </thead>
            <tbody>
              {q.data.accounts.map((a) => (
                <Row key={a.id} account={a} onGiven={setGiven} />
              ))}
            </tbody>
          </table>
        )}
        <h2>What was done</h2>
        {deeds.isError && <ErrorView error={deeds.error} onRetry={() => void deeds.refetch()} />}
        {deeds.data && <DeedTable deeds={deeds.data.deeds} projects={names} />}
      </main>
    </div>
  )
}

function AddAccount({ onGiven }: { onGiven: (g: GivenAccount) => void }) {
  const queries = useQueryClient()
  const [name, setName] = useState('')
  const [administrator, setAdministrator] = useState(false)
  const add = useMutation<GivenAccount, ApiError>({
    mutationFn: () => people.addAccount(name, administrator),
    onSuccess: (g) => {
      onGiven(g)
      setName('')
      setAdministrator(false)
      void queries.invalidateQueries({ queryKey: KEY })
    },
  })
  return (
    <form
      className="one-line"
      onSubmit={(e) => {
        e.preventDefault()
        add.mutate()
      }}
    >
      <Input
        aria-label="Name of a new account"
        placeholder="name of a colleague"
        maxLength={60}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Checkbox checked={administrator} onChange={(e) => setAdministrator(e.target.checked)}>
        administrator
      </Checkbox>
      <Button htmlType="submit" disabled={!name.trim()} loading={add.isPending}>
        Add
      </Button>
      {add.isError && (
        <span role="alert" className="over-ink">
          {add.error.message} {add.error.detail}
        </span>
      )}
    </form>
  )
}

function Row({ account, onGiven }: { account: Account; onGiven: (g: GivenAccount) => void }) {
  const queries = useQueryClient()
  const again = () => queries.invalidateQueries({ queryKey: KEY })
  const stand = useMutation<Account, ApiError, { active: boolean; administrator: boolean }>({
    mutationFn: (s) => people.standAccount(account.id, s.active, s.administrator),
    onSettled: again,
  })
  const reset = useMutation<GivenAccount, ApiError>({
    mutationFn: () => people.resetAccount(account.id),
    onSuccess: onGiven,
    onSettled: again,
  })
  const error = stand.error ?? reset.error
  const state = !account.active ? 'closed' : account.mustChange ? 'has the password that was given' : ''
  return (
    <tr className={account.active ? '' : 'soft'}>
      <td>
        <b>{account.name}</b>
        {state && <span className="soft"> · {state}</span>}
        {error && (
          <div role="alert" className="over-ink">
            {error.message} {error.detail}
          </div>
        )}
      </td>
      <td>
        <Checkbox
          aria-label={`${account.name} is an administrator`}
          checked={account.administrator}
          disabled={!account.active}
          onChange={(e) => stand.mutate({ active: account.active, administrator: e.target.checked })}
        />
      </td>
      <td className="soft">{account.signedInAt ? new Date(account.signedInAt).toLocaleString() : 'never'}</td>
      <td className="num">
        <Popconfirm
          title={`A new password for ${account.name}?`}
          description="The old one, browsers that are signed in with it and its tokens end at once."
          okText="New password"
          cancelText="Leave it"
          onConfirm={() => reset.mutate()}
        >
          <Button size="small" type="text" disabled={!account.active}>
            New password
          </Button>
        </Popconfirm>
        <Button
          size="small"
          type="text"
          onClick={() => stand.mutate({ active: !account.active, administrator: account.administrator })}
        >
          {account.active ? 'Close' : 'Open again'}
        </Button>
      </td>
    </tr>
  )
}
