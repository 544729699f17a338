import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { App, Modal } from 'antd'
import { useState } from 'react'
import { api, type ApiError, type Basis } from '../../../api/client'
import { ErrorView } from '../../../ui/ErrorView'
import { TextBox } from '../../../ui/TextBox'

/** Keeps the basis under a name for all projects. */
export function KeepBasis(p: { basis: Basis; onClose: () => void }) {
  const { message } = App.useApp()
  const queries = useQueryClient()
  const [name, setName] = useState(p.basis.name)
  const kept = useQuery({ queryKey: ['bases'], queryFn: ({ signal }) => api.bases(signal) })
  const keep = useMutation<{ bases: unknown[] }, ApiError>({
    mutationFn: () => api.keepBasis({ ...p.basis, name: name.trim() }),
    onSuccess: (now) => {
      queries.setQueryData(['bases'], now)
      void message.success(`Kept as “${name.trim()}” for all projects.`)
      p.onClose()
    },
  })
  const there = kept.data?.bases.some((b) => b.name === name.trim())
  return (
    <Modal
      open
      title="Keep this basis for all projects"
      okText={there ? 'Replace the one kept' : 'Keep'}
      okButtonProps={{ disabled: !name.trim(), loading: keep.isPending }}
      onOk={() => keep.mutate()}
      onCancel={p.onClose}
    >
      <TextBox
        width="100%"
        autoFocus
        aria-label="Name to keep it by"
        value={name}
        maxLength={80}
        onChange={(e) => setName(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && name.trim() && keep.mutate()}
      />
      <p className="soft">
        {there ? 'A basis is kept under this name already; this one takes its place. ' : ''}
        Local settings are not kept: they name storeys and members of this building.
      </p>
      {keep.isError && <ErrorView error={keep.error} />}
    </Modal>
  )
}
