import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { saturationTemperature, temperatureRange } from '../physics/refrigerants/saturation'
import { gasEnthalpy, gasOfEnthalpy, type Isobar, isobarAt } from '../physics/refrigerants/vapour'
import { compressorDuty, type CompressorDuty, type Discharge, leakFlow } from './compressor'
import { condense, type CondenserDuty, coolLiquid, condenserConductances } from './condenser'
import { evaporate, type EvaporatorDuty } from './evaporator'
import type { Circuit, Line, Surroundings } from './hardware'
import { fullFlow, type Inlet, inletState, openingAt } from './metering'
import { type Corners, cornersAtBubble, cornersAtDew, qualityOf } from './saturations'
import { type Stream, streamOf } from './stream'
import { homogeneousDensity } from './twoPhase'

/** The five numbers that fix a steady state. */
export type Unknowns = {
  /** dew temperature at the evaporator outlet, K */
  readonly evaporating: number
  /** bubble temperature at the condenser outlet, K */
  readonly condensing: number
  /** through the evaporator, kg/s */
  readonly massFlow: number
  /** leaving the evaporator, J/kg */
  readonly enthalpy: number
  /** leaving the compressor, J/kg */
  readonly discharge: number
}

/** Gas in the suction line or before the compressor. */
export type SuctionPoint = {
  readonly pressure: number
  readonly enthalpy: number
  readonly temperature: number
  readonly density: number
  readonly isobar: Isobar
}

export type LiquidPath = {
  readonly leaving: Inlet
  readonly beforeDryer: Inlet
  readonly afterDryer: Inlet
  readonly atDevice: Inlet
}

/** Everything about the circuit at one guess of the unknowns. SI. */
export type CircuitState = {
  readonly unknowns: Unknowns
  readonly evaporatorCorners: Corners
  readonly condenserCorners: Corners
  /** total pressure on the high side, Pa; above the condensing pressure where air is inside */
  readonly highPressure: number
  readonly evaporator: EvaporatorDuty
  readonly condenser: CondenserDuty
  readonly compressor: CompressorDuty
  readonly afterCoil: SuctionPoint
  readonly beforeValve: SuctionPoint
  readonly beforeCompressor: SuctionPoint
  readonly liquid: LiquidPath
  readonly opening: number
  readonly bulbSuperheat: number
  readonly flowThroughDevice: number
  readonly valveLeak: number
  /** liquid in receiver and accumulator, share of their volume */
  readonly receiverLevel: number
  readonly accumulatorLevel: number
  readonly mass: number
  readonly streams: { readonly condenser: Stream; readonly evaporator: Stream }
}

/** [physics] molar gas constant, J/(mol K). */
const GAS_CONSTANT = 8.314462618
/** [memory] share of a condenser in which gas that does not condense can gather. */
const GAS_SHARE_OF_CONDENSER = 0.6
/** Surface share over which a receiver goes from empty to full, and quality range over which an accumulator fills. */
const RECEIVER_RAMP = 0.04
const ACCUMULATOR_RAMP = 0.06
const MOST_RECEIVER_LEVEL = 0.9
const MOST_ACCUMULATOR_LEVEL = 0.7
/** K each side of the floor over which head-pressure control floods, and the most it floods. */
const FLOODING_BAND = 2.5
const MOST_FLOODING = 0.92

const lineDrop = (line: Line, massFlow: number, density: number) =>
  (line.resistance * massFlow * massFlow) / density

const LEAST_PRESSURE_SHARE = 0.15
/** K: over which the heat capacity of suction gas is taken. */
const CAPACITY_SPAN = 10

function suctionPoint(isobar: Isobar, pressure: number, enthalpy: number): SuctionPoint {
  const { temperature, density } = gasOfEnthalpy(isobar, enthalpy)
  return { pressure, enthalpy, temperature, density, isobar }
}

/** Vapour in a line: pressure lost by friction, heat gained from the air around; wet vapour boils first. */
function alongSuction(
  name: RefrigerantName,
  from: SuctionPoint,
  at: Corners,
  line: Line,
  massFlow: number,
  ambient: number,
): SuctionPoint {
  const quality = qualityOf(at, from.enthalpy)
  const density =
    quality >= 1 ? from.density : homogeneousDensity(at.liquidDensity, at.vapourDensity, quality)
  const lowest = from.pressure * LEAST_PRESSURE_SHARE
  const pressure = Math.max(from.pressure - lineDrop(line, massFlow, density), lowest)
  const capacity = (gasEnthalpy(from.isobar, CAPACITY_SPAN) - from.isobar.dew.enthalpy) / CAPACITY_SPAN
  const effect = -Math.expm1(-line.conductance / (massFlow * capacity))
  const enthalpy = from.enthalpy + (ambient - from.temperature) * effect * capacity
  return suctionPoint(isobarAt(name, saturationTemperature(name, 'dew', pressure)), pressure, enthalpy)
}

/** Liquid or flashing mixture in a line: friction, and heat to the air around. */
function alongLiquid(
  name: RefrigerantName,
  from: Inlet,
  line: Line,
  massFlow: number,
  ambient: number,
  lowest: number,
): Inlet {
  const pressure = Math.max(from.pressure - lineDrop(line, massFlow, from.density), lowest)
  const lost = (line.conductance * (from.temperature - ambient)) / massFlow
  return inletState(name, pressure, from.enthalpy - lost)
}

/** Gas space that air shares: its pressure at a temperature, Pa. */
export const gasPressure = (moles: number, kelvin: number, volume: number): number =>
  moles === 0 ? 0 : (moles * GAS_CONSTANT * kelvin) / volume

/** Flooding of the condenser that head-pressure control asks for at a condensing temperature, share of surface. */
function askedFlooding(circuit: Circuit, condensing: number): number {
  if (circuit.headFloor === undefined) return circuit.strayFlooding
  const below = (circuit.headFloor + FLOODING_BAND - condensing) / (2 * FLOODING_BAND)
  const asked = MOST_FLOODING * Math.min(Math.max(below, 0), 1) * circuit.floodingShare
  return Math.min(asked + circuit.strayFlooding, MOST_FLOODING)
}

const ramp = (value: number, width: number) => Math.min(Math.max(value / width, 0), 1)

type HighSide = {
  readonly condenser: CondenserDuty
  readonly leaving: Inlet
  readonly receiverLevel: number
}

/** Condenser, receiver and the subcooler below it. */
function highSide(
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
  const condenser = condense(name, coil, stream, at, pressure, massFlow, enthalpyIn, held)
  if (!hasReceiver && circuit.headFloor === undefined) {
    return { condenser, leaving: leavingInlet(name, condenser, at, pressure), receiverLevel: 0 }
  }
  const commanded = askedFlooding(circuit, at.bubble)
  const receiverLevel = MOST_RECEIVER_LEVEL * ramp(condenser.flooded - commanded, RECEIVER_RAMP)
  if (condenser.flooded <= 0)
    return { condenser, leaving: leavingInlet(name, condenser, at, pressure), receiverLevel: 0 }
  // Liquid held back on command rejoins hot gas at the receiver: only what overfills the receiver subcools the liquid.
  const overfull = Math.max(condenser.flooded - commanded - RECEIVER_RAMP, 0)
  const conductance = condenserConductances(stream, coil.inside).liquid * (held + overfull)
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

function liquidPath(
  circuit: Circuit,
  leaving: Inlet,
  massFlow: number,
  ambient: number,
  behind: number,
): LiquidPath {
  const { refrigerant: name, liquidLine, dryer, screen } = circuit
  // Nothing ahead of the device falls below the pressure behind it: the resistance then carries the whole drop.
  const lowest = behind
  const beforeDryer = alongLiquid(name, leaving, liquidLine, massFlow, ambient, lowest)
  const afterDryer = alongLiquid(name, beforeDryer, dryer, massFlow, ambient, lowest)
  const atDevice =
    screen.resistance === 0 ? afterDryer : alongLiquid(name, afterDryer, screen, massFlow, ambient, lowest)
  return { leaving, beforeDryer, afterDryer, atDevice }
}

/** Refrigerant in every part, kg. */
function totalMass(circuit: Circuit, parts: Omit<CircuitState, 'mass'>): number {
  const { beforeCompressor: gas, liquid, evaporatorCorners: low, condenserCorners: high } = parts
  const gasDensity = gas.density
  const received =
    circuit.receiverVolume *
    (parts.receiverLevel * high.liquidDensity + (1 - parts.receiverLevel) * high.vapourDensity)
  const accumulated =
    circuit.accumulatorVolume *
    (parts.accumulatorLevel * low.liquidDensity + (1 - parts.accumulatorLevel) * gasDensity)
  return (
    parts.evaporator.mass +
    parts.condenser.mass +
    gasDensity * (circuit.suctionLine.volume + circuit.compressor.freeVolume) +
    parts.compressor.dischargeDensity * circuit.dischargeVolume +
    liquid.beforeDryer.density * circuit.liquidLine.volume +
    liquid.afterDryer.density * circuit.dryer.volume +
    received +
    accumulated +
    circuit.parked
  )
}

/** Streams of both coils: they do not depend on the unknowns. */
export const streamsOf = (circuit: Circuit, around: Surroundings): CircuitState['streams'] => ({
  condenser: streamOf(circuit.condenser, around.condenser),
  evaporator: streamOf(circuit.evaporator, around.evaporator),
})

/** Whether a guess lies inside the property table with room for what the circuit looks up. */
export function insideTable(circuit: Circuit, unknowns: Unknowns): boolean {
  const { coldest, hottest } = temperatureRange(circuit.refrigerant)
  return unknowns.evaporating > coldest && unknowns.condensing < hottest && unknowns.evaporating < hottest
}

/**
 * Computes every part of the circuit from the unknowns; they are a steady state where the residuals vanish.
 * @throws OrzoError out-of-range where a part leaves the refrigerant's table
 */
export function circuitAt(
  circuit: Circuit,
  around: Surroundings,
  streams: CircuitState['streams'],
  unknowns: Unknowns,
): CircuitState {
  const { refrigerant: name } = circuit
  const { massFlow } = unknowns
  const low = cornersAtDew(name, unknowns.evaporating)
  const high = cornersAtBubble(name, unknowns.condensing)
  const gasVolume = circuit.condenser.volume * GAS_SHARE_OF_CONDENSER + circuit.receiverVolume * 0.5
  const highPressure = high.pressure + gasPressure(circuit.nonCondensables, unknowns.condensing, gasVolume)

  const afterCoil = suctionPoint(isobarAt(name, low.dew), low.pressure, unknowns.enthalpy)
  const beforeValve = alongSuction(name, afterCoil, low, circuit.suctionLine, massFlow, around.ambient)
  const hotDew = circuit.nonCondensables === 0 ? high.dew : saturationTemperature(name, 'dew', highPressure)
  const discharge = { pressure: highPressure, isobar: isobarAt(name, hotDew) }
  const crossed = pumped(circuit, beforeValve, massFlow, discharge, unknowns.discharge, around.ambient)
  const { beforeCompressor, valveLeak, compressor } = crossed

  const side = highSide(circuit, streams.condenser, high, highPressure, massFlow, crossed.condenserEnthalpy)
  const liquid = liquidPath(circuit, side.leaving, massFlow, around.ambient, low.pressure)
  const bulbTemperature =
    afterCoil.temperature +
    circuit.metering.bulbError * (streams.evaporator.temperature - afterCoil.temperature)
  const bulbSuperheat = bulbTemperature - low.dew
  const opening = openingAt(circuit.metering, bulbSuperheat)
  const flowThroughDevice = opening * fullFlow(name, circuit.metering, liquid.atDevice, low.pressure)
  const evaporator = evaporate(
    name,
    circuit.evaporator,
    streams.evaporator,
    low,
    massFlow,
    liquid.atDevice.enthalpy,
  )
  const accumulatorLevel =
    MOST_ACCUMULATOR_LEVEL * ramp(1 - qualityOf(low, unknowns.enthalpy), ACCUMULATOR_RAMP)
  const state = {
    unknowns,
    evaporatorCorners: low,
    condenserCorners: high,
    highPressure,
    evaporator,
    condenser: side.condenser,
    compressor,
    afterCoil,
    beforeValve,
    beforeCompressor,
    liquid,
    opening,
    bulbSuperheat,
    flowThroughDevice,
    valveLeak,
    receiverLevel: side.receiverLevel,
    accumulatorLevel,
    mass: 0,
    streams,
  }
  state.mass = totalMass(circuit, state)
  return state
}

type Crossed = {
  readonly beforeCompressor: SuctionPoint
  readonly compressor: CompressorDuty
  readonly valveLeak: number
  /** what enters the condenser after the valve took its share of heat, J/kg */
  readonly condenserEnthalpy: number
}

/** Compressor and reversing valve: the valve passes hot gas into suction when it leaks, and heat always. */
function pumped(
  circuit: Circuit,
  beforeValve: SuctionPoint,
  massFlow: number,
  discharge: Discharge,
  dischargeEnthalpy: number,
  ambient: number,
): Crossed {
  const { refrigerant: name, valveConductance, valveLeakArea } = circuit
  const out = gasOfEnthalpy(discharge.isobar, dischargeEnthalpy)
  const leak = leakFlow(valveLeakArea, out.density, discharge.pressure, beforeValve.pressure)
  const heat = valveConductance * (out.temperature - beforeValve.temperature)
  const enthalpy = (massFlow * beforeValve.enthalpy + leak * dischargeEnthalpy + heat) / (massFlow + leak)
  const beforeCompressor =
    enthalpy === beforeValve.enthalpy
      ? beforeValve
      : suctionPoint(beforeValve.isobar, beforeValve.pressure, enthalpy)
  const compressor = compressorDuty(
    name,
    circuit.compressor,
    beforeCompressor,
    discharge,
    dischargeEnthalpy,
    ambient,
  )
  return {
    beforeCompressor,
    compressor,
    valveLeak: leak,
    condenserEnthalpy: dischargeEnthalpy - heat / massFlow,
  }
}
