import { AutoComplete, Input, type InputRef } from 'antd'
import { useEffect, useState, type RefObject } from 'react'
import { completions } from './query'

/** The query with completion; what is typed narrows the list after a short pause. */
export function QueryBox(p: {
  inputRef: RefObject<HTMLInputElement | null>
  value: string
  storeys: string[]
  causes: string[]
  error?: string
  onChange: (q: string) => void
}) {
  const [draft, setDraft] = useState(p.value)
  const [seen, setSeen] = useState(p.value)
  if (seen !== p.value) {
    setSeen(p.value)
    // what somebody is typing is newer than what comes back of it
    const typing = draft !== seen && document.activeElement === p.inputRef.current
    if (!typing) setDraft(p.value)
  }
  const { value, onChange } = p
  useEffect(() => {
    if (draft === value) return
    const t = setTimeout(() => onChange(draft), 250)
    return () => clearTimeout(t)
  }, [draft, value, onChange])
  return (
    <div className="query">
      <AutoComplete
        value={draft}
        onChange={setDraft}
        options={completions(draft, p.storeys, p.causes).map((v) => ({ value: v }))}
        style={{ width: '100%' }}
      >
        <Input
          ref={(r: InputRef | null) => {
            p.inputRef.current = r?.input ?? null
          }}
          aria-label="Query"
          allowClear
          status={p.error ? 'error' : undefined}
          placeholder="storey:L2..L4 beam util>0.95"
          suffix={<kbd>/</kbd>}
        />
      </AutoComplete>
      {p.error && (
        <div className="over-ink" role="alert">
          {p.error}
        </div>
      )}
    </div>
  )
}
