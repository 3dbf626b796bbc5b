'use client'
import type { QuantityKind, TemperatureUnit, Unit } from '@/core/base/units/units'
import { database } from '@/data/shared'
import { type DisplayUnits, displayUnits, readSettings, writeSetting, changeSetting } from '@/data/settings'
import { useLive } from '../storage/useLive'

export type { DisplayUnits }

/** The units of this browser, and how to change them. */
export function useDisplay(): DisplayUnits & {
  setTemperature: (unit: TemperatureUnit) => void
  rememberUnit: (kind: QuantityKind, unit: Unit) => void
} {
  const settings = useLive(() => readSettings(database()), [], {})
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
