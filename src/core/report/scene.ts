import type { Answer } from '../answer/answer'
import { instantOf } from '../base/units/instants'
import { roundsOf } from '../record/job/rounds'
import { unknownOf } from '../record/equipment/asked'
import { legibleJob } from '../record/job/known'
import type { KnownJob, StoredJob } from '../record/job/job'
import type { UnitState } from '../record/state/unit'
import { unitState } from '../record/state/unitState'
import type { LogSamples } from '../repair/logs/verdicts'
import type { LogFacts } from '../repair/logs/kinds'
import { isDecided } from '../record/job/decisions'
import { effectsOf } from '../repair/plan/tasks/tasks'
import { workBegan } from '../repair/plan/workBegan'
import { holdingNow } from '../repair/work/holdingNow'
import { type RunSheet, runSheet, type SheetScene } from '../repair/work/runSheet'

/** One repair of a job with everything that was computed of it. */
export type RoundScene = {
  /** as its round sees it, with what was inside at each set */
  readonly job: StoredJob
  /** the same with a unit that can be computed with */
  readonly known: KnownJob
  readonly answer: Answer
  readonly samples: LogSamples
  /** whether the plate tells what a plan is made from */
  readonly isKnown: boolean
  readonly state: UnitState
  /** what the logs are judged by */
  readonly facts: LogFacts
  /** what the gates of the work are judged from */
  readonly work: SheetScene
  readonly sheet: RunSheet
  /** ms */
  readonly now: number
}

/** When a repair was followed by the next one, ms: what came later says nothing of it. */
function endOf(job: StoredJob): number | undefined {
  const rounds = roundsOf(job)
  return instantOf(rounds[rounds.findIndex(({ id }) => id === job.round) + 1]?.at)
}

/**
 * A repair as a report looks at it: the sheet and its gates are made anew from the records, none is taken from a flag.
 * @param job a view with what was inside at its sets @param now ms
 */
export function roundScene(
  job: StoredJob,
  { answer, samples, now }: Pick<RoundScene, 'answer' | 'samples' | 'now'>,
): RoundScene {
  const known = legibleJob(job)
  const until = endOf(job)
  const state = unitState(known, effectsOf, until)
  const { plan, vetoes, verdicts } = answer
  const holding = holdingNow({ unit: known.unit, vetoes, state, plan, began: workBegan(known) })
  const work: SheetScene = {
    job: known,
    tasks: isDecided(known) ? plan.tasks : [],
    state,
    holding,
    verdicts,
    now: Math.min(now, until ?? now),
  }
  return {
    job,
    known,
    answer,
    samples,
    isKnown: unknownOf(job.unit).length === 0,
    state,
    facts: { unit: answer.planUnit, plan, pump: job.run?.pump, pullDown: job.run?.pullDown },
    work,
    sheet: runSheet(work, work.now ?? now),
    now,
  }
}
