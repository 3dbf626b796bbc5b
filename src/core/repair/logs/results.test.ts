import { orders } from '../../../../tools/run/reportWords'
import { known } from '../../base/known/known'
import { UNITS } from '../../base/units/units'
import type { LogHead, LogMark } from '../../record/records/log'
import type { LogPurpose } from '../../record/readings/logPurposes'
import { LOG_KINDS, type LogFacts } from './kinds'
import { chargeResult, pullDownResult, recoveryResult, testResult } from './results'
import type { WorkLog } from './series'

const ATMOSPHERE = 101_325
const PSI = UNITS.psia.si
const log = (purpose: LogPurpose, time: number[], values: number[][], marks: LogMark[] = []): WorkLog => ({
  head: {
    channels: LOG_KINDS[purpose].channels.map(([key, unit]) => ({ key, unit })) as LogHead['channels'],
    marks,
    startedAt: '2026-11-27T08:00:00Z',
    purpose,
  },
  samples: {
    time: Float64Array.from(time),
    values: LOG_KINDS[purpose].channels.map((_channel, i) =>
      Float64Array.from(values[i] ?? time.map(() => NaN)),
    ),
  },
})
const TOLD = { cause: undefined }

describe('a recovery', () => {
  const setup = {
    atmosphere: ATMOSPHERE,
    depth: { pascals: ATMOSPHERE, shown: '0 psig' },
    expected: known(2.7216, 'plate', 'plate'),
  }
  const looks = (rise: number) =>
    log(
      'recovery',
      [0, 300, 640],
      [
        [120, -1, -1 + rise],
        [20, 26, 26],
      ],
      [{ seconds: 300, what: 'stop' }],
    )
  test('tells depth, rise and weight', () => {
    expect(recoveryResult(looks(0.4), setup, TOLD)).toBe(
      '-0.6 psig in the circuit at the end, its depth is 0 psig; rise after the stop 0.4 psi in 6 min; 6 lb 0.0 oz of 6 lb 0.0 oz came out.',
    )
  })
  test('tells what was not watched, and no weight that nobody expected', () => {
    const running = log(
      'recovery',
      [0, 300],
      [
        [120, 20],
        [20, 26],
      ],
    )
    const { expected: _none, ...unknown } = setup
    expect(recoveryResult(running, unknown, TOLD)).toBe(
      '20.0 psig in the circuit at the end, its depth is 0 psig; no rise was watched; 6 lb 0.0 oz came out.',
    )
    expect(recoveryResult(log('recovery', [], []), setup, TOLD)).toBe('Nothing was read.')
  })
})

describe('a pressure test', () => {
  const setup = {
    atmosphere: ATMOSPHERE,
    steps: [150 * PSI],
    limit: { limit: 150 * PSI, of: 'low side of the plate' },
  }
  const held = (end: number) =>
    log(
      'pressure-test',
      [0, 480, 960],
      [
        [150, 150, end],
        [75, 75, 75],
      ],
      [{ seconds: 0, what: 'hold' }],
    )
  test('held: the change against its error, and the pressure against its limit', () => {
    expect(testResult(held(150), setup, TOLD)).toMatch(
      /^No leak seen: -?0\.00 psi against ±[\d.]+ psi in 16 min, corrected for temperature; 150\.0 psig at the end, limit 150\.0 psig, low side of the plate/,
    )
  })
  test('fallen, over its limit, and never held', () => {
    expect(testResult(held(140), setup, TOLD)).toMatch(/^It fell: -10\.00 psi against/)
    expect(
      testResult(log('pressure-test', [0], [[258], [75]], [{ seconds: 0, what: 'step' }]), setup, TOLD),
    ).toBe('258 psig is over the limit of 150 psig, low side of the plate: the test failed.')
    expect(
      testResult(
        log(
          'pressure-test',
          [0, 60],
          [
            [150, 150],
            [75, 75],
          ],
        ),
        setup,
        TOLD,
      ),
    ).toMatch(/^The clock of the hold was not started; 150\.0 psig at the end/)
  })
})

test('a weigh-in against what was calculated, just below, at and just above what counts as that', () => {
  const setup = { atmosphere: ATMOSPHERE, wanted: known(3, 'plate', 'plate'), isExact: false, isPart: false }
  const went = (kg: number) =>
    chargeResult(log('weigh-in', [0, 600], [[30, 30 - kg / UNITS.lb.si]]), setup, TOLD)
  expect(went(3)).toBe('6 lb 9.8 oz of 6 lb 9.8 oz, as calculated.')
  expect(went(3.029)).toContain('as calculated')
  expect(went(3.031)).toMatch(/1\.1 oz over\.$/)
  expect(went(2.969)).toMatch(/1\.1 oz less\.$/)
  // a guess is no aim
  expect(
    chargeResult(
      log('weigh-in', [0, 600], [[30, 24]]),
      { ...setup, wanted: { ...setup.wanted, source: 'assumed' } },
      TOLD,
    ),
  ).toBe('6 lb 0.0 oz went in.')
})

test('a pull-down against its setting', () => {
  const setup = { atmosphere: ATMOSPHERE, setting: UNITS.F.zero + 35 * UNITS.F.si }
  const space = (end: number) => log('pull-down', [0, 3600], [[60, end]])
  expect(pullDownResult(space(34.9), setup, TOLD)).toBe('60 F to 35 F in 1 h, the setting of 35 F reached.')
  expect(pullDownResult(space(36), setup, TOLD)).toBe('60 F to 36 F in 1 h, the setting of 35 F not reached.')
  expect(pullDownResult(space(36), { ...setup, setting: undefined }, TOLD)).toBe('60 F to 36 F in 1 h.')
})

/** Every kind over looks that end anywhere: what is told never tells what to do, and holds no broken figure. */
const FACTS: LogFacts = { unit: { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }, pump: {} }
const ENDS: Readonly<Record<LogPurpose, readonly number[][]>> = {
  recovery: [
    [120, 60],
    [20, 24],
  ],
  'pressure-test': [
    [100, 90],
    [75, 75],
  ],
  evacuation: [
    [20_000, 3000],
    [10_000, 900],
  ],
  decay: [[300, 2500], []],
  'weigh-in': [[30, 24]],
  'pull-down': [[70, 60]],
}
const MARKS: Readonly<Record<LogPurpose, readonly LogMark['what'][]>> = {
  recovery: ['stop'],
  'pressure-test': ['hold', 'step'],
  evacuation: ['sweep'],
  decay: ['valve-shut'],
  'weigh-in': ['valve-shut'],
  'pull-down': [],
}
test.each(Object.keys(ENDS) as LogPurpose[])('%s: a result, never an order', (purpose) => {
  for (const seconds of [60, 700, 1300])
    for (const marks of [[], MARKS[purpose].map((what): LogMark => ({ seconds: 0, what }))])
      for (const values of [ENDS[purpose], []]) {
        const time = values.length > 0 ? [0, seconds / 2, seconds] : []
        const looks = values.map(([from = NaN, to = NaN]) => [from, (from + to) / 2, to])
        const own = log(
          purpose,
          time,
          looks.map((each) => each),
          marks,
        )
        const text = LOG_KINDS[purpose].result(own, FACTS, { cause: 'open' })
        expect([text, orders(text)]).toEqual([text, []])
        expect(text).toMatch(/\.$/)
        expect(text).not.toMatch(/NaN|undefined|Infinity/)
      }
})
