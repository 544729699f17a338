const THIN = '\u2009'

/** Digits in groups of three with a thin space, a true minus sign. */
export function grouped(v: number, decimals = 0): string {
  const s = Math.abs(v).toFixed(decimals)
  const [whole = '', part] = s.split('.')
  const groups = whole.replace(/\B(?=(\d{3})+(?!\d))/g, THIN)
  const zero = Number(s) === 0
  return (v < 0 && !zero ? '−' : '') + groups + (part ? '.' + part : '')
}

/** Three significant figures, as forces are shown. */
export function force(v: number): string {
  const a = Math.abs(v)
  return grouped(v, a >= 100 || a === 0 ? 0 : a >= 10 ? 1 : 2)
}

/** Two decimals, as utilisations are shown; beyond 10 there is no capacity worth a number. */
export function utilisation(u: number): string {
  return u >= 99 ? '> 99' : u.toFixed(2)
}

/** Whether a utilisation is over 1.00, with the slack for rounding that the server uses. */
export const isOver = (u: number) => u > 1 + 1e-6
