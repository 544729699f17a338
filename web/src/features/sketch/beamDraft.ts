import type { BeamSketch, SketchSection } from '../../api/client'

const rectangle = (b: number, h: number): SketchSection => ({ shape: 'rectangle', b, h, bw: 0, bf: 0, hf: 0, d: 0 })
const tee: SketchSection = { shape: 'tee', b: 0, h: 550, bw: 300, bf: 1200, hf: 150, d: 0 }
const stand = (kind: string): BeamSketch['supports'][number] => ({
  kind,
  below: 3.6,
  above: 0,
  column: rectangle(400, 400),
  pinnedFoot: false,
})

/** What a new continuous beam starts from: three spans and a cantilever, dead and live load. */
export const beamStart: BeamSketch = {
  name: 'Reading bay beam',
  units: 'SI',
  code: '',
  fc: 30,
  patternLive: true,
  spans: [6, 7.5, 6, 2].map((length) => ({ length, section: tee })),
  supports: [stand('pinned'), stand('columns'), stand('columns'), stand('columns'), stand('free')],
  cases: [
    { id: 'D', name: 'Dead', kind: 'dead', selfWeight: 1 },
    { id: 'L', name: 'Live', kind: 'live', selfWeight: 0 },
  ],
  loads: [0, 1, 2, 3].flatMap((span) => {
    const to = [6, 7.5, 6, 2][span]!
    return [
      { span, loadCase: 'D', kind: 'distributed', from: 0, to, value: 14, valueTo: 14 },
      { span, loadCase: 'L', kind: 'distributed', from: 0, to, value: 12, valueTo: 12 },
    ]
  }),
}

/** One more span at the right, like the last one. */
export function withSpan(s: BeamSketch): BeamSketch {
  const last = s.supports.at(-1)!
  const inner = last.kind === 'free' ? { ...last, kind: 'pinned' } : last
  return {
    ...s,
    spans: [...s.spans, s.spans.at(-1)!],
    supports: [...s.supports.slice(0, -1), inner, { ...last, kind: last.kind === 'free' ? 'pinned' : last.kind }],
  }
}

/** Without a span, the support at its right and its loads. */
export function withoutSpan(s: BeamSketch, i: number): BeamSketch {
  return {
    ...s,
    spans: s.spans.filter((_, k) => k !== i),
    supports: s.supports.filter((_, k) => k !== i + 1),
    loads: s.loads.filter((l) => l.span !== i).map((l) => (l.span > i ? { ...l, span: l.span - 1 } : l)),
  }
}

export const FT = 3.280839895
export const rounded = (v: number, step: number) => Math.round(v / step) / Math.round(1 / step)

/** The same section in the other system, rounded to whole inches or to 10 mm. */
export function sectionToUnits(s: SketchSection, us: boolean): SketchSection {
  const turn = (v: number) => (us ? Math.round(v / 25.4) : Math.round((v * 25.4) / 10) * 10)
  return { shape: s.shape, b: turn(s.b), h: turn(s.h), bw: turn(s.bw), bf: turn(s.bf), hf: turn(s.hf), d: turn(s.d) }
}

/** The beam in the other system, rounded to what one would write there. */
export function beamToUnits(s: BeamSketch, units: string): BeamSketch {
  const us = units === 'US'
  const length = (v: number) => rounded(us ? v * FT : v / FT, 0.01)
  const kip = us ? 1 / 4.4482216 : 4.4482216
  const size = (kind: string, v: number) =>
    rounded(
      kind === 'distributed'
        ? v * kip * (us ? 1 / FT : FT)
        : kind === 'moment'
          ? v * kip * (us ? FT : 1 / FT)
          : v * kip,
      0.001,
    )
  return {
    ...s,
    units,
    code: '',
    fc: us ? rounded(s.fc / 6.894757, 0.1) : Math.round(s.fc * 6.894757),
    spans: s.spans.map((p) => ({ length: length(p.length), section: sectionToUnits(p.section, us) })),
    supports: s.supports.map((p) => ({
      ...p,
      below: length(p.below),
      above: length(p.above),
      column: sectionToUnits(p.column, us),
    })),
    loads: s.loads.map((l) => ({
      ...l,
      from: length(l.from),
      to: length(l.to),
      value: size(l.kind, l.value),
      valueTo: size(l.kind, l.valueTo),
    })),
  }
}
