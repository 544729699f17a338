import type { Basis, BasisChange } from '../../api/client'
import { localChange } from './local/local'

/** The change that makes a basis another: national values and local settings that the other does not have are gone, or the recommended ones again. */
export function replacing(now: Basis, other: Basis): BasisChange {
  const gone = (a: object, b: object) =>
    Object.fromEntries(
      Object.keys(a)
        .filter((k) => !(k in b))
        .map((k) => [k, null]),
    )
  const local = Object.entries(other.local).map(([name, s]) => [name, localChange(now.local[name], s)] as const)
  return {
    ...other,
    national: { ...other.national, ...gone(now.national, other.national) },
    local: { ...gone(now.local, other.local), ...Object.fromEntries(local) },
  }
}
