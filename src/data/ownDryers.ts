import { type Clock, isoNow } from '@/core/base/units/instants'
import { readRecord } from '@/core/record/job/assemble'
import { type Dryer, DRYER, dryerSchema } from '@/core/record/records/dryer'
import { recordKey, STORE_ID, type StoredRecord } from '@/core/record/records/envelope'
import { problemsOf } from '@/core/record/records/kind'
import { OrzoError } from '@/core/base/errors/orzoError'
import type { OrzoDatabase } from './database'
import { deviceOf } from './settings'

const rows = (db: OrzoDatabase) => db.records.where('[jobId+kind]').equals([STORE_ID, DRYER.kind])

/** The user's own dryers, by name; what cannot be read is left alone. */
export async function listOwnDryers(db: OrzoDatabase): Promise<Dryer[]> {
  const found = await rows(db).toArray()
  return found
    .flatMap((row) => {
      const read = readRecord(row)
      return 'row' in read && row.deleted === undefined ? [read.data as Dryer] : []
    })
    .sort((a, b) => a.label.localeCompare(b.label) || a.block - b.block)
}

/** Writes own dryers, each over the one of its id; all or none. @throws OrzoError bad-document */
export async function putOwnDryers(db: OrzoDatabase, dryers: readonly Dryer[], clock: Clock): Promise<void> {
  const device = await deviceOf(db)
  for (const dryer of dryers) {
    const result = dryerSchema.safeParse(dryer, { reportInput: true })
    if (!result.success) {
      const sentences = problemsOf(result.error, 'the dryer').map(({ path, message }) => `${path} ${message}`)
      throw new OrzoError('bad-document', sentences.join('; '))
    }
  }
  await db.transaction('rw', db.records, async () => {
    for (const dryer of dryers) {
      const key = recordKey(STORE_ID, DRYER.kind, dryer.id)
      const before = await db.records.get(key)
      const rev = (before?.rev ?? 0) + 1
      const row: StoredRecord = {
        key,
        jobId: STORE_ID,
        kind: DRYER.kind,
        id: dryer.id,
        order: 0,
        version: DRYER.version,
        rev,
        clock: rev,
        device,
        at: isoNow(clock),
        data: dryer,
      }
      await db.records.put(row)
    }
  })
}

/** Takes an own dryer out of the store; jobs that considered it keep their copy. */
export async function removeOwnDryer(db: OrzoDatabase, id: string): Promise<void> {
  await db.records.delete(recordKey(STORE_ID, DRYER.kind, id))
}
