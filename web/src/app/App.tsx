import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { App as AntApp, ConfigProvider } from 'antd'
import { lazy, Suspense, useLayoutEffect, useState } from 'react'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { ApiError } from '../api/client'
import { antdTheme, savedMode, tokensOf, type Mode } from './theme'
import { applyTokens } from './tokens'
import { SessionGate } from '../features/people/SessionGate'
import { Loading } from '../ui/Loading'

// what a page needs comes with the page
const ProjectList = lazy(() => import('../features/projects/ProjectList').then((m) => ({ default: m.ProjectList })))
const BeamSketchPage = lazy(() =>
  import('../features/sketch/BeamSketchPage').then((m) => ({ default: m.BeamSketchPage })),
)
const ColumnSketchPage = lazy(() =>
  import('../features/sketch/ColumnSketchPage').then((m) => ({ default: m.ColumnSketchPage })),
)
const BenchPage = lazy(() => import('../features/bench/BenchPage').then((m) => ({ default: m.BenchPage })))
const AccountPage = lazy(() => import('../features/people/office').then((m) => ({ default: m.AccountPage })))
const OfficePage = lazy(() => import('../features/people/office').then((m) => ({ default: m.OfficePage })))
const Workspace = lazy(() => import('./Workspace').then((m) => ({ default: m.Workspace })))

/** Whoever is signed out, or has to change a password, is asked for it where they are. */
function notLetIn(e: Error) {
  if (e instanceof ApiError && e.status === 401) void queries.invalidateQueries({ queryKey: ['session'] })
}

const queries: QueryClient = new QueryClient({
  queryCache: new QueryCache({ onError: notLetIn }),
  mutationCache: new MutationCache({ onError: notLetIn }),
  defaultOptions: {
    queries: {
      staleTime: 60_000,
      refetchOnWindowFocus: false,
      // while the first design is being made the server answers 409: ask again until it is there
      retry: (n, e) => e instanceof ApiError && ((e.status === 409 && n < 120) || (e.status === 0 && n < 2)),
      retryDelay: 500,
    },
  },
})

export function App() {
  const [mode, setMode] = useState<Mode>(savedMode)
  useLayoutEffect(() => {
    applyTokens(tokensOf(mode))
    document.documentElement.dataset.mode = mode
    localStorage.setItem('kolonne.mode', mode)
  }, [mode])
  const toggle = () => setMode(mode === 'dark' ? 'light' : 'dark')
  return (
    <ConfigProvider theme={antdTheme(mode)}>
      <AntApp className="app">
        <QueryClientProvider client={queries}>
          {/* a click and the next key must both see the same selection: no navigation waits behind a transition */}
          <BrowserRouter useTransitions={false}>
            <SessionGate mode={mode} onMode={toggle}>
              <Suspense fallback={<Loading words="Opening the page" />}>
                <Routes>
                  <Route path="/account" element={<AccountPage mode={mode} onMode={toggle} />} />
                  <Route path="/office" element={<OfficePage mode={mode} onMode={toggle} />} />
                  <Route path="/" element={<ProjectList mode={mode} onMode={toggle} />} />
                  <Route path="/sketch/beam" element={<BeamSketchPage mode={mode} onMode={toggle} />} />
                  <Route path="/sketch/column" element={<ColumnSketchPage mode={mode} onMode={toggle} />} />
                  <Route path="/bench" element={<BenchPage mode={mode} onMode={toggle} />} />
                  <Route path="/p/:id/*" element={<Workspace mode={mode} onMode={toggle} />} />
                  <Route path="*" element={<Navigate to="/" replace />} />
                </Routes>
              </Suspense>
            </SessionGate>
          </BrowserRouter>
        </QueryClientProvider>
      </AntApp>
    </ConfigProvider>
  )
}
