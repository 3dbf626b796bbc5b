import { toKelvin } from '../../base/units/convert'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Repair } from '../../record/records/repair'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { planOf } from '../plan/basis'
import { floodedShare } from './flooding'
import { AT_DEPTH, restInside } from './restInside'

/** Each figure of the charge just below, at and just above its edge. */
describe('what is left inside: a psi over its depth', () => {
  test.each([
    [undefined, 'nothing'],
    [-20_000, 'nothing'],
    [AT_DEPTH - 1, 'nothing'],
    [AT_DEPTH, 'nothing'],
    [AT_DEPTH + 1, 'vapour'],
  ] as const)('%p Pa: %s', (standing, rest) => {
    expect(restInside(['no-liquid'], standing === undefined ? {} : { standing })).toBe(rest)
    expect(restInside([], standing === undefined ? {} : { standing })).toBe('charge')
  })
})

describe('share of a flooded condenser: nothing from 70 F up, more the colder [physics]', () => {
  const at = (fahrenheit: number) => floodedShare(toKelvin({ value: fahrenheit, unit: 'F' }))
  test.each([
    [71, 0],
    [70, 0],
    [50, 0.5], // 20 of 40 F
    [-10, 0.8], // 20 of 100 F
  ])('%d F: %p', (outdoor, share) => expect(at(outdoor)).toBeCloseTo(share, 6))
  test('just below 70 F it begins', () => {
    expect(at(69)).toBeGreaterThan(0)
    expect(at(69)).toBeLessThan(0.06)
  })
})

const SPLIT: UnitPlate = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
  factoryCharge: { value: 7, unit: 'lb' },
  oilCharge: { value: 40, unit: 'floz' },
  compressor: { oil: 'POE', type: 'scroll' },
  lineSet: {
    liquid: { value: 0.375, unit: 'in' },
    vapour: { value: 0.75, unit: 'in' },
    length: { value: 25, unit: 'ft' },
    included: { value: 15, unit: 'ft' },
  },
}
const plan = (unit: Partial<UnitPlate>, repair: Repair, fault = 'txv-underfeeding' as const) => {
  const job: KnownJob = {
    ...emptyJob({ ...SPLIT, ...unit }),
    repair,
    readingSets: [
      {
        id: 'a',
        mode: 'off',
        readings: {},
        observations: { acidTest: 'negative', acidTestKind: 'oil-kit', oilAppearance: 'clear' },
      },
    ],
  }
  return planOf(job, [fault])
}

describe('a tube condenser takes plate and lines up to a third over the plate', () => {
  const pumped = (feet: number, repair: Repair = { way: 'pump-down' }, unit: Partial<UnitPlate> = {}) =>
    plan({ ...unit, lineSet: { ...SPLIT.lineSet, length: { value: feet, unit: 'ft' } } }, repair).access
  // 0.607 oz a foot: a third of 7 lb is 37.3 oz, 61.5 ft beyond the 15 that are included
  test('just below it fits, just above it is a doubt', () => {
    expect(pumped(76)).toMatchObject({ chosen: 'pump-down', costs: [] })
    expect(pumped(77)).toMatchObject({ chosen: 'recover-all', refused: 'pump-down' })
  })
  test('who tried its valves may take it all the same, and it is said what that costs', () => {
    const taken = pumped(77, { way: 'pump-down', valvesTight: true })
    expect(taken.chosen).toBe('pump-down')
    expect(taken.costs.join()).toMatch(/more than a third over the plate/)
    expect(pumped(77, { way: 'pump-down', valvesTight: false }).chosen).toBe('recover-all')
  })
  test('a receiver holds it; a microchannel coil is a doubt; a package unit has no valve to shut, tried or not', () => {
    expect(pumped(77, { way: 'pump-down' }, { receiver: true }).chosen).toBe('pump-down')
    expect(pumped(25, { way: 'pump-down' }, { condenserCoil: 'microchannel' }).chosen).toBe('recover-all')
    const tried: Repair = { way: 'pump-down', valvesTight: true }
    expect(pumped(25, tried, { kind: 'package-ac' })).toMatchObject({ chosen: 'recover-all', costs: [] })
  })
})

describe('doubts about a condenser without a receiver, none of them where one is fitted', () => {
  const against = (unit: Partial<UnitPlate>, faults: SuspectId[] = ['txv-underfeeding']) => {
    const { ways } = planOf(
      { ...emptyJob({ ...SPLIT, ...unit }), repair: { way: 'pump-down' } },
      faults,
    ).access
    return ways.find(({ way }) => way === 'pump-down')!.against.join('; ')
  }
  const LONG = { lineSet: { ...SPLIT.lineSet, length: { value: 90, unit: 'ft' } } } as const
  test.each<[Partial<UnitPlate>, SuspectId[], RegExp]>([
    [LONG, ['txv-underfeeding'], /a third over the plate/],
    [{ condenserCoil: 'microchannel' }, ['txv-underfeeding'], /microchannel/],
    [{}, ['overcharge'], /holds too much/],
  ])('%j %j', (unit, faults, doubt) => {
    expect(against(unit, faults)).toMatch(doubt)
    expect(against({ ...unit, receiver: false }, faults)).toMatch(doubt)
    expect(against({ ...unit, receiver: true }, faults)).not.toMatch(doubt)
    expect(against({ receiver: true })).toBe('')
  })
})

describe('a new compressor: over the plate by a tenth it is poured off, short of it filled', () => {
  const oil = (out: number, ships: number) => {
    const job: KnownJob = {
      ...emptyJob(SPLIT),
      repair: { oilOut: { value: out, unit: 'floz' }, newOil: { value: ships, unit: 'floz' } },
    }
    return planOf(job, ['compressor-open-winding']).oil
  }
  const floz = (cubicMetres: number) => cubicMetres / 2.95735e-5
  test.each([
    [36, 40, 0, 0], // 4 stay: 44 of 40, a tenth over
    [35.9, 40, 0.1, 0],
    [26, 40, 10, 0],
    [40, 40, 0, 0],
    [30, 0, 0, 30], // ships empty: what came out goes in
    [30, 29, 0, 1],
  ])('%p floz out, ships with %p: %p off, %p in', (out, ships, off, into) => {
    const { newCompressor, refill } = oil(out, ships)
    expect(floz(newCompressor!.pourOff.value)).toBeCloseTo(off, 3)
    expect(floz(refill.value)).toBeCloseTo(into, 3)
  })
})
