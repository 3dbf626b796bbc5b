import { holdingVetoes } from '@/core/diagnosis/vetoes/holding'
import type { KnownJob } from '@/core/record/job/job'
import type { Samples } from '@/core/record/logs/samples'
import { unitState } from '@/core/record/state/unitState'
import { verdictsOf } from '@/core/repair/logs/verdicts'
import type { Plan } from '@/core/repair/plan/plan'
import { effectsOf } from '@/core/repair/plan/tasks/tasks'
import { workBegan } from '@/core/repair/plan/workBegan'
import { holdingNow } from '@/core/repair/work/holdingNow'
import type { SheetScene } from '@/core/repair/work/runSheet'

/** What the sheet and the gates are made from, as the screen makes it. */
export function workScene(
  job: KnownJob,
  plan: Plan,
  samples: Readonly<Record<string, Samples>> = {},
): SheetScene {
  const state = unitState(job, effectsOf)
  const vetoes = holdingVetoes(job.unit, job.readingSets, state)
  const holding = holdingNow({ unit: job.unit, vetoes, state, plan, began: workBegan(job) })
  const verdicts = verdictsOf(job, samples, { unit: job.unit, plan })
  return { job, tasks: plan.tasks, state, holding, verdicts }
}
