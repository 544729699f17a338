import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query'
import { Button, Select, Tooltip } from 'antd'
import { type ReactNode, useRef } from 'react'
import { Link, useNavigate } from 'react-router'
import {
  api,
  type ApiError,
  type BeamSketch,
  type ColumnSketch,
  type Project,
  type SketchPreview,
} from '../../api/client'
import { TitleLine } from '../../app/TitleLine'
import type { Mode } from '../../app/theme'
import { ErrorView } from '../../ui/ErrorView'
import { FindingList } from '../../ui/FindingList'
import { InlineText } from '../../ui/InlineText'
import { useSettled } from '../../ui/useSettled'
import type { useDraft } from './useDraft'

interface Props<T extends BeamSketch | ColumnSketch> {
  kind: 'beam' | 'column'
  title: string
  draft: ReturnType<typeof useDraft<T>>
  mode: Mode
  onMode: () => void
  toUnits: (s: T, units: string) => T
  picture: (p: SketchPreview | undefined) => ReactNode
  children: ReactNode
}

/** The page of a small model: what is drawn up on the left, its live picture on the right, and the way to a project. */
export function SketchFrame<T extends BeamSketch | ColumnSketch>(p: Props<T>) {
  const navigate = useNavigate()
  const { draft: s, set } = p.draft
  const settled = useSettled(s, 180)
  const preview = useQuery({
    queryKey: ['sketch', p.kind, settled],
    queryFn: ({ signal }) => api.sketchPreview(p.kind, settled, signal),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  })
  const make = useMutation<Project, ApiError>({
    mutationFn: () => api.sketchCreate(p.kind, s),
    onSuccess: (row) => void navigate(`/p/${row.id}/results`),
    onSettled: () => {
      making.current = false
    },
  })
  // the second click of two quick ones comes before the page is drawn again
  const making = useRef(false)
  const makeOnce = () => {
    if (making.current) return
    making.current = true
    make.mutate()
  }
  const catalogue = useQuery({
    queryKey: ['catalogue'],
    queryFn: ({ signal }) => api.catalogue(signal),
    staleTime: Infinity,
  })
  const codes = catalogue.data?.codes ?? []
  const unitsOf = (key: string) => (codes.find((c) => c.code === key)?.usUnits ? 'US' : 'SI')
  const toUnits = (units: string) => (units === s.units ? s : p.toUnits(s, units))
  const bad = preview.data?.findings.some((f) => f.severity === 'fails') ?? true
  return (
    <div className="front">
      <TitleLine mode={p.mode} onMode={p.onMode}>
        <Link to="/" className="soft">
          Projects
        </Link>
      </TitleLine>
      <main className="sketch">
        <div className="sketch-inputs">
          <div className="sketch-head">
            <h1>
              <InlineText value={s.name} label="Name" onCommit={(name) => set({ ...s, name })} />
            </h1>
            <span className="soft">{p.title}</span>
            <span className="spring" />
            <Select
              size="small"
              aria-label="Design code"
              labelRender={(o) => codes.find((c) => c.code === o.value)?.name}
              loading={catalogue.isLoading}
              style={{ width: 118 }}
              popupMatchSelectWidth={false}
              options={codes.map((c) => ({ value: c.code, label: `${c.name}, ${c.usUnits ? 'US' : 'SI'}` }))}
              value={s.code || codes.find((c) => c.usual && c.usUnits === (s.units === 'US'))?.code}
              onChange={(code) => set({ ...toUnits(unitsOf(code)), code })}
            />
            <Tooltip title="Undo (Ctrl Z)">
              <button
                type="button"
                className="pill button"
                aria-label="Undo"
                disabled={!p.draft.canUndo}
                onClick={p.draft.undo}
              >
                ↶
              </button>
            </Tooltip>
            <Tooltip title="Redo (Ctrl Shift Z)">
              <button
                type="button"
                className="pill button"
                aria-label="Redo"
                disabled={!p.draft.canRedo}
                onClick={p.draft.redo}
              >
                ↷
              </button>
            </Tooltip>
            <button type="button" className="pill button" onClick={p.draft.reset}>
              Reset
            </button>
          </div>
          {p.children}
        </div>
        <div className="sketch-picture">
          {p.picture(preview.data)}
          {preview.isError && <ErrorView error={preview.error} onRetry={() => void preview.refetch()} />}
          {preview.data && <FindingList findings={preview.data.findings} />}
          <p className="sketch-foot">
            <Button type="primary" disabled={bad} loading={make.isPending} onClick={makeOnce}>
              Make it a project and design it
            </Button>
            {preview.data && !bad && (
              <span className="soft">
                {preview.data.combinations} strength combinations by {preview.data.standard}
              </span>
            )}
          </p>
          {make.isError && <ErrorView error={make.error} />}
        </div>
      </main>
    </div>
  )
}
