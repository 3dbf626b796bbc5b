'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import type { QuantityKind, TemperatureUnit, Unit } from '@/core/base/units/units'
import { database } from '@/data/database'
import { type DisplayUnits, displayUnits, readSettings, writeSetting } from '@/data/settings'

export type { DisplayUnits }

/** The units of this browser, and how to change them. */
export function useDisplay(): DisplayUnits & {
  setTemperature: (unit: TemperatureUnit) => void
  rememberUnit: (kind: QuantityKind, unit: Unit) => void
} {
  const settings = useLiveQuery(() => readSettings(database()), [], {})
  const units = displayUnits(settings)
  const write = (chosen: DisplayUnits['chosen']) =>
    void writeSetting(database(), 'unitsChosen', JSON.stringify(chosen))
  return {
    ...units,
    setTemperature: (unit) => {
      void writeSetting(database(), 'temperatureUnit', unit)
      // the pad follows the unit of the screen until another one is chosen on it
      write({ ...units.chosen, temperature: unit })
    },
    rememberUnit: (kind, unit) => write({ ...units.chosen, [kind]: unit }),
  }
}
