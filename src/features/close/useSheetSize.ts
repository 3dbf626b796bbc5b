'use client'
import type { Sheet } from '@/core/base/units/sheets'
import { changeSetting, readSettings } from '@/data/settings'
import { database } from '@/data/shared'
import { useLive } from '../shared/storage/useLive'

/** The sheet that this browser prints on; Letter where nothing was chosen. */
export function useSheetSize(): readonly [Sheet, (sheet: Sheet) => void] {
  const settings = useLive(() => readSettings(database()), [], {})
  return [settings.sheet ?? 'letter', (sheet) => void changeSetting(database(), 'sheet', () => sheet)]
}
