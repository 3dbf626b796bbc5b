import { seededRandom } from '../../base/numeric/random'
import { type Unit, unitRow } from '../../base/units/units'
import { loadRefrigerants } from '../../physics/refrigerants/tables'
import type { WorkChannel } from '../../record/readings/channels'
import { figureState, siLimits } from '../../record/readings/figureLimits'
import type { LogPurpose } from '../../record/readings/logPurposes'
import type { LogMark } from '../../record/records/log'
import { readWorkLog } from '../../door/judgeCsv'
import { LOG_KINDS } from './kinds'
import type { WorkLog } from './series'
import { isOpening } from './told'

beforeAll(() => loadRefrigerants(['R-410A', 'R-22']))

const AIR = 101_325
const FIGURES = 60

/** A figure in the unit of a log from SI, below nothing too. */
function shown(si: number, unit: Unit): number {
  const { si: one, zero = 0, reference } = unitRow(unit)
  return (si - (reference === 'gauge' ? AIR : zero)) / one
}

/** A good log of each kind, by its rows: s, then its channels. */
type Good = { readonly rows: readonly (readonly number[])[]; readonly marks: readonly LogMark[] }
const ramp = (count: number, every: number, of: (i: number) => readonly number[]) =>
  Array.from({ length: count }, (_row, i) => [i * every, ...of(i)])
const GOOD: Readonly<Record<LogPurpose, Good>> = {
  recovery: {
    rows: ramp(60, 20, (i) => [Math.max(150 - 6 * i, 0), Math.min(20 + i / 4, 26)]),
    marks: [{ seconds: 600, what: 'stop' }],
  },
  'pressure-test': { rows: ramp(60, 20, () => [200, 75]), marks: [{ seconds: 0, what: 'hold' }] },
  evacuation: {
    rows: ramp(60, 20, (i) => [Math.max(20_000 * 0.85 ** i, 300), Math.max(15_000 * 0.84 ** i, 150)]),
    marks: [{ seconds: 0, what: 'valve-open' }],
  },
  decay: {
    rows: ramp(60, 20, (i) => [321 + 170 * (1 - Math.exp(-i / 20)), 40]),
    marks: [{ seconds: 0, what: 'valve-shut' }],
  },
  'weigh-in': {
    rows: ramp(60, 20, (i) => [30 - Math.min(i / 10, 4.8)]),
    marks: [{ seconds: 0, what: 'valve-open' }],
  },
  'pull-down': { rows: ramp(60, 60, (i) => [75 - i]), marks: [] },
}
const PURPOSES = Object.keys(GOOD) as LogPurpose[]
const CASES = PURPOSES.flatMap((purpose) =>
  LOG_KINDS[purpose].channels.map(([key, unit], i) => [purpose, key, unit, i] as const),
)

/** Figures outside of the possible, by a little and by much, on both sides. */
function impossibleFigures(purpose: LogPurpose, key: WorkChannel, unit: Unit): number[] {
  const { possible } = siLimits(key, purpose)
  const random = seededRandom(270)
  return Array.from({ length: FIGURES }, (_figure, i) => {
    const width = possible.to - possible.from
    const si =
      i % 2 === 0
        ? possible.to + width * 10 ** (4 * random() - 3)
        : possible.from - Math.abs(possible.from || width) * 10 ** (3 * random() - 2)
    return shown(si, unit)
  })
}

/** Figures that are possible and hardly likely; none where all that is possible is likely. */
function unlikelyFigures(purpose: LogPurpose, key: WorkChannel, unit: Unit): number[] {
  const { possible, likely } = siLimits(key, purpose)
  const random = seededRandom(271)
  const sides = [
    [possible.from, likely.from],
    [likely.to, possible.to],
  ].filter(([from, to]) => to! > from!)
  return Array.from({ length: sides.length === 0 ? 0 : FIGURES }, (_figure, i) => {
    const [from, to] = sides[i % sides.length] as [number, number]
    return shown(from + (to - from) * (0.02 + 0.96 * random()), unit)
  })
}

const asLog = (purpose: LogPurpose, rows: Good['rows']): WorkLog => ({
  head: {
    purpose,
    channels: LOG_KINDS[purpose].channels.map(([key, unit]) => ({ key, unit })),
    marks: [...GOOD[purpose].marks],
    startedAt: '2026-11-27T08:00:00Z',
  },
  samples: {
    time: Float64Array.from(rows, (row) => row[0]!),
    values: LOG_KINDS[purpose].channels.map((_channel, i) => Float64Array.from(rows, (row) => row[i + 1]!)),
  },
})
/** The same rows as another program writes them. */
function asCsv(purpose: LogPurpose, rows: Good['rows']): string {
  const headings = LOG_KINDS[purpose].channels.map(([key, unit]) => {
    const words: { readonly [K in WorkChannel]?: string } = {
      systemVacuum: 'system',
      pumpVacuum: 'pump',
      gasTemp: 'clamp',
      spaceNow: 'space',
      cylinderWeight: 'weight',
    }
    return `${words[key] ?? 'pressure'} ${unit === 'micron' ? 'microns' : unit}`
  })
  const marks = GOOD[purpose].marks
  const lines = rows.map((row) =>
    [...row, marks.find(({ seconds }) => seconds === row[0])?.what ?? ''].join(','),
  )
  return [['seconds', ...headings, 'mark'].join(','), ...lines].join('\n')
}
const judge = (purpose: LogPurpose, log: WorkLog) => LOG_KINDS[purpose].judge(log, {})
/** Figures put into one channel of a good log, a row each, as many as are wanted. */
const withFigures = (purpose: LogPurpose, column: number, figures: readonly number[]) => {
  const { rows } = GOOD[purpose]
  const every = Math.floor(rows.length / figures.length)
  return rows.map((row, i) => {
    const at = i / every
    return Number.isInteger(at) && at < figures.length
      ? row.map((value, c) => (c === column + 1 ? figures[at]! : value))
      : row
  })
}

describe.each(CASES)('%s, %s', (purpose, key, unit, column) => {
  const impossible = impossibleFigures(purpose, key, unit)
  const unlikely = unlikelyFigures(purpose, key, unit)

  test('typed: what cannot be is refused with its range in words, what is unlikely is asked', () => {
    for (const value of impossible) {
      const state = figureState(key, { value, unit }, AIR, purpose)
      expect(state).toMatchObject({
        state: 'impossible',
        sentence: expect.stringMatching(/cannot be.* and /),
      })
    }
    for (const value of unlikely)
      expect(figureState(key, { value, unit }, AIR, purpose)).toMatchObject({ state: 'unlikely' })
    for (const row of GOOD[purpose].rows)
      expect(figureState(key, { value: row[column + 1]!, unit }, AIR, purpose)).toEqual({ state: 'good' })
  })
  test('the limits themselves: just inside and just outside', () => {
    const { possible } = siLimits(key, purpose)
    const width = possible.to - possible.from
    for (const [end, sign] of [
      [possible.from, 1],
      [possible.to, -1],
    ] as const) {
      const inside = figureState(key, { value: shown(end + sign * width * 1e-6, unit), unit }, AIR, purpose)
      const outside = figureState(key, { value: shown(end - sign * width * 1e-6, unit), unit }, AIR, purpose)
      expect([inside.state !== 'impossible', outside.state]).toEqual([true, 'impossible'])
    }
  })
  test('streamed or from a file: what cannot be is left out of every judgement, and told', () => {
    const whole = judge(purpose, asLog(purpose, GOOD[purpose].rows))
    for (let i = 0; i < FIGURES; i += 6) {
      const some = impossible.slice(i, i + 6)
      const rows = withFigures(purpose, column, some)
      for (const log of [asLog(purpose, rows), readWorkLog(asCsv(purpose, rows), purpose)]) {
        const told = judge(purpose, log)
        expect(told.details.join()).toMatch(/6 looks at .* cannot be: left out/)
        // judged as if they had not been read
        const silent = judge(
          purpose,
          asLog(
            purpose,
            withFigures(
              purpose,
              column,
              some.map(() => NaN),
            ),
          ),
        )
        expect([told.limit, told.missing, told.sentence]).toEqual([
          silent.limit,
          silent.missing,
          silent.sentence,
        ])
        expect(told.figures.map(({ value }) => value).join()).not.toMatch(/NaN|Infinity/)
      }
    }
    expect(whole.details.join()).not.toMatch(/cannot be/)
  })
  test('streamed or from a file: what is unlikely is marked as doubtful', () => {
    for (let i = 0; i < unlikely.length; i += 6) {
      const rows = withFigures(purpose, column, unlikely.slice(i, i + 6))
      for (const log of [asLog(purpose, rows), readWorkLog(asCsv(purpose, rows), purpose)])
        expect(judge(purpose, log).details.join()).toMatch(/6 looks at .* doubtful/)
    }
  })
  test('nothing passes on what is left over where half of it cannot be', () => {
    const half = GOOD[purpose].rows.map((row, i) =>
      i % 2 === 1 ? row.map((value, c) => (c === column + 1 ? impossible[0]! : value)) : row,
    )
    const told = judge(purpose, asLog(purpose, half))
    expect(told.missing.join()).toMatch(/30 of 60 cannot/)
    expect(isOpening(told)).toBe(false)
  })
})

test.each([
  ['systemVacuum', '1.75 micron', { value: 1.75, unit: 'micron' }, /cannot be/],
  ['systemVacuum', '0 micron', { value: 0, unit: 'micron' }, /cannot be/],
  ['systemVacuum', '-5 micron', { value: -5, unit: 'micron' }, /cannot be/],
  ['systemVacuum', '99,999,999 micron', { value: 99_999_999, unit: 'micron' }, /cannot be/],
  ['systemVacuum', '29.92 inHg', { value: 29.92, unit: 'inHgVac' }, /needle cannot tell/],
  ['circuitPressure', '-800 inHg', { value: -800, unit: 'inHgVac' }, /run from 0 to 29.9/],
  ['circuitPressure', '-5000 psig', { value: -5000, unit: 'psig' }, /between -14.6 and/],
] as const)('%s: %s is explained', (key, _name, quantity, message) => {
  const state = figureState(key, quantity, AIR)
  expect(state).toMatchObject({ state: 'impossible', sentence: expect.stringMatching(message) })
})
test('a scale that was zeroed with the cylinder on it counts below zero while it is charged from, never while it recovers', () => {
  const five = { value: -5, unit: 'lb' } as const
  expect(figureState('cylinderWeight', five, AIR, 'weigh-in').state).toBe('unlikely')
  expect(figureState('cylinderWeight', five, AIR, 'recovery').state).toBe('impossible')
})
test.each(PURPOSES)(
  '%s: nothing passes where the time runs backwards; a table says at which row',
  (purpose) => {
    const { rows } = GOOD[purpose]
    const back = rows.map((row, i) => (i >= 30 ? [row[0]! - 300, ...row.slice(1)] : row))
    const told = judge(purpose, asLog(purpose, back))
    expect(told.missing.join()).toMatch(/times that go forward/)
    expect(isOpening(told)).toBe(false)
    expect(() => readWorkLog(asCsv(purpose, back), purpose)).toThrow(/row 32: the time runs backwards/)
  },
)
