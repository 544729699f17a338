/** Display of lengths, forces and so on in SI or US customary units. The API speaks mm, kN, kNm, MPa. */
export interface Units {
  us: boolean
  length: string
  distance: string
  force: string
  moment: string
  stress: string
}

export const SI: Units = { us: false, length: 'mm', distance: 'm', force: 'kN', moment: 'kNm', stress: 'MPa' }
export const US: Units = { us: true, length: 'in', distance: 'ft', force: 'kip', moment: 'kip·ft', stress: 'ksi' }

export const unitsOf = (us: boolean): Units => (us ? US : SI)

const KN_PER_KIP = 4.4482216152605
const MPA_PER_KSI = 6.894757293168361

export const lengthIn = (mm: number, u: Units) => (u.us ? mm / 25.4 : mm)
export const lengthFrom = (v: number, u: Units) => (u.us ? v * 25.4 : v)
export const distanceIn = (mm: number, u: Units) => (u.us ? mm / 304.8 : mm / 1000)
export const forceIn = (kn: number, u: Units) => (u.us ? kn / KN_PER_KIP : kn)
export const momentIn = (knm: number, u: Units) => (u.us ? knm / (KN_PER_KIP * 0.3048) : knm)
export const stressIn = (mpa: number, u: Units) => (u.us ? mpa / MPA_PER_KSI : mpa)
export const stressFrom = (v: number, u: Units) => (u.us ? v * MPA_PER_KSI : v)
