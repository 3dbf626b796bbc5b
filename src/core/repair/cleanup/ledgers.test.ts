import { known } from '../../base/known/known'
import { runs, seedOf } from '../../../../tools/run/propertyRuns'
import fc from 'fast-check'
import psychrolib from 'psychrolib'
import { absoluteHumidity } from '../../physics/air/psychrometrics'
import type { UnitPlate } from '../../record/equipment/unit'
import { DEFAULT_POLICY } from '../../record/policy/policy'
import type { Observations } from '../../record/readings/schema'
import { acidLedger, MOST_CHANGES, oilChangesFor } from './acid'
import { circuitSize } from './circuitSize'
import { planCleanup } from './cleanup'
import { classify } from './contamination'
import { oilMassOf, oilVolumeOf } from './oils'
import type { CleanupRecord } from './record'
import { SAMPLE_UNIT, sampleRecord as record } from './sampleRecord'
import { tonsEstimates } from './tons'
import { DRAINED } from './drained'
import { waterLedger } from './water'
import { capacityOf, waterAsFound } from './waterFound'

const plate = (part: Partial<UnitPlate> = {}): UnitPlate => ({ ...SAMPLE_UNIT, ...part })
const SIDES = ['low', 'likely', 'high'] as const
const CLEAN = { oilChanges: 0, sweeps: 1, hours: 0.6 }

describe('acid ledger: TAN after n changes = TAN0 x f^n', () => {
  test('handbook 06: f 0.25 and TAN 0.30 takes two changes to 0.019', () => {
    expect(oilChangesFor(0.3, 0.05, 0.25)).toBe(2)
    const which = record({ acidTest: 'strong' })
    const ledger = acidLedger(which, classify(which, circuitSize(which.unit)), circuitSize(which.unit))
    expect(ledger.after.at(-1)!.tan).toBeCloseTo(0.01875, 9)
    expect(ledger.changesHigh).toBeGreaterThanOrEqual(ledger.changes)
  })
  test('a change leaves a quarter, not three quarters', () =>
    expect(1 - DRAINED.likely).toBeCloseTo(0.25, 12))
  test.each([
    [0, 0],
    [0.0499, 0],
    [0.05, 1],
    [0.1999, 1],
    [0.2, 2],
    [0.8, 3],
    [50, 5],
    [1e9, 6],
  ])('TAN %f takes %i', (before, changes) => expect(oilChangesFor(before, 0.05, 0.25)).toBe(changes))
  test('no acid, no change; the laboratory leads', () => {
    const of = (which: CleanupRecord) =>
      acidLedger(which, classify(which, circuitSize(which.unit)), circuitSize(which.unit))
    expect(of(record({ acidTest: 'negative' }))).toMatchObject({ changes: 0, after: [], retestHours: [] })
    expect(of(record({}, { repair: { acidNumber: 0.19 } }))).toMatchObject({
      changes: 1,
      isMeasured: true,
      retestHours: [4, 24, 72],
    })
    expect(of(record({}, { repair: { acidNumber: 0.21 } })).changes).toBe(2)
  })
  test('more acid never takes fewer changes, and over the whole range more', () => {
    const at = (acidNumber: number) => {
      const which = record({}, { repair: { acidNumber } })
      return planCleanup({ record: which, policy: DEFAULT_POLICY, refrigerant: 'R-410A' })
    }
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (a, b) => {
          const [less, more] = a < b ? [at(a), at(b)] : [at(b), at(a)]
          expect(more.oilChanges).toBeGreaterThanOrEqual(less.oilChanges)
          expect(more.acid.changesHigh).toBeGreaterThanOrEqual(less.acid.changesHigh)
        },
      ),
      { numRuns: runs(60, 600), seed: seedOf(13) },
    )
    expect(at(5).oilChanges).toBeGreaterThan(at(0).oilChanges)
    expect(at(50).oilChanges).toBeLessThanOrEqual(MOST_CHANGES)
  })
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
    expect(known.oilVolume.value).toBeCloseTo(29.5735e-6, 9)
    const unknown = circuitSize({ kind: 'split-ac', refrigerant: 'R-22', metering: 'txv' })
    expect(unknown.assumed).toHaveLength(4)
    expect(unknown.oil.value).toBe('mineral')
  })
  test('a 10 lb circuit holds some ten to twenty litres', () => {
    const { volume } = circuitSize(plate({ factoryCharge: { value: 10, unit: 'lb' } }))
    expect(volume.value * 1000).toBeCloseTo((4.5359 / 1064.4 / 0.25) * 1000, 1) // reference library: 1,064.4 kg/m3 at 75 F
  })
  test('a 12 oz fridge is a tenth of a ton, not three', () => {
    const fridge = circuitSize({
      kind: 'reach-in',
      refrigerant: 'R-134a',
      metering: 'capillary',
      factoryCharge: { value: 12, unit: 'oz' },
    })
    expect(fridge.tons.value).toBeCloseTo(0.1, 2)
    expect(fridge.isAppliance.value).toBe(true)
    expect(fridge.oilVolume.value * 1e6).toBeCloseTo(200, 6)
    expect(fridge.assumed.join()).toMatch(/0\.10 tons by plate charge/)
  })
  test('displacement tells the tons of a small scroll within a third [physics]', () => {
    // [memory] a 60 Hz three-ton scroll for R-410A sweeps about 29 cm3 a turn at 3,500 rpm: 6.1 m3/h
    const [estimate] = tonsEstimates(
      plate({ nominalTons: undefined, compressor: { displacement: { value: 6.1, unit: 'm3/h' } } } as never),
    )
    expect(estimate!.by).toBe('displacement')
    expect(estimate!.tons).toBeGreaterThan(2)
    expect(estimate!.tons).toBeLessThan(4)
  })
  test('oil by weight and by volume, handbook 06: 28 oz weighed is 27.4 fl oz of POE, 29.5 of mineral', () => {
    const ounces = 28 * 0.028349523125
    const floz = 29.5735295625e-6
    expect(oilVolumeOf(ounces, 'POE') / floz).toBeCloseTo(27.4, 1)
    expect(oilVolumeOf(ounces, 'mineral') / floz).toBeCloseTo(29.5, 1)
    expect(oilMassOf(oilVolumeOf(ounces, 'PVE'), 'PVE')).toBeCloseTo(ounces, 12)
  })
})

describe('humidity', () => {
  test('saturated vapour density at 75 F against ASHRAE through psychrolib: 21.6 g/m3', () => {
    psychrolib.SetUnitSystem(psychrolib.SI)
    const celsius = ((75 - 32) * 5) / 9
    const pascals = psychrolib.GetSatVapPres(celsius)
    expect(absoluteHumidity(297.039, 1) * 1000).toBeCloseTo(
      (pascals * 18.015 * 1000) / (8314.46 * 297.039),
      2,
    )
    expect(absoluteHumidity(297.039, 1) * 1000).toBeCloseTo(21.6, 1)
    // the same by humidity ratio: kg of vapour in the volume of a kg of dry air
    const ratio = psychrolib.GetSatHumRatio(celsius, 101325)
    const volume = psychrolib.GetMoistAirVolume(celsius, ratio, 101325)
    expect((ratio / volume) * 1000).toBeCloseTo(absoluteHumidity(297.039, 1) * 1000, 1)
  })
  test('handbook 06: 10 L, 1.2 kg POE, 80 %: 9 ppm after a day, 280 after a month, never past the cap', () => {
    const unit = plate({ oilCharge: { value: 1200 / 0.98, unit: 'mL' }, compressor: { oil: 'POE' } })
    const size = { ...circuitSize(unit), volume: known(0.01, 'measured', 'filled with water') }
    const inOil = (days: number) => {
      const found = waterAsFound(
        record({ hoursOpenToAir: days * 24, openConditions: 'humid' }, { unit }),
        size,
        'likely',
      )
      return { ppm: (found.entered / size.oilMass.value) * 1e6, all: found.before + found.entered }
    }
    expect(inOil(1).ppm).toBeCloseTo(9.4, 1)
    expect(inOil(30).ppm).toBeCloseTo(281, 0)
    const capacity = capacityOf(size).all
    for (const days of [213, 365, 730, 7300])
      expect(inOil(days).all).toBeLessThanOrEqual(0.8 * capacity + 1e-12)
    expect(inOil(7300).all).toBeCloseTo(0.8 * capacity, 9)
    expect(inOil(7300).all * 1000).toBeCloseTo(0.8 * 3.236, 2)
  })
})

describe('water ledger: grams in against grams out', () => {
  const ledger = (observations: Observations, work = CLEAN, part: Partial<CleanupRecord> = {}) => {
    const which = record(observations, part)
    return waterLedger(which, circuitSize(which.unit), work)
  }
  const CASES: readonly Observations[] = [
    {},
    { moistureIndicator: 'wet' },
    { hoursOpenToAir: 300, openConditions: 'rain' },
    { oilAppearance: 'milky', warmValveResponse: 'flow-returned' },
    { waterFound: 'runs-out', hoursOpenToAir: 9000, openConditions: 'coastal' },
  ]
  test.each(CASES)('balances on every side: %o', (observations) => {
    for (const oilChanges of [0, 1, 2])
      for (const sweeps of [1, 3, 6]) {
        const { sources, sinks, total, removed, remainder } = ledger(observations, {
          oilChanges,
          sweeps,
          hours: 4,
        })
        for (const side of SIDES) {
          const sum = (lines: typeof sources) => lines.reduce((all, { kg }) => all + kg[side], 0)
          expect(sum(sources)).toBeCloseTo(total[side], 12)
          expect(sum(sinks)).toBeCloseTo(removed[side], 12)
          expect(removed[side] + remainder[side]).toBeCloseTo(total[side], 12)
          expect(remainder[side]).toBeGreaterThanOrEqual(-1e-12)
        }
        expect(remainder.low).toBeLessThanOrEqual(remainder.likely)
        expect(remainder.likely).toBeLessThanOrEqual(remainder.high)
      }
  })
  test('a sweep takes vapour only: at most 21.63 g/m3 x volume each, just that over free water', () => {
    const { sinks } = ledger({ waterFound: 'runs-out' }, { oilChanges: 0, sweeps: 3, hours: 1 })
    const swept = sinks.find(({ id }) => id === 'sweep')!.kg.likely * 1000
    expect(swept).toBeCloseTo(3 * 21.63 * circuitSize(plate()).volume.value, 2)
    const dry = ledger({}, { oilChanges: 0, sweeps: 3, hours: 1 })
    expect(dry.sinks.find(({ id }) => id === 'sweep')!.kg.likely * 1000).toBeLessThan(swept / 10)
  })
  test('one change takes three quarters of what the oil holds', () => {
    const which = record({ oilAppearance: 'milky' })
    const size = circuitSize(which.unit)
    const found = waterAsFound(which, size, 'likely')
    const inOil = (found.before * capacityOf(size).oil) / capacityOf(size).all
    const change = ledger({ oilAppearance: 'milky' }, { ...CLEAN, oilChanges: 1 }).sinks.find(
      ({ id }) => id === 'oilChange',
    )!
    expect(change.kg.likely).toBeCloseTo(0.75 * inOil, 9)
  })
  test('boiling water leaves at 16 g an hour [physics: 1 L/s at 611 Pa and 75 F]', () => {
    const { sinks, boilMinutes } = ledger({ waterFound: 'runs-out' }, { oilChanges: 0, sweeps: 1, hours: 24 })
    const boiled = sinks.find(({ id }) => id === 'boiled')!.kg.likely * 1000
    expect(boiled / (boilMinutes / 60)).toBeCloseTo((3600 * 0.001 * 611.66 * 1000) / (461.52 * 297.039), 1)
  })
  test('each step leaves less for the dryer', () => {
    const wet: Observations = { waterFound: 'drops', moistureIndicator: 'wet' }
    const left = (work: typeof CLEAN) => ledger(wet, work).remainder.likely
    expect(left({ oilChanges: 1, sweeps: 3, hours: 4 })).toBeLessThan(
      left({ oilChanges: 0, sweeps: 3, hours: 4 }),
    )
    expect(left({ oilChanges: 1, sweeps: 4, hours: 4 })).toBeLessThan(
      left({ oilChanges: 1, sweeps: 3, hours: 4 }),
    )
    expect(left({ oilChanges: 1, sweeps: 3, hours: 8 })).toBeLessThan(
      left({ oilChanges: 1, sweeps: 3, hours: 4 }),
    )
  })
  test('POE saturated with water holds far more than mineral oil [memory: 2,500 against 80 ppm]', () => {
    const of = (unit: UnitPlate) => capacityOf(circuitSize(unit)).oil
    expect(
      of(plate({ compressor: { oil: 'POE' } })) / of(plate({ compressor: { oil: 'mineral' } })),
    ).toBeCloseTo((2500 * 980) / (80 * 910), 6)
  })
  test.each(['mineral', 'alkylbenzene', 'POE', 'PVE'] as const)(
    'a wetter word never means less water: %s',
    (oil) => {
      const unit = plate({ compressor: { oil } })
      const size = circuitSize(unit)
      const words: readonly Observations[] = [
        { moistureIndicator: 'dry' },
        {},
        { moistureIndicator: 'caution' },
        { moistureIndicator: 'wet' },
        { oilAppearance: 'milky' },
        { waterFound: 'drops' },
        { waterFound: 'runs-out' },
      ]
      for (const side of SIDES) {
        const found = words.map((observations) => {
          const { before, free } = waterAsFound(record(observations, { unit }), size, side)
          return before + free
        })
        found.slice(1).forEach((water, i) => expect(water).toBeGreaterThanOrEqual(found[i]!))
        expect(found.at(-1)).toBeGreaterThan(found[0]!)
      }
    },
  )
  test('free water only where rain or a coil let it in, or where it was seen', () => {
    const free = (observations: Observations) =>
      waterAsFound(record(observations), circuitSize(plate()), 'likely').free
    for (const dry of [
      {},
      { hoursOpenToAir: 9000, openConditions: 'coastal' },
      { moistureIndicator: 'wet' },
    ] as const)
      expect(free(dry)).toBe(0)
    expect(free({ hoursOpenToAir: 0.9, openConditions: 'rain' })).toBe(0)
    expect(free({ hoursOpenToAir: 1, openConditions: 'rain' })).toBeGreaterThan(0)
    expect(free({ waterFound: 'runs-out' })).toBeGreaterThan(free({ waterFound: 'drops' }))
  })
})
