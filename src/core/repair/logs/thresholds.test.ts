import { known } from '../../base/known/known'
import { UNITS } from '../../base/units/units'
import { waterVapourPressure } from '../../physics/air/psychrometrics'
import { loadRefrigerants } from '../../physics/refrigerants/tables'
import { policyOf } from '../../record/policy/policy'
import type { LogMark } from '../../record/records/log'
import type { WorkChannel } from '../../record/readings/channels'
import type { Unit } from '../../base/units/units'
import { judgeCharge } from './judgeCharge'
import { judgeDecay } from './judgeDecay'
import { judgePull } from './judgePull'
import { judgeRecovery } from './judgeRecovery'
import { judgeTest, type TestSetup } from './judgeTest'
import { fromMark, type WorkLog } from './series'
import { tellCharge } from './tellCharge'
import { vacuumLimits } from './vacuumLimits'

beforeAll(() => loadRefrigerants(['R-410A']))

const AIR = 101_325
const PSI = UNITS.psia.si
const MICRON = UNITS.micron.si
type Channel = readonly [key: WorkChannel, unit: Unit, values: readonly number[]]
const logOf = (time: readonly number[], channels: readonly Channel[], marks: LogMark[] = []): WorkLog => ({
  head: {
    channels: channels.map(([key, unit]) => ({ key, unit })),
    startedAt: '2026-11-27T08:00:00Z',
    marks,
  },
  samples: {
    time: Float64Array.from(time),
    values: channels.map(([, , values]) => Float64Array.from(values)),
  },
})

describe('a recovery, just below, at and just above', () => {
  const stop: LogMark[] = [{ seconds: 60, what: 'stop' }]
  const setup = {
    atmosphere: AIR,
    depth: { pascals: AIR, shown: '0 psig' },
    cylinder: { limit: 10, net: 0 },
  }
  const after = (psig: number, seconds: number, from = 0) =>
    judgeRecovery(logOf([0, 60, 60 + seconds], [['circuitPressure', 'psig', [50, from, psig]]], stop), setup)
  test.each([
    [299, 'watching'],
    [300, 'holds'],
    [301, 'holds'],
  ] as const)('watched for %d s: %s', (seconds, word) => expect(after(0, seconds).endTest).toBe(word))
  test.each([
    [1.9, 'holds'],
    [2.1, 'rises'],
  ] as const)('a rise of %f psi: %s', (psi, word) => expect(after(psi, 300).endTest).toBe(word))
  test.each([
    [0.9, true],
    [1.1, false],
  ])('%f psig is at its depth of 0: %s', (psig, isDeep) => expect(after(psig, 300, 0.5).isDeep).toBe(isDeep))
  const filled = (kg: number) =>
    judgeRecovery(
      logOf(
        [0, 60],
        [
          ['circuitPressure', 'psig', [50, 50]],
          ['cylinderWeight', 'kg', [20, 20 + kg]],
        ],
      ),
      setup,
    ).fillState
  test.each([
    [8.74, 'room'],
    [8.76, 'nearly-full'],
    [9.99, 'nearly-full'],
    [10.01, 'full'],
  ] as const)('%f kg in a cylinder for 10: %s', (kg, word) => expect(filled(kg)).toBe(word))
})

describe('a weigh-in', () => {
  const wanted = known(2, 'plate', 'plate')
  const judge = (kg: number, isExact: boolean) =>
    judgeCharge(logOf([0, 60], [['cylinderWeight', 'kg', [20, 20 - kg]]]), { wanted, isExact }, AIR).limit
  test.each([
    [1.969, false, 'waiting'],
    [1.971, false, 'passed'],
    [2.029, false, 'passed'],
    [2.031, false, 'failed'],
    [1.9969, true, 'waiting'],
    [1.9971, true, 'passed'],
    [2.0029, true, 'passed'],
    [2.0031, true, 'failed'],
  ] as const)('%f of 2 kg, exact %s: %s', (kg, isExact, limit) => expect(judge(kg, isExact)).toBe(limit))
  test.each([
    [0.0009, false],
    [0.0011, true],
  ])('a scale that moves %f kg a minute charges: %s', (kg, isShown) => {
    const log = logOf(
      [0, 60],
      [['cylinderWeight', 'kg', [20, 20 - kg]]],
      [{ seconds: 0, what: 'valve-open' }],
    )
    const { figures } = tellCharge(log, { wanted, isExact: false, atmosphere: AIR })
    expect(figures.some(({ label }) => label === 'Rate')).toBe(isShown)
  })
})

describe('a pressure test', () => {
  const setup: TestSetup = { atmosphere: AIR, steps: [100, 200].map((psig) => psig * PSI) }
  const gauge = (psig: number, marks: LogMark[], now: number, more: Partial<TestSetup> = {}) =>
    judgeTest(
      logOf(
        [0, 60],
        [
          ['testPressure', 'psig', [psig, psig]],
          ['gasTemp', 'F', [75, 75]],
        ],
        marks,
      ),
      { ...setup, ...more },
      now,
    )
  test.each([
    [197.9, 200],
    [198.1, undefined],
    [97.9, 100],
    [98.1, 200],
  ])('at %f psig the next step is %s', (psig, next) => {
    const { nextStep } = gauge(psig, [], 60)
    expect(nextStep === undefined ? undefined : nextStep / PSI).toBe(next)
  })
  test.each([
    [299, 'settling'],
    [300, 'filling'],
  ] as const)('%d s after the last step: %s', (now, state) =>
    expect(gauge(200, [{ seconds: 0, what: 'step' }], now).state).toBe(state),
  )
  const circuit = (isLarge: boolean): TestSetup['circuit'] => ({
    volume: known(0.01, 'measured', 'filled'),
    volumeRange: { low: 0.01, likely: 0.01, high: 0.01 },
    isLarge: known(isLarge, 'measured', 'filled'),
    refrigerant: 'R-410A',
    running: 365 * PSI + AIR,
  })
  const held = (seconds: number, of: TestSetup['circuit']) =>
    judgeTest(
      logOf(
        [0, seconds],
        [
          ['testPressure', 'psig', [200, 200]],
          ['gasTemp', 'F', [75, 75]],
        ],
        [{ seconds: 0, what: 'hold' }],
      ),
      { ...setup, ...(of ? { circuit: of } : {}) },
      seconds,
    ).state
  test.each([
    [899, false, 'holding'],
    [900, false, 'held'],
    [1799, true, 'holding'],
    [1800, true, 'held'],
  ] as const)('held for %d s, large %s: %s', (seconds, isLarge, state) =>
    expect(held(seconds, circuit(isLarge))).toBe(state),
  )
  test('how high it was held is what stood there at its beginning: cooling makes it no lower', () => {
    // 5.4 psi of 214.7 psia are 13.45 F of 534.67 R [physics]
    const judged = judgeTest(
      logOf(
        [0, 450, 900],
        [
          ['testPressure', 'psig', [200, 197.3, 194.6]],
          ['gasTemp', 'F', [75, 68.275, 61.55]],
        ],
        [{ seconds: 0, what: 'hold' }],
      ),
      { ...setup, circuit: circuit(false)! },
      900,
    )
    expect(judged).toMatchObject({ state: 'held', isLow: false, limit: 'passed' })
  })
  test('nobody knows how large it is: the longer time', () => {
    const guess = {
      ...circuit(false)!,
      isLarge: { ...known(false, 'plate', ''), source: 'assumed' as const },
    }
    expect([held(1799, guess), held(1800, guess)]).toEqual(['holding', 'held'])
  })
})

describe('a pull', () => {
  const COLD = 291
  const limits = vacuumLimits(policyOf(undefined), false)
  const pull = (microns: readonly number[], every = 60, pump?: readonly number[]) =>
    judgePull(
      logOf(
        microns.map((_each, i) => i * every),
        [
          ['systemVacuum', 'micron', microns],
          ['pumpVacuum', 'micron', pump ?? microns.map(() => NaN)],
        ],
      ),
      limits,
      COLD,
      AIR,
    )
  const stand = (microns: number) => pull(Array.from({ length: 12 }, () => microns))
  const boils = waterVapourPressure(COLD) / MICRON
  test.each([
    [2190, 'leak-or-oil'],
    [2210, 'refrigerant-or-ice'],
    [4190, 'refrigerant-or-ice'],
    [4210, 'water'],
    [boils * 1.09, 'water'],
    [boils * 1.11, 'leak-or-oil'],
  ] as const)('stands at %f microns: %s', (microns, word) => expect(stand(microns).stall).toBe(word))
  test('water is told above a fifth of its vapour pressure', () => {
    const warm = (share: number) => {
      const coldest = 310
      const microns = (waterVapourPressure(coldest) / MICRON) * share
      const looks = Array.from({ length: 12 }, () => microns)
      return judgePull(
        logOf(
          looks.map((_each, i) => i * 60),
          [['systemVacuum', 'micron', looks]],
        ),
        limits,
        coldest,
        AIR,
      ).stall
    }
    expect([warm(0.19), warm(0.21)]).toEqual(['leak-or-oil', 'water'])
  })
  test.each([
    [0.055, 'stalled'],
    [0.065, 'falling'],
  ] as const)('falls by a share of %f in ten minutes: %s', (share, state) =>
    expect(pull(Array.from({ length: 11 }, (_m, i) => 9000 * (1 - share) ** (i / 10))).state).toBe(state),
  )
  test.each([
    [53, 'falling'],
    [55, 'stalled'],
  ] as const)('looks over ten times %d s: %s', (every, state) =>
    expect(
      pull(
        Array.from({ length: 11 }, () => 9000),
        every,
      ).state,
    ).toBe(state),
  )
  test.each([
    [3.4, 'agree'],
    [3.6, 'hose'],
    [0.81, 'agree'],
    [0.79, 'swapped'],
  ] as const)('the gauge at the system over that at the pump %f: %s', (ratio, word) =>
    expect(pull([1000 * ratio, 1000 * ratio], 60, [1000, 1000]).gauges).toBe(word),
  )
})

describe('a decay, and looks at a mark', () => {
  const limits = vacuumLimits(policyOf(undefined), false)
  const flat = (microns: number) =>
    judgeDecay(
      [0, 300, 600].map((seconds, i) => ({ seconds, value: (microns - 20 + 10 * i) * MICRON })),
      limits,
      'too-few',
    ).limit
  test.each([
    [949, 'passed'],
    [951, 'borderline'],
    [999, 'borderline'],
    [1001, 'failed'],
  ] as const)('at %d of 1,000 microns: %s', (microns, limit) => expect(flat(microns)).toBe(limit))
  test.each([
    [179, true],
    [180, true],
    [181, false],
  ])('a look %d s before a mark belongs to it: %s', (before, belongs) =>
    expect(fromMark([{ seconds: 1000 - before, value: 1 }], 1000)).toHaveLength(belongs ? 1 : 0),
  )
  test.each([
    [15, 1],
    [16, 2],
  ])('one taken %d s after the mark leaves %d', (after, count) =>
    expect(
      fromMark(
        [
          { seconds: 990, value: 1 },
          { seconds: 1000 + after, value: 2 },
        ],
        1000,
      ),
    ).toHaveLength(count),
  )
})
