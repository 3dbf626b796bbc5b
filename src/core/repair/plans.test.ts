import { recorded } from '../../../tools/run/recorded'
import { seededRandom } from '../base/numeric/random'
import { FAULT_IDS, type SuspectId } from '../diagnosis/faults/faults'
import { planJson } from '../door/planJson'
import { COMPRESSOR_TYPES, METERINGS, UNIT_KINDS, type UnitPlate } from '../record/equipment/unit'
import { emptyJob, type KnownJob } from '../record/job/job'
import type { Observations } from '../record/readings/schema'
import {
  ACCESS_WAYS,
  COMPRESSOR_WAYS,
  LEAK_PLACES,
  ORIFICE_WAYS,
  VALVE_JOINTS,
} from '../record/records/repair'
import type { VetoId } from '../safety/vetoes'
import { planWork } from './day/workDay'
import { planOf } from './plan/basis'

/**
 * Two dozen drawn jobs with most of what can be written down on them: all figures of their plans, as on record. A change of behaviour shows
 * here as a difference that is read by hand, then recorded anew.
 */
const COUNT = 24

const INSIDES: readonly Observations[] = [
  { acidTest: 'negative', acidTestKind: 'oil-kit', oilAppearance: 'clear' },
  {},
  { acidTest: 'weak', acidTestKind: 'oil-kit', oilAppearance: 'amber' },
  { acidTest: 'strong', acidTestKind: 'oil-kit', oilAppearance: 'burnt-smell' },
  { moistureIndicator: 'wet', acidTest: 'negative', acidTestKind: 'oil-kit' },
  { moistureIndicator: 'caution', oilAppearance: 'clear' },
  { waterFound: 'drops', acidTest: 'negative', acidTestKind: 'refrigerant-strip' },
  { oilAppearance: 'metal-flakes' },
  { hoursOpenToAir: 30, openConditions: 'humid', linesPlugged: 'unplugged' },
  { hoursOpenToAir: 6000, openConditions: 'coastal', oilAppearance: 'clear' },
]
const STATES: readonly (readonly VetoId[])[] = [[], [], [], ['no-liquid'], ['low-side-leak'], ['ground-path']]

function drawn(seed: number): { job: KnownJob; fault: SuspectId; holding: readonly VetoId[] } {
  const random = seededRandom(7001 + seed * 131)
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T
  const maybe = <T>(make: () => T): T | undefined => (random() < 0.6 ? make() : undefined)
  const between = (low: number, high: number) => Number((low + (high - low) * random()).toFixed(2))
  const given = <K extends string, T>(key: K, value: T | undefined) =>
    (value === undefined ? {} : { [key]: value }) as { [P in K]?: T }
  const unit: UnitPlate = {
    kind: pick(UNIT_KINDS),
    refrigerant: pick(['R-410A', 'R-22', 'R-404A', 'R-134a', 'R-454B'] as const),
    metering: pick(METERINGS),
    ...given(
      'nominalTons',
      maybe(() => pick([0.1, 1.5, 3, 7.5, 20])),
    ),
    ...given(
      'factoryCharge',
      maybe(() => ({ value: between(1, 20), unit: 'lb' as const })),
    ),
    ...given(
      'oilCharge',
      maybe(() => ({ value: between(20, 90), unit: 'floz' as const })),
    ),
    compressor: {
      type: pick(COMPRESSOR_TYPES),
      ...given(
        'displacement',
        maybe(() => ({ value: between(4, 12), unit: 'm3/h' as const })),
      ),
    },
    power: { phase: pick([1, 3] as const), volts: 230, rla: between(5, 30) },
    receiver: random() < 0.4,
    headPressureControl: random() < 0.4,
    headControl: pick(['fan', 'flooding'] as const),
    control: { coldestOutdoor: { value: between(-20, 50), unit: 'F' }, volts: 24 },
    ...given(
      'designPressures',
      maybe(() => ({ low: { value: 236, unit: 'psig' as const } })),
    ),
    ...given(
      'lineSet',
      maybe(() => ({
        length: { value: between(10, 70), unit: 'ft' as const },
        included: { value: 15, unit: 'ft' as const },
        liquid: { value: 0.375, unit: 'in' as const },
        vapour: { value: 0.75, unit: 'in' as const },
      })),
    ),
    ...given(
      'oldDryer',
      maybe(() => ({ cubicInches: pick([3, 8, 16]), joint: pick(['flare', 'sweat'] as const) })),
    ),
    site: { elevation: { value: 1750, unit: 'm' } },
  }
  const state = pick(STATES)
  const job: KnownJob = {
    ...emptyJob(unit),
    repair: {
      way: pick(ACCESS_WAYS),
      valvesTight: random() < 0.7,
      compressorWay: pick(COMPRESSOR_WAYS),
      valveJoints: pick(VALVE_JOINTS),
      orificeWay: pick(ORIFICE_WAYS),
      ...given(
        'leakPlace',
        maybe(() => pick(LEAK_PLACES)),
      ),
      ...given(
        'acidNumber',
        maybe(() => between(0, 0.3)),
      ),
      ...given('oilWater', random() < 0.2 ? between(20, 900) : undefined),
      ...given(
        'oilOut',
        maybe(() => ({ value: between(8, 30), unit: 'floz' as const })),
      ),
      ...given(
        'cylinder',
        maybe(() => ({
          capacity: { value: 47.6, unit: 'lb' as const },
          tare: { value: 28, unit: 'lb' as const },
          gross: { value: between(28, 60), unit: 'lb' as const },
        })),
      ),
      ...given(
        'cylinderAir',
        maybe(() => ({ value: between(0, 90), unit: 'F' as const })),
      ),
    },
    closing: {
      ...given(
        'recovered',
        maybe(() => ({ value: between(0.5, 15), unit: 'lb' as const })),
      ),
      ...given(
        'charged',
        maybe(() => ({ value: between(0.5, 15), unit: 'lb' as const })),
      ),
    },
    policy: {
      evacuation: pick(['triple-when-wet', 'always-triple'] as const),
      testPressure: pick(['near-plate', 'moderate'] as const),
    },
    day: { start: '2026-11-27T08:00', crew: pick([1, 2]), access: pick(['easy', 'usual', 'hard'] as const) },
    readingSets: [
      {
        id: 'a',
        mode: 'off',
        readings: {
          standingPressure: { value: pick([0, 4, 60]), unit: 'psig' },
          outdoorAirTemp: { value: between(30, 90), unit: 'F' },
        },
        observations: pick(INSIDES),
      },
    ],
  }
  return { job, fault: FAULT_IDS[(seed * 7) % FAULT_IDS.length]!, holding: state }
}

/** Five digits are enough, and the same on every machine. */
const told = (value: unknown) =>
  JSON.stringify(value, (_key, each: unknown) =>
    typeof each === 'number' ? Number(each.toPrecision(5)) : each,
  )

const PARTS = [
  'size',
  'contamination',
  'dryers',
  'oil',
  'recovery',
  'charge',
  'testPressure',
  'parts',
] as const

test('the plans of two dozen drawn jobs are the ones on record', () => {
  const lines = Array.from({ length: COUNT }, (_v, i) => i).flatMap((seed) => {
    const { job, fault, holding } = drawn(seed)
    const plan = planOf(job, [fault], { holding })
    const json = planJson(plan) as Record<string, unknown>
    const day = planWork(plan)
    return [
      `# ${seed} ${fault} on ${job.unit.kind}, ${job.unit.refrigerant}`,
      ...PARTS.map((part) => `${part} ${told(strip(json[part]))}`),
      `tasks ${plan.tasks.map(({ id, handsOn, unattended, after, refused }) => `${id} ${handsOn.join('/')}${unattended ? `+${unattended.join('/')}` : ''} after ${after.join(',')}${refused ? ' refused' : ''}`).join('; ')}`,
      `day ${told([day.finish, day.p50, day.p90, day.bound, day.rows.map(({ id, start, end, person }) => [id, start, end, person])])}`,
    ]
  })
  const now = `${lines.join('\n')}\n`
  expect(now.split('\n')).toEqual(recorded(__dirname, 'plans.txt', now).split('\n'))
}, 60_000)

/** Without how the figures are known and without what was refused: that has tests of its own. */
function strip(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(strip)
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value)
      .filter(
        ([key]) =>
          ![
            'basis',
            'sources',
            'refused',
            'settles',
            'others',
            'assumed',
            'match',
            'why',
            'substitute',
          ].includes(key),
      )
      .map(([key, each]) => [key, strip(each)]),
  )
}
