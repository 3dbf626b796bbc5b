import { useLook } from '../../shared/display/DisplayProvider'
import type { InstrumentProps } from '../instruments/instrumentProps'
import type { PurposeProps } from './purposeProps'
import { hasSamples, usePurposeLog, useWork } from './useWork'
import { attempt } from '@/core/base/errors/orzoError'
import { toPascals } from '@/core/base/units/convert'
import type { PressureUnit, Quantity } from '@/core/base/units/units'
import type { ChannelKey } from '@/core/record/readings/channels'
import { overWarning } from '@/core/repair/logs/testLimit'
import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import { stepId } from '@/core/record/job/passes'
import { beginTask } from '@/core/repair/work/beginning'
import { isHeldBack } from '@/core/repair/work/runSheet'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import type { LogFacts } from '@/core/repair/logs/kinds'
import type { WorkLog } from '@/core/repair/logs/series'

/** The log of a step: what its pane is given, and the log as the judges want it; undefined before there is a look. */
export function usePurpose(
  { job, unit, change, step, answer }: InstrumentProps,
  purpose: LogPurpose,
): {
  readonly pane: Omit<PurposeProps, 'view'>
  readonly own: WorkLog | undefined
  readonly facts: LogFacts
} {
  const { system } = useLook()
  const work = useWork({ job, unit, plan: answer.plan })
  const stepRef = { id: step.record?.id ?? stepId(job.round, step.task.id), pass: step.record?.pass ?? 1 }
  const log = usePurposeLog(job, work, purpose, stepRef)
  // another order keeps no log from being written; a gate or a veto does
  const held = isHeldBack(step) && (step.state === 'blocked' || step.state === 'waits')
  const isToBegin = step.state === 'ready' || step.state === 'paused'
  const starts = isToBegin ? beginTask(step.task, answer.plan.refrigerantPath.goesIn) : undefined
  const { head, samples } = log
  const atmosphere = siteAtmosphere(unit)
  const { testPressure } = answer.plan
  const warn = (key: ChannelKey, { value, unit: typed }: Quantity) => {
    if (purpose !== 'pressure-test' || key !== 'testPressure' || !testPressure) return undefined
    const read = attempt(() => toPascals({ value, unit: typed as PressureUnit }, atmosphere))
    return read.ok
      ? overWarning(read.value, { atmosphere, steps: testPressure.steps, limit: testPressure })
      : undefined
  }
  return {
    pane: {
      job,
      change,
      step: stepRef.id,
      task: step.task.id,
      starts,
      system,
      purpose,
      work,
      log,
      held,
      atmosphere,
      warn,
      verdicts: answer.verdicts,
    },
    own: head && hasSamples(samples) ? { head, samples } : undefined,
    facts: { unit: answer.planUnit, plan: answer.plan, pump: job.run?.pump, pullDown: job.run?.pullDown },
  }
}
