import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { App, Button, Select } from 'antd'
import { lazy, Suspense, useEffect, useState } from 'react'
import { Link, useLocation, useNavigate } from 'react-router'
import { api, type ApiError } from '../../api/client'
import { TitleLine } from '../../app/TitleLine'
import type { Mode } from '../../app/theme'
import { ErrorView } from '../../ui/ErrorView'
import { FileButton } from '../../ui/FileButton'
import { InlineText } from '../../ui/InlineText'
import { Loading } from '../../ui/Loading'
import { useSettled } from '../../ui/useSettled'
import { useDraft } from '../sketch/useDraft'
import { BarTable } from './BarTable'
import { BenchPicture } from './BenchPicture'
import { BenchResults, SetTable } from './BenchResults'
import { benchStart, singles, type Bench } from './bench'
import { entryOf, read, toCode } from './draft'
import { ForceTable } from './ForceTable'
import { KeptMenu } from './KeptMenu'
import { ShapeForm } from './ShapeForm'

const GiveBack = lazy(() => import('./GiveBack'))

/** One section on its own: outline, bars and sets of forces on the left, what it bears on the right. */
export function BenchPage({ mode, onMode }: { mode: Mode; onMode: () => void }) {
  const { message } = App.useApp()
  const kept = useDraft<Bench>('kolonne.bench', benchStart)
  const { draft: bench, set } = kept
  const place = useLocation()
  const go = useNavigate()
  const brought = (place.state as { bench?: Bench } | null)?.bench
  useEffect(() => {
    if (!brought) return
    set(brought)
    void go(place, { replace: true, state: null })
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once for what was brought
  }, [brought])
  const [picked, setPicked] = useState(0)
  const [along, setAlong] = useState<number>()
  const [size, setSize] = useState('T20')
  const catalogue = useQuery({
    queryKey: ['catalogue'],
    queryFn: ({ signal }) => api.catalogue(signal),
    staleTime: Infinity,
  })
  const settled = useSettled(bench, 200)
  const pick = (set: number) => {
    setAlong(undefined)
    setPicked(set)
  }
  const chosen = Math.min(picked, Math.max(0, settled.sets.length - 1))
  const answer = useQuery({
    queryKey: ['bench', settled, chosen, along],
    queryFn: ({ signal }) => api.trySection(entryOf(settled), chosen, along, signal),
    placeholderData: keepPreviousData,
    retry: false,
  })
  if (catalogue.isError) return <ErrorView error={catalogue.error} onRetry={() => void catalogue.refetch()} />
  if (!catalogue.data) return <Loading words="Reading the codes" />
  const code = catalogue.data.codes.find((c) => c.code === bench.code) ?? catalogue.data.codes[0]!
  const newBar = code.bars.includes(size) ? size : (bench.bars[0]?.bar ?? code.bars[0]!)
  const diameter = (label: string) =>
    (label.startsWith('#') ? Number(label.slice(1)) / 8 : Number(label.slice(1))) *
    (bench.us === label.startsWith('#') ? 1 : bench.us ? 1 / 25.4 : 25.4)
  const a = answer.data
  const k = bench.us ? 25.4 : 1
  const centroid: [number, number] | undefined =
    a && a.strengths.centroidXMm !== undefined ? [a.strengths.centroidXMm / k, a.strengths.centroidZMm! / k] : undefined
  return (
    <div className="front">
      <TitleLine mode={mode} onMode={onMode}>
        <Link to="/" className="soft">
          Projects
        </Link>
      </TitleLine>
      <main className="sketch">
        <div className="sketch-inputs">
          <div className="sketch-head">
            <h1>
              <InlineText value={bench.name} label="Name" onCommit={(name) => set({ ...bench, name })} />
            </h1>
            <span className="soft">section bench</span>
            <span className="spring" />
            <Select
              size="small"
              aria-label="Design code"
              style={{ width: 150 }}
              value={bench.code}
              options={catalogue.data.codes.map((c) => ({ value: c.code, label: c.name }))}
              onChange={(v) => {
                const to = catalogue.data.codes.find((c) => c.code === v)!
                set(toCode(bench, v, to.usUnits, to.bars))
              }}
            />
          </div>
          <ShapeForm bench={bench} sizes={code.bars} onChange={(c) => set({ ...bench, ...c })} />
          <BarTable
            bench={bench}
            sizes={code.bars}
            size={newBar}
            diameter={diameter}
            onSize={setSize}
            onChange={(bars) => set({ ...bench, bars })}
          />
          <ForceTable
            sets={bench.sets}
            picked={chosen}
            us={bench.us}
            onPick={pick}
            onChange={(sets) => set({ ...bench, sets })}
          />
          <div className="sketch-foot">
            <Button size="small" onClick={() => save(list(bench), bench.name, 'json')}>
              Download
            </Button>
            <Button
              size="small"
              disabled={answer.isError}
              onClick={() => {
                api.sectionPaper(entryOf(bench)).then(
                  (pdf) => save(pdf, bench.name, 'pdf'),
                  (e: ApiError) => void message.error([e.message, e.detail].join(' ')),
                )
              }}
            >
              Calculation, PDF
            </Button>
            <KeptMenu bench={bench} onOpen={set} />
            {bench.from && (
              <Suspense fallback={null}>
                <GiveBack bench={{ ...bench, from: bench.from }} />
              </Suspense>
            )}
            <FileButton
              accept=".json"
              label="Open…"
              onFile={(f) =>
                void f.text().then((t) => {
                  const b = read(t)
                  if (b) set(b)
                  else void message.error(`${f.name} is not a section that was downloaded here.`)
                })
              }
            />
            <Button size="small" onClick={kept.undo} disabled={!kept.canUndo}>
              Undo
            </Button>
            <Button size="small" onClick={kept.reset}>
              Start anew
            </Button>
            <span className="soft">This draft is kept in this browser.</span>
          </div>
        </div>
        <div className="sketch-picture">
          <div className="bench-top">
            <BenchPicture
              bench={bench}
              diameter={diameter}
              set={answer.isError ? undefined : a?.sets[chosen]}
              strains={answer.isError ? undefined : (a?.strains ?? undefined)}
              centroid={centroid}
              snap={bench.us ? 0.25 : 5}
              onPlace={([x, z]) =>
                set({ ...bench, bars: [...bench.bars, { bar: newBar, count: 1, x, z, x2: x, z2: z }] })
              }
              onTake={(i) => set({ ...bench, bars: singles(bench.bars).filter((_, n) => n !== i) })}
            />
            {a && !answer.isError && <SetTable answer={a} picked={Math.min(chosen, a.sets.length - 1)} onPick={pick} />}
          </div>
          {answer.isError ? (
            <ErrorView error={answer.error} />
          ) : a ? (
            <BenchResults
              answer={a}
              us={bench.us}
              picked={Math.min(chosen, a.sets.length - 1)}
              onPick={pick}
              onAlong={setAlong}
            />
          ) : (
            <Loading words="Working it out" />
          )}
        </div>
      </main>
    </div>
  )
}

/** A list that ./kolonne section reads. */
const list = (b: Bench) => new Blob([JSON.stringify({ sections: [entryOf(b)] }, null, 1)], { type: 'application/json' })

function save(file: Blob, name: string, ending: string) {
  const a = document.createElement('a')
  a.href = URL.createObjectURL(file)
  a.download = `${name.replace(/[^\p{L}\p{N}]+/gu, '-') || 'section'}.${ending}`
  a.click()
  URL.revokeObjectURL(a.href)
}
