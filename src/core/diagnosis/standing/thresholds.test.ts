import { differenceToKelvin, toKelvin } from '../../base/units/convert'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Readings } from '../../record/readings/schema'
import { takeSnapshot } from '../../record/readings/snapshot'
import { chargeShare } from './chargeShare'
import { standingCircuit, type StandingState } from './standingCircuit'

const AIR = 101_325
const UNIT: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
/** A standing pressure in Pa absolute, at 75 F of outdoor air and as much inside, with the inside unread, or with no temperature at all. */
const stateAt = (
  pascals: number,
  outdoor: number | null = 75,
  inside: number | null = outdoor,
): StandingState | undefined => {
  const readings: Readings = {
    standingPressure: { value: pascals / 1000, unit: 'kPa' },
    ...(outdoor === null ? {} : { outdoorAirTemp: { value: outdoor, unit: 'F' } }),
    ...(inside === null ? {} : { returnAirTemp: { value: inside, unit: 'F' } }),
  }
  const snapshot = takeSnapshot({ mode: 'off', readings, observations: {} }, 'R-410A', AIR)
  return standingCircuit(UNIT, snapshot)?.state
}
/** What the gauge itself errs by, Pa. */
const errorAt = (pascals: number) =>
  takeSnapshot(
    { mode: 'off', readings: { standingPressure: { value: pascals / 1000, unit: 'kPa' } }, observations: {} },
    'R-410A',
    AIR,
  ).values.standingPressure!.error

describe('a standing circuit, just below and just above (handbook 13)', () => {
  const at = (fahrenheit: number) =>
    saturationPressure('R-410A', 'dew', toKelvin({ value: fahrenheit, unit: 'F' }))
  const over = (fahrenheit: number) =>
    saturationPressure('R-410A', 'bubble', toKelvin({ value: fahrenheit, unit: 'F' }))
  test('saturation within 4 F and the error of the gauge', () => {
    const [low, high] = [at(71), over(79)]
    expect(stateAt(low - errorAt(low) + 500)).toBe('liquid')
    expect(stateAt(low - errorAt(low) - 500)).toBe('vapour-only')
    expect(stateAt(high + errorAt(high) - 500)).toBe('liquid')
    expect(stateAt(high + errorAt(high) + 500)).toBe('over')
  })
  test.each([
    [-10_300, 'vacuum'],
    [-10_100, 'empty'],
    [6_900, 'empty'],
    [7_100, 'vapour-only'],
  ] as const)('%d Pa over the air: %s', (gauge, state) => expect(stateAt(AIR + gauge)).toBe(state))
  test('a cooled side that was not read may hold liquid down to 60 F: less than its saturation alone tells', () => {
    const least = at(56)
    expect(stateAt(least - errorAt(least) - 500, 97, null)).toBe('vapour-only')
    expect(stateAt(least - errorAt(least) + 500, 97, null)).toBeUndefined()
    // a full charge beside a cool room on a hot day
    expect(stateAt(at(76), 97, null)).toBeUndefined()
    expect(stateAt(at(76), 97, 76)).toBe('liquid')
  })
  test('without a temperature only less than saturation at -20 F tells', () => {
    const least = at(-24) // 4 F of tolerance below the coldest place there is
    expect(stateAt(least - errorAt(least) - 500, null)).toBe('vapour-only')
    expect(stateAt(least - errorAt(least) + 500, null)).toBeUndefined()
    expect(differenceToKelvin(4, 'F')).toBeCloseTo(2.222, 3)
  })
})

test('the share of the plate on both sides of how full a circuit is: 15, 25 and 37 %', () => {
  const { low, likely, high } = chargeShare('R-410A', 4e5, 297.04)!
  expect(likely / low).toBeCloseTo(0.37 / 0.25, 9)
  expect(high / likely).toBeCloseTo(0.25 / 0.15, 9)
})
