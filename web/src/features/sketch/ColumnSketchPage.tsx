import { Select } from 'antd'
import type { ColumnSketch } from '../../api/client'
import type { Mode } from '../../app/theme'
import { NumberField } from '../../ui/NumberField'
import { Cases } from './Cases'
import { noLoad, columnStart, columnToUnits, type ColumnLoad } from './columnDraft'
import { ColumnPicture } from './ColumnPicture'
import { SectionField } from './fields'
import { SketchFrame } from './SketchFrame'
import { useDraft } from './useDraft'

const COLUMNS: {
  key: Exclude<keyof ColumnLoad, 'loadCase'>
  name: string
  says: string
  unit: 'force' | 'moment' | 'line'
}[] = [
  { key: 'axial', name: 'axial', says: 'Downwards at the head', unit: 'force' },
  { key: 'hx', name: 'lateral X', says: 'Lateral force on the head along X', unit: 'force' },
  { key: 'hy', name: 'lateral Y', says: 'Lateral force on the head along Y', unit: 'force' },
  { key: 'mxHead', name: 'Mx head', says: 'Moment at the head about X', unit: 'moment' },
  { key: 'myHead', name: 'My head', says: 'Moment at the head about Y', unit: 'moment' },
  { key: 'mxFoot', name: 'Mx foot', says: 'Moment at the foot about X', unit: 'moment' },
  { key: 'myFoot', name: 'My foot', says: 'Moment at the foot about Y', unit: 'moment' },
  { key: 'qx', name: 'distributed X', says: 'Along X over the height', unit: 'line' },
  { key: 'qy', name: 'distributed Y', says: 'Along Y over the height', unit: 'line' },
]

/** A single column drawn up on one page. */
export function ColumnSketchPage({ mode, onMode }: { mode: Mode; onMode: () => void }) {
  const draft = useDraft<ColumnSketch>('kolonne.sketch.column', columnStart)
  const { draft: s, set } = draft
  const us = s.units === 'US'
  const units = us ? { force: 'kip', moment: 'kip·ft', line: 'kip/ft' } : { force: 'kN', moment: 'kNm', line: 'kN/m' }
  const of = (id: string) => s.loads.find((l) => l.loadCase === id) ?? noLoad(id)
  const put = (id: string, c: Partial<ColumnLoad>) =>
    set({ ...s, loads: s.cases.map((k) => (k.id === id ? { ...of(id), ...c } : of(k.id))) })
  return (
    <SketchFrame
      kind="column"
      title="single column"
      draft={draft}
      mode={mode}
      onMode={onMode}
      toUnits={columnToUnits}
      picture={(p) => <ColumnPicture sketch={s} preview={p} />}
    >
      <section>
        <h2>Column</h2>
        <div className="field">
          <span>Height</span>
          <span>
            <NumberField
              small
              live
              unit={us ? 'ft' : 'm'}
              label="Height"
              least={0.3}
              value={s.height}
              onChange={(height) => set({ ...s, height })}
            />{' '}
            {us ? 'ft' : 'm'}
          </span>
        </div>
        <div className="field">
          <span title="Width lies along X">Section, {us ? 'in' : 'mm'}</span>
          <span>
            <SectionField
              label="Section"
              unit={us ? 'in' : 'mm'}
              value={s.section}
              onChange={(section) => set({ ...s, section })}
            />
          </span>
        </div>
        <div className="field">
          <span>Concrete, f′c</span>
          <span>
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
          </span>
        </div>
        <div className="field">
          <span title="It may always move down">Head</span>
          <Select
            size="small"
            aria-label="Head"
            style={{ width: 190 }}
            value={s.head}
            onChange={(head) => set({ ...s, head })}
            options={[
              { value: 'free', label: 'free' },
              { value: 'pinned', label: 'held sideways' },
              { value: 'fixed', label: 'held sideways and in turning' },
            ]}
          />
        </div>
        <div className="field">
          <span>Foot</span>
          <Select
            size="small"
            aria-label="Foot"
            style={{ width: 190 }}
            value={s.foot}
            onChange={(foot) => set({ ...s, foot })}
            options={[
              { value: 'pinned', label: 'pinned' },
              { value: 'fixed', label: 'fixed' },
            ]}
          />
        </div>
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
      <section>
        <h2>Loads by case</h2>
        <table className="plain tight">
          <thead>
            <tr>
              <td />
              <td />
              {s.cases.map((c) => (
                <th key={c.id} className="num">
                  {c.id}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {COLUMNS.map((k) => (
              <tr key={k.key}>
                <td title={k.says}>{k.name}</td>
                <td className="soft">{units[k.unit]}</td>
                {s.cases.map((c) => (
                  <td key={c.id} className="num">
                    <NumberField
                      small
                      live
                      unit={units[k.unit]}
                      label={`${k.name} in ${c.id}`}
                      value={of(c.id)[k.key]}
                      onChange={(v) => put(c.id, { [k.key]: v })}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </SketchFrame>
  )
}
