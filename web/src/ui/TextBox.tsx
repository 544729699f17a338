import type { ComponentProps, ReactNode, Ref } from 'react'

/** A line of text with what stands behind it; a plain input, which is all that most fields need. */
export function TextBox({
  suffix,
  small,
  bad,
  width,
  inputRef,
  ...input
}: Omit<ComponentProps<'input'>, 'width'> & {
  suffix?: ReactNode
  small?: boolean
  bad?: boolean
  width?: number | string
  inputRef?: Ref<HTMLInputElement>
}) {
  return (
    <span
      className="text-box"
      data-small={small || undefined}
      data-bad={bad || undefined}
      data-disabled={input.disabled || undefined}
      style={{ width }}
    >
      <input
        type="text"
        autoComplete="off"
        spellCheck={false}
        aria-invalid={bad || undefined}
        {...input}
        ref={inputRef}
      />
      {suffix && <span className="soft">{suffix}</span>}
    </span>
  )
}
