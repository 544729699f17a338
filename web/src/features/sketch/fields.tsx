import { Input } from 'antd'
import { useState } from 'react'
import type { SketchSection } from '../../api/client'
import { parseSection, sectionWords } from '../../lib/sectionWords'

/** A section in words; it counts when the words make one. */
export function SectionField(p: {
  label: string
  unit: string
  value: SketchSection
  onChange: (s: SketchSection) => void
}) {
  const [words, setWords] = useState<string>()
  const shown = words ?? sectionWords(p.value)
  return (
    <Input
      aria-label={p.label}
      size="small"
      style={{ width: 168 }}
      value={shown}
      status={parseSection(shown, p.unit) ? undefined : 'error'}
      title="width x depth, tee, ell or inverted-tee web x depth flange x thickness, or circle diameter; units may be typed: 30x60 cm"
      onChange={(e) => {
        setWords(e.target.value)
        const s = parseSection(e.target.value, p.unit)
        if (s) p.onChange(s)
      }}
      onBlur={() => parseSection(shown, p.unit) && setWords(undefined)}
    />
  )
}
