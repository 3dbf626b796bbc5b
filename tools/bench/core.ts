// npm run -s bench:core: saturation look-ups a second and the time of one whole diagnosis.
// Ratios compare two ways on the same machine in the same run; absolute figures belong to that machine.
import { performance } from 'node:perf_hooks'
import { emptyJob } from '@/core/record/job/job'
import { simulateSet } from '@/core/simulate/simulateSet'
import { diagnose } from '@/core/answer/diagnose'
import { SIMULATED_FAULTS } from '@/core/simulate/circuitFaults'
import { circuitFaultsOf } from '@/core/diagnosis/faults/applies'
import { tapsOf } from '@/core/record/equipment/taps'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { seededRandom } from '@/core/base/numeric/random'
import { planOf } from '@/core/repair/plan/basis'
import { loadBooks } from '@/core/diagnosis/ranking/cases/caseBook'
import { UNIT_CLASSES } from '@/core/diagnosis/ranking/cases/unitClass'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import {
  pressureRange,
  saturationPressure,
  saturationTemperature,
  temperatureRange,
} from '@/core/physics/refrigerants/saturation'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'

const LOOK_UPS = 200_000
const ROUNDS = 5
const DIAGNOSES = 300

/** Best of several rounds, seconds; `work` returns something so that it cannot be optimised away. */
function fastest(work: () => number): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now()
    const result = work()
    if (Number.isNaN(result)) throw new Error('a benchmark computed nothing')
    return (performance.now() - start) / 1000
  })
  return Math.min(...times)
}

function perSecond(seconds: number): string {
  return `${(LOOK_UPS / seconds / 1e6).toFixed(2)} million/s`
}

function benchSaturation(): void {
  for (const name of REFRIGERANT_NAMES) {
    const { coldest, hottest } = temperatureRange(name)
    const { lowest, highest } = pressureRange(name, 'dew')
    const random = seededRandom(1)
    const shares = Float64Array.from({ length: LOOK_UPS }, random)
    const forward = fastest(() =>
      shares.reduce(
        (sum, share) => sum + saturationPressure(name, 'dew', coldest + share * (hottest - coldest)),
        0,
      ),
    )
    const inverse = fastest(() =>
      shares.reduce(
        (sum, share) => sum + saturationTemperature(name, 'dew', lowest * (highest / lowest) ** share),
        0,
      ),
    )
    console.log(
      `${name.padEnd(7)} pressure of temperature ${perSecond(forward)}, temperature of pressure ${perSecond(inverse)} (ratio ${(inverse / forward).toFixed(1)})`,
    )
  }
}

function benchDiagnosis(): void {
  const unit: UnitPlate = {
    kind: 'split-heat-pump',
    refrigerant: 'R-454B',
    metering: 'txv',
    power: { rla: 14 },
  }
  const conditions = { outdoorAirTemp: 304, returnAirTemp: 297, returnAirWetBulb: 290 }
  const sets = SIMULATED_FAULTS.filter((fault) => circuitFaultsOf(unit, 'cooling').includes(fault)).map(
    (fault, i) =>
      simulateSet(
        { unit, conditions, faults: [{ fault, severity: 0.5 }], random: seededRandom(i) },
        tapsOf(unit),
      ),
  )
  const nth = (i: number) => sets[i % sets.length] as (typeof sets)[number]
  const run = (count: number) => {
    let sum = 0
    for (let i = 0; i < count; i++) sum += diagnose(unit, nth(i)).suspects[0]?.probability ?? 0
    return sum
  }
  const cold = performance.now()
  run(1)
  const first = performance.now() - cold
  const warm = (fastest(() => run(DIAGNOSES)) / DIAGNOSES) * 1000
  const numbered = sets.slice(0, 2).map((set, i) => ({ ...set, id: `set-${i + 1}` }))
  const job = { ...emptyJob(unit), readingSets: numbered }
  const plan = fastest(() => {
    let tasks = 0
    for (let i = 0; i < 100; i++)
      tasks += planOf({ ...job, readingSets: [...job.readingSets] }, ['txv-underfeeding']).tasks.length
    return tasks
  })
  const readings = Object.keys(nth(0).readings).length
  console.log(
    `one whole diagnosis of ${readings} readings: ${warm.toFixed(2)} ms warm, ${first.toFixed(1)} ms the first time`,
  )
  console.log(`one whole plan: ${(plan * 10).toFixed(3)} ms`)
}

await Promise.all([loadRefrigerants(REFRIGERANT_NAMES), loadBooks(UNIT_CLASSES)])
console.log(`node ${process.version}, best of ${ROUNDS} rounds of ${LOOK_UPS} look-ups`)
benchSaturation()
benchDiagnosis()
