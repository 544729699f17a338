import { createContext, useContext } from 'react'
import { SI } from '../lib/units'

/** The units of the project that is open. */
export const UnitsContext = createContext(SI)

export const useUnits = () => useContext(UnitsContext)
