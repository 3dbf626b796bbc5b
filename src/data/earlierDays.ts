import { readRecord } from '@/core/record/job/assemble'
import { DAY, type Day } from '@/core/record/records/day'
import type { OrzoDatabase } from './database'

/** Jobs that are looked at, the latest first: older ones say less of how one works now. */
const MOST_JOBS = 300

/** The days of the latest other jobs of this machine, of every round; what cannot be read is left alone. */
export async function earlierDays(db: OrzoDatabase, exceptJob: string): Promise<Day[]> {
  const ids = await db.jobIndex.orderBy('updatedAt').reverse().limit(MOST_JOBS).primaryKeys()
  const places = ids.filter((id) => id !== exceptJob).map((id) => [id, DAY.kind])
  const rows = await db.records.where('[jobId+kind]').anyOf(places).toArray()
  return rows.flatMap((row) => {
    if (row.deleted !== undefined) return []
    const read = readRecord(row)
    return 'row' in read ? [read.data as Day] : []
  })
}
