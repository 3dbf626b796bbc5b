import { isSimulated } from '../simulate/circuitFaults'
import { attempt } from '../base/errors/orzoError'
import { type RandomSource, seededRandom } from '../base/numeric/random'
import { DEFAULT_DISPLAY } from '../base/units/show'
import { assess } from '../diagnosis/evidence/assess'
import { circuitFaultsOf } from '../diagnosis/faults/applies'
import { tapsOf } from '../record/equipment/taps'
import type { UnitPlate } from '../record/equipment/unit'
import { observe } from '../simulate/observe'
import { readSteady } from '../simulate/simulateSet'
import { anotherSpecimen } from '../simulate/scatter'
import { simulateSteady, simulatorOf } from '../simulate/steady'
import { type Suspect, suspectsOf, rankSet } from './diagnose'

const UNITS: readonly UnitPlate[] = [
  { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' },
  { kind: 'package-ac', refrigerant: 'R-22', metering: 'fixed-orifice' },
  { kind: 'walk-in-cooler', refrigerant: 'R-448A', metering: 'txv', receiver: true },
  { kind: 'reach-in', refrigerant: 'R-134a', metering: 'capillary' },
]
const SIMULATORS = UNITS.map((unit) => simulatorOf(unit))
const JOBS = 1000
const VISITS = 5
const HEALTHY = 0.3

const pick = <T>(random: RandomSource, from: readonly T[]): T => from[Math.floor(random() * from.length)] as T

/** A drawn circuit; undefined where it does not run. */
function circuitOf(seed: number) {
  const random = seededRandom(seed)
  const i = Math.floor(random() * UNITS.length)
  const unit = UNITS[i] as UnitPlate
  const faults =
    random() < HEALTHY
      ? []
      : [
          {
            fault: pick(random, circuitFaultsOf(unit, 'cooling').filter(isSimulated)),
            severity: 0.3 + 0.7 * random(),
          },
        ]
  const conditions = { outdoorAirTemp: 290 + 20 * random() }
  const steady = attempt(() =>
    simulateSteady(anotherSpecimen(SIMULATORS[i]!, random), { unit, mode: 'cooling', conditions, faults }),
  )
  return steady.ok ? { unit, steady: steady.value } : undefined
}

/** The leaders of several visits to one circuit: other instruments, other readings. */
function leadersOf(seed: number): Suspect[] {
  const circuit = circuitOf(seed)
  if (!circuit) return []
  const { unit, steady } = circuit
  const taps = tapsOf(unit)
  return Array.from({ length: VISITS }, (_v, visit): Suspect => {
    const random = seededRandom(seed * VISITS + visit)
    const keys = taps.filter((_key, at) => random() < 1 - at / (2 * taps.length))
    const readings = readSteady(steady, keys, random)
    const observations = observe(steady, ['frostPattern', 'sightGlass', 'compressorState'], random, 0)
    // without the next checks, which take most of the time of a diagnosis
    const assessment = assess(unit, { mode: 'cooling', readings, observations })
    const weighed = rankSet(assessment, undefined, {})
    return suspectsOf(assessment, weighed, {}, DEFAULT_DISPLAY)[0] as Suspect
  })
}

test('the first sentence of a leader is evidence for it, on a thousand drawn jobs', () => {
  const leaders = Array.from({ length: JOBS / VISITS }, (_v, seed) => leadersOf(seed)).flat()
  expect(leaders.length).toBeGreaterThan(JOBS * 0.9)
  const told = leaders.filter(({ evidence }) => evidence.length > 0)
  expect(told.length).toBeGreaterThan(JOBS * 0.9)
  const against = told.filter(({ evidence }) => evidence[0]?.direction !== 'for')
  expect(against.map(({ fault, evidence }) => `${fault}: ${evidence[0]?.sentence}`)).toEqual([])
  // a sound circuit is not explained by a fault
  const sound = told.filter(({ fault }) => fault === 'healthy')
  expect(sound.length).toBeGreaterThan(100)
  const pointing = sound.filter(({ evidence }) => /target: /.test(evidence[0]?.sentence ?? ''))
  expect(pointing.map(({ evidence }) => evidence[0]?.sentence)).toEqual([])
})
