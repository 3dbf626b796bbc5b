import { readSettings, writeSetting } from '@/data/settings'
import { database } from '@/data/shared'

let asked = false

async function ask(): Promise<void> {
  if (asked) return
  asked = true
  const db = database()
  if ((await readSettings(db)).persistAsked) return
  await navigator.storage?.persist?.()
  await writeSetting(db, 'persistAsked', true)
}

/**
 * Asks the browser, once, not to clear the jobs when space runs short; it may say no. Called when there is something to
 * lose. That it could not be asked hurts nobody: the jobs are stored all the same.
 */
export const keepData = (): void => void ask().catch(() => undefined)
