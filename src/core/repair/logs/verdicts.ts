import { Digest } from '../../base/numeric/digest'
import { samplesOfLooks } from '../../record/logs/looks'
import { countOf, type Samples } from '../../record/logs/samples'
import type { Job } from '../../record/job/job'
import type { LogHead, LogVerdict } from '../../record/records/log'
import type { LogPurpose } from '../../record/readings/logPurposes'
import { LOG_KINDS, type LogFacts } from './kinds'

/** Raised when a judge of the table says something else of the same samples: what it said before is judged again. */
const JUDGE_VERSION = 4

/** The samples of logs by their ids; one that is not here is being read, an empty one has none. */
export type LogSamples = Readonly<Record<string, Samples>>

/** What is said of each ended log of the work by its id: no-samples where nothing is there to be judged. */
export type Verdicts = Readonly<Record<string, LogVerdict | 'no-samples'>>

const digestOf = ({ channels, marks = [] }: LogHead, { time, values }: Samples): string => {
  const digest = new Digest().text(JSON.stringify([channels, marks])).numbers(time)
  for (const column of values) digest.numbers(column)
  return digest.end()
}

/** What a verdict was said by: the limits and circumstances of its context, and the judge. */
const contextDigest = (purpose: LogPurpose, facts: LogFacts): string =>
  new Digest().text(JSON.stringify([JUDGE_VERSION, purpose, LOG_KINDS[purpose].context(facts)])).end()

const isoAt = (startedAt: string, seconds: number) =>
  new Date(Date.parse(startedAt) + Math.round(seconds * 1000)).toISOString()

type Frozen = { readonly isFrozen: boolean }

/**
 * What is said of an ended log: what was kept while it still holds, else what its judge says now.
 * @param isFrozen its round is closed: what was said then stays, whatever limits and judges say since
 */
function verdictOf(
  log: LogHead & { readonly purpose: LogPurpose },
  samples: Samples,
  facts: LogFacts,
  { isFrozen }: Frozen,
): LogVerdict {
  const digest = digestOf(log, samples)
  const by = contextDigest(log.purpose, facts)
  const kept = log.verdict
  if (kept && kept.digest === digest && (kept.by === by || isFrozen)) return kept
  const told = LOG_KINDS[log.purpose].judge({ head: log, samples }, facts)
  const { limit, cause, missing, sentence, pulls, stoodAt } = told
  const at = isoAt(log.startedAt, samples.time.at(-1) ?? 0)
  const more = {
    ...(cause ? { cause } : {}),
    ...(pulls ? { pulls } : {}),
    ...(stoodAt === undefined ? {} : { stoodAt }),
  }
  return { digest, by, at, limit, missing: [...missing], sentence, ...more }
}

type JudgedJob = Pick<Job, 'logs' | 'rounds' | 'round'>

/** Whether the round that is looked at is closed. */
const isClosed = ({ rounds, round }: JudgedJob): boolean =>
  rounds.find(({ id }) => id === round)?.closedAt !== undefined

/** What is said of every ended log of the work whose samples are here, or which was typed. @throws OrzoError not-loaded */
export function verdictsOf(job: JudgedJob, samples: LogSamples, facts: LogFacts): Verdicts {
  const isFrozen = isClosed(job)
  const all = job.logs.flatMap((log): (readonly [string, LogVerdict | 'no-samples'])[] => {
    const own = samplesOfLooks(log) ?? samples[log.id]
    const { purpose } = log
    if (purpose === undefined || log.samples === undefined || own === undefined) return []
    if (countOf(own) === 0) return [[log.id, 'no-samples']]
    return [[log.id, verdictOf({ ...log, purpose }, own, facts, { isFrozen })]]
  })
  return Object.fromEntries(all)
}
