import { useRef, useState, type ChangeEvent, type KeyboardEvent } from 'react'

/**
 * A text that is kept when its field is left or on Enter; Escape takes back what was typed. What is refused stays as it was typed, marked,
 * so that nothing is lost.
 */
export function SavedText({
  value,
  label,
  longest,
  lines = 1,
  onSave,
}: {
  value: string
  label?: string
  longest: number
  lines?: number
  onSave: (text: string) => Promise<unknown>
}) {
  const [typed, setTyped] = useState<string>()
  const [refused, setRefused] = useState(false)
  const given = useRef(false)
  const keep = () => {
    if (given.current || typed === undefined || typed.trim() === value) {
      given.current = false
      setTyped(undefined)
      setRefused(false)
      return
    }
    onSave(typed.trim()).then(
      () => {
        setTyped(undefined)
        setRefused(false)
      },
      () => setRefused(true),
    )
  }
  const common = {
    value: typed ?? value,
    maxLength: longest,
    'aria-label': label,
    'aria-invalid': refused || undefined,
    className: 'saved-text',
    onChange: (e: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => setTyped(e.target.value),
    onBlur: keep,
    onKeyDown: (e: KeyboardEvent<HTMLInputElement | HTMLTextAreaElement>) => {
      if (e.key === 'Enter' && lines === 1) e.currentTarget.blur()
      if (e.key === 'Escape') {
        e.stopPropagation()
        given.current = true
        e.currentTarget.blur()
      }
    },
  }
  return lines > 1 ? (
    <textarea rows={lines} {...common} />
  ) : (
    <input type="text" autoComplete="off" spellCheck={false} {...common} />
  )
}
