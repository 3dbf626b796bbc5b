import { isWaterCooled } from '../record/equipment/kinds'
import { moistAir } from '../physics/air/moistAir'
import { SEA_LEVEL_PASCALS } from '../base/units/atmosphere'
import { differenceToKelvin, toKelvin } from '../base/units/convert'
import { type Anchor, type Closure, RUNNING, solveCircuit } from './solve'
import type { Circuit, Entering, Surroundings } from './hardware'
import { HEATING_RATING } from './kinds'
import { bareDevice, type SizedUnit, sizedDevice } from './sizing'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const SUPERHEAT = differenceToKelvin(10, 'F')
const SUBCOOLING = differenceToKelvin(10, 'F')
/** K that count as one in the solver. */
const CLOSURE_SCALE = 5
const CHARGE = 4
const DEVICE = 1

/** The heating rating point: source at 47 F (or water), room at 70 F. */
function heatingRating(sized: SizedUnit): Surroundings {
  const byWater = isWaterCooled(sized.plate)
  const { source, humidity, room } = HEATING_RATING[byWater ? 'water' : 'air']
  const evaporator: Entering = byWater
    ? { kind: 'water', temperature: f(source) }
    : { kind: 'air', ...moistAir(f(source), { humidity }, SEA_LEVEL_PASCALS) }
  const indoor = moistAir(f(room), { humidity: 0.4 }, SEA_LEVEL_PASCALS)
  return { evaporator, condenser: { kind: 'air', ...indoor }, ambient: byWater ? f(room) : f(source) }
}

/** Superheat and subcooling given instead of device and charge: what a device and a charge compensator are sized by. */
const SIZING: Closure = (circuit, state) => {
  const residual = [...RUNNING(circuit, state)]
  residual[DEVICE] = (state.afterCoil.temperature - state.evaporatorCorners.dew - SUPERHEAT) / CLOSURE_SCALE
  residual[CHARGE] =
    (state.condenserCorners.bubble - state.condenser.temperatureOut - SUBCOOLING) / CLOSURE_SCALE +
    -state.condenser.qualityOut
  return residual
}

/**
 * The circuit with the reversing valve shifted: coils change roles, another device meters, and the liquid that the
 * smaller indoor coil cannot hold is parked in a charge compensator.
 * @throws OrzoError not-simulated where the heating rating has no steady state
 */
export function heatingCircuit(sized: SizedUnit, anchor: Anchor): Anchor {
  const { cooling } = sized
  const around = heatingRating(sized)
  const swapped: Circuit = {
    ...cooling,
    condenser: cooling.evaporator,
    evaporator: cooling.condenser,
    metering: bareDevice(cooling.metering.type, SUPERHEAT, cooling.physics),
  }
  const rated = solveCircuit(swapped, around, { ...anchor, circuit: swapped }, SIZING)
  const circuit: Circuit = {
    ...swapped,
    metering: sizedDevice(swapped, rated),
    parked: Math.max(cooling.charge - rated.mass, 0),
  }
  return { circuit, around, unknowns: rated.unknowns }
}
