import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Modal } from 'antd'
import { useState } from 'react'
import { api } from '../../api/client'
import { ErrorView } from '../../ui/ErrorView'
import { TextBox } from '../../ui/TextBox'
import type { TypeRole } from './useTypes'

const SHOWN = 6

/** Names all types of a role by a pattern; what comes out is shown before it is taken. */
export function PatternDialog(p: {
  id: string
  role: TypeRole
  onTake: (pattern: string) => void
  onClose: () => void
}) {
  const [pattern, setPattern] = useState(p.role === 'beam' ? 'B{n}' : 'C{n}')
  const q = useQuery({
    queryKey: ['project', p.id, 'types', 'pattern', p.role, pattern],
    queryFn: ({ signal }) => api.typePattern(p.id, p.role, pattern, signal),
    placeholderData: keepPreviousData,
    retry: false,
  })
  const marks = q.data?.marks ?? []
  return (
    <Modal
      open
      title={`Marks of the types of ${p.role}s`}
      okText={`Name ${marks.length} types`}
      okButtonProps={{ disabled: q.isError || marks.length === 0 }}
      onOk={() => p.onTake(pattern)}
      onCancel={p.onClose}
    >
      <p className="soft">
        {'{role}'} is B or C, {'{storey}'} the storeys as L2-L6, {'{section}'} and {'{grid}'} those of the first member,{' '}
        {'{n}'} counts types that are otherwise alike.
      </p>
      <TextBox
        width="100%"
        autoFocus
        aria-label="Pattern"
        value={pattern}
        maxLength={60}
        onChange={(e) => setPattern(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && !q.isError && marks.length > 0 && p.onTake(pattern)}
      />
      {q.isError ? (
        <ErrorView error={q.error} />
      ) : (
        <p className="pattern-marks">
          {marks.slice(0, SHOWN).map((m) => (
            <span key={m.type}>
              <span className="soft">{m.was}</span> → <b>{m.mark}</b>
            </span>
          ))}
          {marks.length > SHOWN && <span className="soft">and {marks.length - SHOWN} more</span>}
        </p>
      )}
    </Modal>
  )
}
