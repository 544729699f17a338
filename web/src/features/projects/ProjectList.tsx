import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Popconfirm, Upload } from 'antd'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, type ApiError, type Job, type Project } from '../../api/client'
import type { Mode } from '../../app/theme'
import { TitleLine } from '../../app/TitleLine'
import { ErrorView } from '../../ui/ErrorView'
import { mayOwn, useSession } from '../people/session'
import { DeletedProjects } from './DeletedProjects'
import { Loading } from '../../ui/Loading'
import { ImportProgress } from '../../ui/ImportProgress'

/** All projects; a model file dropped here becomes a new one. */
export function ProjectList({ mode, onMode }: { mode: Mode; onMode: () => void }) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const { team } = useSession()
  const [job, setJob] = useState<Job>()
  const list = useQuery({ queryKey: ['projects'], queryFn: ({ signal }) => api.projects(signal), staleTime: 0 })
  const upload = useMutation<Job, ApiError, File>({ mutationFn: api.upload, onSuccess: setJob })
  const done = (id: string) => {
    void queries.invalidateQueries({ queryKey: ['projects'] })
    void navigate(`/p/${id}/model`)
  }
  return (
    <div className="front">
      <TitleLine mode={mode} onMode={onMode} />
      <main className="front-page">
        <h1>Projects</h1>
        <p className="soft">A building comes in as its analysis model; every beam and column is designed at once.</p>
        <Upload.Dragger
          accept=".json,.zip,.ifc"
          showUploadList={false}
          maxCount={1}
          disabled={upload.isPending}
          beforeUpload={(file) => {
            setJob(undefined)
            upload.mutate(file)
            return false
          }}
        >
          <b>{upload.isPending ? 'Sending the file…' : 'Drop a model file here, or click to choose one'}</b>
          <div className="soft">
            Kolonne model (.json), a zip of CSV tables, an analysis model in IFC 4, or a project that was downloaded
          </div>
        </Upload.Dragger>
        <p className="small-models">
          <span className="soft">No file needed for a small one:</span>
          <Link className="pill button" to="/sketch/beam">
            Draw up a continuous beam
          </Link>
          <Link className="pill button" to="/sketch/column">
            Draw up a column
          </Link>
          <Link className="pill button" to="/bench">
            Section bench
          </Link>
        </p>
        {upload.isError && <ErrorView error={upload.error} />}
        {job && <ImportProgress key={job.id} job={job} onDone={done} onClose={() => setJob(undefined)} />}
        {list.isError && <ErrorView error={list.error} onRetry={() => void list.refetch()} />}
        {list.isPending && <Loading words="Reading the projects" />}
        {list.data?.projects.length === 0 && (
          <p className="notice">
            No project yet. Start with a model file; <code>./kolonne demo building.json</code> makes one to try.
          </p>
        )}
        {list.data && list.data.projects.length > 0 && (
          <table className="plain projects">
            <thead>
              <tr>
                <th>project</th>
                <th>changed</th>
                {team && <th>you are</th>}
                <td />
              </tr>
            </thead>
            <tbody>
              {list.data.projects.map((p) => (
                <ProjectRow key={p.id} project={p} />
              ))}
            </tbody>
          </table>
        )}
        <DeletedProjects />
      </main>
    </div>
  )
}

function ProjectRow({ project }: { project: Project }) {
  const queries = useQueryClient()
  const remove = useMutation({
    mutationFn: () => api.remove(project.id),
    onSettled: () => queries.invalidateQueries({ queryKey: ['projects'] }),
  })
  return (
    <tr>
      <td>
        <Link to={`/p/${project.id}/results`}>
          <b>{project.name}</b>
        </Link>
      </td>
      <td className="soft">{new Date(project.changedAt).toLocaleString()}</td>
      {project.role && <td className="soft">{project.role}</td>}
      <td className="num">
        <Button
          size="small"
          type="text"
          href={api.exportUrl(project.id, 'project.zip')}
          aria-label={`Download ${project.name}`}
          title="The whole project as one file: its models, basis, cages set by hand, types and history. Dropped above, here or on another machine, it is taken in as a project of its own."
        >
          Download
        </Button>
        {mayOwn(project.role) && (
          <Popconfirm
            title={`Delete “${project.name}”?`}
            description="It rests among the deleted projects for 30 days, from where it can be brought back."
            okText="Delete"
            cancelText="Keep"
            okButtonProps={{ danger: true }}
            onConfirm={() => remove.mutate()}
          >
            <Button size="small" type="text" loading={remove.isPending}>
              Delete
            </Button>
          </Popconfirm>
        )}
      </td>
    </tr>
  )
}
