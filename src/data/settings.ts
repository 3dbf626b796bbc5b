import { type TemperatureUnit, type Unit, unitsOf } from '@/core/units/units'
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

/** Units in which this browser shows and first offers values. */
export function displayUnits(settings: Settings): { temperature: TemperatureUnit; pressure: Unit } {
  const temperature = TEMPERATURES.includes(settings.temperatureUnit ?? '')
    ? (settings.temperatureUnit as TemperatureUnit)
    : 'F'
  const pressure = unitsOf('pressure').find((unit) => unit === settings.pressureUnit) ?? 'psig'
  return { temperature, pressure }
}
