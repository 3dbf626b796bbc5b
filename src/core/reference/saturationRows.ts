import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import {
  glide,
  saturationPressure,
  saturationTemperature,
  temperatureRange,
} from '../physics/refrigerants/saturation'

/** One line of a pressure-temperature table. */
export type SaturationRow = {
  /** K */
  readonly temperature: number
  /** Pa absolute */
  readonly bubble: number
  readonly dew: number
}

/** Lines from one temperature to another (K) that lie inside the refrigerant's table. */
export function saturationRows(
  name: RefrigerantName,
  from: number,
  to: number,
  step: number,
): SaturationRow[] {
  const { coldest, hottest } = temperatureRange(name)
  const rows: SaturationRow[] = []
  for (let i = 0; from + i * step <= to + 1e-9; i++) {
    const temperature = from + i * step
    if (temperature < coldest || temperature > hottest) continue
    rows.push({
      temperature,
      bubble: saturationPressure(name, 'bubble', temperature),
      dew: saturationPressure(name, 'dew', temperature),
    })
  }
  return rows
}

/** Both saturation temperatures at a pressure, and the glide between them, K. @throws OrzoError out-of-range */
export const saturationAtPressure = (
  name: RefrigerantName,
  pascals: number,
): { bubble: number; dew: number; glide: number } => ({
  bubble: saturationTemperature(name, 'bubble', pascals),
  dew: saturationTemperature(name, 'dew', pascals),
  glide: glide(name, pascals),
})

/** Both saturation pressures at a temperature, and the glide at the dew pressure, K. @throws OrzoError out-of-range */
export function saturationAtTemperature(
  name: RefrigerantName,
  kelvin: number,
): { bubble: number; dew: number; glide: number } {
  const dew = saturationPressure(name, 'dew', kelvin)
  return {
    bubble: saturationPressure(name, 'bubble', kelvin),
    dew,
    glide: kelvin - saturationTemperature(name, 'bubble', dew),
  }
}
