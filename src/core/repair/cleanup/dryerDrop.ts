import type { UnitPlate } from '../../record/equipment/unit'
import { suctionLimit } from './dryerNeed'
import type { DryerPlace } from './dryerModel'

/** What a later reading of its drop says of a dryer. */
export type DropVerdict = {
  readonly place: DryerPlace
  readonly verdict: 'leave' | 'at-next-visit' | 'change-now'
  /** psi, or K where a temperature was read */
  readonly drop: number
  readonly limit: number
  readonly unit: 'psi' | 'F'
  readonly sentence: string
}

/** [memory] most that a sound liquid dryer drops, psi, and the fall in temperature that is none, F. */
const LIQUID_LIMIT_PSI = 2
const LIQUID_LIMIT_F = 1
/** [practice] a dryer in place for a while is taken out when it drops twice its limit. */
const TEMPORARY = 2

const WORDS = {
  leave: 'Leave it.',
  'at-next-visit': 'Change it on the next visit.',
  'change-now': 'Change it now.',
} as const

function verdictOf(drop: number, limit: number): DropVerdict['verdict'] {
  if (drop <= limit) return 'leave'
  return drop <= TEMPORARY * limit ? 'at-next-visit' : 'change-now'
}

/** Verdict on a drop in pressure, psi. [memory] limits by application */
export function pressureDropVerdict(place: DryerPlace, drop: number, plate: UnitPlate): DropVerdict {
  const limit = place === 'suction' ? suctionLimit(plate) : LIQUID_LIMIT_PSI
  const verdict = verdictOf(drop, limit)
  const fresh = place === 'suction' && verdict === 'leave' ? ' A fresh one reads about 0.1 psi.' : ''
  return {
    place,
    verdict,
    drop,
    limit,
    unit: 'psi',
    sentence: `${drop.toFixed(1)} psi across the ${place} dryer, limit ${limit} psi. ${WORDS[verdict]}${fresh}`,
  }
}

/** Verdict on a fall in temperature across the liquid dryer, F; much subcooling hides a drop. [memory] */
export function temperatureDropVerdict(drop: number): DropVerdict {
  const verdict = verdictOf(drop, LIQUID_LIMIT_F)
  const hidden =
    verdict === 'leave' ? ' Subcooled liquid loses pressure without cooling: read the pressures too.' : ''
  return {
    place: 'liquid',
    verdict,
    drop,
    limit: LIQUID_LIMIT_F,
    unit: 'F',
    sentence: `${drop.toFixed(1)} F across the liquid dryer; up to ${LIQUID_LIMIT_F} F is no drop. ${WORDS[verdict]}${hidden}`,
  }
}
