import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { condense, condenserConductances, type CondenserDuty, coolLiquid } from './condenser'
import type { Circuit } from './hardware'
import { type Inlet, inletState } from './metering'
import type { Corners } from './saturations'
import type { Stream } from './stream'
import { homogeneousDensity } from './twoPhase'

/** Surface share over which a receiver goes from empty to full. */
const RECEIVER_RAMP = 0.04
const MOST_RECEIVER_LEVEL = 0.9
/** K each side of the floor over which head-pressure control floods, and the most it floods. */
const FLOODING_BAND = 2.5
const MOST_FLOODING = 0.92

/** From nothing to one over a width. */
export const ramp = (value: number, width: number) => Math.min(Math.max(value / width, 0), 1)

/** Flooding of the condenser that head-pressure control asks for at a condensing temperature, share of surface. */
function askedFlooding(circuit: Circuit, condensing: number): number {
  if (circuit.headFloor === undefined) return circuit.strayFlooding
  const below = (circuit.headFloor + FLOODING_BAND - condensing) / (2 * FLOODING_BAND)
  const asked = MOST_FLOODING * Math.min(Math.max(below, 0), 1) * circuit.floodingShare
  return Math.min(asked + circuit.strayFlooding, MOST_FLOODING)
}

/** What the condenser does and leaves. */
export type HighSide = {
  readonly condenser: CondenserDuty
  readonly leaving: Inlet
  readonly receiverLevel: number
}

/** Condenser, receiver and the subcooler below it. */
export function highSide(
  circuit: Circuit,
  stream: Stream,
  at: Corners,
  pressure: number,
  massFlow: number,
  enthalpyIn: number,
): HighSide {
  const { refrigerant: name, condenser: coil, receiverVolume, subcoolerShare } = circuit
  const hasReceiver = receiverVolume > 0
  const held = hasReceiver ? subcoolerShare : 0
  const { physics } = circuit
  const flowShare = massFlow / circuit.nominalFlow
  const condenser = condense({
    name,
    coil,
    stream,
    at,
    pressure,
    massFlow,
    enthalpyIn,
    held,
    physics,
    flowShare,
  })
  if (!hasReceiver && circuit.headFloor === undefined) {
    return { condenser, leaving: leavingInlet(name, condenser, at, pressure), receiverLevel: 0 }
  }
  const commanded = askedFlooding(circuit, at.bubble)
  const receiverLevel = MOST_RECEIVER_LEVEL * ramp(condenser.flooded - commanded, RECEIVER_RAMP)
  if (condenser.flooded <= 0)
    return { condenser, leaving: leavingInlet(name, condenser, at, pressure), receiverLevel: 0 }
  // Liquid held back on command rejoins hot gas at the receiver: only what overfills the receiver subcools the liquid.
  const overfull = Math.max(condenser.flooded - commanded - RECEIVER_RAMP, 0)
  const conductance =
    condenserConductances(stream, coil.inside, physics, flowShare).liquid * (held + overfull)
  const cooled = coolLiquid(name, at.bubble, pressure, massFlow, stream.temperature, conductance)
  // Written out: copying by spread costs more here than all the physics of the coil.
  const flooded: CondenserDuty = {
    enthalpyOut: cooled.enthalpy,
    temperatureOut: cooled.temperature,
    qualityOut: condenser.qualityOut,
    desuperheating: condenser.desuperheating,
    condensing: condenser.condensing,
    flooded: condenser.flooded,
    heat: massFlow * (enthalpyIn - cooled.enthalpy),
    mass: condenser.mass,
  }
  return { condenser: flooded, leaving: leavingInlet(name, flooded, at, pressure), receiverLevel }
}

function leavingInlet(name: RefrigerantName, duty: CondenserDuty, at: Corners, pressure: number): Inlet {
  const { enthalpyOut, temperatureOut, qualityOut } = duty
  if (qualityOut > 0) {
    const density = homogeneousDensity(at.liquidDensity, at.vapourDensity, qualityOut)
    return { pressure, enthalpy: enthalpyOut, temperature: temperatureOut, quality: qualityOut, density }
  }
  const { density } = inletState(name, pressure, enthalpyOut)
  return { pressure, enthalpy: enthalpyOut, temperature: temperatureOut, quality: 0, density }
}
