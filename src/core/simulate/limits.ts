import { fromKelvin } from '../base/units/convert'
import type { Steady } from './steady'

/** A control or protector that would have opened before this steady state was reached. */
export type Limit = {
  readonly id: 'high-pressure' | 'discharge-temperature' | 'low-pressure'
  readonly sentence: string
}

/** [memory] where controls and protectors of small units usually open. */
const HIGHEST_CONDENSING_F = 150
const HOTTEST_DISCHARGE_F = 275
const LOWEST_SUCTION_PASCALS = 105_000

/** What would have stopped a real unit; the figures stay as they are. */
export function limitsOf({ state }: Steady): Limit[] {
  const limits: Limit[] = []
  const condensing = fromKelvin(state.unknowns.condensing, 'F')
  const discharge = fromKelvin(state.compressor.dischargeTemperature, 'F')
  if (condensing > HIGHEST_CONDENSING_F) {
    limits.push({
      id: 'high-pressure',
      sentence: `Condensing at ${condensing.toFixed(0)} F: the high-pressure control would have opened.`,
    })
  }
  if (discharge > HOTTEST_DISCHARGE_F) {
    limits.push({
      id: 'discharge-temperature',
      sentence: `Discharge gas at ${discharge.toFixed(0)} F: the internal protector would have opened.`,
    })
  }
  if (state.beforeCompressor.pressure < LOWEST_SUCTION_PASCALS) {
    limits.push({
      id: 'low-pressure',
      sentence: 'Suction is near or below atmosphere: a low-pressure control would have opened.',
    })
  }
  return limits
}
