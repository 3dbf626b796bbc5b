import { toKelvin, toPascals } from '../../base/units/convert'
import { UNITS } from '../../base/units/units'
import { gaussian, seededRandom } from '../../base/numeric/random'
import { decayAt, type DecayCause, type DecayCurve, fitDecay } from './decay'
import { judgeHold } from './hold'
import { refrigerantLeak, throughputOf } from './leakRate'

const ATMOSPHERE = 101_325
const psig = (value: number) => value * UNITS.psia.si + ATMOSPHERE
const psi = (value: number) => value * UNITS.psia.si
const pounds = (kg: number) => kg / 0.45359237
const fahrenheit = (value: number) => toKelvin({ value, unit: 'F' })

describe('a leak that a test could have seen, as refrigerant a year (handbook 07)', () => {
  const tenLitres = throughputOf(0.01, psi(0.2) / 900)
  const nitrogen = { throughput: tenLitres, inside: psig(300), outside: ATMOSPHERE }
  test.each([
    ['10 L at 300 psig, 0.2 psi in 15 min, running at 300 psig', 300, 37],
    ['the same hole at 120 psig', 120, 8],
  ])('%s', (_name, running, expected) => {
    const leak = pounds(refrigerantLeak(nitrogen, 'R-410A', psig(running), ATMOSPHERE))
    expect(leak / expected).toBeGreaterThan(0.9)
    expect(leak / expected).toBeLessThan(1.1)
  })
  test('100 microns in 10 min on 10 L is about 250 lb a year: a decay test proves dryness', () => {
    const throughput = throughputOf(0.01, toPascals({ value: 100, unit: 'micron' }) / 600)
    const leak = refrigerantLeak(
      { throughput, inside: 0, outside: ATMOSPHERE },
      'R-410A',
      psig(300),
      ATMOSPHERE,
    )
    expect(pounds(leak) / 250).toBeGreaterThan(0.9)
    expect(pounds(leak) / 250).toBeLessThan(1.1)
  })
  test('a test without a pressure difference says nothing', () => {
    expect(() =>
      refrigerantLeak(
        { throughput: 1, inside: ATMOSPHERE, outside: ATMOSPHERE },
        'R-410A',
        psig(120),
        ATMOSPHERE,
      ),
    ).toThrow(/no pressure difference/)
  })
})

/** Looks at a hold each minute. */
const looksEach = <T>(minutes: number, of: (share: number) => T) =>
  Array.from({ length: minutes + 1 }, (_look, i) => ({ seconds: i * 60, ...of(i / minutes) }))
/** A hold with a look each minute. */
const heldOver = (minutes: number, pascals: (share: number) => number, kelvin?: (share: number) => number) =>
  judgeHold(
    looksEach(minutes, (share) => ({ pascals: pascals(share) })),
    kelvin && looksEach(minutes, (share) => ({ kelvin: kelvin(share) })),
  )!

describe('nitrogen that is held (handbook 07)', () => {
  const cooling = (share: number) => fahrenheit(75 - 5 * share)
  const tight = (share: number) => (psig(300) * cooling(share)) / fahrenheit(75)

  test('300 psig at 75 F falls to 297 at 70 F and has not leaked', () => {
    expect((tight(1) - ATMOSPHERE) / psi(1)).toBeCloseTo(297, 0)
    const hold = heldOver(15, tight, cooling)
    expect(hold.verdict).toBe('held')
    expect(hold.change / psi(1)).toBeCloseTo(0, 2)
    expect(hold.byTemperature / psi(1)).toBeCloseTo(-2.94, 1)
  })
  test('the same fall without a clamp is not taken for tight beyond its error', () => {
    const hold = heldOver(15, tight)
    expect(hold.isTemperatureMeasured).toBe(false)
    expect(hold.error).toBeGreaterThan(Math.abs(hold.change) * 0.9)
  })
  test.each([
    ['0.1 psi in 15 min', 15, -0.1, 'held'],
    ['0.2 psi in 24 min', 24, -0.2, 'held'],
    ['1 kPa in 15 min', 15, -0.145, 'held'],
    ['a gain of 0.3 psi in 7 min is warming', 7, 0.3, 'held'],
    ['3 psi in 15 min', 15, -3, 'falls'],
    ['3 psi up in 15 min', 15, 3, 'rises'],
  ] as const)('%s: %s min', (_name, minutes, change, verdict) => {
    const hold = heldOver(
      minutes,
      (share) => psig(300) + psi(change) * share,
      () => fahrenheit(75),
    )
    expect(hold.verdict).toBe(verdict)
    expect(hold.change / psi(1)).toBeCloseTo(change, 6)
  })
  const ends = (first: number, last: number) => [
    { seconds: 0, pascals: psig(first) },
    { seconds: 900, pascals: psig(last) },
  ]
  const clamp = (...at: readonly (readonly [seconds: number, fahrenheit: number])[]) =>
    at.map(([seconds, degrees]) => ({ seconds, kelvin: fahrenheit(degrees) }))
  test('1 F is 0.59 psi at 300 psig: that and the gauge are the error of two looks', () => {
    const hold = judgeHold(ends(300, 300), clamp([0, 75], [900, 75]))!
    expect(hold.error / psi(1)).toBeCloseTo(0.59 + 0.1, 2)
    expect(hold.leastSeen).toBeCloseTo(hold.error / 900, 9)
    expect(hold.seen).toBe(0)
  })
  test('a clamp that is read at start and end is a straight line between, not a step', () => {
    const looks = looksEach(15, (share) => ({ pascals: tight(share) }))
    const hold = judgeHold(looks, clamp([0, 75], [900, 70]))!
    expect(hold.verdict).toBe('held')
    expect(Math.abs(hold.change) / psi(1)).toBeLessThan(0.01)
    // a leak of 2.5 psi behind a warming of 5 F
    const leaking = looksEach(15, (share) => ({
      pascals: ((psig(300) - psi(2.5) * share) * fahrenheit(75 + 5 * share)) / fahrenheit(75),
    }))
    expect(judgeHold(leaking, clamp([0, 75], [900, 80]))!.verdict).toBe('falls')
  })
  test.each([
    ['no look', [], false],
    ['one look', clamp([0, 75]), false],
    ['two looks at its beginning', clamp([0, 75], [60, 75]), false],
    ['the last one two minutes before its end', clamp([0, 75], [780, 70]), true],
    ['the last one earlier', clamp([0, 75], [779, 70]), false],
    ['the first one two minutes late', clamp([120, 75], [900, 70]), true],
    ['the first one later', clamp([121, 75], [900, 70]), false],
  ])('what measures the temperature: %s', (_name, warmth, isMeasured) => {
    const hold = judgeHold(ends(300, 297), warmth)!
    expect(hold.isTemperatureMeasured).toBe(isMeasured)
    if (!isMeasured) expect(hold.byTemperature).toBe(0)
  })
  test('one look, or two at once, judge nothing', () => {
    expect(judgeHold([{ seconds: 0, pascals: psig(300) }])).toBeUndefined()
    expect(
      judgeHold([
        { seconds: 5, pascals: 1e6 },
        { seconds: 5, pascals: 1e6 },
      ]),
    ).toBeUndefined()
  })
})

const MICRON = 0.133322
const logOf = (curve: DecayCurve, seconds: number, noise: number, seed = 1) => {
  const random = seededRandom(seed)
  return Array.from({ length: 61 }, (_look, i) => {
    const at = (seconds * i) / 60
    return { seconds: at, pascals: decayAt(curve, at) * (1 + noise * gaussian(random)) }
  })
}
const QUIET = { oil: 30 * MICRON, fading: 1500 } as const
const CURVES: Readonly<Record<DecayCause, DecayCurve>> = {
  tight: { ...QUIET, start: 300 * MICRON, rate: 0, amount: 0, settling: 120 },
  leak: { ...QUIET, start: 300 * MICRON, rate: 1.2 * MICRON, amount: 0, settling: 120 },
  moisture: { ...QUIET, start: 300 * MICRON, rate: 0, amount: 1500 * MICRON, settling: 120 },
  both: { ...QUIET, start: 300 * MICRON, rate: 1.2 * MICRON, amount: 900 * MICRON, settling: 100 },
}

describe('what makes a vacuum rise (handbook 08)', () => {
  test.each(Object.entries(CURVES))('%s is told, and its figures come back', (cause, curve) => {
    const fit = fitDecay(logOf(curve, 1200, 0.01))!
    expect(fit.cause).toBe(cause)
    expect(fit.curve.start / curve.start).toBeCloseTo(1, 0.7)
    if (curve.rate > 0) expect(fit.curve.rate / curve.rate).toBeCloseTo(1, 0.5)
    if (curve.amount > 0) expect(fit.curve.amount / curve.amount).toBeCloseTo(1, 0.5)
    if (curve.amount > 0) expect(Math.abs(Math.log(fit.curve.settling / curve.settling))).toBeLessThan(0.4)
  })
  test.each(Object.entries(CURVES))('%s in a minute: not yet clear', (_cause, curve) => {
    expect(fitDecay(logOf(curve, 60, 0.02))!.cause).toBeUndefined()
  })
  test('a plateau above the vapour pressure of water is no moisture', () => {
    const ceiling = 1200 * MICRON
    const fit = fitDecay(logOf(CURVES.moisture, 900, 0.02), ceiling)!
    expect(fit.chances.moisture).toBeLessThan(0.01)
  })
  test.each([
    ['five looks', 5, false],
    ['six looks', 6, true],
  ])('%s', (_name, count, isFitted) => {
    expect(
      fitDecay(
        logOf(CURVES.leak, 900, 0)
          .filter((_look, i) => i % 10 === 0)
          .slice(0, count),
      ) !== undefined,
    ).toBe(isFitted)
  })
  test('a log of ten thousand looks is the same log', () => {
    const points = Array.from({ length: 10_000 }, (_look, i) => ({
      seconds: (i * 900) / 9999,
      pascals: decayAt(CURVES.leak, (i * 900) / 9999),
    }))
    expect(fitDecay(points)!.cause).toBe('leak')
  })
  // looks of practice (handbook 08): what rises slowly and bends is dry enough, never moisture and a leak [practice]
  const bending = (from: number, to: number, minutes: number) =>
    Array.from({ length: 16 }, (_look, i) => {
      const share = i / 15
      const shape = (1 - Math.exp(-2 * share)) / (1 - Math.exp(-2))
      return { seconds: share * minutes * 60, pascals: Math.round(from + (to - from) * shape) * MICRON }
    })
  test.each([
    ['321 to 491 in 15 min', bending(321, 491, 15)],
    ['337 to 505 in 10 min', bending(337, 505, 10)],
  ])('%s', (_name, points) => {
    const { cause = 'open' } = fitDecay(points)!
    expect(['tight', 'open']).toContain(cause)
  })
  test.each([
    ['39 microns a minute over 14 min, as oil does', 39, 840, undefined],
    ['over 15 min', 39, 900, 'leak'],
    ['50 microns a minute over 10 min', 50, 600, 'leak'],
  ] as const)('a straight rise of %s', (_name, rate, seconds, cause) => {
    const points = Array.from({ length: 20 }, (_look, i) => ({
      seconds: (i * seconds) / 19,
      pascals: (250 + (rate * i * seconds) / 19 / 60) * MICRON,
    }))
    expect(fitDecay(points)!.cause).toBe(cause)
  })
  test.each([
    ['6 % under its highest look', 0.939, undefined],
    ['less than that', 0.955, 'tight'],
  ])('what rises and falls again is nothing that is known: %s', (_name, share, cause) => {
    const points = Array.from({ length: 20 }, (_look, i) => ({
      seconds: i * 45,
      pascals: 400 * MICRON * (i < 16 ? 1 : share),
    }))
    expect(fitDecay(points)!.cause).toBe(cause)
  })
})
