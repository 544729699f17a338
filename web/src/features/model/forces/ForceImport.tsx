import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { App, Button, Input, Modal, Select, Tooltip, Upload } from 'antd'
import { useState } from 'react'
import { change } from '../../../api/changes'
import { api, type ApiError, type ForceFile, type Mapped, type Project, type State } from '../../../api/client'
import { ErrorView } from '../../../ui/ErrorView'
import { MappingTable } from './MappingTable'
import { PreviewPane } from './PreviewPane'

/** Station forces from a table: choose the file, say which column is which, look at the first rows, take them. */
export function ForceImport({ id, state, onClose }: { id: string; state?: State; onClose: () => void }) {
  const { message } = App.useApp()
  const queries = useQueryClient()
  const [file, setFile] = useState<ForceFile>()
  const [mapping, setMapping] = useState<Mapped[]>([])
  const [name, setName] = useState('')
  const [incomplete, setIncomplete] = useState(false)
  const [answered, setAnswered] = useState<string[]>([])
  const show = (f: ForceFile) => {
    setFile(f)
    setMapping(f.proposal)
    setName(f.remembered)
    setIncomplete(false)
    setAnswered([])
  }
  const upload = useMutation<ForceFile, ApiError, File>({ mutationFn: (f) => api.forceFile(id, f), onSuccess: show })
  const sheet = useMutation<ForceFile, ApiError, string>({
    mutationFn: (s) => api.forceSheet(id, file!.file, s),
    onSuccess: show,
  })
  const doubts = (file?.doubts ?? []).filter((d) => !answered.includes(d.quantity))
  const preview = useQuery({
    queryKey: ['project', id, 'force-preview', file?.file, file?.sheet, mapping],
    enabled: file !== undefined,
    queryFn: ({ signal }) => api.forcePreview(id, file!.file, file!.sheet, mapping, signal),
  })
  const take = useMutation<Project, ApiError>({
    mutationFn: () =>
      change(id, state?.version ?? 0, (v) =>
        api.forceImport(id, file!.file, v, { sheet: file!.sheet, mapping, name, incomplete }),
      ),
    onSuccess: () => {
      void message.success('The forces were taken; the design follows them.')
      onClose()
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['project', id] }),
  })
  const p = preview.data
  const ready =
    p !== undefined &&
    p.used > 0 &&
    p.without.length === 0 &&
    doubts.length === 0 &&
    (p.gaps.length === 0 || incomplete)
  return (
    <Modal
      open
      width={960}
      title="Forces solved elsewhere"
      onCancel={onClose}
      okText="Take the forces"
      confirmLoading={take.isPending}
      onOk={() => take.mutate()}
      okButtonProps={{ disabled: !ready }}
    >
      {!file && (
        <Upload.Dragger
          accept=".csv,.txt,.xlsx"
          showUploadList={false}
          maxCount={1}
          disabled={upload.isPending}
          beforeUpload={(f) => {
            upload.mutate(f)
            return false
          }}
        >
          <b>{upload.isPending ? 'Reading the table…' : 'Drop a table here, or click to choose one'}</b>
          <div className="soft">
            CSV or XLSX, one row a station: member, load case, place, N, Vy, Vz, T, My, Mz under any headers
          </div>
        </Upload.Dragger>
      )}
      {upload.isError && <ErrorView error={upload.error} />}
      {file && (
        <>
          <div className="soft paragraph">
            {file.fileName}
            {file.sheets.length > 1 && (
              <>
                , sheet{' '}
                <Select
                  size="small"
                  aria-label="Sheet"
                  style={{ width: 150 }}
                  value={file.sheet}
                  loading={sheet.isPending}
                  options={file.sheets.map((s) => ({ value: s, label: s }))}
                  onChange={(v: string) => sheet.mutate(v)}
                />
              </>
            )}
            : {file.rows} {file.rows === 1 ? 'row' : 'rows'}.{' '}
            {file.remembered && `Mapped as “${file.remembered}”, made for the same headers before. `}
            {file.saved.length > 0 && (
              <Select
                size="small"
                aria-label="Mapping used before"
                style={{ width: 200 }}
                placeholder="a mapping used before"
                options={file.saved.map((s) => ({ value: s.name, label: s.name }))}
                onChange={(v: string) => {
                  setMapping(file.saved.find((s) => s.name === v)!.mapping)
                  setName(v)
                }}
              />
            )}{' '}
            <Button
              size="small"
              type="link"
              onClick={() => {
                setFile(undefined)
                upload.reset()
              }}
            >
              another file
            </Button>
          </div>
          {sheet.isError && <ErrorView error={sheet.error} />}
          <div className="mapping">
            <div>
              <MappingTable
                file={file}
                mapping={mapping}
                doubts={doubts}
                onChange={(m, quantity) => {
                  setMapping(m)
                  setAnswered([...answered, quantity])
                }}
              />
              {doubts.map((d) => (
                <p key={d.quantity} className="over-ink" role="alert">
                  {d.what}{' '}
                  {!mapping.some((m) => m.quantity === d.quantity) && (
                    <Button size="small" type="link" onClick={() => setAnswered([...answered, d.quantity])}>
                      none of them
                    </Button>
                  )}
                </p>
              ))}
            </div>
            <PreviewPane
              preview={preview.data}
              error={preview.error}
              us={state?.totals?.usUnits ?? false}
              incomplete={incomplete}
              onIncomplete={setIncomplete}
            />
          </div>
          <label className="field">
            <Tooltip title="Next time the same columns come in, choose it above">
              <span>Remember the mapping as</span>
            </Tooltip>
            <Input
              value={name}
              placeholder="not remembered"
              onChange={(e) => setName(e.target.value)}
              maxLength={100}
              style={{ width: 260 }}
            />
          </label>
          {take.isError && <ErrorView error={take.error} />}
        </>
      )}
    </Modal>
  )
}
