// npm run -s bench:simulate: steady states a second on one core, over kinds, conditions and faults, and what failed.
import { performance } from 'node:perf_hooks'
import { attempt } from '@/core/base/errors/orzoError'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { seededRandom } from '@/core/base/numeric/random'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { SIMULATED_FAULTS } from '@/core/simulate/circuitFaults'
import { anotherSpecimen } from '@/core/simulate/scatter'
import { simulateSteady, simulatorOf } from '@/core/simulate/steady'
import { trueReadings } from '@/core/simulate/trueReadings'
import { toKelvin } from '@/core/base/units/convert'

const STATES = 400
const UNITS: readonly UnitPlate[] = [
  { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' },
  { kind: 'split-ac', refrigerant: 'R-22', metering: 'fixed-orifice' },
  { kind: 'package-ac', refrigerant: 'R-454B', metering: 'eev' },
  { kind: 'split-heat-pump', refrigerant: 'R-32', metering: 'txv' },
  { kind: 'water-source-heat-pump', refrigerant: 'R-410A', metering: 'txv' },
  {
    kind: 'walk-in-cooler',
    refrigerant: 'R-448A',
    metering: 'txv',
    receiver: true,
    headPressureControl: true,
  },
  { kind: 'walk-in-freezer', refrigerant: 'R-404A', metering: 'txv', receiver: true },
  { kind: 'reach-in', refrigerant: 'R-134a', metering: 'capillary' },
]

const f = (value: number) => toKelvin({ value, unit: 'F' })

function bench(unit: UnitPlate, share: number): { perSecond: number; failed: number } {
  const simulator = simulatorOf(unit)
  const random = seededRandom(99)
  const between = (low: number, high: number) => f(low + (high - low) * random())
  const isFreezer = unit.kind === 'walk-in-freezer'
  let [failed, sum] = [0, 0]
  const start = performance.now()
  for (let i = 0; i < STATES; i++) {
    const specimen = anotherSpecimen(simulator, random)
    const conditions = {
      outdoorAirTemp: between(45, 110),
      returnAirTemp: between(68, 82),
      boxTemp: isFreezer ? between(-12, 8) : between(33, 45),
      waterInTemp: between(55, 90),
    }
    const fault = SIMULATED_FAULTS[Math.floor(random() * SIMULATED_FAULTS.length)] ?? 'undercharge'
    const faults = random() < share ? [{ fault, severity: 0.3 + 0.7 * random() }] : []
    const result = attempt(() =>
      trueReadings(simulateSteady(specimen, { unit, mode: 'cooling', conditions, faults })),
    )
    if (result.ok) sum += result.value.suctionPressure ?? 0
    else failed += 1
  }
  if (!(sum > 0)) throw new Error('the benchmark computed nothing')
  return { perSecond: (1000 * STATES) / (performance.now() - start), failed }
}

await loadRefrigerants(REFRIGERANT_NAMES)
for (const unit of UNITS) bench(unit, 1)
console.log(
  `node ${process.version}, ${STATES} states each, one core; specimens, conditions and severities drawn at random`,
)
const totals = [0, 0]
for (const unit of UNITS) {
  const [sound, faulty] = [bench(unit, 0), bench(unit, 1)]
  totals[0] = (totals[0] ?? 0) + 1 / sound.perSecond
  totals[1] = (totals[1] ?? 0) + 1 / faulty.perSecond
  console.log(
    `${`${unit.kind} ${unit.refrigerant} ${unit.metering}`.padEnd(42)} sound ${sound.perSecond.toFixed(0)}/s (${sound.failed} failed), ` +
      `with a fault of severity 0.3-1 ${faulty.perSecond.toFixed(0)}/s (${faulty.failed} failed)`,
  )
}
const mean = (total: number | undefined) => (UNITS.length / (total ?? 1)).toFixed(0)
console.log(`all kinds together: sound ${mean(totals[0])}/s, with faults ${mean(totals[1])}/s`)
