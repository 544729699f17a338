import { App, Button, Select, Tooltip } from 'antd'
import type { Bench } from './bench'
import { useKeeping, useKeptSections } from './kept'

/** Keeps the section of the bench under its name for all projects, and opens or forgets those that are kept. */
export function KeptMenu(p: { bench: Bench; onOpen: (b: Bench) => void }) {
  const { message } = App.useApp()
  const kept = useKeptSections().data ?? []
  const { keep, forget } = useKeeping(
    (name) => void message.success(`Kept as “${name}”: the sheets of columns that it fits offer its bars.`),
    (why) => void message.error(why, 8),
  )
  const mine = kept.some((k) => k.name === p.bench.name)
  return (
    <>
      <Tooltip title="Under its name, for all projects; the sheets of columns that it fits offer its bars.">
        <Button size="small" loading={keep.isPending} onClick={() => keep.mutate(p.bench)}>
          {mine ? 'Keep in its place' : 'Keep'}
        </Button>
      </Tooltip>
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
        <Button size="small" loading={forget.isPending} onClick={() => forget.mutate(p.bench.name)}>
          Forget
        </Button>
      )}
    </>
  )
}
