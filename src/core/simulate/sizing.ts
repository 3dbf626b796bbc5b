import { hasReversingValve } from '../record/equipment/kinds'
import { OrzoError } from '../base/errors/orzoError'
import { bracketedRoot } from '../base/numeric/root'
import type { UnitPlate } from '../record/equipment/unit'
import { subcooledLiquid } from '../physics/refrigerants/liquid'
import { bubbleAtMeanCondensing } from '../physics/refrigerants/meanTemperature'
import { saturationTemperature } from '../physics/refrigerants/saturation'
import { isobarAt, superheatedVapour, vapourOfEnthalpy } from '../physics/refrigerants/vapour'
import { differenceToKelvin, toKelvin, toSI } from '../base/units/convert'
import { circuitAt, streamsOf, type Unknowns } from './circuitState'
import { type CompressorDuty, runCompressor } from './compressor'
import { SHAPES } from './compressorShapes'
import { condenserConductances, condensingTemperature, singlePhaseShare } from './condenser'
import { evaporate } from './evaporator'
import type { Circuit, Coil, Compressor, Line, MeteringDevice } from './hardware'
import { KINDS, type KindRow } from './kinds'
import { fullFlow } from './metering'
import { isFixed, type RatingPoint, ratingPoint } from './ratingPoint'
import { type Corners, cornersAtBubble, cornersAtDew } from './saturations'
import { streamOf } from './stream'

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

const CFM = 0.3048 ** 3 / 60
const LITRE = 1e-3
const difference = (value: number) => differenceToKelvin(value, 'F')

/** [memory] share of the air that a coil does not touch: comfort coils are deep, box coils open. */
const COMFORT_BYPASS = 0.15
const BOX_BYPASS = 0.3
/** [memory] how near a condenser brings its air to the refrigerant, and inner film against outer. */
const CONDENSER_EFFECTIVENESS = 0.65
const INNER_TO_OUTER = 3
/** [practice] saturation lost in the suction line; pressure lost in the liquid line and in a sound dryer. */
const SUCTION_LOSS_KELVIN = difference(2)
const LIQUID_LINE_PASCALS = 15_000
const DRYER_PASCALS = 5_000
/** [practice] a liquid line loses about a degree. */
const LIQUID_LINE_LOSS_KELVIN = difference(1)
/** [memory] a sound reversing valve warms suction by about a degree. */
const VALVE_RISE_KELVIN = difference(1)
const SHELL_LOSS_SHARE = 0.07
/** [memory] valves are chosen so that they stand at about this opening at the rating point. */
const RATED_OPENING = 0.62
const CLOSED_SHARE = 0.55
const EEV_BAND_KELVIN = 0.5
/** [memory] litres a ton of hermetic shell above the oil, of discharge pipe, and of a dryer core. */
const SHELL_LITRES = 1.0
const DISCHARGE_LITRES = 0.1
const DRYER_LITRES = 0.1
const ACCUMULATOR_LITRES = 0.9
/** [memory] a receiver holds the flooded condenser and more. */
const RECEIVER_TO_CONDENSER = 1.4
const SUBCOOLER_SHARE = 0.06
const RECEIVER_RATED_FLOODED = 0.02
/** [practice] head-pressure control holds 90-95 F. */
const HEAD_FLOOR = toKelvin({ value: 92, unit: 'F' })
/** [memory] inner areas of usual line sets a ton, m2. */
const LIQUID_BORE_AREA = 5e-5
const VAPOUR_BORE_AREA = 2.6e-4
const FOOT = 0.3048
const SCALE_LIMITS = [0.5, 2.5] as const

const tonsOf = (unit: UnitPlate, row: KindRow) => unit.nominalTons ?? row.tons
const hasReceiver = (unit: UnitPlate) => unit.receiver === true || unit.headPressureControl === true
const isBoxRow = (row: KindRow) => row.evaporatorAir.wet === undefined

type Design = {
  readonly unit: UnitPlate
  readonly row: KindRow
  readonly tons: number
  readonly rating: RatingPoint
  readonly low: Corners
  readonly high: Corners
  readonly massFlow: number
  readonly enthalpyOut: number
  readonly liquidEnthalpy: number
  readonly suctionPressure: number
  readonly suctionEnthalpy: number
}

/** Saturations and enthalpies that the rating point asks for. */
function designOf(unit: UnitPlate, row: KindRow): Design {
  const name = unit.refrigerant
  const rating = ratingPoint(unit, row)
  const low = cornersAtDew(name, rating.boiling)
  const high = cornersAtBubble(name, bubbleAtMeanCondensing(name, rating.condensing))
  const superheat = attainable(rating, low)
  const out = superheatedVapour(name, low.dew, superheat)
  const colder = cornersAtDew(name, low.dew - SUCTION_LOSS_KELVIN)
  const gained = superheatedVapour(name, colder.dew, out.temperature + rating.lineGain - colder.dew)
  const liquid = subcooledLiquid(name, high.bubble - subcoolingOf(unit, rating), high.pressure)
  const lost = LIQUID_LINE_LOSS_KELVIN * liquidHeat(name, high)
  const liquidEnthalpy = liquid.enthalpy - lost
  return {
    unit,
    row,
    tons: tonsOf(unit, row),
    rating: { ...rating, superheat },
    low,
    high,
    massFlow: rating.capacity / (out.enthalpy - liquidEnthalpy),
    enthalpyOut: out.enthalpy,
    liquidEnthalpy,
    suctionPressure: colder.pressure,
    suctionEnthalpy: gained.enthalpy,
  }
}

/** [physics] vapour cannot leave warmer than the air that enters; it comes within a fifth of the difference. */
const NEAREST_TO_AIR = 0.8
const attainable = (rating: RatingPoint, low: Corners) =>
  Math.min(rating.superheat, NEAREST_TO_AIR * (rating.around.evaporator.temperature - low.dew))

const subcoolingOf = (unit: UnitPlate, rating: RatingPoint) =>
  hasReceiver(unit) ? difference(4) : rating.subcooling

const liquidHeat = (name: UnitPlate['refrigerant'], at: Corners) =>
  (subcooledLiquid(name, at.bubble, at.pressure).enthalpy -
    subcooledLiquid(name, at.bubble - 5, at.pressure).enthalpy) /
  5

/** The compressor at the rating's saturations. */
function pump(design: Design, compressor: Compressor, enthalpy: number): CompressorDuty {
  const { unit, high, suctionPressure: pressure, rating } = design
  const name = unit.refrigerant
  const suction = { pressure, enthalpy, isobar: isobarAt(name, saturationTemperature(name, 'dew', pressure)) }
  const discharge = { pressure: high.pressure, isobar: isobarAt(name, high.dew) }
  return runCompressor(name, compressor, suction, discharge, rating.around.ambient)
}

function sizeCompressor(design: Design, enthalpy: number): Compressor {
  const { unit, row, tons, high, massFlow, suctionPressure, rating } = design
  const { leakShare, ...shape } = SHAPES[unit.compressor?.type ?? row.compressor]
  const base = { ...shape, leakArea: 0, shellLoss: 0, freeVolume: tons * SHELL_LITRES * LITRE }
  const run = (compressor: Compressor) => pump(design, compressor, enthalpy)
  const trial = run({ ...base, displacement: massFlow / high.vapourDensity })
  const drop = high.pressure * (1 - Math.max(suctionPressure / high.pressure, 0.55))
  const leakArea = (leakShare * massFlow) / Math.sqrt(2 * trial.dischargeDensity * drop)
  const power = (trial.power / trial.massFlow) * massFlow
  const warm = Math.max(trial.dischargeTemperature - rating.around.ambient, 10)
  const built = { ...base, leakArea, shellLoss: (SHELL_LOSS_SHARE * power) / warm }
  const displacement = bracketedRoot(
    (size) => run({ ...built, displacement: size }).massFlow / massFlow - 1,
    (0.2 * massFlow) / superheatedVapour(unit.refrigerant, design.low.dew, rating.superheat).density,
    (5 * massFlow) / superheatedVapour(unit.refrigerant, design.low.dew, rating.superheat).density,
    1e-12,
  )
  return { ...built, displacement }
}

/** Coil on the evaporating side: outer film by the bypass factor, inner film by what the rating needs. */
function sizeEvaporator(design: Design): Coil {
  const { unit, row, tons, rating, low, massFlow, enthalpyOut, liquidEnthalpy } = design
  const flow = row.evaporatorCfmPerTon * tons * CFM
  const volume = row.evaporatorVolume * tons * LITRE
  const bypass = isBoxRow(row) ? BOX_BYPASS : COMFORT_BYPASS
  const bare: Coil = { volume, flow, ratedFlow: flow, outside: 1, inside: 1 }
  const { capacityRate } = streamOf(bare, rating.around.evaporator)
  const coil: Coil = { ...bare, outside: -Math.log(bypass) * capacityRate }
  const stream = streamOf(coil, rating.around.evaporator)
  const surplus = (log: number) =>
    evaporate(unit.refrigerant, { ...coil, inside: Math.exp(log) }, stream, low, massFlow, liquidEnthalpy)
      .enthalpyOut - enthalpyOut
  const guess = rating.capacity / (stream.temperature - low.dew)
  return { ...coil, inside: Math.exp(feasible(surplus, Math.log(guess * 0.3), Math.log(guess * 100))) }
}

/** Coil on the condensing side: both films grow together until the rating's shares fill it. */
function sizeCondenser(design: Design, dischargeEnthalpy: number, dischargeTemperature: number): Coil {
  const { unit, row, tons, rating, high, massFlow } = design
  const volume = row.condenserVolume * tons * LITRE
  const { temperature } = rating.around.condenser
  const rejected = massFlow * (dischargeEnthalpy - design.liquidEnthalpy)
  const rate = rejected / (condensingTemperature(high) - temperature) / CONDENSER_EFFECTIVENESS
  const perUnit = streamOf({ volume, flow: 1, ratedFlow: 1, outside: 1, inside: 1 }, rating.around.condenser)
  const flow = rating.waterFlow ?? rate / perUnit.capacityRate
  const coilOf = (log: number): Coil => {
    const outside = Math.exp(log)
    return { volume, flow, ratedFlow: flow, outside, inside: outside * INNER_TO_OUTER }
  }
  const held = hasReceiver(unit) ? SUBCOOLER_SHARE : 0
  const flooded = hasReceiver(unit) ? RECEIVER_RATED_FLOODED : 0
  const subcooled = high.bubble - subcoolingOf(unit, rating)
  const surplus = (log: number) => {
    const coil = coilOf(log)
    const stream = streamOf(coil, rating.around.condenser)
    const g = condenserConductances(stream, coil.inside)
    const gas = singlePhaseShare(
      massFlow,
      dischargeEnthalpy - high.vapourEnthalpy,
      dischargeTemperature,
      high.dew,
      temperature,
      g.gas,
    )
    const condensing =
      (massFlow * (high.vapourEnthalpy - high.liquidEnthalpy)) /
      (g.condensing * (condensingTemperature(high) - temperature))
    const drop = liquidHeat(unit.refrigerant, high) * (high.bubble - subcooled)
    const liquid =
      held > 0 ? 0 : singlePhaseShare(massFlow, drop, high.bubble, subcooled, temperature, g.liquid)
    return 1 - held - flooded - gas - condensing - liquid
  }
  return coilOf(feasible(surplus, Math.log(rate * 0.05), Math.log(rate * 50)))
}

function feasible(surplus: (log: number) => number, from: number, to: number): number {
  if (surplus(to) < 0) {
    throw new OrzoError(
      'not-simulated',
      'No coil of this kind reaches the plate values at its rating point: check tons, refrigerant and target subcooling.',
    )
  }
  return bracketedRoot(surplus, from, to, 1e-9)
}

const line = (
  pascals: number,
  massFlow: number,
  density: number,
  volume: number,
  conductance: number,
): Line => ({
  volume,
  resistance: (pascals * density) / massFlow ** 2,
  conductance,
})

function sizeLines(design: Design): Pick<Circuit, 'suctionLine' | 'liquidLine' | 'dryer' | 'screen'> {
  const { unit, row, tons, rating, low, high, massFlow, enthalpyOut, suctionEnthalpy, suctionPressure } =
    design
  const length = unit.lineSet?.length ? toSI(unit.lineSet.length) : row.lineLengthFeet * FOOT
  const out = superheatedVapour(unit.refrigerant, low.dew, rating.superheat)
  const over = rating.around.ambient - out.temperature
  const capacity = (enthalpyOut - low.vapourEnthalpy) / rating.superheat
  const warmed = (suctionEnthalpy - enthalpyOut) / capacity
  const conductance = -Math.log(1 - Math.min(Math.max(warmed / over, 0), 0.9)) * massFlow * capacity
  const liquidTemperature = high.bubble - subcoolingOf(unit, rating)
  const liquid = subcooledLiquid(unit.refrigerant, liquidTemperature, high.pressure)
  const lost = massFlow * liquidHeat(unit.refrigerant, high) * LIQUID_LINE_LOSS_KELVIN
  const drive = liquidTemperature - rating.around.ambient
  return {
    suctionLine: line(
      low.pressure - suctionPressure,
      massFlow,
      out.density,
      length * VAPOUR_BORE_AREA * Math.sqrt(tons),
      conductance,
    ),
    liquidLine: line(
      LIQUID_LINE_PASCALS,
      massFlow,
      liquid.density,
      length * LIQUID_BORE_AREA * Math.sqrt(tons / 3),
      drive > 0 ? lost / drive : 0,
    ),
    dryer: line(DRYER_PASCALS, massFlow, liquid.density, tons * DRYER_LITRES * LITRE, 0),
    screen: { volume: 0, resistance: 0, conductance: 0 },
  }
}

/** A device of area one with the spring of its kind; the area follows from the rated flow. */
export function bareDevice(type: MeteringDevice['type'], superheat: number): MeteringDevice {
  const fixed = { type, area: 1, leastOpening: 0.02, mostOpening: 1, bulbError: 0 }
  if (isFixed(type)) return { ...fixed, closedSuperheat: 0, openSpan: 1 }
  const closed = type === 'eev' ? superheat - EEV_BAND_KELVIN * RATED_OPENING : superheat * CLOSED_SHARE
  const openSpan = (superheat - closed) / RATED_OPENING
  return { ...fixed, closedSuperheat: closed, openSpan }
}

const ratedOpening = (device: MeteringDevice) => (isFixed(device.type) ? 1 : RATED_OPENING)

/** The device whose flow at a state equals the state's flow. */
export function sizedDevice(circuit: Circuit, state: ReturnType<typeof circuitAt>): MeteringDevice {
  const device = { ...circuit.metering, area: 1 }
  const flow = fullFlow(circuit.refrigerant, device, state.liquid.atDevice, state.evaporatorCorners.pressure)
  return { ...circuit.metering, area: state.unknowns.massFlow / flow / ratedOpening(device) }
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

/**
 * Builds a unit from its plate: coils, compressor, device and charge such that it stands at its rating point.
 * @throws OrzoError not-simulated for kinds without a model or plates that no coil can meet
 */
export function sizeUnit(unit: UnitPlate): SizedUnit {
  if (unit.kind === 'other') {
    throw new OrzoError(
      'not-simulated',
      'A unit of kind "other" has no model: choose the kind that it resembles most.',
    )
  }
  const row = KINDS[unit.kind]
  const design = designOf(unit, row)
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
    refrigerant: unit.refrigerant,
    compressor,
    condenser,
    evaporator: sizeEvaporator(design),
    metering: bareDevice(unit.metering, rating.superheat),
    ...sizeLines(design),
    dischargeVolume: tons * DISCHARGE_LITRES * LITRE,
    receiverVolume,
    subcoolerShare: hasReceiver(unit) ? SUBCOOLER_SHARE : 0,
    accumulatorVolume: (unit.accumulator ?? reversing) ? tons * ACCUMULATOR_LITRES * LITRE : 0,
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

const superheatHeat = ({ enthalpyOut, low, rating }: Design) =>
  (enthalpyOut - low.vapourEnthalpy) / rating.superheat

const suctionTemperatureOf = (design: Design) =>
  temperatureAtPressure(design.unit.refrigerant, design.suctionPressure, design.suctionEnthalpy)

const temperatureAt = (design: Design, enthalpy: number) =>
  temperatureAtPressure(design.unit.refrigerant, design.high.pressure, enthalpy)

function temperatureAtPressure(name: UnitPlate['refrigerant'], pressure: number, enthalpy: number): number {
  return vapourOfEnthalpy(name, saturationTemperature(name, 'dew', pressure), enthalpy).temperature
}
