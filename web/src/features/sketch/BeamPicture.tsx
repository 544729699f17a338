import { Segmented } from 'antd'
import { useState } from 'react'
import type { BeamSketch, SketchPreview } from '../../api/client'
import { force } from '../../lib/format'
import { depthOf } from '../../lib/sectionWords'
import { Envelopes } from './Envelopes'

const WIDTH = 640
const LEFT = 34
const BEAM = 96

/** The beam as drawn up, with the loads of a case, and its envelopes below on the same axis. */
export function BeamPicture({ sketch: s, preview }: { sketch: BeamSketch; preview?: SketchPreview }) {
  const [chosen, setChosen] = useState('')
  const of = s.cases.some((c) => c.id === chosen) ? chosen : s.cases[s.cases.length - 1]?.id
  const starts = s.spans.reduce<number[]>((list, p) => [...list, list.at(-1)! + p.length], [0])
  const total = starts.at(-1) || 1
  const scale = (WIDTH - 2 * LEFT) / total
  const x = (v: number) => LEFT + v * scale
  const perLength = (s.units === 'US' ? 1 / 12 : 0.001) * scale
  const depth = (i: number) => Math.max(7, depthOf(s.spans[i]!.section) * perLength * 1.5)
  const env = preview?.envelopes ?? []
  return (
    <div>
      <div className="sketch-tools">
        <span className="soft">loads of</span>{' '}
        <Segmented
          size="small"
          value={of}
          options={s.cases.map((c) => c.id)}
          onChange={setChosen}
          aria-label="Loads of case"
        />
      </div>
      <svg width={WIDTH} height={190} role="img" aria-label="The beam with its loads">
        {s.spans.map((p, i) => (
          <g key={i}>
            <rect className="concrete" x={x(starts[i]!)} y={BEAM} width={p.length * scale} height={depth(i)} />
            {p.section.hf > 0 && (
              <line
                className="zero"
                x1={x(starts[i]!)}
                x2={x(starts[i + 1]!)}
                y1={BEAM + p.section.hf * perLength * 1.5}
                y2={BEAM + p.section.hf * perLength * 1.5}
              />
            )}
            <text className="axis-text" x={x(starts[i]! + p.length / 2)} y={180} textAnchor="middle">
              {p.length} {s.units === 'US' ? 'ft' : 'm'}
            </text>
            <line className="zero" x1={x(starts[i]!) + 2} x2={x(starts[i + 1]!) - 2} y1={166} y2={166} />
          </g>
        ))}
        {s.supports.map((p, i) => (
          <Support
            key={i}
            p={p}
            at={x(starts[i]!)}
            y={BEAM}
            depth={depth(Math.min(i, s.spans.length - 1))}
            left={i === 0}
            scale={perLength}
          />
        ))}
        {s.loads
          .filter((l) => l.loadCase === of && l.span < s.spans.length)
          .map((l, i) => (
            <LoadPicture
              key={i}
              load={l}
              from={x(starts[l.span]! + l.from)}
              to={x(starts[l.span]! + l.to)}
              most={most(s, of)}
            />
          ))}
      </svg>
      {env.length > 0 && (
        <>
          <Envelopes
            envelopes={env}
            high={(e) => e.myHigh}
            low={(e) => e.myLow}
            x={x}
            width={WIDTH}
            height={170}
            sign={-1}
            title="Moment, strength envelope, on the tension side"
            unit={preview!.momentUnit}
          />
          <Envelopes
            envelopes={env}
            high={(e) => e.vzHigh}
            low={(e) => e.vzLow}
            x={x}
            width={WIDTH}
            height={150}
            sign={1}
            title="Shear, strength envelope"
            unit={preview!.forceUnit}
          />
        </>
      )}
    </div>
  )
}

function most(s: BeamSketch, of: string | undefined): number {
  return Math.max(
    ...s.loads
      .filter((l) => l.loadCase === of && l.kind === 'distributed')
      .flatMap((l) => [Math.abs(l.value), Math.abs(l.valueTo)]),
    1e-9,
  )
}

function Support({
  p,
  at,
  y,
  depth,
  left,
  scale,
}: {
  p: BeamSketch['supports'][number]
  at: number
  y: number
  depth: number
  left: boolean
  scale: number
}) {
  const foot = y + depth
  if (p.kind === 'pinned') return <path className="support" d={`M${at} ${foot} l-8 13 h16 z`} />
  if (p.kind === 'fixed')
    return (
      <rect x={left ? at - 8 : at} y={y - 10} width={8} height={depth + 20} fill="url(#wall)" className="support" />
    )
  if (p.kind !== 'columns') return null
  const w = Math.max(6, (p.column.shape === 'circle' ? p.column.d : p.column.b || p.column.bw) * scale)
  return (
    <g className="support">
      {p.below > 0 && <rect x={at - w / 2} y={foot} width={w} height={158 - foot} />}
      {p.above > 0 && <rect x={at - w / 2} y={40} width={w} height={y - 40} />}
    </g>
  )
}

/** A load drawn above the beam, its size beside it. */
function LoadPicture({
  load: l,
  from,
  to,
  most,
}: {
  load: BeamSketch['loads'][number]
  from: number
  to: number
  most: number
}) {
  const label = (x: number, y: number, v: number) => (
    <text className="axis-text" x={x} y={y} textAnchor="middle">
      {force(v)}
    </text>
  )
  if (l.kind === 'point')
    return (
      <g className="load">
        <path d={`M${from} ${BEAM - 44} V${BEAM - 2} m-4 -8 l4 8 l4 -8`} />
        {label(from, BEAM - 48, l.value)}
      </g>
    )
  if (l.kind === 'moment')
    return (
      <g className="load">
        <path d={`M${from - 9} ${BEAM - 4} a10 10 0 1 1 18 0 m-5 -5 l5 5 l3 -7`} />
        {label(from, BEAM - 26, l.value)}
      </g>
    )
  const h = (v: number) => 6 + (30 * Math.abs(v)) / most
  return (
    <g className="load">
      <polygon
        points={`${from},${BEAM - 2} ${from},${BEAM - 2 - h(l.value)} ${to},${BEAM - 2 - h(l.valueTo)} ${to},${BEAM - 2}`}
      />
      {l.value === l.valueTo ? (
        label((from + to) / 2, BEAM - 6 - h(l.value), l.value)
      ) : (
        <>
          {label(from + 10, BEAM - 6 - h(l.value), l.value)}
          {label(to - 10, BEAM - 6 - h(l.valueTo), l.valueTo)}
        </>
      )}
    </g>
  )
}
