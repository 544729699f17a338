import type { ColumnSketch } from '../../api/client'
import { FT, rounded, sectionToUnits } from './beamDraft'

export type ColumnLoad = ColumnSketch['loads'][number]

export const noLoad = (loadCase: string): ColumnLoad => ({
  loadCase,
  axial: 0,
  hx: 0,
  hy: 0,
  mxHead: 0,
  myHead: 0,
  mxFoot: 0,
  myFoot: 0,
  qx: 0,
  qy: 0,
})

/** What a new column starts from: one storey, fixed foot, pinned head, dead and live load with a moment at the head. */
export const columnStart: ColumnSketch = {
  name: 'Hall column',
  units: 'SI',
  code: '',
  fc: 35,
  height: 4.2,
  section: { shape: 'rectangle', b: 400, h: 400, bw: 0, bf: 0, hf: 0, d: 0 },
  foot: 'fixed',
  head: 'pinned',
  cases: [
    { id: 'D', name: 'Dead', kind: 'dead', selfWeight: 1 },
    { id: 'L', name: 'Live', kind: 'live', selfWeight: 0 },
    { id: 'W', name: 'Wind along X', kind: 'wind', selfWeight: 0 },
  ],
  loads: [
    { ...noLoad('D'), axial: 900, myHead: 45 },
    { ...noLoad('L'), axial: 420, myHead: 30 },
    { ...noLoad('W'), qx: 3.5 },
  ],
}

/** The column in the other system, rounded to what one would write there. */
export function columnToUnits(s: ColumnSketch, units: string): ColumnSketch {
  const us = units === 'US'
  const f = us ? 1 / 4.4482216 : 4.4482216
  const length = us ? FT : 1 / FT
  const force = (v: number) => rounded(v * f, 0.01)
  const moment = (v: number) => rounded(v * f * length, 0.01)
  const line = (v: number) => rounded((v * f) / length, 0.001)
  return {
    ...s,
    units,
    code: '',
    fc: us ? rounded(s.fc / 6.894757, 0.1) : Math.round(s.fc * 6.894757),
    height: rounded(s.height * length, 0.01),
    section: sectionToUnits(s.section, us),
    loads: s.loads.map((l) => ({
      loadCase: l.loadCase,
      axial: force(l.axial),
      hx: force(l.hx),
      hy: force(l.hy),
      mxHead: moment(l.mxHead),
      myHead: moment(l.myHead),
      mxFoot: moment(l.mxFoot),
      myFoot: moment(l.myFoot),
      qx: line(l.qx),
      qy: line(l.qy),
    })),
  }
}
