import { useQueryClient } from '@tanstack/react-query'
import { App, Dropdown } from 'antd'
import { useNavigate } from 'react-router'
import { type ApiError } from '../../api/client'
import { people } from '../../api/people'
import { initials } from '../../lib/initials'
import { useSession } from './session'

/** Who is signed in, and what belongs to them. Nothing where nobody signs in. */
export function PersonMenu() {
  const session = useSession()
  const navigate = useNavigate()
  const queries = useQueryClient()
  const { message } = App.useApp()
  if (!session.name) return null
  const signOut = async () => {
    try {
      await people.signOut()
    } catch (e) {
      if ((e as ApiError).status !== 401) {
        void message.error(`${(e as ApiError).message} ${(e as ApiError).detail}`)
        return
      }
    }
    queries.removeQueries({ predicate: (q) => q.queryKey[0] !== 'session' })
    await queries.invalidateQueries({ queryKey: ['session'] })
  }
  const items = [
    ...(session.mustChange
      ? []
      : [{ key: 'account', label: 'Your account', onClick: () => void navigate('/account') }]),
    ...(session.administrator && !session.mustChange
      ? [{ key: 'office', label: 'People of the office', onClick: () => void navigate('/office') }]
      : []),
    { key: 'out', label: 'Sign out', onClick: () => void signOut() },
  ]
  return (
    <Dropdown menu={{ items }} trigger={['click']}>
      <button type="button" className="pill button" title={session.name} aria-label={`Signed in as ${session.name}`}>
        {initials(session.name)}
      </button>
    </Dropdown>
  )
}
