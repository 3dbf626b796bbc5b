import { isAssumed, type Known } from '../../base/known/known'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Closing } from '../../record/records/closing'
import type { SuspectId } from '../../diagnosis/faults/faults'
import type { Policy } from '../../record/policy/policy'
import type { VetoId } from '../../safety/vetoes'
import { type AccessChoice, accessOf } from '../charge/access'
import { chargeOf } from '../charge/charge'
import type { CircuitReadings } from '../charge/circuitReadings'
import { oilBalance } from '../charge/oilBalance'
import { recoveryOf } from '../charge/recovery'
import { type RestInside, restInside, vapourLeft } from '../charge/restInside'
import { type RefrigerantChoice, refrigerantPath } from '../charge/refrigerantPath'
import { isAcidNegative } from '../cleanup/acidEvidence'
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

/** Plate and lines against the plate; undefined where either is a guess. */
const overPlateOf = (
  total: Known<number> | undefined,
  plate: Known<number> | undefined,
): number | undefined => (total && plate && !isAssumed(total) ? total.value / plate.value : undefined)

/** The way to the part. @param overPlate plate and lines against the plate */
function wayOf(
  { unit, faults, record, cleanup, holding, policy }: Circuit,
  inside: RestInside,
  overPlate: number | undefined,
): AccessChoice {
  return accessOf(
    {
      unit,
      faults,
      observations: record.observations,
      contamination: cleanup.contamination,
      overPlate,
      repair: record.repair,
      lowSideLeaks: holding.includes('low-side-leak'),
      gasInside: holding.includes('gas-inside'),
      inside,
    },
    policy,
  )
}

/** Refrigerant, way of access, recovery, charge and oil of a circuit whose clean-up is planned. */
export function chargeWork(circuit: Circuit) {
  const { unit, closing, record, cleanup, readings, choice, holding, policy } = circuit
  const { contamination, size, dryers, oilChanges, laterChanges, isSwap } = cleanup
  const repair = record.repair
  const inside = restInside(holding, readings)
  // back to what the plate lists is the plate's own charge
  const base = {
    unit,
    size,
    dryers,
    repair,
    closing,
    policy,
    readings,
  }
  const asPlate = chargeOf({
    ...base,
    refrigerant: unit.refrigerant,
    isConversion: false,
    dryers: [],
    isPart: false,
  })
  const access = wayOf(circuit, inside, overPlateOf(asPlate.total, size.charge))
  const isPart = access.chosen !== 'recover-all'
  const path = refrigerantPath({
    unit,
    contamination,
    acidNegative: isAcidNegative(record),
    inside,
    isPart,
    policy,
    chosen: repair.refrigerantTo,
    choice,
  })
  const isConversion = path.path === 'convert' || path.path === 'back-to-listed'
  return {
    path,
    access,
    inside,
    coilVolts: readings.coilVolts,
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
      inside,
      vapour: inside === 'vapour' ? vapourLeft(unit, size, readings) : undefined,
    }),
    charge:
      path.goesIn === undefined
        ? undefined
        : chargeOf({ ...base, refrigerant: path.goesIn, isConversion: path.path === 'convert', isPart }),
    oil: oilBalance({
      unit,
      size,
      repair,
      changes: oilChanges,
      laterChanges,
      changesBasis: cleanup.basis,
      refrigerant: path.goesIn ?? unit.refrigerant,
      isConversion,
      isCompressorChanged: isSwap,
      policy,
    }),
  }
}
