import type { QuantityKind, TemperatureUnit, Unit } from '@/core/base/units/units'
import { SYSTEM_UNITS, type SystemQuantity, type UnitSystem, US_UNITS } from '@/core/base/units/system'
import { readSettingRows, type SettingKey, type Settings } from '@/core/record/settings/settings'
import type { OrzoDatabase } from './database'
import { randomWord } from './newId'

export type { SettingKey, Settings }

/** All settings as one object. */
export const readSettings = async (db: OrzoDatabase): Promise<Settings> =>
  readSettingRows(await db.settings.toArray())

export async function writeSetting<K extends SettingKey>(
  db: OrzoDatabase,
  key: K,
  value: NonNullable<Settings[K]>,
): Promise<void> {
  await db.settings.put({ key, value })
}

/** Writes what was chosen in a list of words, read as a stored row is; a word that means nothing is not written. */
export async function writeChoice(db: OrzoDatabase, key: SettingKey, word: string): Promise<void> {
  const value = readSettingRows([{ key, value: word }])[key]
  if (value !== undefined) await db.settings.put({ key, value })
}

/** Changes one setting by what it holds now, so that two quick changes never overwrite each other. */
export async function changeSetting<K extends SettingKey>(
  db: OrzoDatabase,
  key: K,
  change: (now: Settings[K] | undefined) => NonNullable<Settings[K]>,
): Promise<void> {
  await db.transaction('rw', db.settings, async () => {
    const now = (await readSettings(db))[key]
    await db.settings.put({ key, value: change(now) })
  })
}

const devices = new WeakMap<OrzoDatabase, Promise<string>>()

async function findDevice(db: OrzoDatabase): Promise<string> {
  return db.transaction('rw', db.settings, async () => {
    const { device } = await readSettings(db)
    if (device) return device
    const made = randomWord()
    await db.settings.put({ key: 'device', value: made })
    return made
  })
}

/** The name of this browser in the records that it writes; made once. */
export function deviceOf(db: OrzoDatabase): Promise<string> {
  const known = devices.get(db) ?? findDevice(db)
  devices.set(db, known)
  return known
}

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
