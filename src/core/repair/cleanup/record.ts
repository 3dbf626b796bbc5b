import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations } from '../../record/readings/schema'
import type { Repair } from '../../record/records/repair'

/** What is known of a circuit's inside when its clean-up is decided. */
export type CleanupRecord = {
  readonly unit: UnitPlate
  /** the latest word for each observation over all sets */
  readonly observations: Observations
  readonly previousBurnout: boolean
  /** it stood in vacuum while leaking: it has been drawing air, nobody knows how long */
  readonly drewAir: boolean
  /** its pressure has fallen to nothing: the leak let air in as well as refrigerant out */
  readonly isEmpty: boolean
  /** laboratory figures and what came out */
  readonly repair: Repair
  /** the faults that are repaired, where any is named */
  readonly faults: readonly string[]
}

const NOTHING: Repair = {}

/** How the circuit was found: in vacuum, or with its pressure gone. */
export type Found = { readonly drewAir?: boolean; readonly isEmpty?: boolean }

type Known = Pick<CleanupRecord, 'unit' | 'observations' | 'previousBurnout' | 'faults'> & {
  readonly repair: Repair | undefined
}

/** The record of a circuit from what is known of it. */
export const cleanupRecord = (
  { repair = NOTHING, ...known }: Known,
  { drewAir = false, isEmpty = false }: Found = {},
): CleanupRecord => ({ ...known, repair, drewAir, isEmpty })
