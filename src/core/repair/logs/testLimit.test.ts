import { assumed } from '../../base/known/known'
import { UNITS } from '../../base/units/units'
import { loadRefrigerants } from '../../physics/refrigerants/tables'
import type { LogMark } from '../../record/records/log'
import { judgeTest } from './judgeTest'
import { fromMark, type WorkLog } from './series'
import { limitSentence, overWarning } from './testLimit'
import { tellTest } from './tellTest'

beforeAll(() => loadRefrigerants(['R-22']))

const AIR = 101_325
const psi = (value: number) => value * UNITS.psia.si
const setup = {
  atmosphere: AIR,
  steps: [5, 25, 50, 140].map(psi),
  limit: { limit: psi(150), of: 'low side of the plate' },
} as const

type Row = readonly [minute: number, psig: number, fahrenheit?: number]
/** A test that was typed: its looks, its marks by minute. */
const typed = (rows: readonly Row[], marks: readonly (readonly [number, LogMark['what']])[]): WorkLog => ({
  head: {
    purpose: 'pressure-test',
    channels: [
      { key: 'testPressure', unit: 'psig' },
      { key: 'gasTemp', unit: 'F' },
    ],
    marks: marks.map(([minute, what]) => ({ seconds: minute * 60, what })),
    startedAt: '2026-11-27T08:00:00Z',
  },
  samples: {
    time: Float64Array.from(rows, ([minute]) => minute * 60),
    values: [
      Float64Array.from(rows, ([, psig]) => psig),
      Float64Array.from(rows, ([, , degrees]) => degrees ?? NaN),
    ],
  },
})
const judge = (rows: readonly Row[], marks: readonly (readonly [number, LogMark['what']])[]) =>
  judgeTest(typed(rows, marks), setup, rows.at(-1)![0] * 60)

describe('over the limit of what is connected (handbook 07)', () => {
  test.each([
    ['at the limit', 150, undefined],
    ['as near as a gauge shows it', 150.04, undefined],
    ['just above', 150.1, 'filling'],
    ['258 psig on a limit of 150', 258, 'filling'],
    ['300 psig', 300, 'filling'],
    ['600 psig', 600, 'filling'],
    ['1,200 kPa is 174 psig', 174.05, 'filling'],
  ] as const)('filled: %s', (_name, psig, by) => {
    const judged = judge(
      [
        [0, 50],
        [1, psig],
      ],
      [[0, 'step']],
    )
    expect(judged.over?.by).toBe(by)
    expect(judged.limit).toBe(by ? 'failed' : 'waiting')
    if (by)
      expect(judged.sentence).toMatch(/over the limit of 150 psig.*shut the cylinder, stand clear, bleed off/)
  })
  test('it has failed for good: bled down and held afterwards it does not pass', () => {
    const rows: Row[] = [
      [0, 50],
      [1, 258],
      [4, 140],
      [5, 140],
      [21, 140],
    ]
    const judged = judge(rows, [
      [0, 'step'],
      [3, 'stop'],
      [5, 'hold'],
    ])
    expect(judged).toMatchObject({ state: 'over', limit: 'failed' })
    expect(judged.missing.join()).toMatch(/relief and weakest part.*in a new log/)
  })
  test('a look above it after the regulator was shut, by more than the sun can do, was let in', () => {
    expect(
      judge(
        [
          [0, 140],
          [10, 166],
        ],
        [[0, 'hold']],
      ).over?.by,
    ).toBe('filling')
  })
  test('warmed over it: bled to its pressure, the clock again; then it can pass', () => {
    const warm = judge(
      [
        [0, 145, 75],
        [12, 151, 95],
      ],
      [[0, 'hold']],
    )
    expect(warm).toMatchObject({ state: 'too-warm', limit: 'waiting', over: { by: 'warming' } })
    expect(warm.sentence).toMatch(/by warming: bleed to 140 psig and start the clock again/)
    const again = judge(
      [
        [0, 145, 75],
        [12, 151, 95],
        [14, 140, 95],
        [30, 140, 95],
      ],
      [
        [0, 'hold'],
        [13, 'stop'],
        [14, 'hold'],
      ],
    )
    expect(again).toMatchObject({ state: 'held', limit: 'passed', over: undefined })
  })
  test('without a plan no limit is known, and nothing passes', () => {
    const log = typed(
      [
        [0, 300],
        [16, 300],
      ],
      [[0, 'hold']],
    )
    expect(judgeTest(log, { atmosphere: AIR, steps: [] }, 960)).toMatchObject({
      over: undefined,
      missing: ['the pressure of the test: its job'],
    })
  })
  test('what is typed is warned of at once; the limit stands beside the steps', () => {
    expect(overWarning(psi(150) + AIR, setup)).toBeUndefined()
    expect(overWarning(psi(151) + AIR, setup)).toMatch(/⬣ 151 psig is over the limit/)
    expect(overWarning(psi(151.26) + AIR, setup)).toMatch(/⬣ 151\.3 psig is over the limit/)
    expect(
      limitSentence({
        ...setup.limit,
        gauge: psi(140),
        isAssumed: true,
        basis: assumed(undefined, 'a low side as usual', 'designPressures'),
        steps: [],
        sentence: '',
      }),
    ).toBe(
      'Never above 150 psig: low side of the plate, not on the plate: look it up. The test goes to 140 psig.',
    )
  })
  test('over its limit it tells no leak', () => {
    const told = tellTest(
      typed(
        [
          [0, 140],
          [20, 300],
        ],
        [[0, 'hold']],
      ),
      setup,
      1200,
    )
    expect(told.figures.map(({ label }) => label)).toEqual(['Nitrogen'])
  })
})

describe('a hold that was typed', () => {
  test('the look just before the regulator was shut is its first one', () => {
    // 139.6, then the button
    const judged = judge(
      [
        [0, 139.6],
        [15.5, 139.6],
      ],
      [[0.5, 'hold']],
    )
    expect(judged).toMatchObject({ state: 'held', limit: 'passed' })
    expect(judged.hold!.seconds).toBe(900)
  })
  test('start and end alone are a hold; the clamp at both ends tells the temperature', () => {
    // 140 psig at 75 F is 138.5 at 70 F [physics]
    const measured = judge(
      [
        [0, 140, 75],
        [16, 138.54, 70],
      ],
      [[0, 'hold']],
    )
    expect(measured).toMatchObject({ state: 'held', limit: 'passed' })
    expect(measured.sentence).toMatch(/corrected for temperature/)
    const alone = judge(
      [
        [0, 140, 75],
        [16, 138.54],
      ],
      [[0, 'hold']],
    )
    expect(alone.sentence).toMatch(/temperature not measured/)
  })
  test.each([
    ['taken three minutes before', 180, 2],
    ['taken earlier', 181, 1],
  ])('a look %s', (_name, before, count) => {
    const looks = [
      { seconds: 1000 - before, value: 5 },
      { seconds: 1900, value: 4 },
    ]
    expect(fromMark(looks, 1000)).toHaveLength(count)
  })
  test.each([
    ['within a quarter of a minute', 15, 1],
    ['later', 16, 2],
  ])('a stream has its own look at the mark: one %s', (_name, after, count) => {
    const looks = [
      { seconds: 999, value: 5 },
      { seconds: 1000 + after, value: 4 },
    ]
    expect(fromMark(looks, 1000)).toHaveLength(count)
  })
})
