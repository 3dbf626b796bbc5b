import { isAtOrBefore } from '../../base/units/instants'
import { latestPass } from '../../record/job/passes'
import type { LogPurpose } from '../../record/readings/logPurposes'
import type { LogHead, LogVerdict } from '../../record/records/log'
import type { Effects } from '../../record/state/effects'
import { isShutBy } from '../logs/judgeDecay'
import { LOG_KINDS } from '../logs/kinds'
import { countPulls, type Pulled } from '../logs/pulls'
import { isOfItsTask } from '../logs/taskPurposes'
import { isOpening } from '../logs/told'
import { lapsedBy } from './lapsed'
import type { WorkScene } from './workScene'

/** Whether a log belongs to the pass of its task that counts: what an earlier pass showed opens nothing any more. */
function isOfLatestPass(
  { job }: { readonly job: Pick<WorkScene['job'], 'steps'> },
  { step, startedAt }: LogHead,
): boolean {
  const own = job.steps.find(({ id }) => id === step)
  if (own) return latestPass(job.steps, own.task) === own
  // a log that names no step was kept before any task was done once more
  return job.steps.every(
    ({ calledAt }) => calledAt === undefined || isAtOrBefore(calledAt, Date.parse(startedAt)),
  )
}

/** The logs of a purpose, the newest first; one that was kept beside another task, as a trace of nitrogen, serves no gate. */
const logsOf = (
  { job }: { readonly job: Pick<WorkScene['job'], 'logs' | 'steps'> },
  purpose: LogPurpose,
): LogHead[] =>
  job.logs
    .filter((log) => log.purpose === purpose && isOfItsTask(job.steps, log))
    .sort((a, b) => Date.parse(b.startedAt) - Date.parse(a.startedAt))

/** Whether a borderline was repeated and stayed under its limit again. */
const isConfirmed = (
  scene: WorkScene,
  { cause }: LogVerdict,
  earlier: readonly LogHead[],
  lapsesOn: readonly (keyof Effects)[],
) =>
  !isShutBy(cause) &&
  earlier.some((log) => {
    const before = scene.verdicts[log.id]
    if (before === undefined || before === 'no-samples' || !isOfLatestPass(scene, log)) return false
    const stood = before.limit === 'passed' || before.limit === 'borderline'
    return stood && !isShutBy(before.cause) && lapsedBy(scene, lapsesOn, before.at) === undefined
  })

/**
 * What the logs of a purpose lack: the newest one decides, in the pass that counts, by what its judge says of its samples. An
 * earlier one that passed says nothing of what was done since.
 */
export function missingOf(scene: WorkScene, purpose: LogPurpose): readonly string[] {
  const { serves, lapsesOn } = LOG_KINDS[purpose]
  const asks = serves?.asks ?? ''
  const [log, ...earlier] = logsOf(scene, purpose)
  if (!log || !isOfLatestPass(scene, log)) return [asks]
  if (log.samples === undefined) return [`${asks}: end the log`]
  const verdict = scene.verdicts[log.id]
  if (verdict === undefined) return [`${asks}: the log is being judged`]
  if (verdict === 'no-samples') return [`${asks}: what was said before has no samples to it`]
  const by = lapsedBy(scene, lapsesOn, verdict.at)
  if (by !== undefined) return [`${asks}, once more: “${by}” opened the circuit after it`]
  if (isOpening(verdict)) return []
  if (verdict.limit === 'borderline' && isConfirmed(scene, verdict, earlier, lapsesOn)) return []
  return verdict.missing.map((each) => `${asks}: ${each}`)
}

const judged = ({ verdicts }: Pick<WorkScene, 'verdicts'>, { id }: LogHead): LogVerdict | undefined => {
  const verdict = verdicts[id]
  return verdict === 'no-samples' ? undefined : verdict
}

/** What is said of the newest log of a purpose in the pass that counts; undefined where none is judged. */
export function verdictThatCounts(
  scene: Pick<WorkScene, 'verdicts'> & { readonly job: Pick<WorkScene['job'], 'logs' | 'steps'> },
  purpose: LogPurpose,
): LogVerdict | undefined {
  const [log] = logsOf(scene, purpose)
  return log && isOfLatestPass(scene, log) ? judged(scene, log) : undefined
}

/** Pulls and breaks of the evacuation, by its logs in the pass that counts. */
export function pulled(scene: WorkScene): Pulled {
  const logs = logsOf(scene, 'evacuation').filter((log) => isOfLatestPass(scene, log))
  return countPulls(logs.reverse().map((log) => judged(scene, log)?.pulls ?? ''))
}
