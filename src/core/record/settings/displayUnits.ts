import { SYSTEM_UNITS, type SystemQuantity, type UnitSystem, US_UNITS } from '../../base/units/system'
import type { QuantityKind, TemperatureUnit, Unit } from '../../base/units/units'
import type { SettingKey, Settings } from './settings'

export type DisplayUnits = {
  readonly temperature: TemperatureUnit
  /** what everything is shown in that nobody typed otherwise */
  readonly system: UnitSystem
  readonly pressure: Unit
  /** unit last chosen on the pad for a kind of quantity */
  readonly chosen: { readonly [K in QuantityKind]?: Unit }
}

const PRESSURES: readonly string[] = SYSTEM_UNITS.pressure

/** The units chosen for each quantity; US units where nothing was. */
const readSystem = ({
  temperatureUnit,
  pressureUnit,
  massUnit,
  volumeUnit,
  lengthUnit,
  flowUnit,
}: Settings): UnitSystem => ({
  temperature: temperatureUnit ?? US_UNITS.temperature,
  pressure:
    pressureUnit !== undefined && PRESSURES.includes(pressureUnit)
      ? (pressureUnit as UnitSystem['pressure'])
      : US_UNITS.pressure,
  mass: massUnit ?? US_UNITS.mass,
  volume: volumeUnit ?? US_UNITS.volume,
  length: lengthUnit ?? US_UNITS.length,
  flow: flowUnit ?? US_UNITS.flow,
})

const systems = new Map<string, UnitSystem>()
/** The same choice is the same object: what was said in it stands. */
function systemOf(settings: Settings): UnitSystem {
  const read = readSystem(settings)
  const key = Object.values(read).join()
  const known = systems.get(key) ?? read
  systems.set(key, known)
  return known
}

/** The setting that holds the unit of a quantity. */
export const UNIT_SETTINGS = {
  temperature: 'temperatureUnit',
  pressure: 'pressureUnit',
  mass: 'massUnit',
  volume: 'volumeUnit',
  length: 'lengthUnit',
  flow: 'flowUnit',
} as const satisfies Record<SystemQuantity, SettingKey>

/** Units in which this browser shows and first offers values. */
export const displayUnits = (settings: Settings): DisplayUnits => ({
  temperature: settings.temperatureUnit ?? 'F',
  system: systemOf(settings),
  pressure: systemOf(settings).pressure,
  chosen: settings.unitsChosen ?? {},
})
