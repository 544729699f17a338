import { Select } from 'antd'
import type { ReactNode } from 'react'
import type { Check } from '../../api/client'

/** How a member stands: the worst checks that are not met, or that all are. */
export function Verdict({ checks }: { checks: Check[] }) {
  const failing = checks.filter((c) => !c.satisfied)
  return (
    <span className={failing.length ? 'verdict over-ink' : 'verdict soft'} aria-live="polite">
      {failing.length
        ? failing
            .map((c) => `${c.title.toLowerCase()} ${c.utilisation.toFixed(2)}`)
            .slice(0, 2)
            .join(' · ') + (failing.length > 2 ? ` · ${failing.length - 2} more` : '')
        : checks.length > 0
          ? 'all satisfied'
          : ''}
    </span>
  )
}

/** A control with its word before it. */
export function Field({ words, children }: { words: string; children: ReactNode }) {
  return (
    <label className="strip-field">
      <span className="soft">{words}</span>
      {children}
    </label>
  )
}

export function Stepper(p: {
  words: string
  value: number
  least: number
  most: number
  onChange: (v: number) => void
}) {
  const button = (sign: string, to: number, words: string) => (
    <button type="button" aria-label={words} disabled={to < p.least || to > p.most} onClick={() => p.onChange(to)}>
      {sign}
    </button>
  )
  return (
    <span className="stepper" role="group" aria-label={p.words}>
      {button('−', p.value - 1, `${p.words}: one fewer`)}
      <b>{p.value}</b>
      {button('+', p.value + 1, `${p.words}: one more`)}
    </span>
  )
}

export function Sizes(p: { words: string; value: string; sizes: string[]; onChange: (v: string) => void }) {
  const sizes = p.sizes.includes(p.value) ? p.sizes : [p.value, ...p.sizes]
  return (
    <Select
      size="small"
      aria-label={p.words}
      value={p.value}
      style={{ width: 74 }}
      options={sizes.map((value) => ({ value, label: value }))}
      onChange={p.onChange}
    />
  )
}
