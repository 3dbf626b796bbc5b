import { seededRandom } from '@/core/base/numeric/random'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { JobSet } from '@/core/record/records/set'
import { ELECTRICAL_SHOWS } from '@/core/simulate/electricalFaults'
import { electricalTruth } from '@/core/simulate/electricalTruth'
import { observe } from '@/core/simulate/observe'
import { anotherSpecimen } from '@/core/simulate/scatter'
import { readSteady } from '@/core/simulate/simulateSet'
import { standingTruth } from '@/core/simulate/standingCircuit'
import { simulateSteady, simulatorOf, type Steady } from '@/core/simulate/steady'
import type { Truth } from '@/core/simulate/trueReadings'
import type { DemoSet } from './demoJob'

type Shown = {
  readonly truth: Truth
  readonly words: Readonly<Record<string, string>>
  readonly runs: boolean
}

/** What is other than on the running circuit: at rest, or by a fault of its electrical side. */
function shownBy(
  { electrical, standing }: Pick<DemoSet, 'electrical' | 'standing'>,
  unit: UnitPlate,
  steady: Steady,
  random: () => number,
): Shown {
  if (standing !== undefined) {
    const truth = standingTruth(steady, { charge: standing })
    return {
      truth,
      words: { compressorState: 'off', lowPressureSwitch: 'open', controlVolts: 'dead' },
      runs: false,
    }
  }
  if (!electrical) return { truth: {}, words: {}, runs: true }
  const show = ELECTRICAL_SHOWS[electrical](electricalTruth(steady), unit, random)
  const rest = show.runs ? {} : standingTruth(steady, { charge: 1 })
  return { truth: { ...rest, ...show.values }, words: show.words, runs: show.runs }
}

/** One set of a demo job, as the simulated unit shows it. @param at its moment */
export function demoSet(unit: UnitPlate, set: Omit<DemoSet, 'hoursAgo'>, at: string, id: string): JobSet {
  const { conditions, faults = [], seed, keys, look = [], mode = 'cooling', label, observations } = set
  const random = seededRandom(seed)
  const specimen = anotherSpecimen(simulatorOf(unit), random)
  const steady = simulateSteady(specimen, { unit, mode, conditions, faults })
  const { truth, words, runs } = shownBy(set, unit, steady, random)
  const readings = Object.fromEntries(
    Object.entries(readSteady(steady, keys, random, truth)).map(([key, reading]) => [
      key,
      { ...reading, at },
    ]),
  )
  const seen = { ...observe(steady, look, random, 0, words), ...observations }
  return {
    id,
    label,
    at,
    mode: runs ? mode : 'off',
    readings,
    ...(Object.keys(seen).length > 0 ? { observations: seen } : {}),
  }
}
