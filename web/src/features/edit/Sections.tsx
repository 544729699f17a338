import { Input, Select } from 'antd'
import { useState } from 'react'
import { MemberTable } from './MemberTable'
import type { PartProps } from './part'

/** Another section for one member or all of them; one that is not in the model yet is written down. */
export function Sections(p: PartProps & { added: string[]; onAdd: (words: string) => string | undefined }) {
  const [words, setWords] = useState('')
  const [bad, setBad] = useState(false)
  const ids = [...new Set([...(p.elements[0]?.sections ?? []), ...p.added])]
  const options = ids.map((s) => ({ value: s, label: s }))
  const add = () => {
    const made = p.onAdd(words)
    setBad(!made)
    if (made) {
      p.onChange(
        p.elements.map((e) => e.id),
        { section: made },
      )
      setWords('')
    }
  }
  return (
    <>
      <div className="field">
        <span>New section</span>
        <span>
          <Input
            value={words}
            status={bad ? 'error' : undefined}
            aria-label="New section"
            placeholder={p.us ? '14x28' : '350x700'}
            style={{ width: 220 }}
            suffix={p.us ? 'in' : 'mm'}
            onChange={(e) => {
              setWords(e.target.value)
              setBad(false)
            }}
            onPressEnter={add}
          />
          <div className={bad ? 'over-ink' : 'soft'}>
            width x depth, <i>tee</i> or <i>ell</i> web x depth flange x thickness, or <i>circle</i> diameter, units as
            typed; Enter gives it to all
          </div>
        </span>
      </div>
      <MemberTable
        {...p}
        heading="section"
        all={(members) => (
          <Select
            aria-label="Section of all"
            showSearch
            style={{ width: 220 }}
            placeholder="choose for all"
            value={undefined}
            options={options}
            onChange={(section: string) => p.onChange(members, { section })}
          />
        )}
        one={(e) => (
          <Select
            aria-label={`Section of ${e.id}`}
            showSearch
            style={{ width: 220 }}
            value={p.drafts[e.id]?.section ?? e.section}
            options={options}
            onChange={(section) => p.onChange([e.id], { section })}
          />
        )}
      />
    </>
  )
}
