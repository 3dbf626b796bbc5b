'use client'
import type { SystemQuantity, UnitSystem } from '@/core/base/units/system'
import type { QuantityKind, TemperatureUnit, Unit } from '@/core/base/units/units'
import { database } from '@/data/shared'
import { changeSetting, readSettings, writeSettings } from '@/data/settings'
import { type DisplayUnits, displayUnits, UNIT_SETTINGS } from '@/core/record/settings/displayUnits'
import { useLive } from '../storage/useLive'

export type { DisplayUnits }

/** Kinds of quantity whose fields begin in the unit of a choice. */
const FIELDS: { readonly [Q in SystemQuantity]: readonly QuantityKind[] } = {
  temperature: ['temperature'],
  pressure: ['pressure'],
  mass: ['mass'],
  volume: ['volume'],
  length: ['length'],
  flow: ['flow'],
}

/** Writes the units of some quantities; fields begin in them until another one is chosen at the field. */
const chooseUnits = (units: Partial<UnitSystem>): Promise<void> =>
  writeSettings(database(), ({ unitsChosen = {} }) => {
    const quantities = Object.keys(units) as SystemQuantity[]
    const chosen: Record<string, Unit | undefined> = { ...unitsChosen }
    for (const quantity of quantities)
      for (const kind of FIELDS[quantity])
        chosen[kind] = kind === 'length' ? undefined : (units[quantity] as Unit)
    return {
      ...Object.fromEntries(quantities.map((quantity) => [UNIT_SETTINGS[quantity], units[quantity]])),
      unitsChosen: Object.fromEntries(Object.entries(chosen).filter(([, unit]) => unit !== undefined)),
    }
  })

/** The units of this browser, and how to change them. */
export function useDisplay(): DisplayUnits & {
  setUnits: (units: Partial<UnitSystem>) => void
  setTemperature: (unit: TemperatureUnit) => void
  rememberUnit: (kind: QuantityKind, unit: Unit) => void
} {
  const settings = useLive(() => readSettings(database()), [], {})
  const units = displayUnits(settings)
  return {
    ...units,
    setUnits: (chosen) => void chooseUnits(chosen),
    setTemperature: (temperature) => void chooseUnits({ temperature }),
    rememberUnit: (kind, unit) =>
      void changeSetting(database(), 'unitsChosen', (now) => ({ ...now, [kind]: unit })),
  }
}
