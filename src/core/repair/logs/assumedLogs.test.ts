import { silentJob, somePlaces, VERDICTS, withFigure } from '../../../../tools/run/silentPlates'
import { typedLog } from '../../../../tools/run/typedLog'
import { runs } from '../../../../tools/run/propertyRuns'
import { fromPascals } from '../../base/units/convert'
import type { UnitPlate } from '../../record/equipment/unit'
import type { KnownJob } from '../../record/job/job'
import type { LogPurpose } from '../../record/readings/logPurposes'
import { planOf } from '../plan/basis'
import type { Plan } from '../plan/plan'
import { LOG_KINDS } from './kinds'
import type { WorkLog } from './series'
import type { Told } from './told'

/** Logs as they are typed on a job whose plate is silent. */
function logsOf(plan: Plan): readonly (readonly [LogPurpose, WorkLog])[] {
  const depth = fromPascals(plan.recovery.depth.pascals, 'psig') - 0.5
  const test = plan.testPressure ? fromPascals(plan.testPressure.gauge, 'psia') : 100
  return [
    [
      'recovery',
      typedLog(
        'recovery',
        [0, 300, 620],
        [
          [120, depth, depth],
          [20, 23, 23],
        ],
        [{ seconds: 300, what: 'stop' }],
      ),
    ],
    ['weigh-in', typedLog('weigh-in', [0, 600], [[30, 18]], [{ seconds: 600, what: 'valve-shut' }])],
    [
      'pressure-test',
      typedLog('pressure-test', [0, 1000, 1900], [[test, test, test]], [{ seconds: 0, what: 'hold' }]),
    ],
    [
      'pressure-test',
      typedLog(
        'pressure-test',
        [0, 1000, 1900],
        [[test, test - 6, test - 12]],
        [{ seconds: 0, what: 'hold' }],
      ),
    ],
    [
      'decay',
      typedLog(
        'decay',
        Array.from({ length: 16 }, (_m, i) => i * 60),
        [Array.from({ length: 16 }, (_m, i) => 300 + 60 * i)],
        [{ seconds: 0, what: 'valve-shut' }],
      ),
    ],
  ]
}

const toldOf = (job: KnownJob, plan: Plan, logs: ReturnType<typeof logsOf>): Told[] =>
  logs.map(([purpose, log]) => LOG_KINDS[purpose].judge(log, { unit: job.unit as UnitPlate, plan }))

/** Everything that is said of a log but for what is marked, and for what a gauge is held against. */
const unmarkedOf = ({ sentence, missing, details, figures, limit }: Told) =>
  JSON.stringify({
    limit,
    sentence,
    missing,
    details: details.filter((sentence) => !sentence.includes('Assumed:')),
    figures: figures.filter(({ basis }) => basis === undefined),
  })

/** A leak, a weight or a smallest leak: none of it may be told by a guess. */
const LEAKS = /a year|micron L\/s|to go|short|\d oz more/

test('logs on a silent plate: no verdict and no unmarked figure by a guess', () => {
  let changed = 0
  for (let seed = 1; seed <= runs(60, 600); seed++) {
    const { job, fault } = silentJob(seed)
    const plan = planOf(job, [fault])
    if (!plan.opens) continue
    const logs = logsOf(plan)
    const before = toldOf(job, plan, logs)
    for (const told of before) {
      expect(JSON.stringify(told)).not.toMatch(VERDICTS)
      expect(`${told.sentence} ${told.missing.join()} ${JSON.stringify(told.figures)}`).not.toMatch(LEAKS)
    }
    for (const place of somePlaces(job.unit, seed).filter(({ name }) => !name.startsWith('limits')))
      for (const factor of [0.5, 2]) {
        const now = withFigure(place, factor, () => toldOf(job, planOf(job, [fault]), logs))
        changed += now.some((told, i) => JSON.stringify(told) !== JSON.stringify(before[i])) ? 1 : 0
        expect(now.map(unmarkedOf)).toEqual(before.map(unmarkedOf))
      }
  }
  expect(changed).toBeGreaterThan(5)
})

test('one entry settles it: with plate, lines and old dryer the same weights are judged', () => {
  const { job } = silentJob(3)
  const unit: UnitPlate = {
    kind: 'package-ac',
    refrigerant: 'R-410A',
    metering: 'txv',
    nominalTons: 3,
    factoryCharge: { value: 7, unit: 'lb' },
    oldDryer: { cubicInches: 8 },
  }
  const full = { ...job, unit, readingSets: [], repair: {} }
  const plan = planOf(full, ['txv-underfeeding'])
  const said = toldOf(full, plan, logsOf(plan))
  expect(said[0]!.sentence).toMatch(/57 % of plate and lines is missing/)
  expect(said[1]!.sentence).toMatch(/12 lb .* over/)
  expect(said[2]!.sentence).toMatch(/Smaller leaks than about .* to .* a year/)
  expect(said.flatMap(({ asks = [] }) => asks)).toEqual([])
  const { factoryCharge: _unknown, ...silent } = unit
  const asked = { ...full, unit: silent }
  const without = planOf(asked, ['txv-underfeeding'])
  expect(toldOf(asked, without, logsOf(without)).map(({ asks }) => asks?.[0])).toEqual([
    'factoryCharge',
    'factoryCharge',
    'factoryCharge',
    'factoryCharge',
    undefined,
  ])
})
