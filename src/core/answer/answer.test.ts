import { buildDemoJobs } from '@/demo/buildDemo'
import { decide } from '../record/edits/decisionEdits'
import { setTitle } from '../record/edits/headEdits'
import { setClosing, tick } from '../record/edits/listEdits'
import { observe, putReading } from '../record/edits/readingEdits'
import type { Edit } from '../record/edits/edit'
import type { KnownJob } from '../record/job/job'
import { knownJob } from '../record/job/known'
import { createAnswerer } from './answer'
import { diagnoseJob, faultsToRepair } from './diagnoseJob'
import { memo } from './memo'

const NOW = '2026-05-04T09:30:00.000Z'
const jobs = buildDemoJobs(new Date(NOW)).map(knownJob)
const control = jobs.find(({ id }) => id === 'demo-control-room')!
const exhibit = jobs.find(({ id }) => id === 'demo-exhibit-hall')!
const water = jobs.find(({ id }) => id === 'demo-water-source')!
const edited = (job: KnownJob, edit: Edit) => knownJob(edit(job, { now: NOW, newId: () => 'new' }))

test('one answer says the same as each computation on its own', () => {
  const { whole } = createAnswerer()
  for (const job of [control, exhibit]) {
    const answer = whole({ job })
    const alone = diagnoseJob(job)
    expect(answer.ranking.suspects).toEqual(alone.suspects)
    expect(answer.ranking.nextChecks).toEqual(alone.nextChecks)
    expect(answer.assessment.flags).toEqual(alone.flags)
    expect(answer.faults).toEqual(faultsToRepair(job))
    expect(answer.plan.faults).toEqual(answer.faults)
    for (const gate of alone.gates) expect(answer.gates).toContainEqual(gate)
  }
})

test('it comes in steps: arithmetic first, the whole last', () => {
  const steps = createAnswerer().inSteps({ job: control })
  const first = steps.next().value
  expect(Object.keys(first)).toEqual(['asks', 'assessment'])
  let last = steps.next()
  while (!last.done) last = steps.next()
  expect(last.value).toMatchObject({ faults: ['txv-underfeeding'], plan: { faults: ['txv-underfeeding'] } })
})

test('a job without a set is answered: how often each is found', () => {
  const answer = createAnswerer().whole({ job: water })
  expect(answer.ranking.suspects[0]!.fault).toBe('healthy')
  expect(answer.faults).toEqual(['healthy'])
})

describe('a step is computed only when something that it depends on changed', () => {
  type Case = readonly [string, Edit, { ranking: boolean; gates: boolean; plan: boolean }]
  test.each<Case>([
    ['a tick', tick('task:setUp', true), { ranking: true, gates: true, plan: true }],
    ['a title', setTitle('x'), { ranking: true, gates: true, plan: true }],
    ['the closing record', setClosing({ note: 'x' }), { ranking: true, gates: true, plan: true }],
    [
      'what came out',
      setClosing({ recovered: { value: 4, unit: 'lb' } }),
      { ranking: true, gates: true, plan: false },
    ],
    ['a decision', decide('undercharge', undefined), { ranking: true, gates: true, plan: false }],
    [
      'what is inside',
      observe(undefined, 'acidTest', 'strong'),
      { ranking: false, gates: false, plan: false },
    ],
    [
      'a reading',
      putReading(undefined, 'suctionPressure', { value: 90, unit: 'psig' }),
      // the table of refrigerants stands at the temperatures that were read
      { ranking: false, gates: false, plan: false },
    ],
  ])('%s', (_name, edit, same) => {
    const { whole } = createAnswerer()
    const before = whole({ job: control })
    // as a worker gets it: a copy
    const after = whole({ job: structuredClone(edited(control, edit)) })
    expect(after.ranking.suspects === before.ranking.suspects).toBe(same.ranking)
    expect(after.gates === before.gates).toBe(same.gates)
    expect(after.plan === before.plan).toBe(same.plan)
  })
  test('memo keeps the last result only, and compares every field', () => {
    const compute = jest.fn((value: { a: number }) => ({ sum: value.a + 1 }))
    const kept = memo(compute)
    expect(kept({ a: 1 })).toBe(kept({ a: 1 }))
    expect(kept({ a: 2 })).toEqual({ sum: 3 })
    kept({ a: 1 })
    expect(compute).toHaveBeenCalledTimes(3)
  })
})

test('several decided faults are planned together', () => {
  const both = edited(
    edited(control, decide('txv-underfeeding', undefined)),
    decide('contactor-failed', undefined),
  )
  const { plan, decisionStates } = createAnswerer().whole({ job: both })
  expect(plan.tasks.map(({ id }) => id)).toEqual(expect.arrayContaining(['swapValve', 'swapContactor']))
  expect(decisionStates.map(({ fault, state }) => [fault, state])).toEqual([
    ['txv-underfeeding', 'not-proven'],
    ['contactor-failed', 'no-gate'],
  ])
})

test('a table that is not loaded is a broken precondition: it throws, it is never "suspected, not proven"', async () => {
  const job = edited(control, decide('txv-underfeeding', undefined))
  await jest.isolateModulesAsync(async () => {
    const { decisionStatesOf } = await import('../diagnosis/proof/decisionState')
    expect(() => decisionStatesOf(job)).toThrow(expect.objectContaining({ code: 'not-loaded' }))
    const { loadFor } = await import('./load')
    await loadFor(job.unit)
    expect(decisionStatesOf(job)[0]?.state).toBe('not-proven')
  })
})

describe('a plate that is silent', () => {
  const { refrigerant: _gas, metering: _device, ...rest } = control.unit
  const silent = { ...control, unit: rest }
  test('is asked for; what needs it is left out of the arithmetic', () => {
    const { asks, assessment } = createAnswerer().whole({ job: silent })
    expect(asks).toEqual(['refrigerant', 'metering'])
    expect(assessment.derived.superheat).toBeUndefined()
    expect(assessment.snapshot.values.suctionPressure).toBeUndefined()
    expect(assessment.snapshot.values.suctionLineTemp).toBeDefined()
    expect(createAnswerer().whole({ job: control }).asks).toEqual([])
  })
  test('names no suspect that only some metering devices can be', () => {
    const { ranking } = createAnswerer().whole({ job: { ...silent, readingSets: [] } })
    expect(ranking.suspects.length).toBeGreaterThan(5)
    expect(ranking.suspects.filter(({ fault }) => /^(txv|fixed-orifice|capillary)/.test(fault))).toEqual([])
  })
})
