import type { CircuitFaultId } from './faults'

/** Two faults at once, the one that shows more first. */
export type PairId = `${CircuitFaultId}+${CircuitFaultId}`

/**
 * Pairs that are met together [practice]: a leak beside whatever plugged, a dirty condenser beside anything, a starving device
 * beside a leaking reversing valve. Pairs of a circuit fault and an electrical one need no list: they show in different tests.
 */
export const PAIRS: readonly (readonly [CircuitFaultId, CircuitFaultId])[] = [
  ['plugged-liquid-dryer', 'undercharge'],
  ['condenser-fouled', 'undercharge'],
  ['condenser-fouled', 'overcharge'],
  ['condenser-fouled', 'low-evaporator-airflow'],
  ['condenser-fouled', 'txv-underfeeding'],
  ['condenser-fouled', 'fixed-orifice-plugged'],
  ['low-evaporator-airflow', 'undercharge'],
  ['txv-underfeeding', 'undercharge'],
  ['fixed-orifice-plugged', 'undercharge'],
  ['non-condensables', 'undercharge'],
  ['moisture-freeze-at-valve', 'undercharge'],
  ['reversing-valve-leaking-through', 'txv-underfeeding'],
  ['reversing-valve-leaking-through', 'fixed-orifice-plugged'],
]
/** [practice] how often the two come together, as a share of the rarer one alone. */
export const PAIR_SHARE = 0.03

export const pairId = (first: CircuitFaultId, second: CircuitFaultId): PairId => `${first}+${second}`
