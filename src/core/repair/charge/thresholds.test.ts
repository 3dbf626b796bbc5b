import { fromKelvin, toKelvin } from '../../base/units/convert'
import { UNITS } from '../../base/units/units'
import {
  saturatedState,
  saturationPressure,
  saturationTemperature,
} from '../../physics/refrigerants/saturation'
import type { UnitPlate } from '../../record/equipment/unit'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { Repair } from '../../record/records/repair'
import { planOf } from '../plan/basis'
import { compareRefrigerants } from './compareRefrigerants'
import { cylinderFill } from './cylinderFill'

const UNIT: UnitPlate = {
  kind: 'package-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
  factoryCharge: { value: 7, unit: 'lb' },
  oilCharge: { value: 40, unit: 'floz' },
  compressor: { oil: 'POE' },
  oldDryer: { cubicInches: 8 },
}
const job = (unit: Partial<UnitPlate> = {}, more: Partial<KnownJob> = {}): KnownJob => ({
  ...emptyJob({ ...UNIT, ...unit }),
  readingSets: [
    {
      id: 'a',
      mode: 'off',
      readings: {},
      observations: { acidTest: 'negative', acidTestKind: 'oil-kit', oilAppearance: 'clear' },
    },
  ],
  ...more,
})
const plan = (unit: Partial<UnitPlate> = {}, more: Partial<KnownJob> = {}) =>
  planOf(job(unit, more), ['txv-underfeeding'])
const POUND = UNITS.lb.si

test('flooding: an eighth of the inside is condenser, four fifths of it liquid in place of gas at the coldest day', () => {
  const kelvin = toKelvin({ value: -10, unit: 'F' })
  const { charge, size } = plan({
    kind: 'reach-in',
    refrigerant: 'R-404A',
    headPressureControl: true,
    headControl: 'flooding',
    control: { coldestOutdoor: { value: -10, unit: 'F' } },
  })
  const line = charge!.lines.find(({ id }) => id === 'flooding')!
  const swap =
    saturatedState('R-404A', 'bubble', kelvin).density - saturatedState('R-404A', 'dew', kelvin).density
  // [memory] 0.12 x 0.8 of the inner volume
  expect(line.kg! / (size.volume.value * swap)).toBeCloseTo(0.096, 9)
})

describe('a cylinder has head enough 70 kPa above the side that it fills', () => {
  const side = saturationPressure('R-410A', 'dew', toKelvin({ value: 40, unit: 'F' }))
  const enough = fromKelvin(saturationTemperature('R-410A', 'bubble', side + 70_000), 'F')
  test.each([
    [-0.5, true],
    [0.5, false],
  ])('%f F from there: warmed %s', (by, isWarmed) => {
    const repair: Repair = { cylinderAir: { value: enough + by, unit: 'F' } }
    expect(plan({}, { repair }).charge!.cylinder !== undefined).toBe(isWarmed)
  })
})

describe('what went in against what was calculated (handbook 09)', () => {
  const total = plan().charge!.total!.value
  const trim = (share: number) =>
    plan({}, { closing: { charged: { value: (total + share * 7 * POUND) / POUND, unit: 'lb' } } }).charge!
      .trim!.verdict
  test.each([
    [0.049, 'as-calculated'],
    [0.05, 'as-calculated'],
    [0.051, 'trimmed'],
    [-0.249, 'trimmed'],
    [-0.25, 'questioned'],
    [0.251, 'questioned'],
  ] as const)('%f of the plate: %s', (share, verdict) => expect(trim(share)).toBe(verdict))
})

describe('cylinder and cans', () => {
  const state = (share: number) => {
    const empty = cylinderFill('R-410A', 1, { capacity: { value: 20, unit: 'kg' } })
    const gross = { value: 10 + share * empty.limit, unit: 'kg' as const }
    return cylinderFill('R-410A', 1, {
      capacity: { value: 20, unit: 'kg' },
      tare: { value: 10, unit: 'kg' },
      gross,
    }).state
  }
  test.each([
    [0.69, 'room'],
    [0.71, 'nearly-full'],
    [0.999, 'nearly-full'],
    [1.001, 'over'],
  ] as const)('%f of its limit: %s', (share, word) => expect(state(share)).toBe(word))
  const cans = (millilitres: number) =>
    plan(
      { oilCharge: { value: 2000, unit: 'mL' } },
      { repair: { oilOut: { value: millilitres, unit: 'mL' } } },
    ).oil.cans
  test.each([
    [945, 1],
    [946, 1],
    [947, 2],
  ])('%d mL are %d quarts', (millilitres, count) => expect(cans(millilitres)).toBe(count))
  const oldCan = (hours: number) =>
    plan({}, { repair: { oilOut: { value: 30, unit: 'floz' }, oilCanOpen: hours } }).oil.reasons.join()
  test.each([
    [1, false],
    [1.1, true],
  ])('a can that was open for %f h is refused: %s', (hours, isRefused) =>
    expect(/does not go in/.test(oldCan(hours))).toBe(isRefused),
  )
})

test('a conversion starts with nine tenths of the plate, and a blend leaves its cylinder as liquid', () => {
  const r22: Partial<UnitPlate> = { refrigerant: 'R-22', compressor: { oil: 'mineral' } }
  const to = plan(r22, { repair: { refrigerantTo: 'R-407C' } })
  expect(to.charge!.lines[0]!.kg! / (7 * POUND)).toBeCloseTo(0.9, 12)
  expect(to.charge!.finish.join()).toMatch(/leaves the cylinder as liquid/)
  // R-410A glides by a fifth of a degree
  expect(plan().charge!.finish.join()).not.toMatch(/leaves the cylinder as liquid/)
})

describe('what another refrigerant may be, by its own figures (handbook 10)', () => {
  const NAMES = [
    'R-22',
    'R-407C',
    'R-438A',
    'R-427A',
    'R-422D',
    'R-404A',
    'R-448A',
    'R-134a',
    'R-513A',
  ] as const
  const rows = ['R-22', 'R-404A', 'R-134a'].flatMap((original) =>
    [-20, 0, 20, 40].flatMap((evaporating) =>
      [90, 100, 110, 120, 130].flatMap((condensing) => {
        const point = {
          evaporating: toKelvin({ value: evaporating, unit: 'F' }),
          condensing: toKelvin({ value: condensing, unit: 'F' }),
          superheat: 6,
          subcooling: 5,
          efficiency: 0.7,
        }
        const { rows: all } = compareRefrigerants(original as (typeof NAMES)[number], NAMES, point, {})
        const own = all.find(({ name }) => name === original)!
        return all.filter(({ name }) => name !== original).map((row) => ({ row, own }))
      }),
    ),
  )
  const says = (reasons: readonly string[], words: RegExp) => reasons.some((reason) => words.test(reason))
  /** Rows lie near a limit on both sides, so that a slip of a fifth is seen. */
  const near = (ratios: readonly number[], limit: number) => {
    expect(ratios.some((ratio) => ratio > limit && ratio < limit * 1.2)).toBe(true)
    expect(ratios.some((ratio) => ratio <= limit && ratio > limit * 0.85)).toBe(true)
  }
  test('capacity from 0.8 to 1.2 of the original', () => {
    near(
      rows.map(({ row }) => row.relativeCapacity),
      0.8,
    )
    near(
      rows.map(({ row }) => row.relativeCapacity),
      1.2,
    )
    for (const { row } of rows)
      expect(says(row.suitability.reasons, /no longer fit/)).toBe(
        row.relativeCapacity < 0.8 || row.relativeCapacity > 1.2,
      )
  })
  test('a high side to 1.1 of the original where the plate is silent', () => {
    const ratios = rows.map(({ row, own }) => row.cycle.dischargePressure / own.cycle.dischargePressure)
    near(ratios, 1.1)
    rows.forEach(({ row }, i) =>
      expect(says(row.suitability.reasons, /beyond what the equipment/)).toBe(ratios[i]! > 1.1),
    )
  })
  test('a glide of 2 K more, and 8 K more of discharge, are told', () => {
    for (const { row, own } of rows.filter(({ row: { suitability } }) => suitability.verdict !== 'refused')) {
      const { reasons } = row.suitability
      expect(says(reasons, /^Glides/)).toBe(row.cycle.evaporatingGlide > own.cycle.evaporatingGlide + 2)
      expect(says(reasons, /^Discharges hotter/)).toBe(
        row.cycle.dischargeTemperature > own.cycle.dischargeTemperature + 8,
      )
    }
  })
})
