import type { DecisionState } from '@/core/diagnosis/proof/decisionState'
import { decide } from '@/core/record/edits/decisionEdits'
import { inRound } from '@/core/record/edits/inRound'
import { beginRound } from '@/core/record/edits/roundEdits'
import { emptyJob } from '@/core/record/job/job'
import { documentOf, viewOf } from '@/core/record/job/rounds'
import { answerHandlers } from './answerHandlers'
import { scheduleClient } from './scheduleClient'

async function lastOf<T>(steps: AsyncGenerator<unknown, T>): Promise<T> {
  for (;;) {
    const { done, value } = await steps.next()
    if (done) return value as T
  }
}

test('the history of a unit tells what was decided in every round of its jobs', async () => {
  const stamp = { now: '2026-11-27T08:00:00.000Z', newId: () => 'id' }
  const unit = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' } as const
  const document = [
    inRound(decide('condenser-fouled', undefined)),
    inRound(beginRound('two', 'return')),
    inRound(decide('contactor-failed', undefined)),
  ].reduce((now, edit) => edit(now, stamp), documentOf(emptyJob(unit)))
  const [states] = await lastOf<DecisionState[][]>(
    answerHandlers(scheduleClient).decisionStates([viewOf(document)]),
  )
  expect(states!.map(({ fault }) => fault)).toEqual(['condenser-fouled', 'contactor-failed'])
})

test('two sets of different refrigerants are compared each by its own', async () => {
  const readings = { liquidPressure: { value: 250, unit: 'psig' } } as const
  const job = {
    ...emptyJob({ kind: 'split-ac', refrigerant: 'R-22', metering: 'txv' }),
    readingSets: [
      { id: 'a', mode: 'cooling' as const, readings: { ...readings } },
      { id: 'b', mode: 'cooling' as const, readings: { ...readings }, refrigerant: 'R-134a' as const },
    ],
  }
  const { pictures } = await lastOf(
    answerHandlers(scheduleClient).compare({ job, display: { temperature: 'F' } }),
  )
  const [first, second] = pictures.map(({ derived }) => derived.condensingMean?.value)
  // at 250 psig R-22 condenses at 117 F, R-134a at 146 F [std: CoolProp 6]
  expect((second! - first!) * 1.8).toBeCloseTo(29, 0)
})
