import type { RefrigerantName } from './catalogue'
import { saturationPressure, saturationTemperature } from './saturation'

/** [physics] A blend enters an evaporator partly flashed: its mean lies one third from bubble to dew (handbook 02). */
const EVAPORATING_DEW_SHARE = 2 / 3
const CONDENSING_DEW_SHARE = 1 / 2

function mean(name: RefrigerantName, pascals: number, dewShare: number): number {
  const bubble = saturationTemperature(name, 'bubble', pascals)
  return bubble + dewShare * (saturationTemperature(name, 'dew', pascals) - bubble)
}

/** Mean evaporating temperature for heat-exchanger comparisons, K; absolute pressure in Pa. */
export const meanEvaporating = (name: RefrigerantName, pascals: number): number =>
  mean(name, pascals, EVAPORATING_DEW_SHARE)

/** Mean condensing temperature for heat-exchanger comparisons, K; absolute pressure in Pa. */
export const meanCondensing = (name: RefrigerantName, pascals: number): number =>
  mean(name, pascals, CONDENSING_DEW_SHARE)

const ROUNDS = 5

/** Bubble temperature at which the mean condensing temperature is reached, K. @throws OrzoError out-of-range */
export function bubbleAtMeanCondensing(name: RefrigerantName, wanted: number): number {
  let bubble = wanted
  for (let round = 0; round < ROUNDS; round++) {
    bubble += wanted - meanCondensing(name, saturationPressure(name, 'bubble', bubble))
  }
  return bubble
}

/** Dew temperature at which the mean evaporating temperature is reached, K. @throws OrzoError out-of-range */
export function dewAtMeanEvaporating(name: RefrigerantName, wanted: number): number {
  let dew = wanted
  for (let round = 0; round < ROUNDS; round++) {
    dew += wanted - meanEvaporating(name, saturationPressure(name, 'dew', dew))
  }
  return dew
}
