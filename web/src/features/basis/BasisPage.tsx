import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { App, Button, Select, Tooltip } from 'antd'
import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { change } from '../../api/changes'
import { api, type ApiError, type Basis, type BasisChange, type BasisField, type State } from '../../api/client'
import { unitsOf } from '../../lib/units'
import { ErrorView } from '../../ui/ErrorView'
import { InlineText } from '../../ui/InlineText'
import { Loading } from '../../ui/Loading'
import { Locked } from '../../ui/Locked'
import { useMayEdit } from '../people/session'
import { NumberField } from '../../ui/NumberField'
import { NationalTable } from './NationalTable'
import { BarChips } from './BarChips'
import {
  FLANGES,
  HEADINGS,
  LENGTHS,
  PREFERENCES,
  ROUND_TIES,
  SPLICES,
  STARTERS,
  SWAY,
  numberOf,
  shown,
  stored,
  unitOf,
} from './fields'
import { KeepBasis } from './kept/KeepBasis'
import { replacing } from './replacing'
import { localPatched, YES_NO } from './local/local'
import { LocalPart } from './local/LocalPart'

const OtherBases = lazy(() => import('./kept/OtherBases').then((m) => ({ default: m.OtherBases })))

/** The basis of design. Every change is stored at once as a field of its own and redesigns the building; undo takes the last one back. */
export function BasisPage({ id, state }: { id: string; state?: State }) {
  const { message } = App.useApp()
  const [dialog, setDialog] = useState<'keep' | 'compare'>()
  const queries = useQueryClient()
  const basis = useQuery({ queryKey: ['project', id, 'basis'], queryFn: ({ signal }) => api.basis(id, signal) })
  const catalogue = useQuery({
    queryKey: ['catalogue'],
    queryFn: ({ signal }) => api.catalogue(signal),
    staleTime: Infinity,
  })
  const save = useMutation({
    mutationFn: (fields: BasisChange) => change(id, state?.version ?? 0, (v) => api.changeBasis(id, v, fields)),
    onMutate: async (fields) => {
      await queries.cancelQueries({ queryKey: ['project', id, 'basis'] })
      queries.setQueryData<Basis>(['project', id, 'basis'], (old) => old && patched(old, fields))
    },
    onError: (e: ApiError) =>
      void message.error(
        [e.message, ...e.findings.map((f) => `${f.what} ${f.mend}`), e.findings.length === 0 ? e.detail : ''].join(' '),
        8,
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: ['project', id] }),
  })
  const may = useMayEdit()
  if (basis.isError) return <ErrorView error={basis.error} onRetry={() => void basis.refetch()} />
  if (!basis.data || !catalogue.data) return <Loading words="Reading the basis" />
  const b = basis.data
  const code = catalogue.data.codes.find((c) => c.code === b.code)!
  const units = unitsOf(code.usUnits)
  const set = (fields: BasisChange) => {
    if (JSON.stringify(patched(b, fields)) !== JSON.stringify(b)) save.mutate(fields)
  }
  const numbers = (part: string) =>
    code.fields
      .filter((f) => f.part === part)
      .map((f) => (
        <NumberRow
          key={f.key}
          field={f}
          value={shown(f, numberOf(b, f), units)}
          least={shown(f, f.least, units)}
          most={shown(f, f.most, units)}
          unit={unitOf(f, units)}
          onCommit={(v) => set({ [f.key]: stored(f, v, units) })}
        />
      ))
  const says = (words: string, key: string) => (code.remarks[key] ? `${words} ${code.remarks[key]}` : words)
  const sway = says('By the storey’s stability index; braced takes the frame as it is.', 'sway')
  return (
    <div className="paper">
      <div className="basis-head">
        <h1>
          <Locked when={!may}>
            <InlineText value={b.name} label="Name of the basis" onCommit={(name) => set({ name })} />
          </Locked>
        </h1>
        <span className="basis-tools">
          <Button href={api.exportUrl(id, 'basis.json')}>Download</Button>
          <Button onClick={() => setDialog('keep')}>Keep for all projects…</Button>
          <Button onClick={() => setDialog('compare')}>Compare with another…</Button>
        </span>
      </div>
      {dialog === 'keep' && <KeepBasis basis={b} onClose={() => setDialog(undefined)} />}
      {dialog === 'compare' && (
        <Suspense fallback={null}>
          <OtherBases
            id={id}
            codes={catalogue.data.codes}
            local={b.local}
            onClose={() => setDialog(undefined)}
            onTake={(other) => {
              set(replacing(b, other))
              setDialog(undefined)
            }}
          />
        </Suspense>
      )}
      {may ? (
        <p className="soft">
          A change is stored as it is made and redesigns the whole building; the sentence at the top says when the
          results are current again. Ctrl Z takes it back; the history is on the{' '}
          <Link to={`/p/${id}/model`}>Model</Link> page.
        </p>
      ) : (
        <p className="soft">Engineers of the project change its basis; you see it as it is.</p>
      )}
      <Locked when={!may}>
        <div className="two basis">
          <section>
            <h2>{HEADINGS.materials}</h2>
            <Row
              name="Design code"
              help="Edition and units. Another code starts from its standard bars and limits; undo takes it back. The concrete strengths come with the model."
            >
              <Select
                value={b.code}
                aria-label="Design code"
                style={{ width: 190 }}
                options={catalogue.data.codes.map((c) => ({
                  value: c.code,
                  label: `${c.name}, ${c.usUnits ? 'US' : 'SI'} units`,
                }))}
                onChange={(v) => {
                  const other = catalogue.data.codes.find((c) => c.code === v)!.standard
                  set(replacing(b, { ...other, name: b.name, local: b.local }))
                }}
              />
            </Row>
            {numbers('materials')}
            <h2>{HEADINGS.cover}</h2>
            {numbers('cover')}
            <h2>{HEADINGS.frame}</h2>
            {numbers('frame')}
            <SwayRow name="Sway along X" help={sway} value={b.swayX} onChange={(swayX) => set({ swayX })} />
            <SwayRow name="Sway along Y" help={sway} value={b.swayY} onChange={(swayY) => set({ swayY })} />
            <Row
              name="Effective lengths"
              help={says(
                'Of columns, as parts of their clear lengths: by the factors k below; or by the stiffness of the columns and beams that meet at their ends, which is less than 1 where the storey does not sway. Factors set for some members count there in either case.',
                'effectiveLengths',
              )}
            >
              <Select
                value={b.effectiveLengths}
                aria-label="Effective lengths"
                style={{ width: 190 }}
                options={LENGTHS}
                onChange={(effectiveLengths) => set({ effectiveLengths })}
              />
            </Row>
            {b.effectiveLengths === 'given' && numbers('lengths')}
            <Row
              name="Flanges of beams"
              help={says(
                'From the slabs: slab panels beside a beam are its flange, in place of the flange of its section.',
                'slabFlanges',
              )}
            >
              <Select
                value={b.slabFlanges ? 'yes' : 'no'}
                aria-label="Flanges of beams"
                style={{ width: 190 }}
                onChange={(v) => set({ slabFlanges: v === 'yes' })}
                options={FLANGES}
              />
            </Row>
            {code.ductility.length > 1 && (
              <Row
                name="Seismic detailing"
                help="Beams that end at columns: strengths in proportion, hoops, shear from the strength of the ends, hooks and laps; columns stronger than them, confined, and their joints."
              >
                <Select
                  value={b.ductility}
                  aria-label="Seismic detailing"
                  style={{ width: 190 }}
                  onChange={(ductility) => set({ ductility })}
                  options={code.ductility}
                />
              </Row>
            )}
            <h2>{HEADINGS.advice}</h2>
            {numbers('advice')}
          </section>
          <section>
            <h2>{HEADINGS.bars}</h2>
            <BarsRow name="Beams" bars={code.bars} value={b.beamBars} onChange={(beamBars) => set({ beamBars })} />
            <BarsRow
              name="Columns"
              bars={code.bars}
              value={b.columnBars}
              onChange={(columnBars) => set({ columnBars })}
            />
            <BarsRow
              name="Stirrups and ties"
              bars={code.bars}
              value={b.stirrups}
              onChange={(stirrups) => set({ stirrups })}
            />
            {numbers('bars')}
            <Row
              name="Bundled bars"
              help="Two bars touch, one above the other, where bars do not fit singly in the layers allowed."
            >
              <Select
                value={b.bundles ? 'yes' : 'no'}
                aria-label="Bundled bars"
                style={{ width: 190 }}
                onChange={(v) => set({ bundles: v === 'yes' })}
                options={YES_NO}
              />
            </Row>
            <Row
              name="Splices of columns"
              help="Couplers join a bar with one of its size that stands over it; where sections or sizes change, bars lap."
            >
              <Select
                value={b.columnSplices}
                aria-label="Splices of columns"
                style={{ width: 190 }}
                onChange={(columnSplices) => set({ columnSplices })}
                options={SPLICES}
              />
            </Row>
            <Row
              name="Ties of round columns"
              help="A spiral stands between the joints, hoops within them; by ACI it lets the section bear more."
            >
              <Select
                value={b.roundTies}
                aria-label="Ties of round columns"
                style={{ width: 190 }}
                onChange={(roundTies) => set({ roundTies })}
                options={ROUND_TIES}
              />
            </Row>
            <Row
              name="Starter bars"
              help="In the bar list of the column, as deep as they develop. Leave them out where the drawings of the foundations have them; those of columns on beams stay."
            >
              <Select
                value={b.starterBars ? 'yes' : 'no'}
                aria-label="Starter bars"
                style={{ width: 190 }}
                onChange={(v) => set({ starterBars: v === 'yes' })}
                options={STARTERS}
              />
            </Row>
            <Row name="Prefer" help="What decides where several arrangements satisfy.">
              <Select
                value={b.preference}
                aria-label="Prefer"
                style={{ width: 190 }}
                onChange={(preference) => set({ preference })}
                options={PREFERENCES}
              />
            </Row>
            <h2>{HEADINGS.practice}</h2>
            {numbers('practice')}
            <h2>{HEADINGS.costs}</h2>
            {numbers('costs')}
            <h2>{HEADINGS.stirrups}</h2>
            {numbers('stirrups')}
            <h2>{HEADINGS.deflection}</h2>
            {numbers('deflection')}
            {code.remarks.deflection && <p className="soft">{code.remarks.deflection}</p>}
          </section>
        </div>
        <LocalPart id={id} basis={b} code={code} units={units} onChange={(local) => set({ local })} />
        {code.parameters.length > 0 && (
          <NationalTable
            parameters={code.parameters}
            given={b.national}
            onChange={(key, v) => set({ national: { [key]: v } })}
          />
        )}
      </Locked>
    </div>
  )
}

/** The basis with some fields changed; a national value of null is the recommended one again. */
function patched(b: Basis, fields: BasisChange): Basis {
  const given = { ...b.national, ...fields.national }
  const national = Object.fromEntries(Object.entries(given).filter((e): e is [string, number] => e[1] !== null))
  return { ...b, ...fields, national, local: localPatched(b.local, fields.local) }
}

function Row({ name, help, children }: { name: string; help: string; children: React.ReactNode }) {
  return (
    <label className="field">
      <Tooltip title={help}>
        <span>{name}</span>
      </Tooltip>
      <span>{children}</span>
    </label>
  )
}

/** A number that is stored when the field is left or Enter is pressed, if it lies within its limits. */
function NumberRow(p: {
  field: BasisField
  value: number
  least: number
  most: number
  unit: string
  onCommit: (v: number) => void
}) {
  return (
    <Row name={p.field.name} help={p.field.help}>
      <NumberField
        label={p.field.name}
        value={p.value}
        unit={p.unit}
        showUnit
        least={p.least}
        most={p.most}
        whole={p.field.kind === 'count'}
        width={120}
        onChange={p.onCommit}
      />
    </Row>
  )
}

function BarsRow(p: { name: string; bars: string[]; value: string[]; onChange: (v: string[]) => void }) {
  return (
    <div className="field">
      <span>{p.name}</span>
      <BarChips {...p} />
    </div>
  )
}

function SwayRow(p: { name: string; help: string; value: string; onChange: (v: string) => void }) {
  return (
    <Row name={p.name} help={p.help}>
      <Select value={p.value} aria-label={p.name} style={{ width: 190 }} onChange={p.onChange} options={SWAY} />
    </Row>
  )
}
