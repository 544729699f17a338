import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Drawer, Select, Tooltip } from 'antd'
import { useState } from 'react'
import { api, type ApiError, type Project, type Sharing } from '../../api/client'
import { people } from '../../api/people'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { DeedTable } from './DeedTable'
import { mayEdit, mayOwn, useSession } from './session'
import { ROLES } from './words'

/** Deeds that the drawer shows. */
const NEWEST = 60

/** Opens with whom the project is shared; tells who may only look that it is so. Nothing where nobody signs in. */
export function SharingPill({ project }: { project?: Project }) {
  const session = useSession()
  const [open, setOpen] = useState(false)
  if (!session.team || !project) return null
  const role = project.role ?? ''
  const only = !mayEdit(role)
  return (
    <>
      <Tooltip title={only ? `You are a ${role} of this project, who ${ROLES[role]}.` : 'Who may do what'}>
        <button type="button" className="pill button" onClick={() => setOpen(true)}>
          {only ? role : 'People'}
        </button>
      </Tooltip>
      <Drawer
        title={`People of “${project.name}”`}
        open={open}
        onClose={() => setOpen(false)}
        size={560}
        destroyOnHidden
      >
        <People project={project} />
      </Drawer>
    </>
  )
}

function People({ project }: { project: Project }) {
  const queries = useQueryClient()
  const key = ['project', project.id, 'people']
  const q = useQuery({ queryKey: key, queryFn: ({ signal }) => people.sharing(project.id, signal), staleTime: 0 })
  const deeds = useQuery({
    queryKey: ['project', project.id, 'deeds'],
    queryFn: ({ signal }) => people.deeds(project.id, signal),
    staleTime: 0,
  })
  const change = useMutation<Sharing, ApiError, { account: string; role: string | null }>({
    mutationFn: (c) => (c.role ? people.share(project.id, c.account, c.role) : people.unshare(project.id, c.account)),
    onSuccess: (s) => {
      queries.setQueryData(key, s)
      void deeds.refetch()
      void queries.invalidateQueries({ queryKey: ['project', project.id], exact: true })
    },
  })
  const owner = mayOwn(project.role)
  if (q.isError) return <ErrorView error={q.error} onRetry={() => void q.refetch()} />
  if (!q.data) return <Loading words="Reading with whom it is shared" />
  return (
    <>
      {q.data.people.length === 0 && (
        <p className="soft">It is shared with nobody yet: only administrators of the office see it.</p>
      )}
      <table className="plain">
        <tbody>
          {q.data.people.map((p) => (
            <tr key={p.account}>
              <td>{p.name}</td>
              <td>
                <Role
                  label={`Role of ${p.name}`}
                  role={p.role}
                  disabled={!owner}
                  onRole={(role) => change.mutate({ account: p.account, role })}
                />
              </td>
              <td className="num">
                {owner && (
                  <Button size="small" type="text" onClick={() => change.mutate({ account: p.account, role: null })}>
                    Remove
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {change.isError && (
        <p role="alert" className="over-ink">
          {change.error.message} {change.error.detail}
        </p>
      )}
      {owner && <Add sharing={q.data} onAdd={(account, role) => change.mutate({ account, role })} />}
      <h2>What was done</h2>
      <p className="soft">
        Every change, download and share since accounts are kept.{' '}
        <a href={api.exportUrl(project.id, 'history.csv')}>The whole history as a table</a>
      </p>
      {deeds.data && <DeedTable deeds={deeds.data.deeds.slice(-NEWEST).reverse()} />}
    </>
  )
}

function Role(props: { label: string; role: string; disabled: boolean; onRole: (role: string) => void }) {
  return (
    <Select
      size="small"
      aria-label={props.label}
      className="role"
      value={props.role}
      disabled={props.disabled}
      onChange={props.onRole}
      popupMatchSelectWidth={false}
      options={Object.entries(ROLES).map(([value, does]) => ({ value, label: value, does }))}
      optionRender={(o) => (
        <>
          {o.label} <span className="soft">{o.data.does}</span>
        </>
      )}
    />
  )
}

function Add({ sharing, onAdd }: { sharing: Sharing; onAdd: (account: string, role: string) => void }) {
  const [account, setAccount] = useState<string>()
  const [role, setRole] = useState('engineer')
  if (sharing.others.length === 0) return <p className="soft">Everybody of the office has a role already.</p>
  return (
    <p className="one-line">
      <Select
        size="small"
        className="grow"
        aria-label="Share with"
        placeholder="share with…"
        showSearch={{ optionFilterProp: 'label' }}
        value={account}
        onChange={setAccount}
        options={sharing.others.map((o) => ({ value: o.account, label: o.name }))}
      />
      <Role label="As what" role={role} disabled={false} onRole={setRole} />
      <Button
        size="small"
        disabled={!account}
        onClick={() => {
          onAdd(account!, role)
          setAccount(undefined)
        }}
      >
        Share
      </Button>
    </p>
  )
}
