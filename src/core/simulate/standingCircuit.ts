import type { RandomSource } from '../base/numeric/random'
import { toPascals } from '../base/units/convert'
import type { CircuitFaultId } from '../diagnosis/faults/faults'
import { hasLiquidValve } from '../record/equipment/kinds'
import type { ReadingKey } from '../record/readings/vocabulary'
import type { ElectricalShow } from './electricalFaults'
import { standingPressure } from './standing'
import type { Steady } from './steady'
import { trueReadings, type Truth } from './trueReadings'

type Words = ElectricalShow['words']

/** Faults of a circuit that stands: what standingTruth and lostChargeWords show. */
export const STANDING_FAULTS: readonly CircuitFaultId[] = ['charge-lost']

/** What is inside a circuit that stands. */
export type Inside = {
  /** of the plate charge, 0 to 1.3 */
  readonly charge: number
  /** air or nitrogen, Pa of its own at the temperature of the circuit */
  readonly gas?: number
  /** how far below the air around it, Pa: it ran or was pumped while it leaked */
  readonly vacuum?: number
  /** the liquid is shut into the high side, the low side pumped down to this, Pa over the air */
  readonly pumpedDownTo?: number
}

/** Places at which a circuit leaks, where its oil is then seen [practice]. */
const OIL_AT = [
  'condenser-coil',
  'evaporator-coil',
  'service-valve',
  'valve-stem',
  'distributor',
  'line-set',
  'joint',
] as const
const OIL_SEEN = 0.65
/** [practice] a low-pressure switch opens below this, Pa over the air around it. */
const CUT_OUT = toPascals({ value: 20, unit: 'psia' })

/** Pressures at rest, Pa absolute: of both sides, and of each. */
function pressuresAtRest(steady: Steady, inside: Inside, coldest: number): Truth {
  const { atmosphere } = steady
  if (inside.vacuum !== undefined) return both(atmosphere - inside.vacuum)
  const circuit = { ...steady.circuit, charge: inside.charge * steady.circuit.charge }
  // An empty circuit holds the air that came in.
  const own = inside.charge > 0 ? standingPressure(circuit, coldest) : atmosphere
  const pressure = Math.max(own, inside.charge > 0 ? own : atmosphere) + (inside.gas ?? 0)
  if (inside.pumpedDownTo === undefined) return both(pressure)
  return { standingSuctionPressure: atmosphere + inside.pumpedDownTo, standingLiquidPressure: pressure }
}

const both = (pressure: number): Truth => ({
  standingPressure: pressure,
  standingSuctionPressure: pressure,
  standingLiquidPressure: pressure,
})

/** Places at rest take the temperature of what is around them. */
const AT_REST: readonly ReadingKey[] = ['outdoorAirTemp', 'returnAirTemp', 'boxTemp', 'waterInTemp']

/**
 * True readings of a circuit that stands and has equalised; no reading of a running one is among them. SI.
 * @param steady the unit in its weather, as it would run with its plate charge
 */
export function standingTruth(steady: Steady, inside: Inside): Truth {
  const running = trueReadings(steady)
  const places: Truth = Object.fromEntries(
    AT_REST.flatMap((key) => (running[key] === undefined ? [] : [[key, running[key]]])),
  )
  const temperatures = Object.values(places).filter((value) => value !== undefined)
  return { ...places, ...pressuresAtRest(steady, inside, Math.min(...temperatures)) }
}

/** Whether its low-pressure switch is open, by the low side's pressure over the air around it, Pa. */
const opensSwitch = (truth: Truth, atmosphere: number): boolean =>
  (truth.standingSuctionPressure ?? truth.standingPressure ?? Infinity) - atmosphere < CUT_OUT

/** [practice] vapour alone lets it start, and the switch locks it out: closed again when somebody comes, or still open. */
const CLOSED_AGAIN = 0.5

/** What a lost charge shows beside its pressure: the low-pressure switch did its job, so nothing is called on. */
export function lostChargeWords(truth: Truth, steady: Steady, random: RandomSource): Words {
  const isOpen = opensSwitch(truth, steady.atmosphere)
  const place = OIL_AT[Math.floor(random() * OIL_AT.length)] as string
  return {
    compressorState: 'off',
    weighedCharge: 'below-plate',
    oilStain: random() < OIL_SEEN ? place : 'none',
    hardStart: 'none',
    lowPressureSwitch: isOpen || random() < CLOSED_AGAIN ? 'open' : 'closed',
    controlVolts: 'dead',
    loadVolts: 'dead',
    contactorPoints: 'not-pulled-in',
  }
}

/** A unit with a solenoid that pumps itself down before it stops. */
export const pumpsDown = ({ sized }: Steady): boolean => hasLiquidValve(sized.plate)

/** Electrical readings of a machine to which no call comes through: nothing flows. */
export const NOTHING_FLOWS: Truth = {
  compressorAmps: 0,
  ampsL1: 0,
  ampsL2: 0,
  ampsL3: 0,
  inrushAmps: 0,
}
