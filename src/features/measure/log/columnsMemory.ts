import { checkColumns, type ColumnUse } from '@/core/record/logs/readLog'
import { database } from '@/data/database'
import { readSettings, writeSetting } from '@/data/settings'

const MOST_KEPT = 30
const sign = (headings: readonly string[]) => headings.join('|').slice(0, 500)

function stored(text: string | undefined): Record<string, unknown> {
  try {
    const value: unknown = JSON.parse(text ?? '{}')
    return typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {}
  } catch {
    return {}
  }
}

/** The mapping that was used for a file with these headings before. */
export async function rememberedColumns(headings: readonly string[]): Promise<ColumnUse[] | undefined> {
  const { logColumns } = await readSettings(database())
  return checkColumns(stored(logColumns)[sign(headings)], headings.length)
}

/** Keeps a mapping for the next file with these headings; the oldest go first. */
export async function rememberColumns(
  headings: readonly string[],
  columns: readonly ColumnUse[],
): Promise<void> {
  const { logColumns } = await readSettings(database())
  const others = Object.entries(stored(logColumns)).filter(([kept]) => kept !== sign(headings))
  const kept = [...others, [sign(headings), columns] as const].slice(-MOST_KEPT)
  await writeSetting(database(), 'logColumns', JSON.stringify(Object.fromEntries(kept)))
}
