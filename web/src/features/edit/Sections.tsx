import { Input, Select } from 'antd'
import { useState } from 'react'
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
            width x depth, <i>tee</i> or <i>ell</i> web x depth flange x thickness, or <i>circle</i> diameter; Enter
            gives it to all
          </div>
        </span>
      </div>
      <table className="plain">
        <thead>
          <tr>
            <th>member</th>
            <th className="num">length, {p.us ? 'ft' : 'm'}</th>
            <th>section</th>
          </tr>
        </thead>
        <tbody>
          {p.elements.length > 1 && (
            <tr>
              <td className="soft">all {p.elements.length}</td>
              <td />
              <td>
                <Select
                  aria-label="Section of all"
                  showSearch
                  style={{ width: 220 }}
                  placeholder="choose for all"
                  value={undefined}
                  options={options}
                  onChange={(section: string) =>
                    p.onChange(
                      p.elements.map((e) => e.id),
                      { section },
                    )
                  }
                />
              </td>
            </tr>
          )}
          {p.elements.map((e) => (
            <tr key={e.id}>
              <td>
                <b>{e.id}</b>
              </td>
              <td className="num">{(e.lengthM / (p.us ? 0.3048 : 1)).toFixed(2)}</td>
              <td>
                <Select
                  aria-label={`Section of ${e.id}`}
                  showSearch
                  style={{ width: 220 }}
                  value={p.drafts[e.id]?.section ?? e.section}
                  options={options}
                  onChange={(section) => p.onChange([e.id], { section })}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}
