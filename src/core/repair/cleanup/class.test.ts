import type { CleanupRecord } from './record'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations } from '../../record/readings/schema'
import { acidChances, waterChance } from './chances'
import { circuitSize } from './circuitSize'
import { CLASS_LABELS, CONTAMINATION_CLASSES, type ContaminationClass } from './classes'
import { classesOf, classify, isAcid, isBurnout, isWet } from './contamination'
import { SAMPLE_UNIT as UNIT, sampleRecord as record } from './sampleRecord'
import { settlingTests } from './settles'

const of = (which: CleanupRecord) => classify(which, circuitSize(which.unit))
const OIL_NEGATIVE: Observations = { acidTest: 'negative', acidTestKind: 'oil-kit' }
const STRIP_NEGATIVE: Observations = { acidTest: 'negative', acidTestKind: 'refrigerant-strip' }
/** Everything of its inside is written down. */
const WRITTEN: UnitPlate = {
  ...UNIT,
  factoryCharge: { value: 7, unit: 'lb' },
  oilCharge: { value: 40, unit: 'floz' },
  compressor: { oil: 'POE' },
  lineSet: {
    liquid: { value: 0.375, unit: 'in' },
    vapour: { value: 0.75, unit: 'in' },
    length: { value: 15, unit: 'ft' },
    included: { value: 15, unit: 'ft' },
  },
}
const BURNT = { faults: ['compressor-grounded'] }

describe('clean-up class, handbook 06', () => {
  const CASES: readonly (readonly [string, CleanupRecord, ContaminationClass, boolean])[] = [
    ['nothing found, oil tested', record({ ...OIL_NEGATIVE, oilAppearance: 'clear' }), 'clean', true],
    ['nothing looked at', record({}), 'clean', false],
    ['oil seen clear, never opened, fault outside', record({ oilAppearance: 'clear' }), 'clean', true],
    ['a strip alone, fault outside the compressor', record(STRIP_NEGATIVE), 'clean', true],
    ['a strip alone after a burn', record(STRIP_NEGATIVE, BURNT), 'mild-acid', false],
    ['clear oil alone after a burn', record({ oilAppearance: 'clear' }, BURNT), 'mild-acid', false],
    ['a burn, never tested', record({}, BURNT), 'mild-acid', false],
    ['a burn, the oil tested', record(OIL_NEGATIVE, BURNT), 'clean', true],
    ['a burn, laboratory below 0.05', record({}, { ...BURNT, repair: { acidNumber: 0.049 } }), 'clean', true],
    ['laboratory at 0.05', record({}, { repair: { acidNumber: 0.05 } }), 'mild-acid', true],
    ['laboratory just below 0.15', record({}, { repair: { acidNumber: 0.149 } }), 'mild-acid', true],
    ['laboratory at 0.15', record({}, { repair: { acidNumber: 0.15 } }), 'burnout', true],
    ['weak acid', record({ acidTest: 'weak' }), 'mild-acid', true],
    ['dark oil', record({ oilAppearance: 'dark' }), 'mild-acid', true],
    ['strong acid', record({ acidTest: 'strong' }), 'burnout', true],
    ['burnt oil', record({ oilAppearance: 'burnt-smell' }), 'burnout', true],
    ['burnt refrigerant', record({ refrigerantSmell: 'yes' }), 'burnout', true],
    ['wet indicator', record({ moistureIndicator: 'wet' }), 'wet', false],
    ['washed-out indicator', record({ moistureIndicator: 'unreadable' }), 'wet', false],
    ['milky oil, tested', record({ ...OIL_NEGATIVE, oilAppearance: 'milky' }), 'wet', true],
    ['copper plating', record({ copperPlating: 'yes' }), 'wet', false],
    ['ice in the valve', record({ warmValveResponse: 'flow-returned' }), 'wet', false],
    ['water runs out', record({ ...OIL_NEGATIVE, waterFound: 'runs-out' }), 'wet', true],
    ['laboratory water above the limit', record(OIL_NEGATIVE, { repair: { oilWater: 101 } }), 'wet', true],
    ['laboratory water at the limit', record(OIL_NEGATIVE, { repair: { oilWater: 100 } }), 'clean', true],
    ['open for a month, inside by a guess', record({ ...OIL_NEGATIVE, hoursOpenToAir: 720 }), 'wet', false],
    [
      'open for a month, plate and weather written',
      record({ ...OIL_NEGATIVE, hoursOpenToAir: 720, openConditions: 'humid' }, { unit: WRITTEN }),
      'wet',
      true,
    ],
    [
      'open for two days, plate and weather written',
      record({ ...OIL_NEGATIVE, hoursOpenToAir: 48, openConditions: 'dry' }, { unit: WRITTEN }),
      'clean',
      true,
    ],
    ['open for an hour, inside by a guess', record({ ...OIL_NEGATIVE, hoursOpenToAir: 1 }), 'clean', true],
    [
      'ends unplugged for two days',
      record({ ...OIL_NEGATIVE, hoursOpenToAir: 48, linesPlugged: 'unplugged' }),
      'wet',
      true,
    ],
    [
      'two hours in rain',
      record({ ...OIL_NEGATIVE, hoursOpenToAir: 2, openConditions: 'rain' }),
      'wet',
      true,
    ],
    ['found in vacuum, nobody knows how long', record(OIL_NEGATIVE, { drewAir: true }), 'wet', false],
    ['pressure fallen to nothing', record(OIL_NEGATIVE, { isEmpty: true }), 'wet', false],
    ['wet and weak acid', record({ moistureIndicator: 'wet', acidTest: 'weak' }), 'wet-acid', true],
    ['metal in the oil', record({ oilAppearance: 'metal-flakes', ...OIL_NEGATIVE }), 'debris', true],
    ['plugged screen', record(OIL_NEGATIVE, { faults: ['txv-inlet-screen-plugged'] }), 'debris', true],
    [
      'a compressor that broke, oil not seen',
      record(OIL_NEGATIVE, { faults: ['compressor-not-pumping'] }),
      'debris',
      false,
    ],
    [
      'a compressor that broke, oil seen clear',
      record({ ...OIL_NEGATIVE, oilAppearance: 'clear' }, { faults: ['compressor-not-pumping'] }),
      'clean',
      true,
    ],
    ['plugged capillary', record(OIL_NEGATIVE, { faults: ['capillary-plugged'] }), 'waxed', true],
    ['ice as the fault', record(OIL_NEGATIVE, { faults: ['moisture-freeze-at-valve'] }), 'wet', true],
    ['earlier burnout, never tested', record({}, { previousBurnout: true }), 'mild-acid', false],
    [
      'earlier burnout, strip negative',
      record(STRIP_NEGATIVE, { previousBurnout: true }),
      'mild-acid',
      false,
    ],
    ['earlier burnout, oil negative', record(OIL_NEGATIVE, { previousBurnout: true }), 'clean', true],
  ]
  test.each(CASES)('%s', (_name, which, expected, known) => {
    const result = of(which)
    expect([result.class, result.known]).toEqual([expected, known])
    if (!known) expect(result.assumed.length).toBeGreaterThan(0)
    else expect(result.assumed).toEqual([])
    expect(result.confidence).toBeGreaterThan(0)
    expect(result.confidence).toBeLessThanOrEqual(1)
  })
  test('graver classes keep the lighter ones as further work', () => {
    const result = of(record({ acidTest: 'strong', oilAppearance: 'metal-flakes' }))
    expect(result).toMatchObject({ class: 'burnout', also: ['debris'] })
    expect([isAcid(result), isBurnout(result), isWet(result)]).toEqual([true, true, false])
    expect(of(record({ moistureIndicator: 'wet', acidTest: 'strong' }))).toMatchObject({
      class: 'wet-acid',
      also: ['burnout'],
    })
    expect(classesOf(of(record({ acidTest: 'weak', oilAppearance: 'metal-flakes' })))).toEqual([
      'debris',
      'mild-acid',
    ])
  })
  test.each([
    [{ ...STRIP_NEGATIVE, oilAppearance: 'dark' }, 'mild-acid', /dark or burnt/],
    [{ ...OIL_NEGATIVE, refrigerantSmell: 'yes' }, 'burnout', /smells burnt/],
    [{ acidTest: 'strong', oilAppearance: 'clear' }, 'burnout', /clear/],
    [{ ...OIL_NEGATIVE, moistureIndicator: 'dry', copperPlating: 'yes' }, 'wet', /careful/],
  ] as const)('a conflict is said and the careful side taken: %o', (observations, expected, sentence) => {
    const result = of(record(observations))
    expect(result.class).toBe(expected)
    expect(result.conflicts.join()).toMatch(sentence)
    expect(result.conflicts.join()).toMatch(/careful side/)
  })
  test('laboratory and kit that do not agree', () => {
    const result = of(record({ acidTest: 'weak', acidTestKind: 'oil-kit' }, { repair: { acidNumber: 0.01 } }))
    expect(result.class).toBe('mild-acid')
    expect(result.conflicts.join()).toMatch(/do not agree/)
  })
  test('longer than a day is pulled three times, wet or not; a working day is not', () => {
    expect(of(record({ ...OIL_NEGATIVE, hoursOpenToAir: 24 })).triple).toBe(false)
    expect(of(record({ ...OIL_NEGATIVE, hoursOpenToAir: 25 }))).toMatchObject({
      triple: true,
      class: 'clean',
    })
  })
  test('every class has a label', () => {
    for (const name of CONTAMINATION_CLASSES) expect(CLASS_LABELS[name].length).toBeGreaterThan(2)
  })
})

describe('confidence: chance that nothing graver is inside', () => {
  test('acid chances add up to one and follow the evidence', () => {
    for (const which of [record({}), record(STRIP_NEGATIVE, BURNT), record({ acidTest: 'strong' })]) {
      const [none, mild, strong] = acidChances(which)
      expect(none + mild + strong).toBeCloseTo(1, 12)
    }
    const untested = acidChances(record({}, BURNT))[0]
    const strip = acidChances(record(STRIP_NEGATIVE, BURNT))[0]
    const oil = acidChances(record(OIL_NEGATIVE, BURNT))[0]
    expect(untested).toBeCloseTo(0.25, 12) // [practice] a burn before anything was tested
    expect(strip).toBeGreaterThan(untested)
    expect(oil).toBeGreaterThan(0.8)
    expect(strip).toBeLessThan(0.5)
  })
  test('worked by hand: after a burn 0.25/0.4/0.35, an oil kit negative 0.95/0.1/0.01', () => {
    const [none] = acidChances(record(OIL_NEGATIVE, BURNT))
    expect(none).toBeCloseTo((0.25 * 0.95) / (0.25 * 0.95 + 0.4 * 0.1 + 0.35 * 0.01), 9)
  })
  test('a dry indicator makes water less likely, a wet one more', () => {
    const [dry, open, wet] = [{ moistureIndicator: 'dry' }, {}, { moistureIndicator: 'wet' }] as const
    expect(waterChance(record(dry))).toBeLessThan(waterChance(record(open)))
    expect(waterChance(record(wet))).toBeGreaterThan(0.4)
  })
})

describe('what would change it', () => {
  const tests = (which: CleanupRecord) => settlingTests(which, circuitSize(which.unit))
  test('after a burn the oil is tested, and the branches are told', () => {
    const [first] = tests(record(STRIP_NEGATIVE, BURNT))
    expect(['oil-kit', 'look-at-oil']).toContain(first!.id)
    const kit = tests(record(STRIP_NEGATIVE, BURNT)).find(({ id }) => id === 'oil-kit')!
    expect(kit.outcomes.map(({ says, classes, oilChanges }) => [says, classes[0], oilChanges])).toEqual([
      ['negative', 'clean', 0],
      ['weak', 'mild-acid', 1],
      ['strong', 'burnout', 2],
    ])
    for (const { outcomes, gain } of tests(record({}, BURNT))) {
      expect(outcomes.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9)
      expect(gain).toBeGreaterThan(0)
    }
  })
  test('a test that was made is not asked again', () => {
    expect(tests(record(OIL_NEGATIVE, BURNT)).map(({ id }) => id)).not.toContain('oil-kit')
    expect(tests(record({ moistureIndicator: 'dry' })).map(({ id }) => id)).not.toContain('indicator')
  })
  test('an indicator is asked for where one is usual', () => {
    const box = { ...UNIT, kind: 'walk-in-cooler' as const }
    const asked = (unit: typeof UNIT) => tests(record(OIL_NEGATIVE, { unit })).map(({ id }) => id)
    expect(asked(box)).toContain('indicator')
    expect(asked(UNIT)).not.toContain('indicator')
  })
  test('found in vacuum, since when decides', () => {
    expect(tests(record(OIL_NEGATIVE, { drewAir: true })).map(({ id }) => id)).toContain('how-long')
  })
})
