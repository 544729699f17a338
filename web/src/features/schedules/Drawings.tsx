import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { Pagination, Segmented, Select } from 'antd'
import { useState, type ReactNode } from 'react'
import { useSearchParams } from 'react-router'
import { api } from '../../api/client'
import { numberIn } from '../../lib/address'
import { DownloadButton } from '../../ui/DownloadButton'
import { ErrorView } from '../../ui/ErrorView'
import { Loading } from '../../ui/Loading'
import { TextBox } from '../../ui/TextBox'
import { SheetView } from './SheetView'

/** How large a sheet is shown, to the width that there is. */
const SIZES = [
  { value: 1, label: 'Fit' },
  { value: 2, label: '2 ×' },
  { value: 4, label: '4 ×' },
]
const PAPERS = ['A4', 'A3', 'A2', 'A1', 'A0']

/** The drawings as they will be printed, sheet by sheet: of all members, or of the marks that are asked for. */
export function Drawings({ id, kinds }: { id: string; kinds: ReactNode }) {
  const [params, setParams] = useSearchParams()
  const sheet = numberIn(params.get('page'), 0, 100_000) + 1
  const paper = PAPERS.find((p) => p === params.get('paper')) ?? 'A1'
  const marks = params.get('marks') ?? ''
  const [typed, setTyped] = useState(marks)
  const [size, setSize] = useState(1)
  const show = (now: { paper?: string; marks?: string; page?: number }) => {
    const next = { paper, marks, page: 0, ...now }
    setParams({
      kind: 'drawings',
      ...(next.paper !== 'A1' && { paper: next.paper }),
      ...(next.marks && { marks: next.marks }),
      ...(next.page > 0 && { page: String(next.page) }),
    })
  }
  const q = useQuery({
    queryKey: ['project', id, 'drawing', paper, marks, sheet],
    queryFn: ({ signal }) => api.drawing(id, paper, marks, sheet, signal),
    placeholderData: keepPreviousData,
    retry: false,
  })
  const asked = { paper, ...(marks && { marks }) }
  return (
    <div className="schedules">
      <h1 className="sr">Drawings</h1>
      <div>
        <div className="view-tools">
          {kinds}
          <span className="spring" />
          <Segmented aria-label="Size of the sheet" value={size} options={SIZES} onChange={setSize} />
          {q.data && (
            <Pagination
              simple
              current={q.data.sheet}
              pageSize={1}
              total={q.data.sheets}
              showSizeChanger={false}
              onChange={(n) => show({ page: n - 1 })}
            />
          )}
        </div>
        {q.isError ? (
          <ErrorView error={q.error} onRetry={() => void q.refetch()} />
        ) : q.data ? (
          <div className="sheet-window" tabIndex={0} role="region" aria-label="Sheet">
            <div style={{ width: `${100 * size}%` }}>
              <SheetView sheet={q.data} logo={api.logoUrl(id, 0)} />
            </div>
          </div>
        ) : (
          <Loading words="Drawing the sheets" />
        )}
      </div>
      <aside className="side">
        <h2>What is drawn</h2>
        <p className="soft">
          Beam lines, columns and types by their marks, or plans for the key plans alone; all where it is left empty.
        </p>
        <TextBox
          width="100%"
          type="search"
          value={typed}
          aria-label="Marks to draw"
          placeholder="L3-B02, C-D3, TB4, plans"
          onChange={(e) => setTyped(e.target.value)}
          onBlur={() => typed.trim() !== marks && show({ marks: typed.trim() })}
          onKeyDown={(e) => e.key === 'Enter' && show({ marks: typed.trim() })}
        />
        <p />
        <Select
          value={paper}
          aria-label="Paper"
          options={PAPERS.map((p) => ({ value: p, label: p }))}
          onChange={(v) => show({ paper: v })}
        />
        <p className="soft">
          The largest of the usual scales at which a member fits across the paper. Every bar is drawn out beneath its
          beam under the mark of the bar list.
        </p>
        <h2>Downloads</h2>
        <DownloadButton id={id} file="drawings.pdf" asked={asked}>
          Drawings, PDF
        </DownloadButton>
        <DownloadButton id={id} file="drawings.dxf" asked={asked}>
          Drawings, DXF
        </DownloadButton>
      </aside>
    </div>
  )
}
