import { useMutation, useQueryClient } from '@tanstack/react-query'
import { App, Upload } from 'antd'
import { useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { change } from '../../../api/changes'
import { api, type ApiError, type Job, type Model, type Project, type State } from '../../../api/client'
import { ErrorView } from '../../../ui/ErrorView'
import { ImportProgress } from '../../../ui/ImportProgress'
import { Comparison } from './Comparison'

/** A newer model of the same building: chosen, compared with the one in force, and adopted in one step or left. */
export function RevisionPart({ id, state, model }: { id: string; state?: State; model: Model }) {
  const [params, setParams] = useSearchParams()
  const { message } = App.useApp()
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [job, setJob] = useState<Job>()
  const revision = params.get('revision') ?? ''
  const show = (r: string) => {
    setJob(undefined)
    setParams(r ? { part: 'revision', revision: r } : { part: 'revision' }, { replace: true })
  }
  const upload = useMutation<Job, ApiError, File>({ mutationFn: (f) => api.revise(id, f), onSuccess: setJob })
  const adopt = useMutation<Project, ApiError, { version: number; keepOwn: boolean }>({
    mutationFn: (a) => change(id, a.version, (version) => api.adopt(id, revision, version, a.keepOwn)),
    onSuccess: (p, a) => {
      void message.success('The newer model is adopted. Undo brings the older one back.')
      void navigate(`/p/${id}/results?show=change&from=${a.version}&to=${p.version}`)
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['project', id] }),
  })
  if (revision)
    return (
      <Comparison
        id={id}
        revision={revision}
        state={state}
        us={model.units === 'US'}
        pending={adopt.isPending}
        error={adopt.error}
        onAdopt={(version, keepOwn) => adopt.mutate({ version, keepOwn })}
        onLeave={() => show('')}
      />
    )
  return (
    <section>
      <h2>A newer model of this building</h2>
      <p className="soft">
        The architect moved a wall, the loads were revised: bring the newer file into this project instead of a new one.
        Before anything changes you see what is new, gone, moved, resized and reloaded, and what becomes of marks,
        types, cages set by hand and your own changes of the model. Members are known again by their places and their
        ids.
      </p>
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
        <b>{upload.isPending ? 'Sending the file…' : 'Drop the newer model here, or click to choose it'}</b>
        <div className="soft">
          Kolonne model (.json), a zip of CSV tables, or an analysis model in IFC 4; now in force: {model.fileName}
        </div>
      </Upload.Dragger>
      {upload.isError && <ErrorView error={upload.error} onRetry={() => upload.reset()} />}
      {job && <ImportProgress job={job} onDone={show} onClose={() => setJob(undefined)} />}
    </section>
  )
}
