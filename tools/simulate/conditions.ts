// Weather, rooms, boxes and water that a unit may meet, at random.
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { RandomSource } from '@/core/base/numeric/random'
import type { Conditions, RunningMode } from '@/core/simulate/conditions'
import { wetBulb } from '@/core/physics/air/psychrometrics'
import { toKelvin } from '@/core/base/units/convert'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const ATMOSPHERE = 101_325

/** Conditions in which the unit would be running in this mode. */
export function randomConditions(unit: UnitPlate, mode: RunningMode, random: RandomSource): Conditions {
  const between = (low: number, high: number) => f(low + (high - low) * random())
  const isPool = unit.kind === 'pool-heat-pump'
  const heating = mode === 'heating' && !isPool
  const isFreezer = unit.kind === 'walk-in-freezer'
  const returnAirTemp = heating ? between(64, 74) : between(70, 80)
  const humidity = heating ? 0.4 : 0.35 + 0.35 * random()
  return {
    outdoorAirTemp: heating ? between(12, 62) : isPool ? between(55, 95) : between(60, 102),
    outdoorHumidity: 0.4 + 0.45 * random(),
    returnAirTemp,
    returnAirWetBulb: wetBulb(returnAirTemp, humidity, ATMOSPHERE),
    boxTemp: isFreezer ? between(-10, 4) : between(34, 40),
    boxHumidity: 0.7 + 0.2 * random(),
    waterInTemp: isPool ? between(74, 88) : heating ? between(50, 75) : between(65, 88),
  }
}
