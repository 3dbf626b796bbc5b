import { pullLooks } from '../../../../tools/run/pullLooks'
import { recorded } from '../../../../tools/run/recorded'
import { loadRefrigerants } from '../refrigerants/tables'
import { charge, type Cylinder, recover, USUAL_CYLINDER, USUAL_MACHINE } from './cylinder'
import { fitDecay } from './decay'
import { forecastPull, type PullGuess } from './forecast'
import { judgeHold } from './hold'
import { VALVE_CORE } from './hose'
import { refrigerantLeak } from './leakRate'
import { fillNitrogen, hold, inflowOfAir, nitrogenPressureAt, testPressure } from './nitrogen'
import { type Pull, pullCourse } from './pullDown'
import { innerArea, innerAreaOf, TUBES } from './tubes'
import { evacuate, openedCircuit, timeToReach, type VacuumSetup } from './vacuum'

/**
 * What every process gives for a few circuits, as on record: a constant or a sign that changes is seen, whatever else still
 * looks right. The physics itself is checked beside this file.
 */
beforeAll(() => loadRefrigerants(['R-410A', 'R-404A']))

const MICRON = 0.133322
const TARGET = 500 * MICRON
const WIDE = { bore: 0.0112, length: 1.5 }
const NARROW = { bore: 0.0046, length: 1.8 }
const GUESS: PullGuess = {
  volume: 0.015,
  temperature: 295,
  pump: { speed: 0.0024, ultimate: 2 },
  ways: [[WIDE], [WIDE]],
  water: 0,
  waterFactor: 1.5,
}
const SETUP: VacuumSetup = { ...GUESS, leak: 0, outgassing: { flow: 0, fading: 600 } }
const COARSE: Omit<Pull, keyof PullGuess> = {
  inflow: 1e-5,
  outgassing: 8,
  speedFactor: 0.9,
  hoseFactor: 1.1,
  drying: 1.1,
  inner: 4e-4,
  plateau: 0.95,
}

/** Figures with eight digits: what the last bits of a processor do is no difference. */
const rounded = (value: unknown): unknown => {
  if (typeof value === 'number') return Number.isFinite(value) ? Number(value.toPrecision(8)) : String(value)
  if (Array.isArray(value)) return value.map(rounded)
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, rounded(each)]))
  return value
}

const looks = (setup: VacuumSetup, water: number, seconds: number) => pullLooks(setup, water, seconds, 10)

const sampled = <T>(all: readonly T[]): T[] => all.filter((_each, i) => i % 5 === 0 || i === all.length - 1)
const cylinder: Cylinder = { refrigerant: 'R-410A', mass: 9, temperature: 291, ...USUAL_CYLINDER }
const RISE = Array.from({ length: 13 }, (_x, i) => i * 50)
const decayOf = (microns: (seconds: number) => number) =>
  fitDecay(
    RISE.map((seconds) => ({ seconds, pascals: microns(seconds) * MICRON })),
    2600,
  )
const holdOf = (end: number) =>
  judgeHold(
    [0, 300, 600, 900].map((seconds, i) => ({ seconds, pascals: 2.17e6 + (end * i) / 3 })),
    [0, 450, 900].map((seconds, i) => ({ seconds, kelvin: 296 + i * 0.4 })),
  )

/** A hold of which a stream has hundreds of looks: their means are known better than one. */
const streamed = () => {
  const seconds = Array.from({ length: 180 }, (_x, i) => i * 5)
  return judgeHold(
    seconds.map((at, i) => ({ seconds: at, pascals: 2.17e6 + (i % 3) * 90 - at })),
    [0, 450, 900].map((at) => ({ seconds: at, kelvin: 296 })),
  )
}

const CASES: Readonly<Record<string, () => unknown>> = {
  charging: () =>
    (['liquid', 'vapour'] as const).map((drawn) =>
      charge(cylinder, {
        drawn,
        area: 3e-6,
        behind: (given) => 7e5 + given * 6e4,
        wanted: 2.5,
        seconds: 900,
        air: 294,
      }),
    ),
  recovering: () =>
    [0, 1.4].map((liquidFirst) =>
      recover(
        { refrigerant: 'R-410A', mass: 2.6, volume: 0.012, temperature: 293, metal: 20_000, conductance: 7 },
        { ...cylinder, mass: 2 },
        USUAL_MACHINE,
        { seconds: 4000, air: 294, liquidFirst },
      ),
    ),
  nitrogen: () => {
    const test = fillNitrogen(0.011, 2.2e6, 298, 4e-10)
    const after = hold(test, 1200, (seconds) => 298 - seconds / 900, 101_325)
    return [
      test,
      after,
      testPressure(after, 297),
      nitrogenPressureAt(2.2e6, 298, 291),
      inflowOfAir(3e-10, 84_000, 288),
    ]
  },
  holds: () => [...[-9000, -1500, 0, 12_000].map(holdOf), streamed()],
  leaks: () =>
    [6e5, 1.9e6].map((running) =>
      refrigerantLeak({ throughput: 4e-5, inside: 2.1e6, outside: 101_325 }, 'R-410A', running, 101_325),
    ),
  tubes: () => [...TUBES.map(({ name }) => innerArea(name)), innerAreaOf(0.0125), innerAreaOf(0.03)],
  vacuum: () =>
    [0, 0.003].flatMap((water) => {
      const setup = {
        ...SETUP,
        ways: [[NARROW, VALVE_CORE]],
        leak: 2e-3,
        outgassing: { flow: 3e-5, fading: 400 },
      }
      const early = evacuate(setup, openedCircuit(setup, water), 240, 'open')
      const pulled = evacuate(setup, early, 1260, 'open')
      return [
        openedCircuit(setup, water),
        early,
        pulled,
        evacuate(setup, pulled, 300, 'shut'),
        timeToReach(setup, openedCircuit(setup, water), 2000 * MICRON, 9000),
      ]
    }),
  'a coarse pull': () =>
    [0, 0.002].map((water) => sampled(pullCourse({ ...GUESS, ...COARSE, water }, 101_325, TARGET, 20_000))),
  'a pull, foretold': () =>
    [
      [0, 0],
      [0, 40],
      [0.002, 200],
      // so many looks that not all of the last ones count
      [0.008, 2400],
    ].map(([water = 0, seconds = 0]) => {
      const points = seconds === 0 ? [] : looks({ ...SETUP, volume: 0.019 }, water, seconds)
      return forecastPull({ ...GUESS, water: 0.8 * water, ways: [[WIDE]] }, points, TARGET)
    }),
  'a pull that stands, foretold': () => forecastPull(GUESS, looks({ ...SETUP, leak: 0.25 }, 0, 900), TARGET),
  decays: () => [
    decayOf((s) => 300 + 60 * (1 - Math.exp(-s / 200))),
    decayOf((s) => 300 + 1.2 * s),
    decayOf((s) => 300 + 1900 * (1 - Math.exp(-s / 260))),
  ],
}

test.each(Object.keys(CASES))('%s', (name) => {
  const now = `${JSON.stringify(rounded(CASES[name]!()), null, 1)}\n`
  expect(now.split('\n')).toEqual(recorded(__dirname, `${name}.json`, now).split('\n'))
})
