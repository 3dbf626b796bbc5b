import type { UnitPlate } from '../../record/equipment/unit'
import type { Closing } from '../../record/records/closing'
import type { SuspectId } from '../../diagnosis/faults/faults'
import type { Policy } from '../../record/policy/policy'
import type { VetoId } from '../../safety/vetoes'
import { accessOf, isOfCompressor } from '../charge/access'
import { chargeOf } from '../charge/charge'
import type { CircuitReadings } from '../charge/circuitReadings'
import { oilBalance } from '../charge/oilBalance'
import { recoveryOf } from '../charge/recovery'
import { type RefrigerantChoice, refrigerantPath } from '../charge/refrigerantPath'
import { TAN_CLEAN } from '../cleanup/acidEvidence'
import type { Cleanup } from '../cleanup/cleanup'
import type { CleanupRecord } from '../cleanup/record'

type Circuit = {
  readonly unit: UnitPlate
  readonly closing: Closing | undefined
  readonly faults: readonly SuspectId[]
  readonly record: CleanupRecord
  readonly cleanup: Cleanup
  readonly readings: CircuitReadings
  readonly choice: RefrigerantChoice
  readonly holding: readonly VetoId[]
  readonly policy: Policy
}

/** Refrigerant, way of access, recovery, charge and oil of a circuit whose clean-up is planned. */
export function chargeWork({
  unit,
  closing,
  faults,
  record,
  cleanup,
  readings,
  choice,
  holding,
  policy,
}: Circuit) {
  const { contamination, size, dryers, oilChanges } = cleanup
  const repair = record.repair
  const isEmpty = holding.includes('no-liquid')
  const path = refrigerantPath({
    unit,
    contamination,
    acidNegative: record.observations.acidTest === 'negative' || (repair.acidNumber ?? TAN_CLEAN) < TAN_CLEAN,
    isEmpty,
    policy,
    chosen: repair.refrigerantTo,
    choice,
  })
  const isConversion = path.path === 'convert' || path.path === 'back-to-listed'
  const access = accessOf(
    {
      unit,
      faults,
      contamination,
      repair,
      lowSideLeaks: holding.includes('low-side-leak'),
      gasInside: holding.includes('gas-inside'),
      isEmpty,
    },
    policy,
  )
  const isPart = access.chosen !== 'recover-all' && !isEmpty
  // back to what the plate lists is the plate's own charge
  const base = {
    unit,
    size,
    dryers,
    repair,
    closing,
    policy,
    readings,
    isConversion: path.path === 'convert',
    isPart,
  }
  const asPlate = chargeOf({ ...base, refrigerant: unit.refrigerant, isConversion: false, dryers: [] })
  return {
    path,
    access,
    /** only a part is emptied: the charge stays in the receiver or round the isolated compressor */
    isPart,
    recovery: recoveryOf({
      unit,
      contamination,
      repair,
      closing,
      observations: record.observations,
      expected: asPlate.total,
      guess: asPlate.guess,
      isPart,
      isEmpty,
    }),
    charge: path.goesIn === undefined ? undefined : chargeOf({ ...base, refrigerant: path.goesIn }),
    oil: oilBalance({
      size,
      repair,
      changes: oilChanges,
      changesBasis: cleanup.basis,
      refrigerant: path.goesIn ?? unit.refrigerant,
      isConversion,
      isCompressorChanged: isOfCompressor(faults),
      policy,
    }),
  }
}
