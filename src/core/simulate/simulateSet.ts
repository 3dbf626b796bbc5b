import type { UnitPlate } from '../record/equipment/unit'
import type { RandomSource } from '../base/numeric/random'
import type { ReadingSet, Readings } from '../record/readings/schema'
import type { ReadingKey } from '../record/readings/vocabulary'
import type { Conditions, RunningMode } from './conditions'
import { display, measure, toolBag } from './instruments'
import { anotherSpecimen } from './scatter'
import { type FaultNow, type Simulator, simulateSteady, simulatorOf, type Steady } from './steady'
import { trueReadings, type Truth } from './trueReadings'

export type SetQuestion = {
  readonly unit: UnitPlate
  readonly mode?: RunningMode
  readonly conditions: Conditions
  readonly faults: readonly FaultNow[]
  readonly random: RandomSource
  /** sized before, to save time; of the same unit */
  readonly simulator?: Simulator
}

/**
 * Readings of a steady state as instruments show them. Keys that the unit does not have are left out.
 * @param changed true values that an electrical fault changes, SI
 */
export function readSteady(
  steady: Steady,
  keys: readonly ReadingKey[],
  random: RandomSource,
  changed: Truth = {},
): Readings {
  const truth = { ...trueReadings(steady), ...changed }
  const instrumentFor = toolBag(random)
  const readings: Readings = {}
  for (const key of keys) {
    const value = truth[key]
    if (value === undefined) continue
    const instrument = instrumentFor(key)
    const shown = measure(instrument, key, value, steady.atmosphere, random)
    readings[key] = {
      ...display(key, shown, steady.atmosphere),
      source: 'probe',
      instrument: instrument.name,
    }
  }
  return readings
}

/** Readings of a steady state as they truly are, in the units of display. */
export function exactReadings(steady: Steady, keys: readonly ReadingKey[]): Readings {
  const truth = trueReadings(steady)
  const entries = keys.flatMap((key) => {
    const value = truth[key]
    return value === undefined ? [] : [[key, display(key, value, steady.atmosphere)] as const]
  })
  return Object.fromEntries(entries)
}

/**
 * One simulated reading set: a specimen of the unit, its faults, its conditions, read with real instruments. The same
 * random source gives the same set.
 * @throws OrzoError not-simulated where the unit would not run steadily
 */
export function simulateSet(
  question: SetQuestion,
  keys: readonly ReadingKey[],
): Pick<ReadingSet, 'mode' | 'readings'> {
  const { unit, mode = 'cooling', conditions, faults, random } = question
  const specimen = anotherSpecimen(question.simulator ?? simulatorOf(unit), random)
  const steady = simulateSteady(specimen, { unit, mode, conditions, faults })
  return { mode, readings: readSteady(steady, keys, random) }
}
