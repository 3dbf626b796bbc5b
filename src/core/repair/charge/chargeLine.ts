import type { Basis } from '../../base/known/known'

/** One part of a charge, kg; an allowance is added by the glass and is not in the total. */
export type ChargeLine = {
  readonly id: 'plate' | 'lines' | 'dryer' | 'suctionDryer' | 'flooding'
  readonly label: string
  /** undefined for a plate charge that nobody knows */
  readonly kg: number | undefined
  readonly basis: Basis
  readonly isAllowance?: true
}
