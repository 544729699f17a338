/** Upper ends of the steps of the utilisation ramp; above the last a member is over and is hatched. */
export const STEPS = [0.4, 0.6, 0.8, 0.92, 1.0] as const

/** Name of the CSS variable for a utilisation. */
export function rampVariable(u: number, satisfied = true): string {
  if (!satisfied || u > 1 + 1e-6) return '--over'
  const i = STEPS.findIndex((s) => u <= s + 1e-9)
  return `--u${i < 0 ? STEPS.length - 1 : i}`
}

export const rampColor = (u: number, satisfied = true) => `var(${rampVariable(u, satisfied)})`
