import { seededRandom } from '../../src/core/base/numeric/random'
import { FAULT_IDS, type SuspectId } from '../../src/core/diagnosis/faults/faults'
import { METERINGS, UNIT_KINDS, type UnitPlate } from '../../src/core/record/equipment/unit'
import { emptyJob, type KnownJob } from '../../src/core/record/job/job'
import type { Observations } from '../../src/core/record/readings/schema'
import { ORIFICE_WAYS } from '../../src/core/record/records/repair'
import { DRAINED } from '../../src/core/repair/cleanup/drained'
import { SIZE_ROWS } from '../../src/core/repair/cleanup/sizeRows'
import { USUAL } from '../../src/core/repair/cleanup/usual'
import { USUAL_LIMITS } from '../../src/core/repair/plan/testPressure'
import { runs } from './propertyRuns'

/** A figure that is assumed, as a place in its table, changed for as long as something is computed. */
type Place = {
  readonly name: string
  readonly table: Record<string, number>
  readonly key: string
  /** a share is one at most */
  readonly most: number
}
const places = (name: string, table: object, most = Infinity): Place[] =>
  Object.keys(table).map((key) => ({
    name: `${name}.${key}`,
    table: table as Record<string, number>,
    key,
    most,
  }))

/** Every assumed figure there is, by the rows that the drawn plates use. */
const placesFor = ({ kind }: UnitPlate): Place[] => [
  ...places('usual', USUAL),
  ...places('size', SIZE_ROWS[kind]).filter(({ key }) => key === 'tons' || key === 'chargePerTon'),
  ...places('limits.old', USUAL_LIMITS.old),
  ...places('limits.dense', USUAL_LIMITS.dense),
  ...places('drained', DRAINED, 1),
]

export function withFigure<T>({ table, key, most }: Place, factor: number, run: () => T): T {
  const was = table[key] as number
  table[key] = Math.min(was * factor, most)
  try {
    return run()
  } finally {
    table[key] = was
  }
}

const OPENED: readonly Observations[] = [
  {},
  { linesPlugged: 'unplugged' },
  { hoursOpenToAir: 300 },
  { hoursOpenToAir: 30, openConditions: 'humid' },
  { moistureIndicator: 'wet' },
  { acidTest: 'strong', acidTestKind: 'oil-kit' },
]

/** A plate that says kind, refrigerant and metering device, and now and then one thing more. */
export function silentJob(seed: number): { job: KnownJob; fault: SuspectId } {
  const random = seededRandom(seed)
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T
  const unit: UnitPlate = {
    kind: pick(UNIT_KINDS),
    refrigerant: pick(['R-410A', 'R-22', 'R-404A', 'R-134a', 'R-454B'] as const),
    metering: pick(METERINGS),
    receiver: random() < 0.4,
    ...(random() < 0.3 ? { headPressureControl: true } : {}),
    ...(random() < 0.2 ? { lineSet: { length: { value: 60, unit: 'ft' } } } : {}),
    ...(random() < 0.2 ? { power: { phase: 1, volts: 230, rla: 14 } } : {}),
  }
  return {
    fault: pick(FAULT_IDS),
    job: {
      ...emptyJob(unit),
      readingSets: [{ id: 'a', mode: 'off', readings: {}, observations: pick(OPENED) }],
      repair: { orificeWay: pick(ORIFICE_WAYS) },
      closing: { recovered: { value: 3, unit: 'lb' }, charged: { value: 9, unit: 'lb' } },
    },
  }
}

/** Some of the assumed figures of a plate, drawn anew for each; all of them in a soak. */
export function somePlaces(unit: UnitPlate, seed: number): Place[] {
  const random = seededRandom(seed)
  const share = runs(25, 100) / 100
  return placesFor(unit).filter(() => random() < share)
}

/** What must never be said by a figure that nobody wrote down. */
export const VERDICTS =
  /lines is missing|did not leak|overcharged|more than plate|of the plate (less|more)|overfilled| oz over/
