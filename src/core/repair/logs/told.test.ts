import { typedLog } from '../../../../tools/run/typedLog'
import { recorded } from '../../../../tools/run/recorded'
import { seededRandom } from '../../base/numeric/random'
import { judgeJson } from '../../door/judgeJson'
import { loadRefrigerants } from '../../physics/refrigerants/tables'
import type { UnitPlate } from '../../record/equipment/unit'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { LogMark } from '../../record/records/log'
import type { LogPurpose } from '../../record/readings/logPurposes'
import { planOf } from '../plan/basis'
import { LOG_KINDS } from './kinds'
import type { WorkLog } from './series'

/**
 * What every judge says of logs of many shapes, at every look of each: as it was read by hand when it was recorded. The logs are
 * made here, from shapes that the judges know nothing of.
 */
beforeAll(() => loadRefrigerants(['R-410A', 'R-404A']))

type Column = readonly number[]
type Shape = {
  readonly name: string
  readonly purpose: LogPurpose
  readonly time: Column
  readonly columns: readonly Column[]
  readonly marks?: readonly LogMark[]
}

const spaced = (count: number, step: number) => Array.from({ length: count }, (_v, i) => i * step)
const noise = (seed: number, size: number) => {
  const random = seededRandom(seed)
  return () => (random() - 0.5) * 2 * size
}
const shape = (name: string, purpose: LogPurpose, time: Column, ...columns: Column[]): Shape => ({
  name,
  purpose,
  time,
  columns,
})
const marked = (given: Shape, ...marks: readonly (readonly [number, LogMark['what']])[]): Shape => ({
  ...given,
  marks: marks.map(([seconds, what]) => ({ seconds, what })),
})

const PULL = spaced(13, 240)
const HOLD = spaced(12, 180)
const RISE = spaced(14, 90)

/** Pressure of a pull, microns: gas first, then what boils holds it. */
const pulled = (floor: number, minutes: number) =>
  PULL.map((seconds) => floor + 600_000 * Math.exp(-seconds / 60 / minutes))
const plateau = (microns: number, until: number) =>
  PULL.map((seconds) =>
    seconds < until
      ? microns + 500_000 * Math.exp(-seconds / 60)
      : 350 + (microns - 350) * Math.exp(-(seconds - until) / 300),
  )
const wobbly = (column: Column, seed: number, size: number) => {
  const next = noise(seed, size)
  return column.map((value) => value + next())
}

const RECOVERY = [0, 240, 480, 720, 960, 1200, 1440, 1800, 2100, 2400]
const SHAPES: readonly Shape[] = [
  marked(
    shape(
      'to its depth, no rise',
      'recovery',
      RECOVERY,
      [130, 90, 50, 20, 4, -1, -1, -1, -1, -1],
      [20, 22, 24, 26, 27, 27.4, 27.4, 27.4, 27.4, 27.4],
    ),
    [1200, 'stop'],
  ),
  marked(
    shape(
      'rises: liquid is left',
      'recovery',
      RECOVERY,
      [130, 90, 50, 20, 4, -1, 3, 9, 14, 17],
      [20, 22, 24, 26, 27, 27.2, 27.2, 27.2, 27.2, 27.2],
    ),
    [1200, 'stop'],
  ),
  marked(
    shape(
      'short of the plate',
      'recovery',
      RECOVERY,
      [80, 50, 30, 10, 1, -1, -1, -1, -1, -1],
      [20, 21, 22, 23, 23.4, 23.5, 23.5, 23.5, 23.5, 23.5],
    ),
    [1200, 'stop'],
  ),
  marked(
    shape(
      'more than the plate, two stops',
      'recovery',
      RECOVERY,
      [150, 110, 60, 20, 8, 12, 2, -1, -1, -1],
      [20, 24, 28, 30, 30, 30, 31, 31, 31, 31],
    ),
    [960, 'stop'],
    [1440, 'stop'],
  ),
  marked(
    shape(
      'stopped above its depth',
      'recovery',
      RECOVERY,
      [130, 90, 60, 40, 30, 25, 25, 25, 25, 25],
      [20, 21, 22, 23, 23.4, 23.5, 23.5, 23.5, 23.5, 23.5],
    ),
    [1200, 'stop'],
  ),
  shape(
    'never stopped',
    'recovery',
    RECOVERY,
    [130, 90, 50, 20, 4, -1, -1, -1, -1, -1],
    [20, 22, 24, 26, 27, 27.4, 27.4, 27.4, 27.4, 27.4],
  ),
  marked(
    shape(
      'holds',
      'pressure-test',
      HOLD,
      HOLD.map((_s, i) => [5, 25, 50, 215][i] ?? 215),
      HOLD.map(() => 75),
    ),
    [0, 'step'],
    [540, 'hold'],
  ),
  marked(
    shape(
      'falls slowly',
      'pressure-test',
      HOLD,
      HOLD.map((_s, i) => [5, 25, 50, 215][i] ?? 215 - 0.35 * (i - 3)),
      HOLD.map(() => 75),
    ),
    [540, 'hold'],
  ),
  marked(
    shape(
      'falls with the cold, no leak',
      'pressure-test',
      HOLD,
      HOLD.map((_s, i) => [5, 25, 50, 215][i] ?? 215 - 0.44 * (i - 3)),
      HOLD.map((_s, i) => 75 - Math.max(i - 3, 0)),
    ),
    [540, 'hold'],
  ),
  marked(
    shape(
      'warms over its limit',
      'pressure-test',
      HOLD,
      HOLD.map((_s, i) => [5, 25, 50, 228][i] ?? 228 + 2 * (i - 3)),
      HOLD.map((_s, i) => 75 + 3 * Math.max(i - 3, 0)),
    ),
    [540, 'hold'],
  ),
  marked(
    shape(
      'filled over its limit',
      'pressure-test',
      HOLD,
      HOLD.map((_s, i) => [5, 25, 50, 252][i] ?? 215),
      HOLD.map(() => 75),
    ),
    [540, 'hold'],
  ),
  shape(
    'never held',
    'pressure-test',
    HOLD,
    HOLD.map((_s, i) => [5, 25, 50, 215][i] ?? 215),
    HOLD.map(() => 75),
  ),
  marked(
    shape(
      'held too low',
      'pressure-test',
      HOLD,
      HOLD.map((_s, i) => [5, 25, 50, 120][i] ?? 120),
      HOLD.map(() => 75),
    ),
    [540, 'hold'],
  ),
  shape('pulls through', 'evacuation', PULL, wobbly(pulled(180, 4), 3, 4), []),
  shape('pump beside it', 'evacuation', PULL, pulled(420, 5), pulled(90, 3)),
  shape('water holds it near 23,000', 'evacuation', PULL, plateau(23_000, 9_999), []),
  shape('ice at 4,000, then gone', 'evacuation', PULL, wobbly(plateau(4_000, 1_200), 5, 8), []),
  shape('stalls near 3,000', 'evacuation', PULL, pulled(3_000, 3), []),
  marked(
    shape(
      'swept between',
      'evacuation',
      PULL,
      PULL.map((_s, i) => (i === 6 ? 760_000 : 900 + 300_000 * Math.exp(-((i > 6 ? i - 6 : i) * 4) / 3))),
      [],
    ),
    [1440, 'sweep'],
  ),
  marked(
    shape(
      'dry',
      'decay',
      RISE,
      wobbly(
        RISE.map((s) => 300 + 60 * (1 - Math.exp(-s / 200))),
        7,
        2,
      ),
      [],
    ),
    [0, 'valve-shut'],
  ),
  marked(
    shape(
      'a leak, straight',
      'decay',
      RISE,
      wobbly(
        RISE.map((s) => 300 + 1.6 * s),
        9,
        2,
      ),
      [],
    ),
    [0, 'valve-shut'],
  ),
  marked(
    shape(
      'water, levels off',
      'decay',
      RISE,
      wobbly(
        RISE.map((s) => 300 + 2400 * (1 - Math.exp(-s / 300))),
        11,
        2,
      ),
      [],
    ),
    [0, 'valve-shut'],
  ),
  marked(
    shape(
      'near the limit',
      'decay',
      RISE,
      RISE.map((s) => 300 + 640 * (1 - Math.exp(-s / 260))),
      [],
    ),
    [0, 'valve-shut'],
  ),
  shape(
    'never shut',
    'decay',
    RISE,
    RISE.map((s) => 300 + s / 10),
    [],
  ),
  marked(shape('as calculated', 'weigh-in', [0, 120, 300, 420, 600], [30, 27, 24, 22.9, 22.7]), [
    600,
    'valve-shut',
  ]),
  marked(
    shape('two cylinders', 'weigh-in', [0, 120, 300, 420, 600], [30, 27, 26, 40, 36.2]),
    [300, 'cylinder'],
    [600, 'valve-shut'],
  ),
  marked(shape('far over', 'weigh-in', [0, 120, 300, 420, 600], [30, 26, 22, 18, 14]), [600, 'valve-shut']),
  marked(shape('a trim back', 'weigh-in', [0, 120, 300, 420, 600], [30, 26, 22, 21.5, 22.4]), [
    600,
    'valve-shut',
  ]),
]

/** Nine looks are enough for a forecast, and one pull. */
const FORECAST_AT = 8
const FORECAST_OF = 'pulls through'

const UNITS: Readonly<Record<string, UnitPlate>> = {
  split: {
    kind: 'split-ac',
    refrigerant: 'R-410A',
    metering: 'txv',
    nominalTons: 3,
    factoryCharge: { value: 7.3, unit: 'lb' },
    oilCharge: { value: 40, unit: 'floz' },
    compressor: { oil: 'POE', type: 'scroll' },
    designPressures: { low: { value: 236, unit: 'psig' }, high: { value: 446, unit: 'psig' } },
    lineSet: {
      length: { value: 20, unit: 'ft' },
      included: { value: 15, unit: 'ft' },
      liquid: { value: 0.375, unit: 'in' },
      vapour: { value: 0.75, unit: 'in' },
    },
    oldDryer: { cubicInches: 8 },
  },
  silent: { kind: 'walk-in-freezer', refrigerant: 'R-404A', metering: 'txv' },
}

/** The log as it stood after so many looks. */
const logOf = ({ purpose, time, columns, marks = [] }: Shape, looks: number): WorkLog =>
  typedLog(
    purpose,
    time.slice(0, looks),
    columns,
    marks.filter(({ seconds }) => seconds <= time[looks - 1]!),
  )

test.each(Object.keys(UNITS))('%s: every judge, at every look of every log', (name) => {
  const unit = UNITS[name]!
  const job: KnownJob = {
    ...emptyJob(unit),
    readingSets: [
      {
        id: 'a',
        mode: 'off',
        readings: {},
        observations: { acidTest: 'negative', acidTestKind: 'oil-kit', oilAppearance: 'clear' },
      },
    ],
  }
  const plan = planOf(job, ['txv-underfeeding'])
  const lines = SHAPES.flatMap((given) =>
    given.time.flatMap((_s, i) => {
      // a fit of a decay takes a while: not at every look
      if (given.purpose === 'decay' && ![3, 8, 13].includes(i)) return []
      const log = logOf(given, i + 1)
      // a forecast takes seconds: of a pull it is asked for at one look
      const isForecast =
        given.purpose !== 'evacuation' ||
        (i === FORECAST_AT && name === 'split' && given.name === FORECAST_OF)
      const told = isForecast
        ? judgeJson(given.purpose, log, { unit, plan })
        : LOG_KINDS[given.purpose].judge(log, { unit, plan })
      // what the door leaves out: lines of the chart, the next step, what it asks for
      const { nextStep, levels, zones, moved, asks } = LOG_KINDS[given.purpose].judge(
        log,
        { unit, plan },
        given.purpose === 'decay' ? { fit: 'pending' } : {},
      )
      const beside = JSON.stringify({ nextStep, levels, zones, moved, asks })
      return [`# ${given.name}, ${i + 1} looks`, JSON.stringify(told), beside]
    }),
  )
  const now = `${lines.join('\n')}\n`
  expect(now.split('\n')).toEqual(recorded(__dirname, `told/${name}.txt`, now).split('\n'))
})
