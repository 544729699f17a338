import { App, Button, Select } from 'antd'
import { useState } from 'react'
import type { Bench } from './bench'
import { forget, keep, keptSections } from './kept'

/** Keeps the section of the bench under its name, and opens or forgets those that are kept. */
export function KeptMenu(p: { bench: Bench; onOpen: (b: Bench) => void }) {
  const { message } = App.useApp()
  const [kept, setKept] = useState(keptSections)
  const mine = kept.some((k) => k.name === p.bench.name)
  const take = () => {
    if (!keep(p.bench))
      return void message.error('A hundred sections are kept already: forget one that is not used any more.')
    setKept(keptSections())
    void message.success(`Kept as “${p.bench.name}”: the sheets of columns that it fits offer its bars.`)
  }
  return (
    <>
      <Button size="small" onClick={take}>
        Keep
      </Button>
      {kept.length > 0 && (
        <Select
          size="small"
          aria-label="Sections that are kept"
          style={{ width: 110 }}
          popupMatchSelectWidth={false}
          value={null}
          placeholder={`Kept (${kept.length})`}
          options={kept.map((k) => ({ value: k.name, label: k.name }))}
          onChange={(name) => p.onOpen(kept.find((k) => k.name === name)!)}
        />
      )}
      {mine && (
        <Button
          size="small"
          onClick={() => {
            forget(p.bench.name)
            setKept(keptSections())
          }}
        >
          Forget
        </Button>
      )}
    </>
  )
}
