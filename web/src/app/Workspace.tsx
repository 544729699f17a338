import { lazy, Suspense, useEffect } from 'react'
import { Navigate, NavLink, Route, Routes, useLocation, useParams } from 'react-router'
import { forgetChanges } from '../api/changes'
import { useProject, useProjectState } from '../api/useProject'
import { UndoPills } from '../features/edit/UndoPills'
import { mayEdit, RoleContext, useSession } from '../features/people/session'
import { unitsOf } from '../lib/units'
import { listPath } from '../lib/address'
import { Boundary } from '../ui/Boundary'
import { ErrorView } from '../ui/ErrorView'
import { Icon, type IconName } from '../ui/Icon'
import { UnitsContext } from '../ui/useUnits'
import { AlsoHere } from './AlsoHere'
import { StateSentence } from './StateSentence'
import { TitleLine } from './TitleLine'
import { useTold } from './useTold'
import type { Mode } from './theme'
import { Loading } from '../ui/Loading'

const SharingPill = lazy(() => import('../features/people/office').then((m) => ({ default: m.SharingPill })))
const BasisPage = lazy(() => import('../features/basis/BasisPage').then((m) => ({ default: m.BasisPage })))
const ModelPage = lazy(() => import('../features/model/ModelPage').then((m) => ({ default: m.ModelPage })))
const ResultsPage = lazy(() => import('../features/results/ResultsPage').then((m) => ({ default: m.ResultsPage })))
const SchedulesPage = lazy(() =>
  import('../features/schedules/SchedulesPage').then((m) => ({ default: m.SchedulesPage })),
)
const TypesPage = lazy(() => import('../features/types/TypesPage').then((m) => ({ default: m.TypesPage })))
const MemberSheet = lazy(() => import('./MemberSheet').then((m) => ({ default: m.MemberSheet })))

/** One project: header with the sentence of state, rail with the stations of the work, and the page. */
export function Workspace({ mode, onMode }: { mode: Mode; onMode: () => void }) {
  const { id = '' } = useParams()
  const { pathname } = useLocation()
  const { team } = useSession()
  const project = useProject(id)
  const live = useProjectState(id)
  const { state } = live
  useTold(id, state)
  useEffect(() => forgetChanges, [id])
  const units = unitsOf(state?.totals?.usUnits ?? false)
  const name = project.data?.name
  useEffect(() => {
    document.title = [pageName(pathname), name, 'Kolonne'].filter(Boolean).join(' · ')
    return () => {
      document.title = 'Kolonne'
    }
  }, [pathname, name])
  if (project.isError) return <ErrorView error={project.error} onRetry={() => void project.refetch()} home />
  const failing = (state?.totals?.overstressed ?? 0) + (state?.totals?.failing ?? 0)
  return (
    <UnitsContext.Provider value={units}>
      <div className="workspace">
        <TitleLine project={project.data} mode={mode} onMode={onMode}>
          <StateSentence live={live} />
          <AlsoHere people={live.people} />
          {mayEdit(project.data?.role) && <UndoPills id={id} state={state} />}
          {team && (
            <Suspense>
              <SharingPill project={project.data} />
            </Suspense>
          )}
          {state?.totals && (
            <span className="pill">
              {state.totals.code} · {state.totals.usUnits ? 'US' : 'SI'}
            </span>
          )}
        </TitleLine>
        <nav className="rail" aria-label="Stations of the work">
          <Station to={`/p/${id}/model`} icon="model" name="Model" />
          <Station to={`/p/${id}/basis`} icon="basis" name="Basis" />
          <Station to={listPath(id)} icon="results" name="Results" badge={failing} />
          <Station to={`/p/${id}/types`} icon="types" name="Types" />
          <Station to={`/p/${id}/schedules`} icon="schedules" name="Schedules" />
        </nav>
        <main className="page">
          <RoleContext.Provider value={project.data?.role}>
            <Boundary at={pathname}>
              <Suspense fallback={<Loading words="Opening the page" />}>
                <Routes>
                  <Route path="model" element={<ModelPage id={id} state={state} />} />
                  <Route path="basis" element={<BasisPage id={id} state={state} />} />
                  <Route path="results" element={<ResultsPage id={id} mode={mode} state={state} />} />
                  <Route path="types" element={<TypesPage id={id} state={state} />} />
                  <Route path="sheet/:mark" element={<MemberSheet id={id} units={units} state={state} />} />
                  <Route path="schedules" element={<SchedulesPage id={id} />} />
                  <Route path="*" element={<Navigate to={`/p/${id}/results`} replace />} />
                </Routes>
              </Suspense>
            </Boundary>
          </RoleContext.Provider>
        </main>
      </div>
    </UnitsContext.Provider>
  )
}

/** What a tab of the browser is called by. */
function pageName(pathname: string): string {
  const [, , , page = '', mark] = pathname.split('/')
  return mark ? decodeURIComponent(mark) : page.charAt(0).toUpperCase() + page.slice(1)
}

function Station({ to, icon, name, badge = 0 }: { to: string; icon: IconName; name: string; badge?: number }) {
  return (
    <NavLink to={to} className="station">
      <Icon name={icon} />
      <span>{name}</span>
      {badge > 0 && (
        <b className="badge" title={`${badge} lines and stacks fail`}>
          {badge}
        </b>
      )}
    </NavLink>
  )
}
