import { isBoxKind, isThreePhase } from './kinds'
import type { UnitPlate } from './unit'
import { differenceToKelvin, toPascals, toSI } from '../../base/units/convert'
import type { PressureUnit, TemperatureUnit, Unit } from '../../base/units/units'

/** Something on a plate that looks like a slip of the pen; nothing is corrected. */
export type PlateDoubt = { readonly id: string; readonly sentence: string }

type Range = readonly [least: number, most: number]

/** Locked rotor amps over rated load amps of compressors. [practice] */
const LOCKED_OVER_RATED: Range = [3, 9]
/** Factory charge, lb a ton: comfort units, boxes with a receiver hold more. [practice, wide] */
const CHARGE_A_TON: Range = [0.8, 6]
const CHARGE_A_TON_BOX: Range = [0.8, 30]
/** Electrical input at rated load, kW a ton. [practice, wide] */
const KILOWATTS_A_TON: Range = [0.5, 2.6]
const KILOWATTS_A_TON_BOX: Range = [0.6, 6]
const POWER_FACTOR = 0.9
/** Supplies met on sites. [practice] */
const SUPPLY_VOLTS: Readonly<Record<1 | 3, Range>> = { 1: [100, 290], 3: [180, 620] }
/** Plate subcooling, K. [practice, wide] */
const SUBCOOLING: Range = [1, 14]
/** Crankcase heaters, W. [practice] */
const HEATER_WATTS: Range = [10, 300]

const POUND = toSI({ value: 1, unit: 'lb' })

const outside = (value: number | undefined, [least, most]: Range) =>
  value !== undefined && (value < least || value > most)

const pascals = ({ value, unit }: { value: number; unit: Unit }) =>
  toPascals({ value, unit: unit as PressureUnit })

const volts3 = Math.sqrt(3)

/** Electrical input at rated load, kW; undefined while a figure is missing. */
function ratedKilowatts(unit: UnitPlate): number | undefined {
  const { volts, rla } = unit.power ?? {}
  if (volts === undefined || rla === undefined) return undefined
  return (volts * rla * POWER_FACTOR * (isThreePhase(unit) ? volts3 : 1)) / 1000
}

const perTon = (value: number | undefined, unit: UnitPlate) =>
  value === undefined || unit.nominalTons === undefined ? undefined : value / unit.nominalTons

type Doubt = {
  readonly id: string
  readonly arises: (unit: UnitPlate) => boolean
  readonly sentence: (unit: UnitPlate) => string
}

const DOUBTS: readonly Doubt[] = [
  {
    id: 'lra-rla',
    arises: ({ power }) =>
      outside(
        power?.lra !== undefined && power.rla !== undefined ? power.lra / power.rla : undefined,
        LOCKED_OVER_RATED,
      ),
    sentence: ({ power }) =>
      `Locked rotor ${power?.lra} A and rated load ${power?.rla} A: locked rotor is usually three to nine times the rated load. Were the two swapped, or is one of the fan?`,
  },
  {
    id: 'charge-tons',
    arises: (unit) =>
      outside(
        perTon(unit.factoryCharge && toSI(unit.factoryCharge) / POUND, unit),
        isBoxKind(unit) ? CHARGE_A_TON_BOX : CHARGE_A_TON,
      ),
    sentence: ({ factoryCharge, nominalTons }) =>
      `${factoryCharge?.value} ${factoryCharge?.unit} for ${nominalTons} tons is unusual: check the unit of the charge (oz, lb, kg) and the tons.`,
  },
  {
    id: 'amps-tons',
    arises: (unit) =>
      outside(perTon(ratedKilowatts(unit), unit), isBoxKind(unit) ? KILOWATTS_A_TON_BOX : KILOWATTS_A_TON),
    sentence: (unit) =>
      `${unit.power?.rla} A at ${unit.power?.volts} V is ${ratedKilowatts(unit)?.toFixed(1)} kW for ${unit.nominalTons} tons, which is unusual: check volts, phase, rated load amps and tons.`,
  },
  {
    id: 'volts',
    arises: ({ power }) =>
      outside(power?.volts, SUPPLY_VOLTS[power?.phase ?? 1]) && power?.volts !== undefined,
    sentence: ({ power }) =>
      `${power?.volts} V on ${power?.phase ?? 1} phase is no usual supply: check both.`,
  },
  {
    id: 'subcooling',
    arises: ({ targetSubcooling }) =>
      outside(
        targetSubcooling &&
          differenceToKelvin(targetSubcooling.value, targetSubcooling.unit as TemperatureUnit),
        SUBCOOLING,
      ),
    sentence: ({ targetSubcooling }) =>
      `A subcooling of ${targetSubcooling?.value} ${targetSubcooling?.unit} is unusual on a plate: check the figure and its unit.`,
  },
  {
    id: 'heater-watts',
    arises: ({ crankcaseHeater }) => outside(crankcaseHeater?.watts, HEATER_WATTS),
    sentence: ({ crankcaseHeater }) =>
      `A crankcase heater of ${crankcaseHeater?.watts} W is unusual: check it.`,
  },
  {
    id: 'design-pressures',
    arises: ({ designPressures }) =>
      designPressures?.high !== undefined &&
      designPressures.low !== undefined &&
      pascals(designPressures.high) < pascals(designPressures.low),
    sentence: () => 'The design pressure of the high side is below that of the low side: were they swapped?',
  },
]

/** What on a plate does not go together; empty where nothing does or too little is known. */
export const plateDoubts = (unit: UnitPlate): PlateDoubt[] =>
  DOUBTS.filter(({ arises }) => arises(unit)).map(({ id, sentence }) => ({ id, sentence: sentence(unit) }))
