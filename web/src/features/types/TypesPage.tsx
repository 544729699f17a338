import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Button, Segmented } from 'antd'
import { lazy, Suspense, useMemo, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { api, type State, type TypeChange, type TypeCurve, type TypeRow, type TypesAt } from '../../api/client'
import { numberIn } from '../../lib/address'
import { grouped } from '../../lib/format'
import { lengthFrom, lengthIn, tonnage, type Units } from '../../lib/units'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { NumberField } from '../../ui/NumberField'
import { useUnits } from '../../ui/useUnits'
import { useMayEdit } from '../people/session'
import { CurveChart } from './CurveChart'
import { PreviewTable } from './PreviewTable'
import { TypeDetail } from './TypeDetail'
import { TypeTable } from './TypeTable'
import { useTypes, type TypeRole } from './useTypes'

const CurveMaking = lazy(() => import('./CurveMaking').then((m) => ({ default: m.CurveMaking })))
const PatternDialog = lazy(() => import('./PatternDialog').then((m) => ({ default: m.PatternDialog })))

const ROLES = [
  { value: 'beam' as const, label: 'Beams' },
  { value: 'column' as const, label: 'Columns' },
]

/** Members into types: the curve of their number against steel, the types there are, and what people do to them. */
export function TypesPage({ id, state }: { id: string; state?: State }) {
  const units = useUnits()
  const may = useMayEdit()
  const navigate = useNavigate()
  const [params, setParams] = useSearchParams()
  const role: TypeRole = params.get('role') === 'column' ? 'column' : 'beam'
  const { types, curve, put } = useTypes(id, role, state)
  const at = numberIn(params.get('at'), 0, 100_000)
  const primary = params.get('type') ?? undefined
  const [many, setMany] = useState<ReadonlySet<string>>(new Set())
  const [naming, setNaming] = useState(false)
  const rows = useMemo(() => ordered(types.data?.types ?? [], role), [types.data, role])
  const c = curve.data?.ready ? curve.data : undefined
  const looking = c && at > 0 && at !== c.now.types ? c.points.find((p) => p.types === at) : undefined
  const preview = useQuery({
    queryKey: ['project', id, 'types', 'at', role, at],
    queryFn: ({ signal }) => api.typesAt(id, role, at, signal),
    enabled: looking !== undefined,
    placeholderData: keepPreviousData,
  })
  const address = (change: Record<string, string | undefined>) =>
    setParams(
      (was) => {
        const next = new URLSearchParams(was)
        Object.entries(change).forEach(([k, v]) => (v ? next.set(k, v) : next.delete(k)))
        return next
      },
      { replace: true },
    )
  if (types.isError) return <ErrorView error={types.error} onRetry={() => void types.refetch()} />
  if (!types.data) return <Loading words="Looking at the types" />
  const chosen: ReadonlySet<string> =
    primary !== undefined && many.has(primary) ? many : new Set(primary ? [primary] : [])
  const row = rows.find((r) => r.mark === primary)
  const choose = (mark: string, how: 'one' | 'toggle' | 'range') => {
    const order = rows.map((r) => r.mark)
    const next = new Set(how === 'one' ? [] : chosen)
    if (how === 'range' && primary !== undefined) {
      const [a, b] = [order.indexOf(primary), order.indexOf(mark)]
      order.slice(Math.min(a, b), Math.max(a, b) + 1).forEach((m) => next.add(m))
    } else if (how === 'toggle' && next.has(mark)) next.delete(mark)
    else next.add(mark)
    setMany(next)
    address({ type: next.has(mark) ? mark : [...next].at(-1) })
  }
  const off = put.isPending || !may
  const act = (t: TypeChange) => may && put.mutate(t)
  const all = rows.filter((r) => chosen.has(r.mark))
  const merge = () =>
    all.length > 1 && act({ action: 'merge', members: all.flatMap((r) => r.members.map((m) => m.mark)) })
  const split = () => row?.id && act({ action: 'dissolve', type: row.id })
  const lock = () => row?.id && act({ action: row.locked ? 'unlock' : 'lock', type: row.id })
  const onKey = (e: React.KeyboardEvent) => {
    if (e.ctrlKey || e.metaKey || e.altKey) return
    const key = e.key.toLowerCase()
    if (key === 'm') merge()
    else if (key === 's') split()
    else if (key === 'l') lock()
    else if (key === 'f2') document.querySelector<HTMLInputElement>('.type-detail .inline-text')?.select()
    else if (key === 'enter' && row) open(row)
    else return
    e.preventDefault()
  }
  const open = (r: TypeRow) => void navigate(`/p/${id}/sheet/${encodeURIComponent(r.governing)}`)
  const shared = rows.filter((r) => r.members.length > 1).length
  return (
    <div className="types">
      <h1 className="sr">Types</h1>
      <div className="types-left">
        <h2>Types against steel, {role}s</h2>
        <p className="soft">
          Every point is a set of types whose cage serves every member of them. Drag the mark, or use ← →.
        </p>
        {curve.isError && <ErrorView error={curve.error} onRetry={() => void curve.refetch()} />}
        {curve.data && !c && (
          <Suspense fallback={null}>
            <CurveMaking key={role} id={id} role={role} state={state} />
          </Suspense>
        )}
        {c?.members === 0 && <p className="notice">There are no {role}s in this model.</p>}
        {c && c.members > 0 && (
          <>
            <CurveChart
              curve={c}
              at={looking ? at : c.now.types}
              units={units}
              onMove={(n) => address({ at: n === c.now.types ? undefined : String(n) })}
            />
            <Words c={c} units={units} role={role} looking={looking} at={preview.data} />
            <div className="view-tools">
              <Button
                type="primary"
                disabled={!looking || off}
                loading={put.isPending}
                onClick={() =>
                  looking &&
                  put.mutate({ action: 'adopt', role, types: at }, { onSuccess: () => address({ at: undefined }) })
                }
              >
                {looking ? `Make these ${at} types` : 'These types are in force'}
              </Button>
              {!looking && c.now.types !== c.suggested && (
                <Button onClick={() => address({ at: String(c.suggested) })}>
                  Look at the suggested {c.suggested}
                </Button>
              )}
              {looking && <Button onClick={() => address({ at: undefined })}>Back to what is in force</Button>}
              {!looking && shared > 0 && (
                <Button
                  disabled={off}
                  title="Locked types stay as they are"
                  onClick={() => act({ action: 'none', role })}
                >
                  Every member its own
                </Button>
              )}
            </div>
          </>
        )}
        {!looking && row && (
          <TypeDetail
            key={row.mark}
            id={id}
            row={row}
            others={rows.filter((r) => r.id && r.id !== row.id && r.section === row.section)}
            units={units}
            busy={off}
            onChange={act}
          />
        )}
      </div>
      <div className="types-right">
        <div className="view-tools">
          <Segmented
            value={role}
            options={ROLES}
            onChange={(r) => address({ role: r === 'column' ? r : undefined, at: undefined, type: undefined })}
          />
          <span className="soft">
            {looking ? 'at the point looked at' : `${shared} shared · ${rows.length - shared} by themselves`}
          </span>
          <span className="spring" />
          <span className="soft">lengths within</span>
          <NumberField
            small
            disabled={!may}
            width={92}
            label="Tolerance of lengths"
            value={lengthIn(types.data.toleranceMm, units)}
            unit={units.length}
            showUnit
            least={0}
            most={lengthIn(2000, units)}
            decimals={units.us ? 2 : 0}
            onChange={(v) => act({ action: 'tolerance', toleranceMm: lengthFrom(v, units) })}
          />
          <Button size="small" disabled={shared === 0 || !may} onClick={() => setNaming(true)}>
            Marks…
          </Button>
        </div>
        {looking && preview.isError && <ErrorView error={preview.error} />}
        {looking && preview.data && <PreviewTable at={preview.data} units={units} />}
        {!looking && (
          <>
            <TypeTable
              rows={rows}
              units={units}
              primary={primary}
              chosen={chosen}
              onChoose={choose}
              onKey={onKey}
              onOpen={open}
            />
            <div className="types-actions">
              <Button size="small" disabled={all.length < 2 || off} onClick={merge}>
                Merge {all.length > 1 ? all.length : ''} <kbd>M</kbd>
              </Button>
              <Button size="small" disabled={!row?.id || row.locked || off} onClick={split}>
                Split <kbd>S</kbd>
              </Button>
              <Button size="small" disabled={!row?.id || off} onClick={lock}>
                {row?.locked ? 'Unlock' : 'Lock'} <kbd>L</kbd>
              </Button>
              <span className="soft">
                {may && (
                  <>
                    <kbd>F2</kbd> rename ·{' '}
                  </>
                )}
                <kbd>↵</kbd> sheet · <kbd>Shift ↑ ↓</kbd> several
              </span>
            </div>
          </>
        )}
      </div>
      {naming && (
        <Suspense fallback={null}>
          <PatternDialog
            id={id}
            role={role}
            onClose={() => setNaming(false)}
            onTake={(mark) => put.mutate({ action: 'pattern', role, mark }, { onSuccess: () => setNaming(false) })}
          />
        </Suspense>
      )}
    </div>
  )
}

/** Shared cages first, most steel first; then members by themselves. */
function ordered(types: TypeRow[], role: TypeRole): TypeRow[] {
  return types
    .filter((t) => t.role === role)
    .sort(
      (a, b) =>
        Number(b.members.length > 1) - Number(a.members.length > 1) ||
        b.steelKg - a.steelKg ||
        a.mark.localeCompare(b.mark, undefined, { numeric: true }),
    )
}

/** The point in words: what it costs, and what one type fewer would. */
function Words(p: { c: TypeCurve; units: Units; role: TypeRole; looking?: TypeCurve['points'][number]; at?: TypesAt }) {
  const here = p.looking ?? p.c.now
  const part = (100 * (here.kg - p.c.aloneKg)) / p.c.aloneKg
  const fewer = p.looking ? (p.at?.fewer ?? []) : []
  return (
    <div className="type-words" aria-live="polite">
      <p>
        <b>{here.types} types</b> for {p.c.members} {p.role === 'beam' ? 'lines' : 'stacks'} ·{' '}
        {tonnage(here.kg, p.units)} ·{' '}
        <b>
          {part >= 0 ? '+' : '−'}
          {Math.abs(part).toFixed(1)} %
        </b>{' '}
        over every member its own cage ({tonnage(p.c.aloneKg, p.units)}) ·{' '}
        <span className="whole">{grouped(here.pieces)} pieces</span> ·{' '}
        <span className="whole" title="Items of the bar list: bars of a type that are cut and bent alike are one">
          {grouped(here.marks)} bar marks
        </span>
      </p>
      {fewer.length > 0 && (
        <p className="soft">
          {fewer.length === 1 ? 'One type fewer' : `${fewer.length} types fewer`}:{' '}
          {fewer
            .slice(0, 3)
            .map(
              (m) =>
                `the type of ${m.into} takes in that of ${m.joins}${m.lines > 1 ? ` (${m.lines} members)` : ''}, ${m.extraKg >= 0 ? '+' : '−'}${tonnage(Math.abs(m.extraKg), p.units)}`,
            )
            .join('; ')}
          {fewer.length > 3 && `; and ${fewer.length - 3} more`}.
        </p>
      )}
    </div>
  )
}
