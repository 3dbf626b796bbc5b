import { isThreePhase } from '../../record/equipment/kinds'
import { toSI } from '../../base/units/convert'
import { UNITS } from '../../base/units/units'
import type { UnitPlate } from '../../record/equipment/unit'
import type { PartId } from './parts/catalogue'

/** Kinds of compressor by what comes with a new one (handbook 13). */
export const MACHINES = ['small-hermetic', 'single-phase', 'three-phase', 'semi-hermetic'] as const
export type Machine = (typeof MACHINES)[number]

/** What is changed with a compressor of each kind (handbook 13). [practice] */
const KITS: Readonly<Record<Machine, readonly PartId[]>> = {
  'small-hermetic': ['start-relay', 'overload', 'start-capacitor', 'process-stub', 'feet'],
  'single-phase': ['run-capacitor', 'contactor', 'feet'],
  'three-phase': ['contactor', 'feet'],
  'semi-hermetic': ['body-gaskets', 'contactor', 'feet'],
}

/** Parts of the kits that sound neighbours are: changed with the compressor or left, by the policy. */
const NEIGHBOURS: readonly PartId[] = ['run-capacitor', 'contactor']

/** [practice] a charge below this is that of a small hermetic, kg. */
const SMALL_CHARGE = 2 * UNITS.lb.si

/** Which kind of compressor a unit has, by its plate alone. */
export function machineOf(unit: UnitPlate): Machine {
  if (unit.compressor?.type === 'semi-hermetic') return 'semi-hermetic'
  if (isThreePhase(unit)) return 'three-phase'
  const { factoryCharge } = unit
  const isSmall = factoryCharge !== undefined && toSI(factoryCharge) < SMALL_CHARGE
  return isSmall || unit.kind === 'reach-in' ? 'small-hermetic' : 'single-phase'
}

/** What comes with a compressor of this kind. @param only what failed, and what cannot be used again */
export const kitOf = (machine: Machine, only = false): readonly PartId[] =>
  KITS[machine].filter((part) => !only || !NEIGHBOURS.includes(part))
