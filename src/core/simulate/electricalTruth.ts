import type { ReadingKey } from '../record/readings/vocabulary'
import { TON_WATTS } from './ratingPoint'
import type { Steady } from './steady'

type Values = { [K in ReadingKey]?: number }

/** [memory] ordinary single-phase service where the plate is silent. */
const USUAL_VOLTS = 230
const USUAL_HERTZ = 60
/** [practice] a compressor at its rating point draws a little less than its rated load amps. */
const RATED_AMPS_SHARE = 0.85
/** [memory] share of the rated current that magnetises the motor whatever its load. */
const MAGNETISING_SHARE = 0.35
/** [memory] power factor of a loaded hermetic motor; locked against rated current. */
const POWER_FACTOR = { 1: 0.96, 3: 0.86 } as const
const LOCKED_TO_RATED = 5.5
/** [memory] winding resistances as a share of volts over rated amps. */
const RUN_WINDING_SHARE = 0.046
const START_TO_RUN = 2.3
const LEG_SHARE = 0.07
const SOUND_INSULATION_OHMS = 5e7
/** [memory] run capacitor, farads an amp at 230 V; start capacitor against it; volts across it. */
const RUN_CAPACITANCE_PER_AMP = 2.7e-6
const START_TO_RUN_CAPACITANCE = 5
const CAPACITOR_VOLTS = 1.6
const HEATER_WATTS = 70
const COIL = { supply: 26.5, loaded: 24.4, ohms: 16 }
const CONTACTOR_DROP = 0.05
const FAN_POWER_FACTOR = 0.75

/** Rated load amps: of the plate, or from the power at the rating point. */
export function ratedLoadAmps({ sized }: Steady): number {
  const { power } = sized.plate
  if (power?.rla) return power.rla
  const volts = power?.volts ?? USUAL_VOLTS
  const phase = power?.phase ?? 1
  return (
    sized.ratedPower / (volts * POWER_FACTOR[phase] * (phase === 3 ? Math.sqrt(3) : 1)) / RATED_AMPS_SHARE
  )
}

/** Compressor current: the magnetising part stays, the rest follows the power. */
export function compressorAmps(steady: Steady): number {
  const rated = RATED_AMPS_SHARE * ratedLoadAmps(steady)
  const load = steady.state.compressor.power / steady.sized.ratedPower
  return rated * Math.sqrt(load * load * (1 - MAGNETISING_SHARE ** 2) + MAGNETISING_SHARE ** 2)
}

function windings(volts: number, rated: number, phase: 1 | 3): Values {
  if (phase === 3) {
    const leg = (LEG_SHARE * volts) / rated
    return { ohmsT1T2: leg, ohmsT2T3: leg, ohmsT3T1: leg, ohmsToGround: SOUND_INSULATION_OHMS }
  }
  const run = (RUN_WINDING_SHARE * volts) / rated
  const start = run * START_TO_RUN
  return { ohmsCR: run, ohmsCS: start, ohmsRS: run + start, ohmsToGround: SOUND_INSULATION_OHMS }
}

function capacitors(steady: Steady, volts: number, rated: number): Values {
  const run = RUN_CAPACITANCE_PER_AMP * rated
  const across = CAPACITOR_VOLTS * volts
  const hertz = steady.sized.plate.power?.hertz ?? USUAL_HERTZ
  const type = steady.sized.plate.compressor?.type ?? steady.sized.row.compressor
  return {
    runCapacitance: run,
    capacitorVolts: across,
    capacitorAmps: 2 * Math.PI * hertz * run * across,
    ...(type === 'reciprocating' ? { startCapacitance: run * START_TO_RUN_CAPACITANCE } : {}),
  }
}

/** Electrical readings of a sound motor and its gear at this load; electrical faults are not simulated here. */
export function electricalTruth(steady: Steady): Values {
  const { plate, row } = steady.sized
  const { power } = plate
  const volts = power?.volts ?? USUAL_VOLTS
  const phase = power?.phase ?? 1
  const rated = ratedLoadAmps(steady)
  const amps = compressorAmps(steady)
  const tons = steady.circuit.nominalCapacity / TON_WATTS
  const heater = plate.crankcaseHeater
  const heaterVolts = heater?.volts ?? volts
  const heaterOhms = heaterVolts ** 2 / (heater?.watts ?? HEATER_WATTS)
  const fanAmps = (watts: number) => (watts * tons) / volts / FAN_POWER_FACTOR
  return {
    voltageL1L2: volts,
    ...(phase === 3
      ? { voltageL2L3: volts, voltageL3L1: volts, ampsL1: amps, ampsL2: amps, ampsL3: amps }
      : { ampsL1: amps }),
    voltageRunning: 0.985 * volts,
    compressorAmps: amps,
    ...(row.condenserFan > 0 ? { outdoorFanAmps: fanAmps(row.condenserFan) } : {}),
    indoorFanAmps: fanAmps(row.evaporatorFan),
    inrushAmps: power?.lra ?? LOCKED_TO_RATED * rated,
    ...windings(volts, rated, phase),
    ...(phase === 1 ? capacitors(steady, volts, rated) : {}),
    crankcaseHeaterOhms: heaterOhms,
    crankcaseHeaterAmps: heaterVolts / heaterOhms,
    solenoidVolts: COIL.loaded,
    solenoidVoltsNoLoad: COIL.supply,
    solenoidOhms: COIL.ohms,
    contactorVoltageDrop: CONTACTOR_DROP,
  }
}
