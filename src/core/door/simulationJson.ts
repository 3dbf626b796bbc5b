import { seededRandom } from '../base/numeric/random'
import { derive } from '../record/readings/derive'
import { DERIVED_KEYS, derivedRow } from '../record/readings/derivedTable'
import type { Readings } from '../record/readings/schema'
import { takeSnapshot } from '../record/readings/snapshot'
import { READING_KEYS, type ReadingKey } from '../record/readings/vocabulary'
import { display } from '../simulate/instruments'
import { limitsOf } from '../simulate/limits'
import { readSteady } from '../simulate/simulateSet'
import { questionOf, type SimulationFile } from '../simulate/simulationFile'
import { simulateSteady, simulatorOf, type Steady } from '../simulate/steady'
import { trueReadings } from '../simulate/trueReadings'
import { differenceFromKelvin, fromKelvin } from '../base/units/convert'

const round = (value: number, digits: number) => Number(value.toFixed(digits))

/** True values as a display without error would show them. */
function exactReadings(steady: Steady): Readings {
  const truth = trueReadings(steady)
  const entries = READING_KEYS.filter((key) => truth[key] !== undefined).map((key): [ReadingKey, object] => [
    key,
    display(key, truth[key] as number, steady.atmosphere),
  ])
  return Object.fromEntries(entries) as Readings
}

const SHOWN: Readonly<Record<string, (value: number) => number>> = {
  temperature: (value) => round(fromKelvin(value, 'F'), 1),
  temperatureDifference: (value) => round(differenceFromKelvin(value, 'F'), 1),
  pressureDifference: (value) => round(value / 6894.757, 2),
}

function derivedJson(steady: Steady, readings: Readings): Record<string, number> {
  const { mode, sized, atmosphere } = steady
  const derived = derive(takeSnapshot({ mode, readings }, sized.plate.refrigerant, atmosphere))
  const out: Record<string, number> = {}
  for (const key of DERIVED_KEYS) {
    const value = derived[key]?.value
    if (value !== undefined) out[key] = (SHOWN[derivedRow(key).kind] ?? ((v: number) => round(v, 3)))(value)
  }
  return out
}

/**
 * What a unit reads in given conditions with given faults.
 * @throws OrzoError not-simulated or out-of-range
 */
export function simulationJson(file: SimulationFile): Record<string, unknown> {
  const question = questionOf(file)
  const steady = simulateSteady(simulatorOf(question.unit), question)
  const { state, circuit, sized } = steady
  const readings = file.instruments
    ? readSteady(steady, READING_KEYS, seededRandom(file.instruments.seed))
    : exactReadings(steady)
  return {
    mode: steady.mode,
    faults: question.faults,
    readings,
    derived: derivedJson(steady, readings),
    performance: {
      refrigerantInside: circuit.refrigerant,
      coolingWatts: round(state.evaporator.heat, 0),
      rejectedWatts: round(state.condenser.heat, 0),
      compressorWatts: round(state.compressor.power, 0),
      nominalWatts: round(circuit.nominalCapacity, 0),
      massFlowKgPerS: round(state.unknowns.massFlow, 5),
      chargeKg: round(circuit.charge, 3),
      ratedChargeKg: round(sized.charge, 3),
      deviceOpening: round(state.opening, 3),
      receiverLevel: round(state.receiverLevel, 2),
      accumulatorLevel: round(state.accumulatorLevel, 2),
    },
    limits: limitsOf(steady),
  }
}
