import type { EntryId } from '../../base/known/entries'
import { type Basis, basisOf, isAssumed } from '../../base/known/known'
import type { LogVerdict } from '../../record/records/log'

/** A figure that is shown large, with what it is beside. */
export type FigureRow = {
  readonly label: string
  readonly value: string
  readonly note?: string
  /** what it rests on, where that is a guess */
  readonly basis?: Basis
}
/** A line across the curve, in the unit of the first channel. */
export type Level = { readonly label: string; readonly value: number }
/** A band of the curve, in the unit of the first channel. */
export type Zone = { readonly label: string; readonly from: number; readonly to: number }

/** What a judge says of a log: how it stands against its limit, why, and what is still missing. */
export type Verdict = Pick<LogVerdict, 'limit' | 'cause' | 'missing' | 'sentence' | 'pulls' | 'stoodAt'>

/** A verdict with everything that is told beside it. */
export type Told = Verdict & {
  /** what is done next, and what is told beside */
  readonly details: readonly string[]
  readonly figures: readonly FigureRow[]
  readonly levels?: readonly Level[]
  readonly zones?: readonly Zone[]
  /** by the scale, kg */
  readonly moved?: number | undefined
  /** what would have to be entered for the verdict that is not drawn */
  readonly asks?: readonly EntryId[]
  /** value of the next step, in the unit of the first channel */
  readonly nextStep?: number | undefined
}

/** Whether a verdict opens its gate: within its limit, and nothing is missing. */
export const isOpening = ({ limit, missing }: Pick<Verdict, 'limit' | 'missing'>): boolean =>
  limit === 'passed' && missing.length === 0

/** A row as a guess where what it is calculated from is one. */
export const markedRow = (row: FigureRow, basis: Basis | undefined): FigureRow =>
  basis && isAssumed(basis) ? { ...row, basis: basisOf(basis) } : row
