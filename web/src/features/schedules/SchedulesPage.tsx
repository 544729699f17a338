import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Input, Pagination, Segmented, Select } from 'antd'
import { useState, type ReactNode } from 'react'
import { useSearchParams } from 'react-router'
import { api, type SchedulePage } from '../../api/client'
import { numberIn } from '../../lib/address'
import { DownloadButton } from '../../ui/DownloadButton'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { Drawings } from './Drawings'
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
/** Whose calculations the report holds. */
const CALCULATIONS = [
  { value: 'named', label: 'these marks' },
  { value: 'failing', label: 'all that fails' },
  { value: 'cages', label: 'one of each cage' },
]

/** The schedules as they will be printed, page by page, and the drawings sheet by sheet, with the downloads beside them. */
export function SchedulesPage({ id }: { id: string }) {
  const [params, setParams] = useSearchParams()
  const kind = KINDS.find((k) => k.value === params.get('kind'))?.value ?? 'beams'
  const kinds = <Segmented value={kind} options={KINDS} onChange={(v) => setParams({ kind: v })} />
  if (kind === 'drawings') return <Drawings id={id} kinds={kinds} />
  return kind === 'title' ? <TitleBlock id={id} kinds={kinds} /> : <Tables id={id} kind={kind} kinds={kinds} />
}

/** A shape that the rows name by its code, with the letters of its dimensions. */
function Shape({ shape }: { shape: SchedulePage['shapes'][number] }) {
  return (
    <svg viewBox="0 0 130 62" role="listitem" aria-label={`Shape ${shape.code}`}>
      <text x={4} y={14} className="shape-code">
        {shape.code}
      </text>
      {shape.lines.map((l, i) => (
        <polyline
          key={i}
          points={l.map((v, k) => (k % 2 ? 60 - v : 26 + v)).join(' ')}
          fill="none"
          stroke="currentColor"
          strokeWidth={1.6}
        />
      ))}
      {shape.letters.map((l) => (
        <text key={l.text} x={26 + l.x} y={60 - l.y} textAnchor="middle" className="shape-letter">
          {l.text}
        </text>
      ))}
    </svg>
  )
}

function Tables({ id, kind, kinds }: { id: string; kind: string; kinds: ReactNode }) {
  const [params, setParams] = useSearchParams()
  const page = numberIn(params.get('page'), 0, 100_000)
  const [sheets, setSheets] = useState('')
  const [which, setWhich] = useState('named')
  const q = useQuery({
    queryKey: ['project', id, 'schedule', kind, page],
    queryFn: ({ signal }) => api.schedule(id, kind, page, SIZE, signal),
    placeholderData: keepPreviousData,
  })
  const name = useQuery({ queryKey: ['project', id, 'row'], queryFn: ({ signal }) => api.project(id, signal) }).data
    ?.name
  if (q.isError) return <ErrorView error={q.error} onRetry={() => void q.refetch()} />
  if (!q.data) return <Loading words="Writing the schedules" />
  const s = q.data
  const sum = s.columns.reduce((a, c) => a + c.width, 0)
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
            pageSize={SIZE}
            total={s.total}
            showSizeChanger={false}
            onChange={(n) => setParams({ kind, page: String(n - 1) })}
          />
        </div>
        <div className="sheet-of-paper">
          <header>
            <b>{s.title}</b>
            <span className="soft">{name}</span>
            <span className="soft">
              page {page + 1} of {Math.max(1, Math.ceil(s.total / SIZE))}
            </span>
          </header>
          {s.shapes.length > 0 && (
            <div className="shapes" role="list" aria-label="Shapes">
              {s.shapes.map((q) => (
                <Shape key={q.code} shape={q} />
              ))}
            </div>
          )}
          <table>
            <colgroup>
              {s.columns.map((c, i) => (
                <col key={i} style={{ width: `${(100 * c.width) / sum}%` }} />
              ))}
            </colgroup>
            <thead>
              <tr>
                {s.columns.map((c, i) =>
                  c.name ? (
                    <th key={i} className={c.numeric ? 'num' : ''}>
                      {c.name}
                    </th>
                  ) : (
                    <td key={i} />
                  ),
                )}
              </tr>
            </thead>
            <tbody>
              {s.rows.map((r, i) => (
                <tr key={i}>
                  {r.map((v, k) => (
                    <td key={k} className={`${s.columns[k]!.numeric ? 'num' : ''} ${v === 'fails' ? 'over-ink' : ''}`}>
                      {v}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </div>
      <aside className="side">
        <h2>Downloads</h2>
        <DownloadButton id={id} file="schedules.pdf">
          Schedules, PDF
        </DownloadButton>
        <DownloadButton id={id} file="schedules.xlsx">
          Schedules, XLSX
        </DownloadButton>
        <h2>Utilisation report</h2>
        <p className="soft">
          Summary, plans of every storey, what fails, every member’s governing checks and the basis in full. With the
          calculations of
        </p>
        <Select
          value={which}
          options={CALCULATIONS}
          aria-label="Calculations in the report"
          className="wide"
          onChange={setWhich}
        />
        {which === 'named' && (
          <Input
            value={sheets}
            onChange={(e) => setSheets(e.target.value)}
            placeholder="L3-B02, C-D3"
            aria-label="Marks for calculation sheets"
          />
        )}
        <DownloadButton
          id={id}
          file="report.pdf"
          primary
          asked={{ calculations: which, ...(which === 'named' && sheets.trim() && { sheets: sheets.trim() }) }}
        >
          Report, PDF
        </DownloadButton>
        <h2>Building model</h2>
        <p className="soft">
          IFC 4 with storeys, sections, materials, quantities and the use of every member, and each bar bent and placed.
        </p>
        <DownloadButton id={id} file="building.ifc">
          Concrete and bars, IFC
        </DownloadButton>
        <DownloadButton id={id} file="building.ifc" asked={{ bars: 'no' }}>
          Concrete alone, IFC
        </DownloadButton>
        <h2>For cutting and bending</h2>
        <p className="soft">Every line of the bar list with its straights, bends and mandrel.</p>
        <DownloadButton id={id} file="bending.json">
          Bending data, JSON
        </DownloadButton>
        <DownloadButton id={id} file="bending.csv">
          Bending data, CSV
        </DownloadButton>
        <h2>For other programs</h2>
        <p className="soft">Sections, every bar, stirrups, forces and checks: enough to check the design again.</p>
        <DownloadButton id={id} file="results.json">
          Results, JSON
        </DownloadButton>
        <DownloadButton id={id} file="checks.csv">
          Checks, CSV
        </DownloadButton>
      </aside>
    </div>
  )
}
