import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Pagination, Segmented } from 'antd'
import { useState, type ReactNode } from 'react'
import { useSearchParams } from 'react-router'
import { api } from '../../api/client'
import { numberIn } from '../../lib/address'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { TextBox } from '../../ui/TextBox'
import { Downloads } from './Downloads'
import { Drawings } from './Drawings'
import { ScheduleTable } from './ScheduleTable'
import { SteelChart } from './SteelChart'
import { SheetView } from './SheetView'
import { TitleBlock } from './TitleBlock'

const KINDS = [
  { value: 'beams', label: 'Beams' },
  { value: 'columns', label: 'Columns' },
  { value: 'bars', label: 'Bar list' },
  { value: 'totals', label: 'Steel by size' },
  { value: 'quantities', label: 'Quantities' },
  { value: 'types', label: 'Types' },
  { value: 'drawings', label: 'Drawings' },
  { value: 'title', label: 'Title block' },
]
const SIZE = 30

/** The schedules as they will be printed, page by page, and the drawings sheet by sheet, with the downloads beside them. */
export function SchedulesPage({ id }: { id: string }) {
  const [params, setParams] = useSearchParams()
  const kind = KINDS.find((k) => k.value === params.get('kind'))?.value ?? 'beams'
  // marks go along from schedule to schedule; the plans are only drawn
  const marks = (params.get('marks') ?? '')
    .split(',')
    .filter((m) => m.trim() !== 'plans')
    .join(',')
    .trim()
  const kinds = (
    <Segmented value={kind} options={KINDS} onChange={(v) => setParams({ kind: v, ...(marks && { marks }) })} />
  )
  if (kind === 'drawings') return <Drawings id={id} kinds={kinds} />
  return kind === 'title' ? <TitleBlock id={id} kinds={kinds} /> : <Schedule id={id} kind={kind} kinds={kinds} />
}

/** What a page shows, and of how many it is. */
function usePage(id: string, kind: string, marks: string, page: number) {
  const drawn = kind === 'columns'
  const table = useQuery({
    queryKey: ['project', id, 'schedule', kind, marks, page],
    queryFn: ({ signal }) => api.schedule(id, kind, marks, page, SIZE, signal),
    placeholderData: keepPreviousData,
    enabled: !drawn,
    retry: false,
  })
  const columns = useQuery({
    queryKey: ['project', id, 'column-schedule', marks, page],
    queryFn: ({ signal }) => api.columnSchedule(id, marks, page + 1, signal),
    placeholderData: keepPreviousData,
    enabled: drawn,
    retry: false,
  })
  const pages = drawn ? (columns.data?.sheets ?? 1) : Math.max(1, Math.ceil((table.data?.total ?? 0) / SIZE))
  return { drawn, table, columns, pages, asked: drawn ? columns : table }
}

function Schedule({ id, kind, kinds }: { id: string; kind: string; kinds: ReactNode }) {
  const [params, setParams] = useSearchParams()
  const page = numberIn(params.get('page'), 0, 100_000)
  const marks = params.get('marks') ?? ''
  const { table, columns, pages, asked, drawn } = usePage(id, kind, marks, page)
  const name = useQuery({ queryKey: ['project', id, 'row'], queryFn: ({ signal }) => api.project(id, signal) }).data
    ?.name
  const show = (next: { page?: number; marks?: string }) => {
    const now = { page: 0, marks, ...next }
    setParams({ kind, ...(now.marks && { marks: now.marks }), ...(now.page > 0 && { page: String(now.page) }) })
  }
  return (
    <div className="schedules">
      <h1 className="sr">Schedules</h1>
      <div>
        <div className="view-tools">
          {kinds}
          <span className="spring" />
          <Pagination
            simple
            current={page + 1}
            pageSize={1}
            total={pages}
            showSizeChanger={false}
            onChange={(n) => show({ page: n - 1 })}
          />
        </div>
        {asked.isError ? (
          <ErrorView error={asked.error} onRetry={() => void asked.refetch()} />
        ) : !asked.data ? (
          <Loading words="Writing the schedules" />
        ) : (
          <div className="sheet-of-paper">
            <header>
              <b>{drawn ? 'Column schedule' : table.data!.title}</b>
              <span className="soft">{name}</span>
              <span className="soft">
                page {page + 1} of {pages}
              </span>
            </header>
            {drawn ? (
              <SheetView sheet={columns.data!} label={`Columns against storeys: ${columns.data!.marks.join(', ')}`} />
            ) : (
              <ScheduleTable page={table.data!} />
            )}
            {kind === 'totals' && page === pages - 1 && !marks && <SteelChart id={id} />}
          </div>
        )}
      </div>
      <aside className="side">
        <h2>What is scheduled</h2>
        <Marks key={marks} marks={marks} onChange={(m) => show({ marks: m })} />
        <Downloads id={id} marks={marks} />
      </aside>
    </div>
  )
}

/** Narrows the schedules to some marks. */
function Marks({ marks, onChange }: { marks: string; onChange: (marks: string) => void }) {
  const [typed, setTyped] = useState(marks)
  const take = () => typed.trim() !== marks && onChange(typed.trim())
  return (
    <>
      <p className="soft">Beam lines, columns and types by their marks; all where it is left empty.</p>
      <TextBox
        width="100%"
        type="search"
        value={typed}
        aria-label="Marks to schedule"
        placeholder="L3-B02, C-D3, TB4"
        onChange={(e) => setTyped(e.target.value)}
        onBlur={take}
        onKeyDown={(e) => e.key === 'Enter' && take()}
      />
    </>
  )
}
