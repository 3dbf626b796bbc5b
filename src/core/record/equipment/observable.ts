import { hasReversingValve, isBoxKind, isThreePhase, hasLiquidValve, hasWaterCoil } from './kinds'
import { isFlammable } from '../../physics/refrigerants/catalogue'
import type { ObservationKey } from '../readings/observations'
import type { UnitPlate } from './unit'

type Has = (unit: UnitPlate) => boolean

const hasTxv: Has = (unit) => unit.metering === 'txv'

/** What only some units offer to look at or to try; a key that is absent here is on every unit. */
const NEEDS: { readonly [K in ObservationKey]?: Has } = {
  reversingValveNoise: hasReversingValve,
  jumpAtUnit: hasReversingValve,
  jumpAtThermostat: hasReversingValve,
  magnetPull: hasReversingValve,
  bulbState: hasTxv,
  bulbWarmResponse: hasTxv,
  equalizerState: hasTxv,
  inletScreen: (unit) => unit.metering === 'txv' || unit.metering === 'eev',
  stemResponse: (unit) => unit.metering === 'txv' || unit.metering === 'eev',
  warmValveResponse: (unit) => unit.metering === 'txv' || unit.metering === 'eev',
  orificeSize: (unit) => unit.metering === 'fixed-orifice',
  solenoidPull: hasLiquidValve,
  waterStrainer: hasWaterCoil,
  waterCoil: hasWaterCoil,
  bulbIceResponse: hasTxv,
  handValveTest: hasLiquidValve,
  flammableClear: (unit) => isFlammable(unit.refrigerant),
  phaseSequence: isThreePhase,
  hardStart: (unit) => !isThreePhase(unit),
  startGear: (unit) => !isThreePhase(unit),
  condenserCoil: (unit) => !hasWaterCoil(unit),
}

/** [practice] comfort units seldom have a glass: it is not asked for, but can be written down. */
const SELDOM: { readonly [K in ObservationKey]?: Has } = {
  sightGlass: isBoxKind,
  moistureIndicator: isBoxKind,
  reliefPlug: (unit) => unit.receiver === true,
}

/** Whether a unit can show this at all. */
export const canObserve = (unit: UnitPlate, key: ObservationKey): boolean => NEEDS[key]?.(unit) ?? true

/** Whether a unit usually offers this observation, so that it is worth asking for. */
export const isUsual = (unit: UnitPlate, key: ObservationKey): boolean =>
  canObserve(unit, key) && (SELDOM[key]?.(unit) ?? true)
