import { OrzoError } from '../base/errors/orzoError'
import { differenceToKelvin, toKelvin, toSI } from '../base/units/convert'
import { hasReversingValve } from '../record/equipment/kinds'
import type { UnitPlate } from '../record/equipment/unit'
import { circuitAt, streamsOf, type Unknowns } from './circuitState'
import type { Circuit, MeteringDevice } from './hardware'
import { KINDS, type KindRow } from './kinds'
import { fullFlow } from './metering'
import { type Physics, USUAL_PHYSICS } from './physics'
import {
  designOf,
  hasReceiver,
  LITRE,
  pump,
  sizeCompressor,
  suctionTemperatureOf,
  superheatHeat,
  temperatureAt,
} from './ratedDesign'
import { isFixed } from './ratingPoint'
import { sizeCondenser, sizeEvaporator, sizeLines, SUBCOOLER_SHARE } from './sizeCoils'

/** A unit built from its plate: one circuit a mode, and what its rating point showed. */
export type SizedUnit = {
  readonly plate: UnitPlate
  readonly row: KindRow
  readonly cooling: Circuit
  /** kg: plate charge, or what the rating point needs */
  readonly charge: number
  /** compressor power at the rating point, W */
  readonly ratedPower: number
  readonly rated: Unknowns
}

/** [memory] a sound reversing valve warms suction by about a degree. */
const VALVE_RISE_KELVIN = differenceToKelvin(1, 'F')
const EEV_BAND_KELVIN = 0.5
/** [memory] litres a ton of discharge pipe, and of an accumulator. */
const DISCHARGE_LITRES = 0.1
const ACCUMULATOR_LITRES = 0.9
/** [memory] a receiver holds the flooded condenser and more. */
const RECEIVER_TO_CONDENSER = 1.4
/** [practice] head-pressure control holds 90-95 F. */
const HEAD_FLOOR = toKelvin({ value: 92, unit: 'F' })
const SCALE_LIMITS = [0.5, 2.5] as const

/** A device of area one with the spring of its kind; the area follows from the rated flow. */
export function bareDevice(
  type: MeteringDevice['type'],
  superheat: number,
  { ratedOpening, closedShare, openingExponent, orificeThroat, capillaryThroat, throatFall }: Physics,
): MeteringDevice {
  const any = { type, area: 1, leastOpening: 0.02, mostOpening: 1, bulbError: 0 }
  if (isFixed(type)) {
    const throat = type === 'capillary' ? capillaryThroat : orificeThroat
    return {
      ...any,
      closedSuperheat: 0,
      openSpan: 1,
      ratedOpening: 1,
      openingExponent: 1,
      throat,
      throatFall,
    }
  }
  const closedSuperheat =
    type === 'eev' ? superheat - EEV_BAND_KELVIN * ratedOpening : superheat * closedShare
  const openSpan = (superheat - closedSuperheat) / ratedOpening ** (1 / openingExponent)
  return { ...any, closedSuperheat, openSpan, ratedOpening, openingExponent, throat: 0, throatFall: 0 }
}

/** The device whose flow at a state equals the state's flow. */
export function sizedDevice(circuit: Circuit, state: ReturnType<typeof circuitAt>): MeteringDevice {
  const device = { ...circuit.metering, area: 1 }
  const flow = fullFlow(circuit.refrigerant, device, state.liquid.atDevice, state.evaporatorCorners.pressure)
  return { ...circuit.metering, area: state.unknowns.massFlow / flow / device.ratedOpening }
}

/** Multiplies every inner volume, so that the charge is what the plate says. */
function scaleVolumes(circuit: Circuit, by: number): Circuit {
  const scaled = <T extends { readonly volume: number }>(part: T): T => ({
    ...part,
    volume: part.volume * by,
  })
  return {
    ...circuit,
    compressor: { ...circuit.compressor, freeVolume: circuit.compressor.freeVolume * by },
    condenser: scaled(circuit.condenser),
    evaporator: scaled(circuit.evaporator),
    suctionLine: scaled(circuit.suctionLine),
    liquidLine: scaled(circuit.liquidLine),
    dryer: scaled(circuit.dryer),
    dischargeVolume: circuit.dischargeVolume * by,
    receiverVolume: circuit.receiverVolume * by,
    accumulatorVolume: circuit.accumulatorVolume * by,
    charge: circuit.charge * by,
  }
}

/** A kind as another design of it. */
const designedRow = (row: KindRow, physics: Physics): KindRow => ({
  ...row,
  evaporatorDifference: row.evaporatorDifference * physics.evaporatorDifference,
  condensingShift: physics.condensing,
  superheat: row.superheat * physics.superheat,
  fixedSuperheat: row.fixedSuperheat * physics.superheat,
  subcooling: row.subcooling * physics.subcooling,
  lineGain: row.lineGain * physics.lineGain,
})

/**
 * Builds a unit from its plate: coils, compressor, device and charge such that it stands at its rating point.
 * @param physics the choices that a plate does not tell
 * @throws OrzoError not-simulated for kinds without a model or plates that no coil can meet
 */
export function sizeUnit(unit: UnitPlate, physics: Physics = USUAL_PHYSICS): SizedUnit {
  if (unit.kind === 'other') {
    throw new OrzoError(
      'not-simulated',
      'A unit of kind "other" has no model: choose the kind that it resembles most.',
    )
  }
  const row = designedRow(KINDS[unit.kind], physics)
  const design = designOf(unit, row, physics)
  const { rating, low, high, massFlow, tons } = design
  const reversing = hasReversingValve(unit)
  const warmed = reversing ? VALVE_RISE_KELVIN * superheatHeat(design) : 0
  const compressor = sizeCompressor(design, design.suctionEnthalpy + warmed)
  const duty = pump(design, compressor, design.suctionEnthalpy + warmed)
  const suctionTemperature = suctionTemperatureOf(design)
  const valveConductance = (massFlow * warmed) / (duty.dischargeTemperature - suctionTemperature)
  const condenser = sizeCondenser(
    design,
    duty.dischargeEnthalpy - warmed,
    temperatureAt(design, duty.dischargeEnthalpy - warmed),
  )
  const receiverVolume = hasReceiver(unit) ? condenser.volume * RECEIVER_TO_CONDENSER : 0
  const draft: Circuit = {
    physics,
    refrigerant: unit.refrigerant,
    compressor,
    condenser,
    evaporator: sizeEvaporator(design),
    metering: bareDevice(unit.metering, rating.superheat, physics),
    ...sizeLines(design),
    dischargeVolume: tons * DISCHARGE_LITRES * LITRE,
    receiverVolume,
    subcoolerShare: hasReceiver(unit) ? SUBCOOLER_SHARE : 0,
    accumulatorVolume:
      (unit.accumulator ?? reversing) ? tons * ACCUMULATOR_LITRES * physics.accumulatorVolume * LITRE : 0,
    parked: 0,
    valveLeakArea: 0,
    valveConductance,
    headFloor: unit.headPressureControl ? HEAD_FLOOR : undefined,
    floodingShare: 1,
    strayFlooding: 0,
    nonCondensables: 0,
    charge: 1,
    nominalFlow: massFlow,
    nominalCapacity: rating.capacity,
  }
  const rated: Unknowns = {
    evaporating: low.dew,
    condensing: high.bubble,
    massFlow,
    enthalpy: design.enthalpyOut,
    discharge: duty.dischargeEnthalpy,
  }
  const state = circuitAt(draft, rating.around, streamsOf(draft, rating.around), rated)
  const metered = { ...draft, metering: sizedDevice(draft, state), charge: state.mass }
  const cooling = matchCharge(metered, unit)
  return { plate: unit, row, cooling, charge: cooling.charge, ratedPower: duty.power, rated }
}

function matchCharge(circuit: Circuit, unit: UnitPlate): Circuit {
  if (!unit.factoryCharge) return circuit
  const wanted = toSI(unit.factoryCharge) / circuit.charge
  const [least, most] = SCALE_LIMITS
  return scaleVolumes(circuit, Math.min(Math.max(wanted, least), most))
}
