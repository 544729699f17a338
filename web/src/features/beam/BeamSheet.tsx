import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import { useSearchParams } from 'react-router'
import { api, type Beam, type Hand, type State } from '../../api/client'
import { axisOf, nearest } from '../../drawing/beamScene'
import { force } from '../../lib/format'
import { distanceIn, momentIn, forceIn, type Units } from '../../lib/units'
import { CalculationPanel } from '../../ui/CalculationPanel'
import { CheckTable } from '../../ui/CheckTable'
import { CrowdedList } from '../../ui/CrowdedList'
import { FindingList } from '../../ui/FindingList'
import { HatchDefs } from '../../ui/UtilisationBar'
import { BeamElevation } from './BeamElevation'
import { BeamSections } from './BeamSections'
import { CopyPanel } from '../edit/CopyPanel'
import { useMayEdit } from '../people/session'
import { DemandPanel } from './editor/DemandPanel'
import { EditStrip } from './editor/EditStrip'
import { addBars, exists, type Pick } from './editor/hand'
import { keyed, nextPick } from './editor/keys'
import { NeedsTable } from './editor/NeedsTable'
import { ReadingsTable } from './editor/ReadingsTable'
import { numberIn } from '../../lib/address'
import { useHandSet } from '../edit/useHandSet'
import { UTILISATION_HEIGHT, UtilisationDiagram } from './UtilisationDiagram'
import { PreferenceTable } from './PreferenceTable'
import { SectionPanel } from './SectionPanel'
import { TorsionPanel } from './TorsionPanel'
import {
  DEFLECTION_HEIGHT,
  DeflectionDiagram,
  MomentDiagram,
  ShearDiagram,
  TORSION_HEIGHT,
  TorsionDiagram,
} from './Diagrams'

/** Width of a landscape A4 page between its margins. */
const PAPER_PX = 1040

/**
 * A beam line on one horizontal axis: elevation with bars to change, utilisation, moment, shear with torsion, deflection, sections;
 * beside it what is asked and there, and the calculation at the cursor.
 */
export function BeamSheet({ id, beam: stored, units, state }: { id: string; beam: Beam; units: Units; state?: State }) {
  const hand = useHandSet(id, stored.mark, state, {
    put: (v, h: Hand) => api.handSet(id, stored.mark, v, h),
    check: (h, signal) => api.tryHand(id, stored.mark, h, signal),
    land: (old, answer) => ({ ...old, beam: answer.beam }),
  })
  const beam = hand.preview ?? stored
  const [picked, setPick] = useState<Pick>()
  const [end, setEnd] = useState<'from' | 'to'>('to')
  const may = useMayEdit()
  const pick = may && exists(beam, picked) ? picked : undefined
  const stepMm = units.us ? 50.8 : 50
  const save = (h: Hand) => void (may && hand.save(h))
  const host = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(880)
  const [params, setParams] = useSearchParams()
  const [hover, setHover] = useState<number>()
  useEffect(() => {
    const o = new ResizeObserver(() => setWidth(Math.max(640, host.current?.clientWidth ?? 880)))
    o.observe(host.current!)
    // on paper the drawing is as wide as the page, whatever the window
    const onPaper = () => flushSync(() => setWidth(PAPER_PX))
    window.addEventListener('beforeprint', onPaper)
    return () => {
      o.disconnect()
      window.removeEventListener('beforeprint', onPaper)
    }
  }, [])
  const fixed = numberIn(params.get('at'), beam.governingStation, beam.points.length - 1)
  const setFixed = (i: number) => setParams({ at: String(i) }, { replace: true })
  const station = hover ?? fixed
  const point = beam.points[station]!
  const axis = axisOf(beam, width)
  const twisted = beam.checks.some((c) => c.kind === 'torsion')
  const deflected = beam.deflections.length > 0
  const calculation = useQuery({
    queryKey: ['project', id, 'calculation', beam.mark, fixed],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => api.calculation(id, beam.mark, { station: fixed }, signal),
  })
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || (e.target as HTMLElement).closest('input, textarea, [role=combobox]'))
        return
      const taken = () => {
        e.preventDefault()
        e.stopImmediatePropagation()
      }
      if (may && (e.key === 'b' || e.key === 's')) return setPick(nextPick(beam, pick, e.key === 'b' ? 'bars' : 'zone'))
      if (may && e.key === 'a')
        return save(
          addBars(
            beam,
            Math.abs(beam.points[fixed]!.mNeg) > beam.points[fixed]!.mPos ? 'top' : 'bottom',
            beam.points[fixed]!.x,
          ),
        )
      if (pick && e.key === 'Escape') {
        taken()
        return setPick(undefined)
      }
      if (pick?.part === 'bars' && e.key === 'e') return setEnd(end === 'from' ? 'to' : 'from')
      const changed = pick && keyed(beam, pick, e.key, e.shiftKey, end, stepMm)
      if (changed) {
        taken()
        return save(changed)
      }
      if (pick) return
      const step = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0
      if (step) setFixed(Math.max(0, Math.min(beam.points.length - 1, fixed + step)))
    }
    // before the sheet around it, which leaves on Escape
    window.addEventListener('keydown', onKey, true)
    return () => window.removeEventListener('keydown', onKey, true)
  })
  const at = (e: React.MouseEvent) =>
    nearest(beam.points, axis.mm(e.clientX - host.current!.getBoundingClientRect().left))
  return (
    <div className="sheet-body">
      <HatchDefs />
      <div
        className="drawing"
        tabIndex={0}
        role="region"
        aria-label="The line"
        ref={host}
        onMouseMove={(e) => setHover(at(e))}
        onMouseLeave={() => setHover(undefined)}
        onClick={(e) => {
          setFixed(at(e))
          setPick(undefined)
        }}
      >
        {may && (
          <EditStrip
            id={id}
            beam={beam}
            pick={pick}
            units={units}
            saving={hand.saving}
            onSave={save}
            onPick={setPick}
          />
        )}
        <BeamElevation
          beam={beam}
          axis={axis}
          widthPx={width}
          units={units}
          pick={pick}
          end={end}
          stepMm={stepMm}
          onPick={setPick}
          onEnd={setEnd}
          onTry={hand.tryOut}
          onSave={save}
        />
        <UtilisationDiagram beam={beam} axis={axis} widthPx={width} />
        <MomentDiagram beam={beam} axis={axis} widthPx={width} units={units} station={station} />
        <ShearDiagram beam={beam} axis={axis} widthPx={width} units={units} station={station} />
        {twisted && <TorsionDiagram beam={beam} axis={axis} widthPx={width} units={units} station={station} />}
        {deflected && <DeflectionDiagram beam={beam} axis={axis} widthPx={width} units={units} />}
        <div
          className="cursor"
          style={{
            left: axis.x(point.x),
            height: 482 + UTILISATION_HEIGHT + (twisted ? TORSION_HEIGHT : 0) + (deflected ? DEFLECTION_HEIGHT : 0),
          }}
        >
          <span>
            {distanceIn(point.x, units).toFixed(2)} {units.distance}
          </span>
        </div>
        <BeamSections beam={beam} />
      </div>
      <aside className="side" tabIndex={0} aria-label="Checks beside the drawing">
        <div className="readout" aria-label="Readings at the cursor">
          <span>M+</span>
          <b>{force(momentIn(point.mPos, units))}</b>
          <span className="soft">
            of {force(momentIn(point.capPos, units))} {units.moment}
          </span>
          <span className="soft clip">{point.comboPos}</span>
          <span>M−</span>
          <b>{force(momentIn(point.mNeg, units))}</b>
          <span className="soft">
            of {force(momentIn(point.capNeg, units))} {units.moment}
          </span>
          <span className="soft clip">{point.comboNeg}</span>
          <span>V</span>
          <b>{force(forceIn(Math.max(Math.abs(point.vMax), Math.abs(point.vMin)), units))}</b>
          <span className="soft">
            of {force(forceIn(point.vn, units))} {units.force}
          </span>
          <span className="soft clip">
            {Math.abs(point.vMax) >= Math.abs(point.vMin) ? point.comboVMax : point.comboVMin}
          </span>
          <span>T</span>
          <b>{force(momentIn(point.t, units))}</b>
          <span className="soft">
            of {force(momentIn(point.tn, units))} {units.moment}
          </span>
          <span className="soft clip">{point.comboT}</span>
        </div>
        <ReadingsTable id={id} beam={beam} station={fixed} units={units} />
        <FindingList findings={beam.findings} />
        <CrowdedList id={id} crowded={beam.crowded} of="beam" />
        {twisted && may && <TorsionPanel id={id} beam={beam} state={state} units={units} onSave={save} />}
        <CheckTable
          checks={beam.checks}
          onPick={(c) => setFixed(c.station >= 0 ? c.station : nearest(beam.points, c.x))}
        />
        <NeedsTable beam={beam} units={units} />
        {may && <DemandPanel beam={beam} units={units} x={beam.points[fixed]!.x} onSave={save} />}
        {may && <CopyPanel id={id} mark={beam.mark} seen={state?.version ?? 0} of="line" />}
        {may && <SectionPanel id={id} mark={beam.mark} state={state} />}
        {may && <PreferenceTable id={id} mark={beam.mark} />}
        {calculation.data && (
          <>
            <h2>{calculation.data.heading} of the line</h2>
            <CalculationPanel calculation={calculation.data} />
          </>
        )}
      </aside>
    </div>
  )
}
