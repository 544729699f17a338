import { Tooltip } from 'antd'
import { useState } from 'react'
import { readQuantity } from '../lib/quantity'
import { TextBox } from './TextBox'

interface Props {
  label: string
  /** null where nothing is given, which only `empty` allows */
  value: number | null
  unit?: string
  /** the unit stands behind the number inside the field */
  showUnit?: boolean
  least?: number
  most?: number
  whole?: boolean
  /** by how much the arrow keys move it */
  step?: number
  decimals?: number
  placeholder?: string
  empty?: boolean
  disabled?: boolean
  small?: boolean
  width?: number
  /** counts as it is typed, not only when the field is left */
  live?: boolean
  onChange: (v: number) => void
  onEmpty?: () => void
}

/**
 * A number with its unit. It reads comma and point, marks between thousands and other units typed behind, says what it does not understand, and keeps what
 * was typed until it is mended or given up with Escape.
 */
export function NumberField(p: Props) {
  const [draft, setDraft] = useState<string>()
  // what cannot be taken is red as it is typed, and told in words when the field is left
  const [told, setTold] = useState(false)
  const shown = p.value === null || !Number.isFinite(p.value) ? '' : String(Number(p.value.toFixed(p.decimals ?? 6)))
  const text = draft ?? shown
  const trouble = draft === undefined ? undefined : wrong(p, draft)
  const take = (t: string) => {
    if (wrong(p, t)) return false
    const r = readQuantity(t, p.unit)
    if ('value' in r && r.value !== p.value && t !== shown) p.onChange(r.value)
    if (!('value' in r) && p.value !== null) p.onEmpty?.()
    return true
  }
  const leave = () => {
    if (draft === undefined) return
    if (take(draft)) setDraft(undefined)
    else setTold(true)
  }
  const move = (by: number) => {
    const r = readQuantity(text, p.unit)
    const from = 'value' in r ? r.value : (p.value ?? 0)
    const to = Math.min(p.most ?? Infinity, Math.max(p.least ?? -Infinity, Number((from + by).toFixed(6))))
    setDraft(undefined)
    p.onChange(to)
  }
  return (
    <Tooltip title={trouble} open={told && trouble !== undefined} color="var(--over)" placement="topLeft">
      <TextBox
        value={text}
        aria-label={p.label}
        inputMode="decimal"
        small={p.small}
        disabled={p.disabled}
        placeholder={p.placeholder}
        suffix={p.showUnit ? p.unit : undefined}
        bad={trouble !== undefined || (p.value !== null && !Number.isFinite(p.value))}
        width={p.width ?? 62}
        data-clean={draft === undefined || undefined}
        onChange={(e) => {
          setDraft(e.target.value)
          setTold(false)
          if (p.live) take(e.target.value)
        }}
        onBlur={leave}
        onKeyDown={(e) => {
          if (e.key === 'Enter') leave()
          if (e.key === 'Escape' && draft !== undefined) {
            e.stopPropagation()
            setDraft(undefined)
          }
          if (p.step && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
            e.preventDefault()
            move(e.key === 'ArrowUp' ? p.step : -p.step)
          }
        }}
      />
    </Tooltip>
  )
}

/** Why a text cannot be taken; undefined if it can. */
function wrong(p: Props, text: string): string | undefined {
  if (text.trim() === '') return p.empty ? undefined : 'Type a number.'
  const r = readQuantity(text, p.unit)
  if ('trouble' in r) return r.trouble
  const unit = p.unit ? ` ${p.unit}` : ''
  const least = p.least ?? -Infinity
  const most = p.most ?? Infinity
  if (r.value < least - 1e-9 || r.value > most + 1e-9)
    return Number.isFinite(least) && Number.isFinite(most)
      ? `Between ${least} and ${most}${unit}.`
      : r.value < least
        ? `At least ${least}${unit}.`
        : `At most ${most}${unit}.`
  return p.whole && !Number.isInteger(r.value) ? 'A whole number.' : undefined
}
