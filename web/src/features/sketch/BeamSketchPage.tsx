import { Button, Select, Switch } from 'antd'
import type { BeamSketch } from '../../api/client'
import type { Mode } from '../../app/theme'
import { NumberField } from '../../ui/NumberField'
import { BeamPicture } from './BeamPicture'
import { Cases } from './Cases'
import { SectionField } from './fields'
import { beamStart, beamToUnits, withSpan, withoutSpan } from './beamDraft'
import { SketchFrame } from './SketchFrame'
import { useDraft } from './useDraft'

type Span = BeamSketch['spans'][number]
type Stand = BeamSketch['supports'][number]
type Load = BeamSketch['loads'][number]

const STANDS = [
  { value: 'free', label: 'free end' },
  { value: 'pinned', label: 'pinned' },
  { value: 'fixed', label: 'fixed' },
  { value: 'columns', label: 'columns' },
]
const KINDS = [
  { value: 'distributed', label: 'distributed' },
  { value: 'point', label: 'point' },
  { value: 'moment', label: 'moment' },
]

/** A continuous beam drawn up on one page. */
export function BeamSketchPage({ mode, onMode }: { mode: Mode; onMode: () => void }) {
  const draft = useDraft<BeamSketch>('kolonne.sketch.beam', beamStart)
  const { draft: s, set } = draft
  const us = s.units === 'US'
  const at = <T,>(list: T[], i: number, change: Partial<T>) => list.map((v, k) => (k === i ? { ...v, ...change } : v))
  const span = (i: number, c: Partial<Span>) =>
    set({
      ...s,
      spans: at(s.spans, i, c),
      loads: c.length
        ? s.loads.map((l) =>
            l.span === i
              ? {
                  ...l,
                  from: Math.min(l.from, c.length!),
                  to: l.to >= s.spans[i]!.length ? c.length! : Math.min(l.to, c.length!),
                }
              : l,
          )
        : s.loads,
    })
  const stand = (i: number, c: Partial<Stand>) => set({ ...s, supports: at(s.supports, i, c) })
  const load = (i: number, c: Partial<Load>) => set({ ...s, loads: at(s.loads, i, c) })
  const [length, line, force, moment] = us ? ['ft', 'kip/ft', 'kip', 'kip·ft'] : ['m', 'kN/m', 'kN', 'kNm']
  const addLoad = () => {
    const spanOf = Math.min(s.loads.at(-1)?.span ?? 0, s.spans.length - 1)
    set({
      ...s,
      loads: [
        ...s.loads,
        {
          span: spanOf,
          loadCase: s.cases[0]!.id,
          kind: 'distributed',
          from: 0,
          to: s.spans[spanOf]!.length,
          value: us ? 1 : 10,
          valueTo: us ? 1 : 10,
        },
      ],
    })
  }
  return (
    <SketchFrame
      kind="beam"
      title="continuous beam"
      draft={draft}
      mode={mode}
      onMode={onMode}
      toUnits={beamToUnits}
      picture={(p) => <BeamPicture sketch={s} preview={p} />}
    >
      <section>
        <h2>Spans and supports, from the left</h2>
        <table className="plain tight">
          <thead>
            <tr>
              <td />
              <th>support</th>
              <th className="num" title="Height of the column below; 0 for none">
                below, {length}
              </th>
              <th className="num" title="Height of the column above; 0 for none">
                above, {length}
              </th>
              <th>column, {us ? 'in' : 'mm'}</th>
              <th title="Whether the far ends of the columns may turn">far end pinned</th>
            </tr>
          </thead>
          <tbody>
            {s.supports.map((p, i) => (
              <tr key={i}>
                <td className="soft">{i + 1}</td>
                <td>
                  <Select
                    size="small"
                    aria-label={`Support ${i + 1}`}
                    style={{ width: 92 }}
                    value={p.kind}
                    options={i === 0 || i === s.spans.length ? STANDS : STANDS.slice(1)}
                    onChange={(kind) => stand(i, { kind })}
                  />
                </td>
                {p.kind === 'columns' ? (
                  <>
                    <td className="num">
                      <NumberField
                        small
                        live
                        unit={length}
                        label={`Column below support ${i + 1}`}
                        least={0}
                        value={p.below}
                        onChange={(below) => stand(i, { below })}
                      />
                    </td>
                    <td className="num">
                      <NumberField
                        small
                        live
                        unit={length}
                        label={`Column above support ${i + 1}`}
                        least={0}
                        value={p.above}
                        onChange={(above) => stand(i, { above })}
                      />
                    </td>
                    <td>
                      <SectionField
                        unit={us ? 'in' : 'mm'}

                        label={`Column section at support ${i + 1}`}
                        value={p.column}
                        onChange={(column) => stand(i, { column })}
                      />
                    </td>
                    <td>
                      <Switch
                        size="small"
                        aria-label={`Far ends pinned at support ${i + 1}`}
                        checked={p.pinnedFoot}
                        onChange={(pinnedFoot) => stand(i, { pinnedFoot })}
                      />
                    </td>
                  </>
                ) : (
                  <td colSpan={4} />
                )}
              </tr>
            ))}
          </tbody>
        </table>
        <table className="plain tight">
          <thead>
            <tr>
              <th>span</th>
              <th className="num">length, {length}</th>
              <th>section, {us ? 'in' : 'mm'}</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {s.spans.map((p, i) => (
              <tr key={i}>
                <td>{i + 1}</td>
                <td className="num">
                  <NumberField
                    small
                    live
                    unit={length}
                    label={`Length of span ${i + 1}`}
                    least={0.1}
                    value={p.length}
                    onChange={(v) => span(i, { length: v })}
                  />
                </td>
                <td>
                  <SectionField
                    unit={us ? 'in' : 'mm'}
                    label={`Section of span ${i + 1}`}
                    value={p.section}
                    onChange={(section) => span(i, { section })}
                  />
                </td>
                <td>
                  <Button
                    size="small"
                    type="text"
                    aria-label={`Remove span ${i + 1}`}
                    disabled={s.spans.length === 1}
                    onClick={() => set(withoutSpan(s, i))}
                  >
                    ×
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <Button size="small" onClick={() => set(withSpan(s))}>
          Add a span
        </Button>{' '}
        <label className="inline-field">
          f′c{' '}
          <NumberField
            small
            live
            unit={us ? 'ksi' : 'MPa'}
            label="Strength of the concrete"
            least={us ? 2 : 15}
            most={us ? 15 : 100}
            value={s.fc}
            onChange={(fc) => set({ ...s, fc })}
          />{' '}
          {us ? 'ksi' : 'MPa'}
        </label>
      </section>
      <Cases
        cases={s.cases}
        onChange={(cases) => set({ ...s, cases, loads: s.loads.filter((l) => cases.some((c) => c.id === l.loadCase)) })}
        onRename={(from, to) =>
          set({
            ...s,
            cases: s.cases.map((c) => (c.id === from ? { ...c, id: to } : c)),
            loads: s.loads.map((l) => (l.loadCase === from ? { ...l, loadCase: to } : l)),
          })
        }
      />
      <label className="inline-field">
        <Switch
          size="small"
          aria-label="Pattern live load"
          checked={s.patternLive}
          onChange={(patternLive) => set({ ...s, patternLive })}
        />{' '}
        live load on all, odd, even and adjacent spans
      </label>
      <section>
        <h2>Loads, downwards</h2>
        {s.loads.length === 0 && <p className="soft">No load yet but the weight of the beam.</p>}
        {s.loads.length > 0 && (
          <table className="plain tight">
            <thead>
              <tr>
                <th>span</th>
                <th>case</th>
                <th>kind</th>
                <th className="num">from, {length}</th>
                <th className="num">to</th>
                <th className="num" title={`${line} distributed, ${force} at a point, ${moment} as a moment`}>
                  value
                </th>
                <th className="num" title="At the far end of a varying load">
                  at the end
                </th>
                <td />
              </tr>
            </thead>
            <tbody>
              {s.loads.map((l, i) => {
                const spread = l.kind === 'distributed'
                const most = s.spans[l.span]?.length ?? 0
                return (
                  <tr key={i}>
                    <td>
                      <Select
                        size="small"
                        aria-label={`Span of load ${i + 1}`}
                        style={{ width: 52 }}
                        value={l.span}
                        options={s.spans.map((_, k) => ({ value: k, label: k + 1 }))}
                        onChange={(v) =>
                          load(i, {
                            span: v,
                            from: Math.min(l.from, s.spans[v]!.length),
                            to: l.to >= most ? s.spans[v]!.length : Math.min(l.to, s.spans[v]!.length),
                          })
                        }
                      />
                    </td>
                    <td>
                      <Select
                        size="small"
                        aria-label={`Case of load ${i + 1}`}
                        style={{ width: 66 }}
                        value={l.loadCase}
                        options={s.cases.map((c) => ({ value: c.id, label: c.id }))}
                        onChange={(loadCase) => load(i, { loadCase })}
                      />
                    </td>
                    <td>
                      <Select
                        size="small"
                        aria-label={`Kind of load ${i + 1}`}
                        style={{ width: 108 }}
                        value={l.kind}
                        options={KINDS}
                        onChange={(kind) => load(i, { kind })}
                      />
                    </td>
                    <td className="num">
                      <NumberField
                        small
                        live
                        unit={length}
                        label={`Start of load ${i + 1}`}
                        width={54}
                        least={0}
                        most={most}
                        value={l.from}
                        onChange={(from) => load(i, { from })}
                      />
                    </td>
                    <td className="num">
                      {spread && (
                        <NumberField
                          small
                          live
                          unit={length}
                          label={`End of load ${i + 1}`}
                          width={54}
                          least={0}
                          most={most}
                          value={l.to}
                          onChange={(to) => load(i, { to })}
                        />
                      )}
                    </td>
                    <td className="num">
                      <NumberField
                        small
                        live
                        unit={l.kind === 'point' ? force : l.kind === 'moment' ? moment : line}
                        label={`Value of load ${i + 1}`}
                        width={58}
                        value={l.value}
                        onChange={(v) => load(i, { value: v, valueTo: l.valueTo === l.value ? v : l.valueTo })}
                      />
                    </td>
                    <td className="num">
                      {spread && (
                        <NumberField
                          small
                          live
                          unit={l.kind === 'point' ? force : l.kind === 'moment' ? moment : line}
                          label={`Value at the end of load ${i + 1}`}
                          width={58}
                          value={l.valueTo}
                          onChange={(valueTo) => load(i, { valueTo })}
                        />
                      )}
                    </td>
                    <td>
                      <Button
                        size="small"
                        type="text"
                        aria-label={`Remove load ${i + 1}`}
                        onClick={() => set({ ...s, loads: s.loads.filter((_, k) => k !== i) })}
                      >
                        ×
                      </Button>
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
        )}
        <Button size="small" onClick={addLoad}>
          Add a load
        </Button>
      </section>
    </SketchFrame>
  )
}
