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

/** Writes several settings at once: whoever leaves in the middle finds all of them, or none. */
export async function writeSettings(
  db: OrzoDatabase,
  change: (now: Settings) => Partial<Settings>,
): Promise<void> {
  await db.transaction('rw', db.settings, async () => {
    const rows = Object.entries(change(await readSettings(db))).flatMap(([key, value]) =>
      value === undefined ? [] : [{ key, value }],
    )
    await db.settings.bulkPut(rows as Parameters<typeof db.settings.bulkPut>[0])
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
