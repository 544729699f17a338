import { CAUSE_WORDS } from './causes'

/** Failing counts per cause; a click narrows to the cause, another shows all again. */
export function CausesStrip(p: {
  causes: Record<string, number>
  chosen?: string
  failing: number
  onChoose: (c: string | undefined) => void
}) {
  const list = Object.entries(p.causes).sort((a, b) => b[1] - a[1])
  if (list.length === 0)
    return <p className="strip-words soft">{p.chosen ? 'Nothing here fails for this cause.' : 'Nothing here fails.'}</p>
  return (
    <>
      <div className="causes" role="group" aria-label="Causes">
        {list.map(([c, n]) => (
          <button
            key={c}
            type="button"
            aria-pressed={p.chosen === c}
            style={{ flexGrow: n }}
            title={`${n} fail by ${CAUSE_WORDS[c] ?? c}`}
            onClick={() => p.onChoose(p.chosen === c ? undefined : c)}
          >
            <b>{n}</b> {CAUSE_WORDS[c] ?? c}
          </button>
        ))}
      </div>
      <p className="strip-words soft">
        Causes of the {p.failing} that fail{p.chosen ? `, narrowed to ${CAUSE_WORDS[p.chosen] ?? p.chosen}` : ''}.
      </p>
    </>
  )
}
