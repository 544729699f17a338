import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { App, Button, Input, Modal, Select, Switch, Tooltip, Upload } from 'antd'
import { useState } from 'react'
import { change } from '../../api/changes'
import {
  api,
  type ApiError,
  type ForceFile,
  type ForcePreview,
  type Mapped,
  type Project,
  type State,
} from '../../api/client'
import { force } from '../../lib/format'
import { ErrorView } from '../../ui/ErrorView'
import { FindingList } from '../../ui/FindingList'

const QUANTITIES: { key: string; name: string; says: string; must?: boolean; text?: boolean }[] = [
  { key: 'member', name: 'member', says: 'Name of the member as in the model', must: true, text: true },
  { key: 'case', name: 'load case', says: 'Name of the load case as in the model', must: true, text: true },
  { key: 'x', name: 'place', says: 'From the start of the member; ratio counts from 0 to 1', must: true },
  { key: 'n', name: 'N', says: 'Axial force, tension positive' },
  { key: 'vz', name: 'Vz', says: 'Shear in the vertical plane of a beam, V = dM/dx' },
  { key: 'my', name: 'My', says: 'Bending in the vertical plane of a beam, sagging positive' },
  { key: 't', name: 'T', says: 'Torsion' },
  { key: 'vy', name: 'Vy', says: 'Shear sideways' },
  { key: 'mz', name: 'Mz', says: 'Bending sideways' },
]

/** Station forces from a table: choose the file, say which column is which, look at the first rows, take them. */
export function ForceImport({ id, state, onClose }: { id: string; state?: State; onClose: () => void }) {
  const { message } = App.useApp()
  const queries = useQueryClient()
  const [file, setFile] = useState<ForceFile>()
  const [mapping, setMapping] = useState<Mapped[]>([])
  const [name, setName] = useState('')
  const upload = useMutation<ForceFile, ApiError, File>({
    mutationFn: (f) => api.forceFile(id, f),
    onSuccess: (f) => {
      setFile(f)
      setMapping(f.proposal)
    },
  })
  const preview = useQuery({
    queryKey: ['project', id, 'force-preview', file?.file, mapping],
    enabled: file !== undefined,
    queryFn: ({ signal }) => api.forcePreview(id, file!.file, file!.sheet, mapping, signal),
  })
  const take = useMutation<Project, ApiError>({
    mutationFn: () =>
      change(id, state?.version ?? 0, (v) => api.forceImport(id, file!.file, v, file!.sheet, mapping, name)),
    onSuccess: () => {
      void message.success('The forces were taken; the design follows them.')
      onClose()
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['project', id] }),
  })
  return (
    <Modal
      open
      width={960}
      title="Forces solved elsewhere"
      onCancel={onClose}
      okText="Take the forces"
      confirmLoading={take.isPending}
      onOk={() => take.mutate()}
      okButtonProps={{ disabled: !preview.data || preview.data.used === 0 || preview.data.without.length > 0 }}
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
          <p className="soft">
            {file.fileName}
            {file.sheet && `, sheet ${file.sheet}`}: {file.rows} rows.{' '}
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
          </p>
          <div className="mapping">
            <MappingTable file={file} mapping={mapping} onChange={setMapping} />
            <PreviewPane preview={preview.data} error={preview.error} us={state?.totals?.usUnits ?? false} />
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

function MappingTable({
  file,
  mapping,
  onChange,
}: {
  file: ForceFile
  mapping: Mapped[]
  onChange: (m: Mapped[]) => void
}) {
  const headers = file.headers.map((h) => ({ value: h, label: h }))
  const of = (q: string) => mapping.find((m) => m.quantity === q)
  const put = (q: string, change: Partial<Mapped> | undefined) => {
    const rest = mapping.filter((m) => m.quantity !== q)
    if (!change) return onChange(rest)
    const units = file.units.find((u) => u.quantity === q)?.units ?? []
    onChange([...rest, { quantity: q, header: '', unit: units[0] ?? '', opposite: false, ...of(q), ...change }])
  }
  return (
    <table className="plain">
      <thead>
        <tr>
          <th>quantity</th>
          <th>column</th>
          <th>unit</th>
          <th title="The table has the sign the other way round">opposite sign</th>
        </tr>
      </thead>
      <tbody>
        {QUANTITIES.map((q) => {
          const m = of(q.key)
          return (
            <tr key={q.key}>
              <td>
                <Tooltip title={q.says}>
                  <b className={q.must && !m ? 'over-ink' : ''}>{q.name}</b>
                </Tooltip>
              </td>
              <td>
                <Select
                  size="small"
                  aria-label={`Column of ${q.name}`}
                  style={{ width: 150 }}
                  allowClear
                  placeholder={q.must ? 'choose' : 'none: 0'}
                  value={m?.header}
                  options={headers}
                  onChange={(header?: string) => put(q.key, header ? { header } : undefined)}
                />
              </td>
              <td>
                {!q.text && (
                  <Select
                    size="small"
                    aria-label={`Unit of ${q.name}`}
                    style={{ width: 84 }}
                    disabled={!m}
                    value={m?.unit}
                    options={(file.units.find((u) => u.quantity === q.key)?.units ?? []).map((u) => ({
                      value: u,
                      label: u,
                    }))}
                    onChange={(unit) => put(q.key, { unit })}
                  />
                )}
              </td>
              <td>
                {!q.text && q.key !== 'x' && (
                  <Switch
                    size="small"
                    aria-label={`Opposite sign of ${q.name}`}
                    disabled={!m}
                    checked={m?.opposite ?? false}
                    onChange={(opposite) => put(q.key, { opposite })}
                  />
                )}
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}

function PreviewPane({ preview, error, us }: { preview?: ForcePreview; error: Error | null; us: boolean }) {
  if (error) return <ErrorView error={error} />
  if (!preview) return <p className="soft">Reading…</p>
  return (
    <div>
      <b>First rows as they will be used</b> <span className="soft">{us ? 'kip, kip·ft' : 'kN, kNm'}</span>
      <table className="plain">
        <thead>
          <tr>
            <th>member</th>
            <th>case</th>
            <th className="num">{us ? 'ft' : 'm'}</th>
            {['N', 'Vy', 'Vz', 'T', 'My', 'Mz'].map((n) => (
              <th key={n} className="num">
                {n}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {preview.rows.map((r, i) => (
            <tr key={i}>
              <td>{r.member}</td>
              <td>{r.loadCase}</td>
              <td className="num">{(r.xM / (us ? 0.3048 : 1)).toFixed(2)}</td>
              {r.forces.map((v, k) => (
                <td key={k} className="num">
                  {force(v)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        {preview.used} of {preview.total} rows can be used.
      </p>
      {preview.without.length > 0 && (
        <p className="over-ink">
          {preview.without.length} member{preview.without.length > 1 ? 's have' : ' has'} fewer than two stations and
          cannot be designed: {preview.without.slice(0, 6).join(', ')}
          {preview.without.length > 6 && ' …'}. Add their rows to the table.
        </p>
      )}
      <div className="scroll-findings">
        <FindingList findings={preview.findings} />
      </div>
    </div>
  )
}
