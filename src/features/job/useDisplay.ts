'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import type { TemperatureUnit, Unit } from '@/core/units/units'
import { database } from '@/data/database'
import { displayUnits, readSettings, writeSetting } from '@/data/settings'

export type DisplayUnits = { readonly temperature: TemperatureUnit; readonly pressure: Unit }

/** The units of this browser, and how to change them. */
export function useDisplay(): DisplayUnits & {
  setTemperature: (unit: TemperatureUnit) => void
  rememberPressure: (unit: Unit) => void
} {
  const settings = useLiveQuery(() => readSettings(database()), [], {})
  const units = displayUnits(settings)
  return {
    ...units,
    setTemperature: (unit) => void writeSetting(database(), 'temperatureUnit', unit),
    rememberPressure: (unit) => void writeSetting(database(), 'pressureUnit', unit),
  }
}
