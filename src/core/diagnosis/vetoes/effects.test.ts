import type { UnitPlate } from '../../record/equipment/unit'
import type { StepRecord } from '../../record/records/step'
import { unitState } from '../../record/state/unitState'
import { actsOf, effectsOf, TASK_IDS, type TaskId, taskEffects } from '../../repair/plan/tasks/tasks'
import { refusals, type VetoId } from '../../safety/vetoes'
import { vetoesAfter } from './effects'
import { stateVetoes } from './holding'

/** A plan is ordered by what the effects of its tasks say; what was done says the same. */
const UNIT: UnitPlate = { kind: 'water-source-heat-pump', refrigerant: 'R-410A', metering: 'txv' }
const START = Date.parse('2026-11-27T08:00:00Z')
const at = (minute: number) => new Date(START + minute * 60_000).toISOString()
const done = (task: TaskId, i: number): StepRecord => ({
  id: `${task}-${i}`,
  task,
  spans: [{ from: at(10 * i), to: at(10 * i + 9) }],
  doneAt: at(10 * i + 9),
})
const after = (...tasks: TaskId[]) =>
  stateVetoes(
    UNIT,
    unitState({ unit: UNIT, readingSets: [], steps: tasks.map(done), takenOff: [], rounds: [] }, effectsOf),
  )
/** What more than the effects of one task decides: a gauge, or whether gas was there before. */
const BY_MORE: readonly VetoId[] = ['terminals-under-pressure', 'below-atmosphere', 'flammable']
const known = (ids: readonly VetoId[]) => ids.filter((id) => !BY_MORE.includes(id)).sort()

const BEFORE: readonly (readonly TaskId[])[] = [
  [],
  ['recover', 'sweep'],
  ['recover', 'swapCompressor'],
  ['recover', 'pressureTest'],
  ['recover', 'pressureTest', 'evacuate'],
  ['isolateCompressor', 'recoverRest'],
  ['drainWater', 'recover'],
]
describe.each(BEFORE.map((tasks) => [tasks.join(', ') || 'as found', tasks] as const))(
  '%s',
  (_name, before) => {
    // what a state refuses is in no plan; charging keeps the gas that is there, and a pump-down parts the circuit: told by the tests of the state
    const holding = after(...before)
    const tasks = TASK_IDS.filter(
      (id) => !['weighIn', 'letIn', 'openValves'].includes(id) && refusals(actsOf(id), holding).length === 0,
    )
    test.each(tasks)('then %s: foretold as it comes', (id) => {
      expect(known(after(...before, id))).toEqual(known(vetoesAfter(holding, taskEffects(id))))
    })
  },
)

test('charged over gas it is still there, after a vacuum it is not', () => {
  expect(after('recover', 'sweep', 'weighIn')).toContain('gas-inside')
  expect(after('recover', 'sweep', 'evacuate', 'weighIn')).toEqual([])
})
test('nothing is opened or heated while nitrogen stands under pressure', () => {
  expect(after('recover', 'pressureTest')).toContain('under-nitrogen')
  expect(after('recover', 'traceNitrogen')).toContain('under-nitrogen')
  expect(after('recover', 'traceNitrogen', 'sweep')).not.toContain('under-nitrogen')
})
