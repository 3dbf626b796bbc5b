import { applied } from '../../../../tools/run/applied'
import { loadRefrigerants } from '../../physics/refrigerants/tables'
import { decide } from '../../record/edits/decisionEdits'
import type { Edit } from '../../record/edits/edit'
import { beginStep, finishStep, repeatStep } from '../../record/edits/workEdits'
import { emptyJob, type KnownJob } from '../../record/job/job'
import { planOf } from '../plan/basis'
import { openLeakLoop } from './leakLoop'
import { replacedParts } from './replacedParts'

beforeAll(() => loadRefrigerants(['R-410A']))

const apply = (job: KnownJob, ...all: readonly Edit[]) =>
  applied(job, Date.parse('2026-11-27T08:00:00Z'), all)
const UNIT = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3 } as const
const decided = () => apply(emptyJob(UNIT), decide('txv-underfeeding', undefined))
const done = (...tasks: string[]) => tasks.flatMap((id) => [beginStep(id, 5), finishStep(id)])
const said = (job: KnownJob) => replacedParts(job, planOf(job, ['txv-underfeeding']))

describe('what was replaced follows from the steps that are done', () => {
  test('nothing before a step is done; a begun one replaced nothing yet', () => {
    expect(said(decided())).toEqual([])
    expect(said(apply(decided(), beginStep('swapValve', 50)))).toEqual([])
  })
  test('the parts that the task cannot do without, and the dryer by its name', () => {
    const job = apply(decided(), ...done('swapValve', 'swapLiquidDryer'))
    const [valve, dryer, ...more] = said(job)
    expect(valve).toMatch(/expansion valve/i)
    expect(dryer).toMatch(/^liquid dryer block 8 in/)
    expect(more).toEqual([])
  })
  test('a part that is struck off the list was not fitted: then the row of the task speaks', () => {
    const job = apply(decided(), ...done('swapValve'))
    const plan = planOf(job, ['txv-underfeeding'])
    const struck = { ...plan, parts: plan.parts.map((part) => ({ ...part, struck: true })) }
    expect(replacedParts(job, struck)).toEqual(['metering device'])
  })
  test('a part is told without what it had to match; a label of one’s own stays as it was typed', () => {
    const job = apply(
      emptyJob({ ...UNIT, kind: 'split-heat-pump' }),
      decide('reversing-valve-leaking-through', undefined),
      ...done('swapReversingValve'),
    )
    const plan = planOf(job, ['reversing-valve-leaking-through'])
    expect(plan.parts.map(({ label }) => label)).toContain('reversing valve of the same tons and pattern')
    expect(replacedParts(job, plan)).toContain('reversing valve')
    const typed = plan.parts.map((part) =>
      part.label.startsWith('reversing valve') ? { ...part, label: 'reversing valve, 3 tons' } : part,
    )
    expect(replacedParts(job, { ...plan, parts: typed })).toContain('reversing valve, 3 tons')
  })
  test('what was fitted where the test found a leak, once its repair is done; a task called for once more is not done', () => {
    const leak = openLeakLoop({ id: 'a', place: 'elbow', repair: 'replaced', part: 'elbow 3/8 in' })
    const found = apply(decided(), ...done('swapValve'), leak)
    expect(said(found)).toEqual([expect.stringMatching(/expansion valve/i)])
    expect(said(apply(found, ...done('own-bleed-a', 'own-sweep-a')))).toHaveLength(1)
    const job = apply(found, ...done('own-flame-a'))
    expect(said(job)).toEqual([expect.stringMatching(/expansion valve/i), 'elbow 3/8 in'])
    expect(said(apply(job, repeatStep('swapValve')))).toEqual(['elbow 3/8 in'])
  })
})
