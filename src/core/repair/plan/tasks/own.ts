import { BY_HAND, brazed, NO_KIT, opening, type TaskRow } from './row'

/** What a step does that somebody adds on site: nothing to the circuit, opens it, or opens it with a flame. */
export const ADDED_KINDS = ['closed', 'opens', 'flame'] as const
export type AddedKind = (typeof ADDED_KINDS)[number]
/** Beside them what a leak that a test found brings along: the nitrogen is bled off before, and sweeps after its repair. */
const OWN_KINDS = [...ADDED_KINDS, 'bleed', 'sweep'] as const
type OwnKind = (typeof OWN_KINDS)[number]

/** A step of one's own as a task: what it does stands in its id, so that every judge reads it as of any other task. */
export type OwnTaskId = `own-${OwnKind}-${string}`

/** [practice] a step that no plan knows. Minutes. */
const MINUTES = [5, 10, 30] as const

/** It stands where it was put and waits for nothing; its stage is that of work on parts. */
const OWN = {
  ...BY_HAND,
  ...NO_KIT,
  label: 'Own step',
  stage: 'repair',
  handsOn: MINUTES,
  unattended: null,
  roles: [],
} as const

const ROWS: Readonly<Record<OwnKind, TaskRow>> = {
  closed: { ...OWN, cautions: [], effects: {} },
  opens: { ...OWN, cautions: ['pressure'], effects: opening() },
  flame: { ...OWN, cautions: ['pressure'], effects: brazed() },
  bleed: {
    ...OWN,
    label: 'Bleed the nitrogen off to 0 psig',
    handsOn: [2, 3, 8],
    cautions: ['pressure', 'asphyxiation'],
    instruments: ['bleed'],
    effects: {},
  },
  sweep: {
    ...OWN,
    label: 'Sweep with nitrogen, an end open',
    handsOn: [2, 3, 8],
    cautions: ['pressure', 'asphyxiation'],
    instruments: ['nitrogen-limit'],
    effects: { fills: 'nitrogen' },
    overWhen: 'several volumes through, the outlet open all the time',
  },
}

const kindOf = (word: string): OwnKind | undefined =>
  OWN_KINDS.find((kind) => word.startsWith(`own-${kind}-`))

/** Whether a task is one that was added on site. */
export const isOwnTask = (word: string): word is OwnTaskId => kindOf(word) !== undefined

/** The row by which such a task is judged. */
export const ownRow = (id: OwnTaskId): TaskRow => ROWS[kindOf(id)!]
