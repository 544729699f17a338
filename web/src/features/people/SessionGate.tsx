import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense, type ReactNode } from 'react'
import { api } from '../../api/client'
import { ErrorView } from '../../ui/ErrorView'
import type { Mode } from '../../app/theme'
import { Loading } from '../../ui/Loading'
import { SessionContext } from './session'

// nobody on their own machine needs them
const SignInPage = lazy(() => import('./office').then((m) => ({ default: m.SignInPage })))
const FirstPassword = lazy(() => import('./office').then((m) => ({ default: m.FirstPassword })))

/** Shows the pages to who may see them; where people sign in, to nobody else. The address stays, and is opened after signing in. */
export function SessionGate(props: { mode: Mode; onMode: () => void; children: ReactNode }) {
  const q = useQuery({ queryKey: ['session'], queryFn: ({ signal }) => api.session(signal), staleTime: Infinity })
  if (q.isError) return <ErrorView error={q.error} onRetry={() => void q.refetch()} />
  if (!q.data) return <Loading words="Opening Kolonne" />
  const { mode, onMode } = props
  const out = q.data.team && !q.data.name
  return (
    <SessionContext.Provider value={q.data}>
      <Suspense fallback={<Loading words="Opening Kolonne" />}>
        {out ? (
          <SignInPage mode={mode} onMode={onMode} />
        ) : q.data.mustChange ? (
          <FirstPassword mode={mode} onMode={onMode} />
        ) : (
          props.children
        )}
      </Suspense>
    </SessionContext.Provider>
  )
}
