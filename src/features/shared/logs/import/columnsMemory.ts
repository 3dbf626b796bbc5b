import { checkColumns, type ColumnUse } from '@/core/record/logs/readLog'
import { database } from '@/data/shared'
import { changeSetting, readSettings } from '@/data/settings'

const MOST_KEPT = 30
const sign = (headings: readonly string[]) => headings.join('|').slice(0, 500)

/** The mapping that was used for a file with these headings before. */
export async function rememberedColumns(headings: readonly string[]): Promise<ColumnUse[] | undefined> {
  const { logColumns } = await readSettings(database())
  return checkColumns(logColumns?.[sign(headings)], headings.length)
}

/** Keeps a mapping for the next file with these headings; the oldest go first. */
export async function rememberColumns(
  headings: readonly string[],
  columns: readonly ColumnUse[],
): Promise<void> {
  await changeSetting(database(), 'logColumns', (now) => {
    const others = Object.entries(now ?? {}).filter(([kept]) => kept !== sign(headings))
    return Object.fromEntries([...others, [sign(headings), columns] as const].slice(-MOST_KEPT))
  })
}
