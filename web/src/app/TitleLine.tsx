import { useQueryClient } from '@tanstack/react-query'
import { App, Tooltip } from 'antd'
import { lazy, Suspense, type ReactNode } from 'react'
import { Link } from 'react-router'
import { api, type ApiError, type Project } from '../api/client'
import { mayOwn, useSession } from '../features/people/session'
import { InlineText } from '../ui/InlineText'
import type { Mode } from './theme'

const PersonMenu = lazy(() => import('../features/people/office').then((m) => ({ default: m.PersonMenu })))

/** The header line: home, the project's name (typed over in place), what the page puts there, and the theme. */
export function TitleLine(props: { project?: Project; mode: Mode; onMode: () => void; children?: ReactNode }) {
  const { project } = props
  const { name } = useSession()
  const { message } = App.useApp()
  const queries = useQueryClient()
  const rename = async (name: string) => {
    if (!project) return
    try {
      await api.rename(project.id, project.version, name)
    } catch (e) {
      void message.error(`${(e as ApiError).message} ${(e as ApiError).detail}`)
    }
    await queries.invalidateQueries({ queryKey: ['project', project.id] })
    await queries.invalidateQueries({ queryKey: ['projects'] })
  }
  return (
    <header className="title-line">
      <Link to="/" className="wordmark">
        kolonne
      </Link>
      {project && mayOwn(project.role) && (
        <InlineText value={project.name} label="Name of the project" onCommit={(v) => void rename(v)} />
      )}
      {project && !mayOwn(project.role) && <b className="own-name">{project.name}</b>}
      <span className="spring" />
      {props.children}
      {name && (
        <Suspense>
          <PersonMenu />
        </Suspense>
      )}
      <Tooltip title={props.mode === 'dark' ? 'Light theme' : 'Dark theme'}>
        <button type="button" className="pill button" aria-label="Change theme" onClick={props.onMode}>
          {props.mode === 'dark' ? '☀' : '☾'}
        </button>
      </Tooltip>
    </header>
  )
}
