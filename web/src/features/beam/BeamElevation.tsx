import type { Beam, Hand } from '../../api/client'
import type { Axis } from '../../drawing/beamScene'
import { lengthIn, type Units } from '../../lib/units'
import type { Pick } from './editor/hand'
import { Handles } from './editor/Handles'

const TOP = 46
const DEPTH = 70

interface Props {
  beam: Beam
  axis: Axis
  widthPx: number
  units: Units
  pick?: Pick
  end: 'from' | 'to'
  stepMm: number
  onPick: (p: Pick) => void
  onEnd: (e: 'from' | 'to') => void
  onTry: (h: Hand) => void
  onSave: (h: Hand) => void
}

/** The line in elevation: bars where they are, cut-offs, stirrups by zone, all to be picked and changed. Depth is stretched, lengths are to scale. */
export function BeamElevation(p: Props) {
  const { beam, axis } = p
  const deepest = Math.max(...beam.spans.map((s) => s.section.depth))
  const unit = DEPTH / deepest
  const depthAt = (span: number) => (beam.spans[span]?.section.depth ?? deepest) * unit
  const level = (face: string, offset: number, span: number) =>
    face === 'top' ? TOP + offset : TOP + depthAt(span) - offset
  const barLevel = (index: number, end: 'from' | 'to') => {
    const g = beam.groups[index]!
    const runs = bySpan(beam, g.from, g.to)
    return level(
      g.face,
      Math.max(6, g.offset * unit) + (g.through ? 0 : 3),
      (end === 'from' ? runs[0] : runs.at(-1))!.span,
    )
  }
  const pickOn = (pick: Pick) => (e: React.MouseEvent) => {
    e.stopPropagation()
    p.onPick(pick)
  }
  return (
    <svg width={p.widthPx} height={188} role="group" aria-label="Elevation with bars">
      {beam.spans.map((s) => (
        <rect
          key={s.number}
          className="concrete"
          x={axis.x(s.from)}
          y={TOP}
          width={axis.x(s.to) - axis.x(s.from)}
          height={s.section.depth * unit}
        />
      ))}
      {beam.supports.map((s, i) => {
        const w = Math.max(axis.x(s.x + s.depth / 2) - axis.x(s.x - s.depth / 2), 3)
        const y = TOP + depthAt(Math.min(i, beam.spans.length - 1))
        return (
          <g key={i}>
            {s.kind === 'column' && (
              <rect className="support" x={axis.x(s.x) - w / 2} y={TOP} width={w} height={DEPTH + 20} opacity={0.55} />
            )}
            {s.kind === 'column' && (
              <rect className="support" x={axis.x(s.x) - w / 2} y={y} width={w} height={TOP + DEPTH + 20 - y} />
            )}
            {(s.kind === 'beam' || s.kind === 'held') && (
              <path className="support" d={`M ${axis.x(s.x)} ${y} l 7 12 h -14 z`} />
            )}
            <text x={axis.x(s.x)} y={TOP + DEPTH + 34} textAnchor="middle" className="axis-text">
              {s.label}
            </text>
          </g>
        )
      })}
      {beam.zones.flatMap((z) =>
        z.places.map((x, i) => (
          <line
            key={`${z.from}-${i}`}
            className="stirrup"
            x1={axis.x(x)}
            x2={axis.x(x)}
            y1={TOP + 4}
            y2={TOP + depthAt(z.span) - 4}
          />
        )),
      )}
      {beam.sides.flatMap((q) =>
        Array.from({ length: q.perFace }, (_, k) => {
          const y = TOP + (depthAt(q.span) * (k + 1)) / (q.perFace + 1)
          return (
            <g
              key={`${q.span}-${k}`}
              className={p.pick?.part === 'sides' && p.pick.span === q.span ? 'bar side-bar picked' : 'bar side-bar'}
              role="button"
              aria-label={`Side bars ${q.size}, level ${k + 1}`}
              onClick={pickOn({ part: 'sides', span: q.span })}
            >
              <title>{`${q.perFace}${q.size} on each side`}</title>
              <line x1={axis.x(q.from)} x2={axis.x(q.to)} y1={y} y2={y} />
              <line className="hit" x1={axis.x(q.from)} x2={axis.x(q.to)} y1={y} y2={y} />
            </g>
          )
        }),
      )}
      {beam.groups.map((g, i) => {
        const offset = Math.max(6, g.offset * unit) + (g.through ? 0 : 3)
        const runs = bySpan(beam, g.from, g.to)
        const y = (span: number) => level(g.face, offset, span)
        const picked = p.pick?.part === 'bars' && p.pick.index === i
        const words = `${g.count}${g.size} ${g.face}, layer ${g.layer}${g.pairs ? ', bundled' : ''}${g.through ? ', through' : ''}${g.laps.length ? `, ${g.laps.length === 1 ? 'one lap' : `${g.laps.length} laps`}` : ''}`
        const hook = g.face === 'top' ? 9 : -9
        const first = runs[0]!
        const last = runs[runs.length - 1]!
        return (
          <g
            key={i}
            className={picked ? 'bar picked' : g.face in beam.hand.faces ? 'bar by-hand' : 'bar'}
            strokeWidth={g.through ? 1.8 : 2.6}
            role="button"
            aria-label={words}
            aria-pressed={picked}
            onClick={pickOn({ part: 'bars', index: i })}
          >
            <title>{words}</title>
            {runs.map((r) => (
              <line key={r.span} x1={axis.x(r.from)} x2={axis.x(r.to)} y1={y(r.span)} y2={y(r.span)} />
            ))}
            {runs.map((r) => (
              <line
                key={`hit${r.span}`}
                className="hit"
                x1={axis.x(r.from)}
                x2={axis.x(r.to)}
                y1={y(r.span)}
                y2={y(r.span)}
              />
            ))}
            {g.laps.map((l) => {
              const s = runs.find((r) => (l.from + l.to) / 2 <= r.to) ?? last
              const at = y(s.span) + (g.face === 'top' ? 3 : -3)
              return <line key={`lap${l.from}`} className="lap" x1={axis.x(l.from)} x2={axis.x(l.to)} y1={at} y2={at} />
            })}
            {g.hookFrom && (
              <line x1={axis.x(g.from)} x2={axis.x(g.from)} y1={y(first.span)} y2={y(first.span) + hook} />
            )}
            {g.hookTo && <line x1={axis.x(g.to)} x2={axis.x(g.to)} y1={y(last.span)} y2={y(last.span) + hook} />}
          </g>
        )
      })}
      {spread(groupTags(beam, axis), p.widthPx).map((t, i) => (
        <g key={i} className="tag">
          <rect x={t.x - t.w / 2} y={t.top ? 12 : TOP + DEPTH + 6} width={t.w} height={17} rx={3} />
          <text x={t.x} y={t.top ? 24 : TOP + DEPTH + 18} textAnchor="middle">
            {t.text}
          </text>
        </g>
      ))}
      {beam.zones.map((z, i) => {
        const w = axis.x(z.to) - axis.x(z.from)
        return (
          <g
            key={i}
            className={
              p.pick?.part === 'zone' && p.pick.index === i
                ? 'zone picked'
                : z.span in beam.hand.stirrups
                  ? 'zone by-hand'
                  : 'zone'
            }
            role="button"
            onClick={pickOn({ part: 'zone', index: i })}
          >
            <title>{`Zone ${z.size} at ${lengthIn(z.spacing, p.units).toFixed(0)} ${p.units.length}, ${z.legs} legs: ${z.places.length} stirrups`}</title>
            <rect className="hit-area" x={axis.x(z.from)} y={150} width={w} height={37} />
            <line x1={axis.x(z.from) + 1} x2={axis.x(z.to) - 1} y1={158} y2={158} />
            <line x1={axis.x(z.from)} x2={axis.x(z.from)} y1={154} y2={162} />
            <line x1={axis.x(z.to)} x2={axis.x(z.to)} y1={154} y2={162} />
            {w > 38 && (
              <text
                aria-hidden
                x={axis.x((z.from + z.to) / 2)}
                y={172}
                textAnchor="middle"
              >{`${z.size}-${lengthIn(z.spacing, p.units).toFixed(0)}`}</text>
            )}
            {w > 38 && (
              <text aria-hidden x={axis.x((z.from + z.to) / 2)} y={184} textAnchor="middle" className="faint">
                {z.legs} legs
              </text>
            )}
          </g>
        )
      })}
      {p.pick && (
        <Handles
          beam={beam}
          pick={p.pick}
          axis={axis}
          stepMm={p.stepMm}
          end={p.end}
          level={barLevel}
          zoneLevel={158}
          onTry={p.onTry}
          onSave={p.onSave}
          onEnd={p.onEnd}
        />
      )}
    </svg>
  )
}

/** A run of bars cut at the supports, so that each piece lies at the depth of its own span. */
function bySpan(beam: Beam, from: number, to: number): { span: number; from: number; to: number }[] {
  const n = beam.spans.length
  return beam.spans
    .map((s, i) => ({
      span: i,
      from: i === 0 ? from : Math.max(from, s.from),
      to: i === n - 1 ? to : Math.min(to, s.to),
    }))
    .filter((r) => r.to > r.from)
}

interface Tag {
  x: number
  w: number
  text: string
  top: boolean
}

/** One tag per run of bars, near its middle; tags that would collide are moved aside, row by row. */
function groupTags(beam: Beam, axis: Axis): Tag[] {
  const byRun = new Map<string, Tag>()
  for (const g of beam.groups) {
    const key = `${g.face}/${g.from}/${g.to}/${g.size}/${g.through}`
    const old = byRun.get(key)
    const count = (old ? Number(old.text.match(/\d+/)![0]) : 0) + g.count
    const text = g.through ? `${count}${g.size} through` : `+ ${count}${g.size}`
    const x = g.through ? axis.left + 46 : (axis.x(g.from) + axis.x(g.to)) / 2
    byRun.set(key, { x, w: text.length * 6.3 + 10, text, top: g.face === 'top' })
  }
  return [...byRun.values()]
}

function spread(tags: Tag[], widthPx: number): Tag[] {
  const out: Tag[] = []
  for (const top of [true, false]) {
    let edge = 0
    for (const t of tags.filter((q) => q.top === top).sort((a, b) => a.x - b.x)) {
      const x = Math.max(t.x, edge + t.w / 2 + 3)
      if (x + t.w / 2 > widthPx) continue
      out.push({ ...t, x })
      edge = x + t.w / 2
    }
  }
  return out
}
