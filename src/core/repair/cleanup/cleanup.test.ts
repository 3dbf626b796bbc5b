import { emptyJob, type KnownJob } from '../../record/job/job'
import { DEFAULT_POLICY } from '../../record/policy/policy'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations } from '../../record/readings/schema'
import { acidLedger, oilChangesFor } from './acid'
import { circuitSize } from './circuitSize'
import {
  CLASS_LABELS,
  classify,
  CONTAMINATION_CLASSES,
  type ContaminationClass,
  isAcid,
  isBurnout,
  isWet,
} from './contamination'
import { DRYER_CATALOGUE } from './dryerCatalogue'
import { chooseDryers, type DryerNeed, usableWater } from './dryers'
import { cleanupRecord, type CleanupRecord } from './record'
import { waterLedger } from './water'

const plate = (part: Partial<UnitPlate> = {}): UnitPlate => ({
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
  ...part,
})
const record = (observations: Observations, part: Partial<CleanupRecord> = {}): CleanupRecord => ({
  unit: plate(),
  observations,
  previousBurnout: false,
  drewAir: false,
  faults: [],
  ...part,
})

describe('clean-up class, handbook 06', () => {
  const CASES: readonly (readonly [string, CleanupRecord, ContaminationClass])[] = [
    ['nothing found', record({ acidTest: 'negative', oilAppearance: 'clear' }), 'clean'],
    ['weak acid', record({ acidTest: 'weak' }), 'mild-acid'],
    ['dark oil', record({ oilAppearance: 'dark' }), 'mild-acid'],
    ['strong acid', record({ acidTest: 'strong' }), 'burnout'],
    ['burnt oil', record({ oilAppearance: 'burnt-smell' }), 'burnout'],
    ['burnt refrigerant', record({ refrigerantSmell: 'yes' }), 'burnout'],
    ['wet indicator', record({ moistureIndicator: 'wet' }), 'wet'],
    ['milky oil', record({ oilAppearance: 'milky' }), 'wet'],
    ['copper plating', record({ copperPlating: 'yes' }), 'wet'],
    ['ice in the valve', record({ warmValveResponse: 'flow-returned' }), 'wet'],
    ['open for weeks', record({ hoursOpenToAir: 400 }), 'wet'],
    ['open for two hours in rain', record({ hoursOpenToAir: 2, openConditions: 'rain' }), 'wet'],
    ['wet and weak acid', record({ moistureIndicator: 'wet', acidTest: 'weak' }), 'wet-acid'],
    ['metal in the oil', record({ oilAppearance: 'metal-flakes' }), 'debris'],
    ['plugged screen', record({}, { faults: ['txv-inlet-screen-plugged'] }), 'debris'],
    ['plugged capillary', record({}, { faults: ['capillary-plugged'] }), 'waxed'],
    ['ice as the fault', record({}, { faults: ['moisture-freeze-at-valve'] }), 'wet'],
    ['earlier burnout, never tested', record({}, { previousBurnout: true }), 'mild-acid'],
  ]
  test.each(CASES)('%s', (_name, which, expected) => {
    const result = classify(which)
    expect(result.class).toBe(expected)
    expect(result.evidence.length).toBeGreaterThan(0)
  })
  test.each([
    ['open for a working day', record({ hoursOpenToAir: 8 })],
    ['open for two dry hours', record({ hoursOpenToAir: 2, openConditions: 'dry' })],
    ['indicator between', record({ moistureIndicator: 'caution' })],
    ['earlier burnout with a negative test', record({ acidTest: 'negative' }, { previousBurnout: true })],
  ])('%s stays clean', (_name, which) => expect(classify(which).class).toBe('clean'))
  test('graver classes keep the lighter ones as further work', () => {
    const result = classify(record({ acidTest: 'strong', oilAppearance: 'metal-flakes' }))
    expect(result).toMatchObject({ class: 'burnout', also: ['debris'] })
    expect([isAcid(result), isBurnout(result), isWet(result)]).toEqual([true, true, false])
    expect(classify(record({ moistureIndicator: 'wet', acidTest: 'strong' }))).toMatchObject({
      class: 'wet-acid',
      also: ['burnout'],
    })
  })
  test('a strip test is called weak evidence, a missing test is asked for', () => {
    expect(
      classify(record({ acidTest: 'negative', acidTestKind: 'refrigerant-strip' })).evidence.join(),
    ).toMatch(/test the oil/)
    expect(classify(record({})).evidence.join()).toMatch(/No acid test/)
  })
  test('every class has a label', () => {
    for (const name of CONTAMINATION_CLASSES) expect(CLASS_LABELS[name].length).toBeGreaterThan(2)
  })
})

test('a later set replaces an earlier observation', () => {
  const job: KnownJob = {
    ...emptyJob(plate()),
    arrival: { previousBurnout: true },
    readingSets: [
      { id: 'a', mode: 'cooling', readings: {}, observations: { acidTest: 'strong', oilAppearance: 'dark' } },
      { id: 'b', mode: 'cooling', readings: {}, observations: { acidTest: 'negative' } },
    ],
  }
  expect(cleanupRecord(job)).toMatchObject({
    observations: { acidTest: 'negative', oilAppearance: 'dark' },
    previousBurnout: true,
  })
})

describe('acid ledger: TAN after n changes = TAN0 x f^n', () => {
  test('handbook 06: f 0.25 and TAN 0.30 takes two changes to 0.019', () => {
    expect(oilChangesFor(0.3, 0.05, 0.25)).toBe(2)
    expect(acidLedger(classify(record({ acidTest: 'strong' }))).after.at(-1)).toBeCloseTo(0.01875, 6)
  })
  test.each([
    [0.04, 0],
    [0.1, 1],
    [0.8, 3],
    [1e9, 6],
  ])('TAN %f takes %i', (before, changes) => expect(oilChangesFor(before, 0.05, 0.25)).toBe(changes))
  test('no acid, no change', () =>
    expect(acidLedger(classify(record({ acidTest: 'negative' })))).toMatchObject({ changes: 0, after: [] }))
})

describe('circuit size', () => {
  test('the plate leads; what is missing is assumed and said', () => {
    const known = circuitSize(
      plate({
        factoryCharge: { value: 4.53592, unit: 'kg' },
        oilCharge: { value: 1, unit: 'floz' },
        compressor: { oil: 'PVE' },
      }),
    )
    expect(known.assumed).toEqual([])
    expect(known.oilVolume).toBeCloseTo(29.57e-6, 7)
    const unknown = circuitSize({ kind: 'split-ac', refrigerant: 'R-22', metering: 'txv' })
    expect(unknown.assumed).toHaveLength(4)
    expect(unknown.oil).toBe('mineral')
  })
  test('a 10 lb circuit holds some ten litres', () => {
    const { volume } = circuitSize(plate({ factoryCharge: { value: 10, unit: 'lb' } }))
    expect(volume * 1000).toBeGreaterThan(8)
    expect(volume * 1000).toBeLessThan(16)
  })
})

describe('water ledger: grams in against grams out', () => {
  const ledger = (observations: Observations, changes = 0) => {
    const which = record(observations)
    return waterLedger(which, classify(which), circuitSize(which.unit), changes)
  }
  const CASES: readonly Observations[] = [
    {},
    { moistureIndicator: 'wet' },
    { hoursOpenToAir: 300, openConditions: 'rain' },
    { oilAppearance: 'milky', warmValveResponse: 'flow-returned' },
  ]
  test.each(CASES)('balances: %o', (observations) => {
    for (const changes of [0, 1, 2]) {
      const { sources, sinks, total, removed, remainder } = ledger(observations, changes)
      expect(sources.reduce((sum, { kg }) => sum + kg, 0)).toBeCloseTo(total, 12)
      expect(sinks.reduce((sum, { kg }) => sum + kg, 0)).toBeCloseTo(removed, 12)
      expect(removed + remainder).toBeCloseTo(total, 12)
      expect(remainder).toBeGreaterThanOrEqual(0)
    }
  })
  test('a sweep takes vapour only: at most 21.7 g/m3 x volume each', () => {
    const { sinks, sweeps } = ledger({ moistureIndicator: 'wet', oilAppearance: 'milky' })
    const { volume } = circuitSize(plate())
    const swept = sinks.find(({ label }) => label.includes('sweep'))!.kg
    expect(sweeps).toBe(3)
    expect(swept).toBeLessThanOrEqual(3 * 0.0217 * volume * 1.02)
  })
  test('each oil change leaves less for the dryer; a longer opening brings more in', () => {
    const wet: Observations = { moistureIndicator: 'wet', oilAppearance: 'milky' }
    expect(ledger(wet, 2).remainder).toBeLessThan(ledger(wet, 0).remainder)
    expect(ledger({ hoursOpenToAir: 500 }).total).toBeGreaterThan(ledger({ hoursOpenToAir: 30 }).total)
  })
  test('POE saturated with water holds far more than mineral oil [memory: 1,500-2,500 against 60-80 ppm]', () => {
    const of = (unit: UnitPlate) => {
      const which = record({ oilAppearance: 'milky' }, { unit })
      return waterLedger(which, classify(which), circuitSize(unit), 0).sources.find(({ label }) =>
        label.includes('oil'),
      )!.kg
    }
    expect(of(plate()) / of(plate({ compressor: { oil: 'mineral' } }))).toBeGreaterThan(15)
  })
})

describe('dryers', () => {
  const need = (observations: Observations, part: Partial<UnitPlate> = {}, water?: number): DryerNeed => {
    const unit = plate(part)
    const which = record(observations, { unit })
    const contamination = classify(which)
    const size = circuitSize(unit)
    return {
      unit,
      size,
      contamination,
      water: water ?? waterLedger(which, contamination, size, 0).remainder,
      policy: DEFAULT_POLICY,
      previousBurnout: false,
    }
  }
  const liquid = (...args: Parameters<typeof need>) =>
    chooseDryers(need(...args)).find(({ place }) => place === 'liquid')!
  const suction = (...args: Parameters<typeof need>) =>
    chooseDryers(need(...args)).find(({ place }) => place === 'suction')
  const CLEAN: Observations = { acidTest: 'negative' }

  test('clean: the smallest sieve core that carries the tons', () => {
    expect(liquid(CLEAN).chosen).toMatchObject({
      block: 8,
      core: 'sieve',
      flow: 'one-way',
      highPressure: true,
    })
    expect(suction(CLEAN)).toBeUndefined()
  })
  test('burnout: two sizes up, acid-rich, and a suction dryer', () => {
    expect(liquid({ acidTest: 'strong' }).chosen).toMatchObject({ block: 30, core: 'high-acid' })
    expect(suction({ acidTest: 'strong' })!.chosen).toMatchObject({ core: 'high-acid' })
  })
  test('wet: the larger of what tons and water ask', () => {
    expect(liquid({ moistureIndicator: 'wet' }).chosen!.block).toBeGreaterThan(liquid(CLEAN).chosen!.block)
    const much = need({ moistureIndicator: 'wet' }, {}, 0.0045)
    const { chosen } = chooseDryers(much)[0]!
    expect(usableWater(chosen!, much.unit)).toBeGreaterThanOrEqual(2 * 0.0045)
  })
  test('a split heat pump gets a bi-flow liquid dryer, its suction dryer between valve and compressor', () => {
    const part = { kind: 'split-heat-pump' as const }
    expect(liquid({ acidTest: 'weak' }, part).chosen!.flow).toBe('bi-flow')
    expect(
      liquid({ acidTest: 'weak' }, part)
        .refused.find(({ dryer }) => dryer.flow === 'one-way')!
        .reasons.join(),
    ).toMatch(/reverses/)
    expect(suction({ acidTest: 'weak' }, part)!.reasons.join()).toMatch(
      /between reversing valve and compressor/,
    )
  })
  test('the higher pressure class for R-410A, R-32 and R-454B; the reason is given', () => {
    for (const refrigerant of ['R-410A', 'R-32', 'R-454B'] as const) {
      const choice = liquid({ acidTest: 'strong' }, { refrigerant })
      expect(choice.chosen!.highPressure).toBe(true)
      expect(
        choice.refused
          .filter(({ dryer }) => !dryer.highPressure)
          .every(({ reasons }) => reasons.join().includes('pressure')),
      ).toBe(true)
    }
    expect(liquid({ acidTest: 'strong' }, { refrigerant: 'R-22' }).chosen!.highPressure).toBe(false)
  })
  test('every refusal has a reason, and no dryer is both chosen and refused', () => {
    for (const observations of [
      CLEAN,
      { acidTest: 'strong' },
      { moistureIndicator: 'wet' },
      { oilAppearance: 'metal-flakes' },
    ] as Observations[]) {
      for (const choice of chooseDryers(need(observations))) {
        expect(choice.refused.every(({ reasons }) => reasons.length > 0)).toBe(true)
        expect(choice.refused.map(({ dryer }) => dryer.id)).not.toContain(choice.chosen?.id)
      }
    }
  })
  test('forty tons fit no generic size: it says so instead of choosing a small one', () => {
    const choice = liquid(CLEAN, { nominalTons: 40 })
    expect(choice.chosen).toBeUndefined()
    expect(choice.reasons.join()).toMatch(/two in parallel/)
    expect(choice.extraCharge).toBe(0)
  })
  test('a larger block holds more charge [physics: volume x fill x liquid density]', () => {
    const small = liquid(CLEAN)
    const large = liquid(CLEAN, { nominalTons: 10 })
    expect(large.extraCharge / small.extraCharge).toBeCloseTo(large.chosen!.block / small.chosen!.block, 6)
  })
  test.each([
    [{ acidTest: 'weak' }, true],
    [{ oilAppearance: 'metal-flakes' }, true],
    [{ moistureIndicator: 'wet' }, false],
    [CLEAN, false],
  ] as const)('suction dryer for %o: %s', (observations, wanted) =>
    expect(suction(observations) !== undefined).toBe(wanted),
  )
  test('catalogue ids are unique, sizes grow in tons and water', () => {
    expect(new Set(DRYER_CATALOGUE.map(({ id }) => id)).size).toBe(DRYER_CATALOGUE.length)
    const sieves = DRYER_CATALOGUE.filter(({ place, core }) => place === 'liquid' && core === 'sieve')
    expect(sieves.map(({ tons }) => tons)).toEqual(sieves.map(({ tons }) => tons).sort((a, b) => a - b))
    expect(sieves.map(({ waterR22 }) => waterR22)).toEqual([1.5, 2.8, 5, 10, 19, 27]) // handbook 06 [memory]
  })
})
