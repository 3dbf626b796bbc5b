import { GAS_CONSTANT } from '../base/numeric/gasConstant'
import { saturationTemperature, temperatureRange } from '../physics/refrigerants/saturation'
import { gasOfEnthalpy, isobarAt } from '../physics/refrigerants/vapour'
import { compressorDuty, type CompressorDuty, type Discharge, leakFlow } from './compressor'
import type { CondenserDuty } from './condenser'
import { evaporate, type EvaporatorDuty } from './evaporator'
import type { Circuit, Surroundings } from './hardware'
import { highSide, ramp } from './highSide'
import { alongSuction, type LiquidPath, liquidPath, suctionPoint, type SuctionPoint } from './lines'
import { fullFlow, openingAt } from './metering'
import { type Corners, cornersAtBubble, cornersAtDew, qualityOf } from './saturations'
import { type Stream, streamOf } from './stream'

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

/** [memory] share of a condenser in which gas that does not condense can gather. */
const GAS_SHARE_OF_CONDENSER = 0.6
/** Quality range over which an accumulator fills. */
const ACCUMULATOR_RAMP = 0.06
const MOST_ACCUMULATOR_LEVEL = 0.7

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

/** Gas space that air shares: its pressure at a temperature, Pa. */
export const gasPressure = (moles: number, kelvin: number, volume: number): number =>
  moles === 0 ? 0 : (moles * GAS_CONSTANT * kelvin) / volume

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
    circuit.physics,
    massFlow / circuit.nominalFlow,
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
