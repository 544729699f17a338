import { App, Button, Dropdown } from 'antd'
import { useState } from 'react'
import type { Bench } from './draft'
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
        <Dropdown
          trigger={['click']}
          menu={{
            items: [
              ...kept.map((k) => ({ key: `open ${k.name}`, label: k.name, onClick: () => p.onOpen(k) })),
              ...(mine
                ? [
                    { type: 'divider' as const },
                    {
                      key: 'forget',
                      label: `Forget “${p.bench.name}”`,
                      onClick: () => {
                        forget(p.bench.name)
                        setKept(keptSections())
                      },
                    },
                  ]
                : []),
            ],
          }}
        >
          <Button size="small">Kept ({kept.length})</Button>
        </Dropdown>
      )}
    </>
  )
}
