import { MINUTE } from '@/core/base/units/time'
import type { Log } from '@/core/record/logs/readLog'
import { countOf } from '@/core/record/logs/samples'
import { isSame } from '@/core/record/records/patches'
import type { LogHead } from '@/core/record/records/log'
import { systemClock } from '@/data/clock'
import { tagOf } from '@/core/record/job/idInRound'
import { storeLog } from '@/data/logs'
import { randomWord } from '@/data/newId'
import { database } from '@/data/shared'

const LONGEST_NAME = 200

/** What a file's log is; a file without a date is put so that it ends now. @param now ms */
export function headOfLog(name: string, log: Log, id: string, now: number, of: WorkPart = {}): LogHead {
  const start = log.beganAt ?? now - log.minutes * MINUTE
  return {
    id,
    name: name.slice(0, LONGEST_NAME),
    startedAt: new Date(start).toISOString(),
    ...(log.beganAt === undefined ? ({ undated: true } as const) : {}),
    source: 'file',
    channels: log.series.map(({ key, unit }) => ({ key, unit })),
    samples: countOf(log.samples),
    ...of,
  }
}

/** What a log of the work is beside: its purpose, its step, what happened in it. */
export type WorkPart = Pick<LogHead, 'round' | 'purpose' | 'step' | 'marks'>

/** Whether a log looks like one that is here already: the same file, taken again for other readings. */
export const isHere = (head: LogHead, logs: readonly LogHead[]): boolean =>
  logs.some(
    ({ name, samples, channels, undated, startedAt, purpose }) =>
      name === head.name &&
      purpose === head.purpose &&
      samples === head.samples &&
      isSame(channels, head.channels) &&
      (undated === true || startedAt === head.startedAt),
  )

/** Stores the whole log of a file with its job, once. */
export async function keepLog(
  job: { readonly id: string; readonly round: string; readonly logs: readonly LogHead[] },
  name: string,
  log: Log,
  of: WorkPart = {},
): Promise<void> {
  const head = headOfLog(name, log, randomWord(), systemClock.now(), {
    ...of,
    ...tagOf(job.round),
  })
  if (!isHere(head, job.logs)) await storeLog(database(), job.id, head, log.samples, systemClock)
}
