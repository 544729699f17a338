import { Input, InputNumber } from 'antd'
import { useState } from 'react'
import type { SketchSection } from '../../api/client'
import { parseSection, sectionWords } from '../../lib/sectionWords'

/** A number in a narrow field; it counts as it is typed. */
export function NumberField(p: {
  label: string
  value: number
  width?: number
  min?: number
  max?: number
  disabled?: boolean
  onChange: (v: number) => void
}) {
  return (
    <InputNumber
      aria-label={p.label}
      size="small"
      controls={false}
      style={{ width: p.width ?? 62 }}
      min={p.min}
      max={p.max}
      disabled={p.disabled}
      value={p.value}
      status={Number.isFinite(p.value) ? undefined : 'error'}
      onChange={(v) => v !== null && p.onChange(v)}
    />
  )
}

/** A section in words; it counts when the words make one. */
export function SectionField(p: { label: string; value: SketchSection; onChange: (s: SketchSection) => void }) {
  const [words, setWords] = useState<string>()
  const shown = words ?? sectionWords(p.value)
  return (
    <Input
      aria-label={p.label}
      size="small"
      style={{ width: 168 }}
      value={shown}
      status={parseSection(shown) ? undefined : 'error'}
      title="width x depth, tee, ell or inverted-tee web x depth flange x thickness, or circle diameter"
      onChange={(e) => {
        setWords(e.target.value)
        const s = parseSection(e.target.value)
        if (s) p.onChange(s)
      }}
      onBlur={() => parseSection(shown) && setWords(undefined)}
    />
  )
}
