import { type QuantityKind, type TemperatureUnit, type Unit, unitsOf } from '@/core/base/units/units'
import type { OrzoDatabase } from './database'

/** What this browser remembers beside the jobs. */
export const SETTING_KEYS = [
  'temperatureUnit',
  'pressureUnit',
  'demoOffered',
  'tablesInput',
  'theme',
  'textSize',
  'hand',
  'screenOn',
  'tapOrder',
  'unitsChosen',
  'logColumns',
] as const
export type SettingKey = (typeof SETTING_KEYS)[number]
export type Settings = { [K in SettingKey]?: string }

/** All settings as one object. */
export async function readSettings(db: OrzoDatabase): Promise<Settings> {
  const rows = await db.settings.toArray()
  return Object.fromEntries(rows.map(({ key, value }) => [key, value])) as Settings
}

export async function writeSetting(db: OrzoDatabase, key: SettingKey, value: string): Promise<void> {
  await db.settings.put({ key, value })
}

const TEMPERATURES: readonly string[] = ['F', 'C', 'K']

export type DisplayUnits = {
  readonly temperature: TemperatureUnit
  readonly pressure: Unit
  /** unit last chosen on the pad for a kind of quantity */
  readonly chosen: { readonly [K in QuantityKind]?: Unit }
}

const isChosen = (entry: [string, unknown]): entry is [QuantityKind, Unit] =>
  typeof entry[1] === 'string' && unitsOf(entry[0] as QuantityKind).some((unit) => unit === entry[1])

/** A damaged text chooses nothing. */
function readChosen(text: string | undefined): DisplayUnits['chosen'] {
  try {
    return Object.fromEntries(Object.entries(JSON.parse(text ?? '{}') as object).filter(isChosen))
  } catch {
    return {}
  }
}

/** Units in which this browser shows and first offers values. */
export function displayUnits(settings: Settings): DisplayUnits {
  const temperature = TEMPERATURES.includes(settings.temperatureUnit ?? '')
    ? (settings.temperatureUnit as TemperatureUnit)
    : 'F'
  const pressure = unitsOf('pressure').find((unit) => unit === settings.pressureUnit) ?? 'psig'
  return { temperature, pressure, chosen: readChosen(settings.unitsChosen) }
}
