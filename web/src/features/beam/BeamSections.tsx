import type { Beam, Cut } from '../../api/client'

const SIZE = 82

/** Sections at the supports and mid-spans, bars to scale; the largest size solid, smaller ones dotted, with a key. */
export function BeamSections({ beam }: { beam: Beam }) {
  const sizes = [...new Set(beam.cuts.flatMap((c) => c.bars.map((b) => b.diameter)))].sort((a, b) => b - a)
  const labels = sizes.map((d) => beam.cuts.flatMap((c) => c.bars).find((b) => b.diameter === d)!.size)
  return (
    <>
      <div className="sections" tabIndex={0} role="region" aria-label="Sections along the line">
        {beam.cuts.map((c, i) => (
          <Section key={i} cut={c} beam={beam} largest={sizes[0] ?? 0} />
        ))}
      </div>
      <p className="key soft">
        {labels.map((l, i) => (
          <span key={l}>
            <svg width={12} height={12}>
              <circle cx={6} cy={6} r={4.5} fill={barFill(sizes[i]!, sizes[0]!)} stroke="var(--ink)" />
            </svg>{' '}
            {l}
          </span>
        ))}
      </p>
    </>
  )
}

export function barFill(diameter: number, largest: number): string {
  return diameter >= largest - 0.01 ? 'var(--ink)' : diameter >= 0.7 * largest ? 'url(#dots)' : 'var(--panel)'
}

function Section({ cut, beam, largest }: { cut: Cut; beam: Beam; largest: number }) {
  const s = beam.spans[cut.span]!.section
  const w = s.shape === 'rectangle' ? s.webWidth : Math.min(s.width, s.webWidth * 2)
  const k = SIZE / Math.max(s.depth, w)
  const both = s.shape === 'tee' || s.shape === 'inverted-tee'
  const x0 = 4 + ((both ? w - s.webWidth : 0) / 2) * k
  const web = s.webWidth * k
  const h = s.depth * k
  const hf = s.flangeDepth * k
  const c = beam.coverMm * k
  const flange = both ? [4, w * k] : [x0, w * k]
  return (
    <figure title={`top ${cut.top}, bottom ${cut.bottom}`}>
      <svg
        width={Math.max(w, s.webWidth) * k + 8}
        height={SIZE + 6}
        role="img"
        aria-label={`Section at ${cut.label}: top ${cut.top}, bottom ${cut.bottom}`}
      >
        {hf > 0 && (
          <rect
            className="concrete"
            x={flange[0]}
            y={s.shape === 'inverted-tee' ? 2 + h - hf : 2}
            width={flange[1]}
            height={hf}
          />
        )}
        <rect className="concrete" x={x0} y={2} width={web} height={h} />
        <rect className="tie" x={x0 + c} y={2 + c} width={web - 2 * c} height={h - 2 * c} rx={3} />
        {Array.from({ length: Math.max(0, cut.legs - 2) }, (_, i) => {
          const x = x0 + c + ((web - 2 * c) * (i + 1)) / (cut.legs - 1)
          return <line key={i} className="tie" x1={x} x2={x} y1={2 + c} y2={2 + h - c} />
        })}
        {cut.bars.map((b, i) => (
          <circle
            key={i}
            cx={x0 + b.y * k}
            cy={2 + h - b.z * k}
            r={Math.max(1.6, (b.diameter / 2) * k)}
            fill={barFill(b.diameter, largest)}
            stroke="var(--ink)"
            strokeWidth={0.8}
          />
        ))}
        {Array.from({ length: cut.sideBarsPerFace }, (_, i) => {
          const y = 2 + c + ((h - 2 * c) * (i + 1)) / (cut.sideBarsPerFace + 1)
          return [x0 + c + 3, x0 + web - c - 3].map((x) => (
            <circle key={`${i}${x}`} cx={x} cy={y} r={1.8} fill="var(--panel)" stroke="var(--ink)" strokeWidth={0.8} />
          ))
        })}
      </svg>
      <figcaption>
        {cut.label}
        <span className="soft">{cut.top}</span>
        <span className="soft">{cut.bottom}</span>
      </figcaption>
    </figure>
  )
}
