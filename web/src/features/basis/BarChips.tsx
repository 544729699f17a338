/** Bars that may be chosen, each a button; the last one stays. */
export function BarChips(p: { name: string; bars: string[]; value: string[]; onChange: (v: string[]) => void }) {
  const toggle = (bar: string) => {
    const next = p.value.includes(bar)
      ? p.value.filter((v) => v !== bar)
      : p.bars.filter((v) => p.value.includes(v) || v === bar)
    if (next.length > 0) p.onChange(next)
  }
  return (
    <span className="chips" role="group" aria-label={p.name}>
      {p.bars.map((bar) => (
        <button key={bar} type="button" aria-pressed={p.value.includes(bar)} onClick={() => toggle(bar)}>
          {bar}
        </button>
      ))}
    </span>
  )
}
