import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { refrigerantRow } from '../physics/refrigerants/catalogue'
import {
  saturatedState,
  type SaturationLine,
  saturationPressure,
  saturationTemperature,
} from '../physics/refrigerants/saturation'
import { localAtmosphere } from '../base/units/atmosphere'
import { fromKelvin, fromPascals, toKelvin, toPascals, toSI } from '../base/units/convert'
import type { PressureUnit, Quantity, TemperatureUnit } from '../base/units/units'

export type PropertiesQuestion = {
  readonly refrigerant: RefrigerantName
  readonly temperature?: Quantity
  readonly pressure?: Quantity
  readonly elevation?: Quantity
}

const round = (value: number, digits: number) => Number(value.toFixed(digits))

function stateJson(
  name: RefrigerantName,
  line: SaturationLine,
  kelvin: number,
  pascals: number,
  atmosphere: number,
) {
  const { density, enthalpy, entropy, heatCapacity } = saturatedState(name, line, kelvin)
  return {
    temperature: { F: round(fromKelvin(kelvin, 'F'), 2), C: round(fromKelvin(kelvin, 'C'), 2) },
    pressure: {
      psig: round(fromPascals(pascals, 'psig', atmosphere), 2),
      psia: round(fromPascals(pascals, 'psia'), 2),
      kPa: round(pascals / 1000, 2),
    },
    densityKgPerM3: round(density, 3),
    enthalpyKjPerKg: round(enthalpy / 1000, 3),
    entropyKjPerKgK: round(entropy / 1000, 5),
    heatCapacityKjPerKgK: round(heatCapacity / 1000, 4),
  }
}

/**
 * Saturation at a temperature or at a pressure, on both lines.
 * @throws OrzoError out-of-range
 */
export function propertiesJson({
  refrigerant,
  temperature,
  pressure,
  elevation,
}: PropertiesQuestion): Record<string, unknown> {
  const atmosphere = localAtmosphere(elevation ? toSI(elevation) : 0)
  const at = (line: SaturationLine) => {
    if (temperature) {
      const kelvin = toKelvin(temperature as Quantity<TemperatureUnit>)
      return stateJson(refrigerant, line, kelvin, saturationPressure(refrigerant, line, kelvin), atmosphere)
    }
    const pascals = toPascals(pressure as Quantity<PressureUnit>, atmosphere)
    return stateJson(
      refrigerant,
      line,
      saturationTemperature(refrigerant, line, pascals),
      pascals,
      atmosphere,
    )
  }
  const { safety, oils } = refrigerantRow(refrigerant)
  return {
    refrigerant,
    safety,
    oils,
    atmosphereKpa: round(atmosphere / 1000, 3),
    bubble: at('bubble'),
    dew: at('dew'),
  }
}
