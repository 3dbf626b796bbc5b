import type { BackupContents, BackupJob } from '@/core/record/archive/backup'
import { rescue } from '@/core/record/archive/rescue'
import { dayIn, isoNow } from '@/core/base/units/instants'
import { readBeside, readWholeJob } from '@/data/archive'
import { systemClock } from '@/data/clock'
import { listJobs } from '@/data/jobs'
import { readRawStores } from '@/data/rawStores'
import { database } from '@/data/shared'
import { saveBlob } from '@/ui/saveBlob'
import { filesClient } from '@/workers/filesClient'
import { buffersOf } from './exportJob'

let count = 0

/** Packs a backup job by job: only one at a time stands in the memory of this thread. */
async function packBackup(jobs: AsyncIterable<BackupJob> | Iterable<BackupJob>, contents: BackupContents) {
  count += 1
  const backup = `backup-${count}`
  for await (const whole of jobs)
    await filesClient().ask('addToBackup', { backup, whole }, { transfer: buffersOf(whole) })
  return filesClient().ask('endBackup', { backup, contents, at: systemClock.now() })
}

/** Jobs one after another; one that was removed meanwhile is left out. */
async function* wholeJobs(ids: readonly string[]) {
  for (const id of ids) {
    const whole = await readWholeJob(database(), id)
    if (whole) yield whole
  }
}

const stamp = () => dayIn(systemClock.now(), systemClock.zone())

/** Hands everything that this browser holds to the user as one file. @returns how many jobs are in it */
export async function downloadBackup(): Promise<number> {
  const db = database()
  const index = await listJobs(db)
  const jobs = wholeJobs(index.map(({ id }) => id))
  const blob = await packBackup(jobs, await readBeside(db, isoNow(systemClock)))
  saveBlob(blob, `orzo-backup-${stamp()}.zip`)
  return index.length
}

/** Hands some jobs to the user as one file, which is imported like a backup; settings are not in it. */
export async function downloadJobs(ids: readonly string[]): Promise<number> {
  const contents = { at: isoNow(systemClock), settings: [], aside: [], unread: [], store: [] }
  saveBlob(await packBackup(wholeJobs(ids), contents), `orzo-jobs-${stamp()}.zip`)
  return ids.length
}

/** What a rescue came to: jobs in the file, and parts of the store that could not be read. */
type Rescued = { readonly jobs: number; readonly lost: readonly string[] }

/** Hands over what can be read of a store that cannot be opened as usual; the file is restored like any backup. */
export async function downloadRescue(): Promise<Rescued> {
  const { stores, lost } = await readRawStores(database().name)
  const { jobs, contents } = rescue(stores, isoNow(systemClock))
  saveBlob(await packBackup(jobs, contents), `orzo-rescue-${stamp()}.zip`)
  return { jobs: jobs.length, lost }
}

/** Hands rows that could not be read to the user as they are. */
export async function downloadAside(): Promise<number> {
  const rows = await database().aside.toArray()
  saveBlob(
    new Blob([`${JSON.stringify(rows, null, 2)}\n`], { type: 'application/json' }),
    `orzo-aside-${stamp()}.json`,
  )
  return rows.length
}
