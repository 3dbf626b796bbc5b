import type { ObservationKey } from '../readings/observations'
import { isBoxKind, isThreePhase } from './kinds'
import { hasReversingValve } from './reversing'
import type { UnitPlate } from './unit'

type Has = (unit: UnitPlate) => boolean

const WALK_INS: readonly UnitPlate['kind'][] = ['walk-in-cooler', 'walk-in-freezer']
const hasTxv: Has = (unit) => unit.metering === 'txv'
const isWalkIn: Has = (unit) => WALK_INS.includes(unit.kind)
const touchesWater: Has = (unit) =>
  unit.kind === 'pool-heat-pump' ||
  unit.heatRejection === 'water' ||
  (unit.heatRejection === undefined && unit.kind === 'water-source-heat-pump')

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
  solenoidPull: isWalkIn,
  reliefPlug: (unit) => unit.receiver === true,
  waterStrainer: touchesWater,
  phaseSequence: isThreePhase,
  hardStart: (unit) => !isThreePhase(unit),
  startGear: (unit) => !isThreePhase(unit),
  condenserCoil: (unit) => !touchesWater(unit),
}

/** [practice] comfort units seldom have a glass: it is not asked for, but can be written down. */
const SELDOM: { readonly [K in ObservationKey]?: Has } = {
  sightGlass: isBoxKind,
  moistureIndicator: isBoxKind,
}

/** Whether a unit can show this at all. */
export const canObserve = (unit: UnitPlate, key: ObservationKey): boolean => NEEDS[key]?.(unit) ?? true

/** Whether a unit usually offers this observation, so that it is worth asking for. */
export const isUsual = (unit: UnitPlate, key: ObservationKey): boolean =>
  canObserve(unit, key) && (SELDOM[key]?.(unit) ?? true)
