import type { Level, Zone } from './LogChart'

export type FigureRow = { readonly label: string; readonly value: string; readonly note?: string }

/** What is said of a log, as it is shown. */
export type JudgedView = {
  readonly passed: boolean
  readonly sentence: string
  /** what is done next, or told beside */
  readonly details: readonly string[]
  readonly figures: readonly FigureRow[]
  readonly levels?: readonly Level[]
  readonly zones?: readonly Zone[]
  /** by the scale, kg */
  readonly moved?: number | undefined
  /** value of the next step, in the unit of the first channel */
  readonly nextStep?: number | undefined
}
