import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations } from '../../record/readings/schema'
import type { CleanupRecord } from './record'

/** A three-ton split for tests. */
export const SAMPLE_UNIT: UnitPlate = {
  kind: 'split-ac',
  refrigerant: 'R-410A',
  metering: 'txv',
  nominalTons: 3,
}

/** What is known of a circuit's inside, for tests: nothing but what is said. */
export const sampleRecord = (
  observations: Observations,
  part: Partial<CleanupRecord> = {},
): CleanupRecord => ({
  unit: SAMPLE_UNIT,
  observations,
  previousBurnout: false,
  drewAir: false,
  isEmpty: false,
  repair: {},
  faults: [],
  ...part,
})
