import { wetBulb } from '../../physics/air/psychrometrics'
import type { Derived } from '../../record/readings/derive'
import type { Measured, Snapshot } from '../../record/readings/snapshot'
import type { UnitPlate } from '../../record/equipment/unit'
import { differenceToKelvin, fromKelvin } from '../../base/units/convert'
import { FORMULA_TOLERANCE_F, orificeSuperheatIfValid } from './orificeFormula'
import { isBoxProfile, isHeating, type ProfileId } from './profiles'
import { band, type Target } from './target'

function returnWetBulb(at: Snapshot, derived: Derived): Measured | undefined {
  if (at.values.returnAirWetBulb) return at.values.returnAirWetBulb
  const { returnAirTemp } = at.values
  const { returnHumidity } = derived
  if (!returnAirTemp || !returnHumidity) return undefined
  const value = wetBulb(returnAirTemp.value, returnHumidity.value, at.atmosphere)
  const drier = wetBulb(
    returnAirTemp.value,
    Math.max(returnHumidity.value - returnHumidity.error, 0.01),
    at.atmosphere,
  )
  return { value, error: Math.hypot(returnAirTemp.error, value - drier) }
}

/** (3 x wet bulb - 80 - outdoor) / 2 in F, +-5 [practice]; undefined where the formula is not valid. */
function byFormula(at: Snapshot, derived: Derived): Target | undefined {
  const wet = returnWetBulb(at, derived)
  const outdoor = at.values.outdoorAirTemp
  if (!wet || !outdoor) return undefined
  const value = orificeSuperheatIfValid(fromKelvin(wet.value, 'F'), fromKelvin(outdoor.value, 'F'))
  if (value === undefined) return undefined
  const target = band(value, FORMULA_TOLERANCE_F, 'practice', 'target from return wet bulb and outdoor air')
  const inherited = Math.hypot(1.5 * wet.error, 0.5 * outdoor.error)
  return { ...target, tolerance: Math.hypot(target.tolerance, inherited) }
}

const FIXED_UNKNOWN = band(15, 12, 'practice', 'wide: wet bulb and outdoor air would narrow it')
const FIXED_HEATING = band(
  15,
  15,
  'practice',
  'wide: a fixed orifice in heating is checked by weight, not by superheat',
)
const VALVE_AT_COMPRESSOR = band(13, 6, 'practice', '8-12 F at the bulb, up to 20 F at the compressor')
const BOX_AT_COMPRESSOR = band(25, 8, 'memory', 'at least 20 F at the compressor of a refrigeration unit')

/** Superheat at the compressor. */
export function superheatTarget(unit: UnitPlate, profile: ProfileId, at: Snapshot, derived: Derived): Target {
  if (isBoxProfile(profile)) return BOX_AT_COMPRESSOR
  if (unit.metering === 'txv' || unit.metering === 'eev') return VALVE_AT_COMPRESSOR
  if (isHeating(profile)) return FIXED_HEATING
  return byFormula(at, derived) ?? FIXED_UNKNOWN
}

const COMFORT_AT_BULB = band(10, 3, 'practice', '8-12 F at the bulb')
const AT_BULB: Partial<Record<ProfileId, Target>> = {
  cooler: band(10, 3, 'practice', '8-12 F at a cooler coil outlet'),
  freezer: band(6, 2.5, 'practice', '4-8 F at a freezer coil outlet'),
}

/** Superheat at the evaporator outlet; none for fixed metering, which does not hold it. */
export function evaporatorSuperheatTarget(unit: UnitPlate, profile: ProfileId): Target | undefined {
  const held = unit.metering === 'txv' || unit.metering === 'eev'
  return held ? (AT_BULB[profile] ?? COMFORT_AT_BULB) : undefined
}

/** [practice] a plate subcooling is held within 3 F. */
const PLATE_TOLERANCE = differenceToKelvin(3, 'F')

/** [physics] the simulated circuit: in heating the liquid that the indoor coil cannot hold moves subcooling about. */
const HEATING_SUBCOOLING = band(10, 8, 'physics', 'wide in heating: the plate speaks of cooling')

/** [physics] handbook 04: a receiver holds its liquid near saturation, whatever the charge; a subcooler adds a few degrees. */
const RECEIVER_SUBCOOLING = band(4, 4, 'physics', 'a receiver keeps liquid near saturation: it hardly moves')

/** Subcooling at the condenser outlet; with a receiver it says little. */
export function subcoolingTarget(unit: UnitPlate, profile: ProfileId): Target | undefined {
  if (isHeating(profile)) return HEATING_SUBCOOLING
  if (unit.receiver) return RECEIVER_SUBCOOLING
  const plate = unit.targetSubcooling
  if (plate) {
    const value = differenceToKelvin(plate.value, plate.unit as 'F' | 'C' | 'K')
    return { value, tolerance: PLATE_TOLERANCE, tag: 'nameplate', source: 'the nameplate' }
  }
  const held = unit.metering === 'txv' || unit.metering === 'eev'
  return held
    ? band(10, 3, 'practice', '10 F where the plate is silent')
    : band(10, 5, 'practice', '5-15 F with fixed metering, a by-product of charge')
}
