import { useEffect, useState, type RefObject } from 'react'
import { TextBox } from '../../ui/TextBox'
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
      <TextBox
        inputRef={p.inputRef}
        width="100%"
        type="search"
        list="query-words"
        value={draft}
        aria-label="Query"
        aria-describedby={p.error ? 'query-error' : undefined}
        bad={p.error !== undefined}
        placeholder="storey:L2..L4 beam util>0.95"
        suffix={<kbd>/</kbd>}
        onChange={(e) => setDraft(e.target.value)}
      />
      <datalist id="query-words">
        {completions(draft, p.storeys, p.causes).map((v) => (
          <option key={v} value={v} />
        ))}
      </datalist>
      {p.error && (
        <div className="over-ink" role="alert" id="query-error">
          {p.error}
        </div>
      )}
    </div>
  )
}
