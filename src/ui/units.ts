'use client'
import { createContext, useContext } from 'react'
import { showMass, showVolume, type UnitSystem, US_UNITS } from '@/core/base/units/system'
import { saidIn, textIn } from '@/core/base/units/textIn'

/** How figures are said in the chosen units. */
export type Units = {
  readonly system: UnitSystem
  /** a sentence that is written in US units */
  readonly say: (text: string) => string
  /** everything that is said in a value */
  readonly said: <T>(value: T) => T
  /** of kilograms */
  readonly mass: (kg: number) => string
  /** of cubic metres of oil */
  readonly volume: (cubicMetres: number) => string
}

/** @param system the chosen units */
const unitsOf = (system: UnitSystem): Units => ({
  system,
  say: (text) => textIn(text, system),
  said: (value) => saidIn(value, system),
  mass: (kg) => showMass(kg, system),
  volume: (cubicMetres) => showVolume(cubicMetres, system),
})

/** The units that are chosen in this browser. */
export const UnitsContext = createContext<UnitSystem>(US_UNITS)

/** The chosen units, at every place. */
export const useUnits = (): Units => unitsOf(useContext(UnitsContext))
