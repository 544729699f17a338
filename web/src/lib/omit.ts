/** An object without one of its fields. */
export function omit<T extends object, K extends keyof T>(from: T, key: K): Omit<T, K> {
  return Object.fromEntries(Object.entries(from).filter(([k]) => k !== key)) as Omit<T, K>
}
