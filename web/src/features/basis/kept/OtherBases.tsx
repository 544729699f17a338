import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { App, Button, Checkbox, Drawer, Popconfirm, Select, Upload } from 'antd'
import { useState } from 'react'
import { api, type Basis, type Catalogue } from '../../../api/client'
import { ErrorView } from '../../../ui/ErrorView'
import { Loading } from '../../../ui/Loading'

const KEPT = 'kept:'
const PROJECT = 'project:'
const STANDARD = 'standard:'
const FILE = 'file:'
/** Bytes of a basis file, generously. */
const FILE_MOST = 5e6

/** This basis beside another, line by line: one that is kept, of another project, a standard one, or a file; and taking the other. */
export function OtherBases(p: {
  id: string
  codes: Catalogue[]
  /** of this project: they stay where the other is not a file with its own */
  local: Basis['local']
  onTake: (other: Basis) => void
  onClose: () => void
}) {
  const { message } = App.useApp()
  const queries = useQueryClient()
  const [chosen, setChosen] = useState<string>()
  const [file, setFile] = useState<{ name: string; text: string }>()
  const [everything, setEverything] = useState(false)
  const kept = useQuery({ queryKey: ['bases'], queryFn: ({ signal }) => api.bases(signal) })
  const projects = useQuery({ queryKey: ['projects'], queryFn: ({ signal }) => api.projects(signal) })
  const forget = useMutation({
    mutationFn: (name: string) => api.forgetBasis(name),
    onSuccess: (now) => {
      queries.setQueryData(['bases'], now)
      setChosen(undefined)
    },
  })
  const text = async (which: string): Promise<string> => {
    if (which === FILE) return file!.text
    const basis = which.startsWith(PROJECT)
      ? await api.basis(which.slice(PROJECT.length))
      : which.startsWith(KEPT)
        ? kept.data!.bases.find((b) => b.name === which.slice(KEPT.length))!.basis
        : p.codes.find((c) => c.code === which.slice(STANDARD.length))!.standard
    return JSON.stringify({ ...basis, local: p.local })
  }
  const compared = useQuery({
    queryKey: ['project', p.id, 'basis', 'compare', chosen, file?.text],
    queryFn: async ({ signal }) => api.compareBasis(p.id, await text(chosen!), signal),
    enabled: chosen !== undefined,
    retry: false,
  })
  const options = [
    {
      label: 'Kept for all projects',
      options: (kept.data?.bases ?? []).map((b) => ({ value: KEPT + b.name, label: b.name })),
    },
    {
      label: 'Other projects',
      options: (projects.data?.projects ?? [])
        .filter((q) => q.id !== p.id)
        .map((q) => ({ value: PROJECT + q.id, label: q.name })),
    },
    {
      label: 'Standard',
      options: p.codes.map((c) => ({ value: STANDARD + c.code, label: `${c.name}, as it begins` })),
    },
    { label: 'File', options: file ? [{ value: FILE, label: file.name }] : [] },
  ].filter((g) => g.options.length > 0)
  const lines = compared.data?.lines ?? []
  const differing = lines.filter((l) => !l.same)
  return (
    <Drawer
      open
      size={640}
      title="This basis beside another"
      onClose={p.onClose}
      footer={
        <div className="drawer-foot">
          <Button onClick={p.onClose}>Close</Button>
          <Button
            type="primary"
            disabled={!compared.data || differing.length === 0}
            onClick={() => p.onTake(compared.data!.basis)}
          >
            Take the other and design again
          </Button>
        </div>
      }
    >
      <div className="other-bases">
        <Select
          aria-label="Other basis"
          showSearch={{ optionFilterProp: 'label' }}
          placeholder="Choose a basis to compare with"
          value={chosen}
          options={options}
          onChange={setChosen}
        />
        <Upload
          accept=".json"
          showUploadList={false}
          beforeUpload={(f) => {
            if (f.size > FILE_MOST) {
              void message.error(`${f.name} is larger than 5 MB; a basis is a page of text.`)
            } else {
              void f.text().then((t) => {
                setFile({ name: f.name, text: t })
                setChosen(FILE)
              })
            }
            return false
          }}
        >
          <Button>From a file…</Button>
        </Upload>
        {chosen?.startsWith(KEPT) && (
          <Popconfirm
            title="Forget it? Projects that took it keep what they have."
            okText="Forget"
            onConfirm={() => forget.mutate(chosen.slice(KEPT.length))}
          >
            <Button danger loading={forget.isPending}>
              Forget
            </Button>
          </Popconfirm>
        )}
      </div>
      {compared.isError && <ErrorView error={compared.error} />}
      {forget.isError && <ErrorView error={forget.error} />}
      {compared.isLoading && <Loading words="Comparing" />}
      {compared.data && (
        <>
          <p className="soft">
            {differing.length === 0
              ? 'No line differs.'
              : `${differing.length} of ${lines.length} lines differ. What is taken replaces all of them${chosen === FILE ? ', local settings too' : '; local settings stay as they are'}.`}{' '}
            <Checkbox checked={everything} onChange={(e) => setEverything(e.target.checked)}>
              All lines
            </Checkbox>
          </p>
          <table className="plain" aria-label="Bases line by line">
            <thead>
              <tr>
                <td />
                <th>This project</th>
                <th>The other</th>
              </tr>
            </thead>
            <tbody>
              {(everything ? lines : differing).map((l) => (
                <tr key={l.name}>
                  <td className="soft">{l.name}</td>
                  <td>{l.here || '–'}</td>
                  <td>{l.same ? l.there : <b>{l.there || '–'}</b>}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </Drawer>
  )
}
