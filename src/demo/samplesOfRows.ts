import { joinSamples, type Samples } from '@/core/record/logs/samples'
import type { LogChunkRow } from '@/data/database'

/** The samples of each log of a job from its stored chunks. */
export function samplesOfRows(rows: readonly LogChunkRow[]): Record<string, Samples> {
  const ids = [...new Set(rows.map(({ logId }) => logId))]
  return Object.fromEntries(
    ids.map((id) => {
      const own = rows.filter(({ logId }) => logId === id).sort((a, b) => a.index - b.index)
      return [id, joinSamples(own, own[0]?.values.length ?? 0)]
    }),
  )
}
