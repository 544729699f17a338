import { useRef, useState } from 'react'

/** A text that is typed over in place; Enter or leaving the field keeps it, Escape does not. */
export function InlineText({
  value,
  label,
  onCommit,
}: {
  value: string
  label: string
  onCommit: (v: string) => void
}) {
  const [draft, setDraft] = useState<string>()
  const given = useRef(false)
  const commit = () => {
    const up = given.current
    given.current = false
    if (!up && draft !== undefined && draft.trim() && draft !== value) onCommit(draft.trim())
    setDraft(undefined)
  }
  return (
    <input
      className="inline-text"
      aria-label={label}
      title="Click to rename"
      value={draft ?? value}
      size={Math.min(44, Math.max(8, (draft ?? value).length))}
      onChange={(e) => setDraft(e.target.value)}
      onBlur={commit}
      onKeyDown={(e) => {
        if (e.key === 'Enter') e.currentTarget.blur()
        // the keys of the page are the page's again
        if (e.key === 'Escape') {
          e.stopPropagation()
          given.current = true
          setDraft(undefined)
          e.currentTarget.blur()
        }
      }}
    />
  )
}
