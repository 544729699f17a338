/** Display of lengths, forces and so on in SI or US customary units. The API speaks mm, kN, kNm, MPa. */
export interface Units {
  us: boolean
  length: string
  distance: string
  force: string
  moment: string
  stress: string
  mass: string
  volume: string
}

export const SI: Units = {
  us: false,
  length: 'mm',
  distance: 'm',
  force: 'kN',
  moment: 'kNm',
  stress: 'MPa',
  mass: 'kg',
  volume: 'm³',
}
export const US: Units = {
  us: true,
  length: 'in',
  distance: 'ft',
  force: 'kip',
  moment: 'kip·ft',
  stress: 'ksi',
  mass: 'lb',
  volume: 'yd³',
}

export const unitsOf = (us: boolean): Units => (us ? US : SI)

const KN_PER_KIP = 4.4482216152605
const MPA_PER_KSI = 6.894757293168361
const KG_PER_LB = 0.45359237
const M3_PER_YD3 = 0.764554857984

export const lengthIn = (mm: number, u: Units) => (u.us ? mm / 25.4 : mm)
export const lengthFrom = (v: number, u: Units) => (u.us ? v * 25.4 : v)
export const distanceIn = (mm: number, u: Units) => (u.us ? mm / 304.8 : mm / 1000)
export const forceIn = (kn: number, u: Units) => (u.us ? kn / KN_PER_KIP : kn)
export const momentIn = (knm: number, u: Units) => (u.us ? knm / (KN_PER_KIP * 0.3048) : knm)
export const stressIn = (mpa: number, u: Units) => (u.us ? mpa / MPA_PER_KSI : mpa)
export const stressFrom = (v: number, u: Units) => (u.us ? v * MPA_PER_KSI : v)
export const massIn = (kg: number, u: Units) => (u.us ? kg / KG_PER_LB : kg)
export const volumeIn = (m3: number, u: Units) => (u.us ? m3 / M3_PER_YD3 : m3)

/** Steel of a building: tonnes, or tons of 2000 lb. */
export const tonnage = (kg: number, u: Units) =>
  u.us ? `${(massIn(kg, u) / 2000).toFixed(1)} tons` : `${(kg / 1000).toFixed(1)} t`

/** Steel per concrete. */
export const density = (kg: number, m3: number, u: Units) =>
  `${m3 > 0 ? Math.round(massIn(kg, u) / volumeIn(m3, u)) : 0} ${u.mass}/${u.volume}`

/** A specified strength with its unit. */
export const strength = (mpa: number, u: Units) => `${+stressIn(mpa, u).toFixed(u.us ? 2 : 1)} ${u.stress}`
