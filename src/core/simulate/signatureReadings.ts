import { expectedShift, signatureOf } from '../diagnose/likelihood'
import { FEATURE_KEYS, type FeatureKey } from '../diagnose/features'
import type { SuspectId } from '../diagnose/faults'
import { siteAtmosphere } from '../job/circumstances'
import type { UnitPlate } from '../job/unit'
import { gaussian, type RandomSource } from '../numeric/random'
import { derive } from '../readings/derive'
import { instrumentError } from '../readings/instrumentError'
import type { Reading, ReadingSet, Readings } from '../readings/schema'
import { takeSnapshot } from '../readings/snapshot'
import { type ReadingKey, readingRow } from '../readings/vocabulary'
import { meanCondensing, meanEvaporating } from '../refrigerants/meanTemperature'
import { pressureRange, saturationTemperature, temperatureRange } from '../refrigerants/saturation'
import { findTargets } from '../targets/findTargets'
import { fromKelvin, fromPascals, fromSI } from '../units/convert'
import type { Unit } from '../units/units'

/** Air and water around the unit, K. */
export type Conditions = {
  readonly outdoorAirTemp?: number
  readonly returnAirTemp?: number
  readonly returnAirWetBulb?: number
  readonly boxTemp?: number
  readonly waterInTemp?: number
  readonly waterOutTemp?: number
}

export type SimulationInput = {
  readonly unit: UnitPlate
  readonly conditions: Conditions
  readonly fault: SuspectId
  /** 0 to 1; ignored for a sound circuit */
  readonly severity: number
  readonly random: RandomSource
  /** spread between sound units of one kind, in tolerances */
  readonly unitSpread?: number
}

/** Default spread between units, in tolerances: most sound units lie inside their band. */
const UNIT_SPREAD = 0.35
const EITHER_WAY_SPREAD = 2

type Truth = { [K in ReadingKey]?: number }

/** Absolute pressure at which a mean saturation temperature is reached, by bisection; clamped to the table. */
function pressureAt(unit: UnitPlate, kelvin: number, mean: typeof meanEvaporating): number {
  let { lowest: low, highest: high } = pressureRange(unit.refrigerant, 'dew')
  for (let step = 0; step < 60; step++) {
    const middle = Math.sqrt(low * high)
    if (mean(unit.refrigerant, middle) < kelvin) low = middle
    else high = middle
  }
  return Math.sqrt(low * high)
}

function trueFeatures(input: SimulationInput): { [K in FeatureKey]?: number } {
  const { unit, conditions, fault, severity, random, unitSpread = UNIT_SPREAD } = input
  const atmosphere = siteAtmosphere(unit)
  const readings = Object.fromEntries(
    Object.entries(conditions).map(([key, value]) => [key, { value, unit: 'K' }]),
  ) as Readings
  const at = takeSnapshot({ mode: 'cooling', readings }, unit.refrigerant, atmosphere)
  const targets = findTargets(unit, at, derive(at))
  const signature = signatureOf(fault, unit)
  const out: { [K in FeatureKey]?: number } = {}
  for (const key of FEATURE_KEYS) {
    const target = targets[key]
    if (!target) continue
    const cell = signature?.[key]
    const shift =
      expectedShift(cell, severity) ?? (cell === '*' ? gaussian(random) * EITHER_WAY_SPREAD * severity : 0)
    out[key] = target.value + target.tolerance * (shift + unitSpread * gaussian(random))
  }
  return out
}

/** A condenser ends at least this far above its air, and its liquid a little above it. [physics: heat flows downhill] */
const LEAST_OVER_AMBIENT = 4
const LEAST_LIQUID_OVER_AMBIENT = 1
/** Near critical a high-pressure control has long opened: no running set shows more. [practice] */
const BELOW_TABLE_END = 4

/** Keeps what physics demands: heat flows downhill at the condenser and the coil, a line is not colder than the evaporator. */
function readingsFrom(input: SimulationInput, features: { [K in FeatureKey]?: number }): Truth {
  const { unit, conditions } = input
  const evaporating = Math.max(features.evaporatingMean ?? 277, 220)
  const ambient = conditions.outdoorAirTemp ?? 0
  const least = Math.max(features.condensingMean ?? 315, evaporating + 5, ambient + LEAST_OVER_AMBIENT)
  const condensing = Math.min(least, temperatureRange(unit.refrigerant).hottest - BELOW_TABLE_END)
  const suction = pressureAt(unit, evaporating, meanEvaporating)
  const liquid = pressureAt(unit, condensing, meanCondensing)
  const dew = saturationTemperature(unit.refrigerant, 'dew', suction)
  const bubble = saturationTemperature(unit.refrigerant, 'bubble', liquid)
  const liquidLine = Math.max(
    bubble - Math.max(features.subcooling ?? 5, 0),
    ambient + LEAST_LIQUID_OVER_AMBIENT,
  )
  const suctionLine = dew + Math.max(features.superheat ?? 6, 0)
  const afterDryer = Math.max(liquidLine - 0.5 - (features.dryerDrop ?? 0), evaporating)
  const valveRise = Math.max(features.reversingValveRise ?? 0, 0)
  const rla = unit.power?.rla
  const water = conditions.waterInTemp
  return {
    ...conditions,
    suctionPressure: suction,
    liquidPressure: liquid,
    suctionLineTemp: suctionLine,
    evaporatorOutletTemp: dew + Math.max(features.evaporatorSuperheat ?? 5, 0),
    liquidLineTemp: liquidLine,
    dryerInTemp: liquidLine - 0.5,
    dryerOutTemp: afterDryer,
    meteringInletTemp: Math.max(
      Math.min(liquidLine - (features.liquidLineDrop ?? 0.5), afterDryer + 0.3),
      evaporating,
    ),
    dischargeLineTemp: Math.max(features.dischargeLineTemp ?? condensing + 25, condensing + 2),
    ...(conditions.returnAirTemp === undefined || features.temperatureSplit === undefined
      ? {}
      : { supplyAirTemp: Math.max(conditions.returnAirTemp - features.temperatureSplit, evaporating + 2) }),
    ...(rla && features.ampsShare !== undefined
      ? { compressorAmps: Math.max(features.ampsShare, 0.1) * rla }
      : {}),
    ...(water === undefined ? {} : { waterOutTemp: water + (features.waterRise ?? 5.5) }),
    rvSuctionInTemp: suctionLine - valveRise,
    rvSuctionOutTemp: suctionLine,
    rvDischargeTemp: (features.dischargeLineTemp ?? condensing + 25) - 0.5,
    rvHotOutTemp: (features.dischargeLineTemp ?? condensing + 25) - 2,
  }
}

/** How finely each quantity is shown by common instruments, in the unit shown. */
const SHOWN: Partial<Record<string, { unit: Unit; digits: number }>> = {
  temperature: { unit: 'F', digits: 1 },
  current: { unit: 'A', digits: 1 },
  voltage: { unit: 'V', digits: 1 },
}

function shown(key: ReadingKey, si: number, atmosphere: number, random: RandomSource): Reading {
  const noisy = si + instrumentError(key, si, atmosphere) * NOISE_SHARE * gaussian(random)
  const { kind } = readingRow(key)
  if (kind === 'pressure') {
    return { value: Number(fromPascals(noisy, 'psig', atmosphere).toFixed(1)), unit: 'psig', source: 'probe' }
  }
  const { unit, digits } = SHOWN[kind] ?? { unit: 'A', digits: 1 }
  const value = kind === 'temperature' ? fromKelvin(noisy, 'F') : fromSI(noisy, unit)
  return { value: Number(value.toFixed(digits)), unit, source: 'probe' }
}

/** Stated instrument errors are limits more than deviations; half of it as noise. [practice] */
const NOISE_SHARE = 0.5

/**
 * One simulated reading set: the signature of a fault at a severity laid over what this unit should read,
 * turned back into pressures and temperatures, with instrument noise. The same random source gives the same set.
 * @param keys readings to take; those the unit or the conditions do not give are left out
 */
export function simulateSet(
  input: SimulationInput,
  keys: readonly ReadingKey[],
): Pick<ReadingSet, 'mode' | 'readings'> {
  const atmosphere = siteAtmosphere(input.unit)
  const truth = readingsFrom(input, trueFeatures(input))
  const readings: Readings = {}
  for (const key of keys) {
    const value = truth[key]
    if (value !== undefined) readings[key] = shown(key, value, atmosphere, input.random)
  }
  return { mode: 'cooling', readings }
}
