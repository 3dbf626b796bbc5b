'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import type { QuantityKind, TemperatureUnit, Unit } from '@/core/base/units/units'
import { database } from '@/data/database'
import { type DisplayUnits, displayUnits, readSettings, writeSetting, changeSetting } from '@/data/settings'

export type { DisplayUnits }

/** The units of this browser, and how to change them. */
export function useDisplay(): DisplayUnits & {
  setTemperature: (unit: TemperatureUnit) => void
  rememberUnit: (kind: QuantityKind, unit: Unit) => void
} {
  const settings = useLiveQuery(() => readSettings(database()), [], {})
  const units = displayUnits(settings)
  const choose = (kind: QuantityKind, unit: Unit) =>
    void changeSetting(database(), 'unitsChosen', (now) => ({ ...now, [kind]: unit }))
  return {
    ...units,
    setTemperature: (unit) => {
      void writeSetting(database(), 'temperatureUnit', unit)
      // the pad follows the unit of the screen until another one is chosen on it
      choose('temperature', unit)
    },
    rememberUnit: choose,
  }
}
