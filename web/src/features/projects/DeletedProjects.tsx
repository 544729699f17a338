import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Popconfirm } from 'antd'
import { api, type ApiError, type DeletedProject } from '../../api/client'
import { ErrorView } from '../../ui/ErrorView'

/** Projects that were deleted and rest, to be brought back; nothing where there is none. */
export function DeletedProjects() {
  const list = useQuery({
    queryKey: ['projects', 'deleted'],
    queryFn: ({ signal }) => api.deleted(signal),
    staleTime: 0,
  })
  const rows = list.data?.projects ?? []
  if (list.isError) return <ErrorView error={list.error} onRetry={() => void list.refetch()} />
  if (rows.length === 0) return null
  return (
    <details className="deleted-projects">
      <summary>{rows.length === 1 ? 'One deleted project' : `${rows.length} deleted projects`}</summary>
      <p className="soft">They rest for 30 days and come back as they were, history included.</p>
      <table className="plain projects">
        <thead>
          <tr>
            <th>project</th>
            <th>deleted</th>
            <th>rests until</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <Row key={r.id} project={r} />
          ))}
        </tbody>
      </table>
    </details>
  )
}

function Row({ project }: { project: DeletedProject }) {
  const queries = useQueryClient()
  const change = useMutation<unknown, ApiError, boolean>({
    mutationFn: (back) => (back ? api.bringBack(project.id) : api.removeForGood(project.id)),
    onSettled: () => queries.invalidateQueries({ queryKey: ['projects'] }),
  })
  return (
    <tr>
      <td>
        <b>{project.name}</b>
        {change.isError && <div className="over-ink">{change.error.message}</div>}
      </td>
      <td className="soft">
        {new Date(project.deletedAt).toLocaleString()}
        {project.deletedBy && ` by ${project.deletedBy}`}
      </td>
      <td className="soft">{new Date(project.until).toLocaleDateString()}</td>
      <td className="num">
        <Button
          size="small"
          type="text"
          loading={change.isPending}
          aria-label={`Bring back ${project.name}`}
          onClick={() => change.mutate(true)}
        >
          Bring back
        </Button>
        <Popconfirm
          title={`Remove “${project.name}” for good?`}
          description="Its models, basis, cages and history are gone then, and nothing brings them back."
          okText="Remove for good"
          cancelText="Keep"
          okButtonProps={{ danger: true }}
          onConfirm={() => change.mutate(false)}
        >
          <Button size="small" type="text" aria-label={`Remove ${project.name} for good`}>
            Remove for good
          </Button>
        </Popconfirm>
      </td>
    </tr>
  )
}
