import { BY_HAND, brazed, NO_KIT, opening, type TaskRow } from './row'

/** What a step does that somebody adds on site: nothing to the circuit, opens it, or opens it with a flame. */
export const OWN_KINDS = ['closed', 'opens', 'flame'] as const
export type OwnKind = (typeof OWN_KINDS)[number]

/** A step of one's own as a task: what it does stands in its id, so that every judge reads it as of any other task. */
export type OwnTaskId = `own-${OwnKind}-${string}`

/** [practice] a step that no plan knows. Minutes. */
const MINUTES = [5, 10, 30] as const

/** It stands where it was put and waits for nothing; its stage is that of work on parts. */
const OWN = {
  ...BY_HAND,
  ...NO_KIT,
  label: 'Own step',
  stage: 'mend',
  handsOn: MINUTES,
  unattended: null,
  roles: [],
} as const

const ROWS: Readonly<Record<OwnKind, TaskRow>> = {
  closed: { ...OWN, cautions: [], effects: {} },
  opens: { ...OWN, cautions: ['pressure'], effects: opening() },
  flame: { ...OWN, cautions: ['pressure'], effects: brazed() },
}

const kindOf = (word: string): OwnKind | undefined =>
  OWN_KINDS.find((kind) => word.startsWith(`own-${kind}-`))

/** Whether a task is one that was added on site. */
export const isOwnTask = (word: string): word is OwnTaskId => kindOf(word) !== undefined

/** The row by which such a task is judged. */
export const ownRow = (id: OwnTaskId): TaskRow => ROWS[kindOf(id)!]
