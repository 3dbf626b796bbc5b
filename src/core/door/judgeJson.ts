import { isAssumed } from '../base/known/known'
import { fromPascals } from '../base/units/convert'
import type { ArchivedJob } from '../record/archive/jobArchive'
import type { Job } from '../record/job/job'
import { roundsOf, viewOf } from '../record/job/rounds'
import type { LogPurpose } from '../record/readings/logPurposes'
import { createAnswerer } from '../answer/answer'
import { forecastOf, LOG_KINDS, type LogFacts } from '../repair/logs/kinds'
import type { WorkLog } from '../repair/logs/series'
import { isOpening } from '../repair/logs/told'
import { samplesOfLooks } from '../record/logs/looks'
import { countOf } from '../record/logs/samples'

const rounded = (value: number, digits: number) => Number(value.toFixed(digits))
const minutes = (seconds: number | undefined) => (seconds === undefined ? null : rounded(seconds / 60, 1))

/** When a pull gets there: minutes from the pump's start, eight in ten between the two of the range. */
function forecastJson(log: WorkLog, facts: LogFacts) {
  const answer = forecastOf(log, facts)
  if (!answer) return null
  const { seconds, range, never, floor, speedFactor, waterLeft, isTold } = answer.forecast
  return {
    minutes: minutes(seconds),
    range: range.map(minutes),
    isTold,
    never: rounded(never, 3),
    floorMicrons: rounded(fromPascals(floor, 'micron'), 0),
    speedFactor: rounded(speedFactor, 3),
    waterLeftGrams: rounded(waterLeft * 1000, 2),
    calculatedMinutes: minutes(answer.calculated),
    isVolumeAssumed: facts.plan === undefined || isAssumed(facts.plan.size.volume),
  }
}

/** What the judge of a kind says of a log: the shape of the headless door. */
export function judgeJson(purpose: LogPurpose, log: WorkLog, facts: LogFacts): Record<string, unknown> {
  const {
    limit,
    cause,
    missing,
    sentence,
    details,
    figures,
    levels = [],
    asks = [],
  } = LOG_KINDS[purpose].judge(log, facts)
  return {
    kind: purpose,
    limit,
    cause: cause ?? null,
    opens: isOpening({ limit, missing }),
    missing,
    sentence,
    details,
    figures,
    asks,
    levels: levels.map(({ label, value }) => ({ label, value: rounded(value, 2) })),
    forecast: purpose === 'evacuation' ? forecastJson(log, facts) : null,
  }
}

/** What the logs of a job are judged by: its plan, as the screen shows it. @throws OrzoError not-loaded */
export function factsOf(job: Job): LogFacts {
  const { plan, planUnit } = createAnswerer().whole({ job })
  return { unit: planUnit, plan, pump: job.run?.pump, pullDown: job.run?.pullDown }
}

/** What the judges say of every log of the work in an archive, round by round. @throws OrzoError not-loaded */
export function judgeArchiveJson({ reading, logs }: ArchivedJob): Record<string, unknown>[] {
  if (!reading.ok) return []
  const document = reading.job
  return roundsOf(document).flatMap(({ id: round }) => {
    const job = viewOf(document, round)
    const facts = factsOf(job)
    return job.logs.flatMap((head) => {
      const { purpose, id, name, startedAt, said } = head
      const samples = samplesOfLooks(head) ?? logs[id]
      if (purpose === undefined) return []
      const own = { log: id, name, round, startedAt, ...(said ? { said: said.sentence } : {}) }
      if (!samples || countOf(samples) === 0)
        return [
          { ...own, kind: purpose, limit: 'waiting', cause: null, opens: false, missing: ['its samples'] },
        ]
      return [{ ...own, ...judgeJson(purpose, { head, samples }, facts) }]
    })
  })
}
