'use client'
import type { Job } from '@/core/record/job/job'
import type { Samples } from '@/core/record/logs/samples'
import type { LogHead } from '@/core/record/records/log'
import { readSamples } from '@/data/logs'
import { database } from '@/data/shared'
import { useLive } from '../storage/useLive'

const NONE: Readonly<Record<string, Samples>> = {}

/** What was read stays the same object while it holds the same: an ended log changes no more. */
const read = new Map<string, Samples>()

async function samplesOf(jobId: string, log: LogHead): Promise<readonly [string, Samples]> {
  const now = await readSamples(database(), jobId, log)
  const key = `${jobId} ${log.id}`
  const known = read.get(key)
  const same = known && known.time.length === now.time.length ? known : now
  read.set(key, same)
  return [log.id, same]
}

/** The samples of the ended logs of the work, which the judges need; nothing while they are being read. */
export function useSamples({
  id,
  logs,
}: Pick<Job, 'logs'> & { readonly id: string }): Readonly<Record<string, Samples>> {
  // those that were typed stand in the job itself
  const ended = logs.filter(
    ({ purpose, samples, looks }) => purpose !== undefined && samples !== undefined && looks === undefined,
  )
  return useLive(
    () =>
      ended.length === 0
        ? undefined
        : Promise.all(ended.map((log) => samplesOf(id, log))).then((all) => Object.fromEntries(all)),
    [id, ended.map((log) => `${log.id} ${log.samples}`).join()],
    NONE,
  )
}
