import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { useSearchParams } from 'react-router'
import { api, type Beam, type State } from '../../api/client'
import { axisOf, nearest } from '../../drawing/beamScene'
import { force } from '../../lib/format'
import { distanceIn, momentIn, forceIn, type Units } from '../../lib/units'
import { CalculationPanel } from '../../ui/CalculationPanel'
import { CheckTable } from '../../ui/CheckTable'
import { FindingList } from '../../ui/FindingList'
import { HatchDefs } from '../../ui/UtilisationBar'
import { BeamElevation } from './BeamElevation'
import { BeamSections } from './BeamSections'
import { PreferenceTable } from './PreferenceTable'
import { TorsionPanel } from './TorsionPanel'
import { DEFLECTION_HEIGHT, DeflectionDiagram, MomentDiagram, ShearDiagram, TORSION_HEIGHT, TorsionDiagram } from './Diagrams'

/** A beam line on one horizontal axis: elevation, moment, shear with torsion, deflection, sections; beside it the calculation at the cursor. */
export function BeamSheet({ id, beam, units, state }: { id: string; beam: Beam; units: Units; state?: State }) {
  const host = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(880)
  const [params, setParams] = useSearchParams()
  const [hover, setHover] = useState<number>()
  useEffect(() => {
    const o = new ResizeObserver(() => setWidth(Math.max(640, host.current?.clientWidth ?? 880)))
    o.observe(host.current!)
    return () => o.disconnect()
  }, [])
  const fixed = Math.min(beam.points.length - 1, Number(params.get('at') ?? beam.governingStation))
  const setFixed = (i: number) => setParams({ at: String(i) }, { replace: true })
  const station = hover ?? fixed
  const point = beam.points[station]!
  const axis = axisOf(beam, width)
  const twisted = beam.checks.some((c) => c.kind === 'torsion')
  const deflected = beam.deflections.length > 0
  const calculation = useQuery({
    queryKey: ['project', id, 'calculation', beam.mark, fixed], placeholderData: keepPreviousData,
    queryFn: ({ signal }) => api.calculation(id, beam.mark, { station: fixed }, signal),
  })
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if ((e.target as HTMLElement).closest('input, textarea')) return
      const step = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0
      if (step) setFixed(Math.max(0, Math.min(beam.points.length - 1, fixed + step)))
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
  const at = (e: React.MouseEvent) => nearest(beam.points, axis.mm(e.clientX - host.current!.getBoundingClientRect().left))
  return (
    <div className="sheet-body">
      <HatchDefs />
      <div className="drawing" ref={host} onMouseMove={(e) => setHover(at(e))} onMouseLeave={() => setHover(undefined)} onClick={(e) => setFixed(at(e))}>
        <BeamElevation beam={beam} axis={axis} widthPx={width} units={units} />
        <MomentDiagram beam={beam} axis={axis} widthPx={width} units={units} station={station} />
        <ShearDiagram beam={beam} axis={axis} widthPx={width} units={units} station={station} />
        {twisted && <TorsionDiagram beam={beam} axis={axis} widthPx={width} units={units} station={station} />}
        {deflected && <DeflectionDiagram beam={beam} axis={axis} widthPx={width} units={units} />}
        <div className="cursor" style={{ left: axis.x(point.x), height: 482 + (twisted ? TORSION_HEIGHT : 0) + (deflected ? DEFLECTION_HEIGHT : 0) }}><span>{distanceIn(point.x, units).toFixed(2)} {units.distance}</span></div>
        <BeamSections beam={beam} />
      </div>
      <aside className="side">
        <div className="readout" aria-label="Readings at the cursor">
          <span>M+</span><b>{force(momentIn(point.mPos, units))}</b><span className="soft">of {force(momentIn(point.capPos, units))} {units.moment}</span><span className="soft clip">{point.comboPos}</span>
          <span>M−</span><b>{force(momentIn(point.mNeg, units))}</b><span className="soft">of {force(momentIn(point.capNeg, units))} {units.moment}</span><span className="soft clip">{point.comboNeg}</span>
          <span>V</span><b>{force(forceIn(Math.max(Math.abs(point.vMax), Math.abs(point.vMin)), units))}</b><span className="soft">of {force(forceIn(point.vn, units))} {units.force}</span>
          <span className="soft clip">{Math.abs(point.vMax) >= Math.abs(point.vMin) ? point.comboVMax : point.comboVMin}</span>
          <span>T</span><b>{force(momentIn(point.t, units))}</b><span className="soft">of {force(momentIn(point.tn, units))} {units.moment}</span><span className="soft clip">{point.comboT}</span>
        </div>
        <FindingList findings={beam.findings} />
        {twisted && <TorsionPanel id={id} mark={beam.mark} state={state} units={units} />}
        <CheckTable checks={beam.checks} onPick={(c) => setFixed(c.station >= 0 ? c.station : nearest(beam.points, c.x))} />
        <PreferenceTable id={id} mark={beam.mark} />
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
