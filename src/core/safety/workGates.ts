import type { VetoRow } from './vetoes'

/** What a task does that a gate of the work can hold up. */
export type WorkAct = 'open' | 'sweep' | 'flame' | 'evacuate' | 'charge' | 'first-start' | 'close'

/** A gate of the work: the state while it is shut, what it holds up, why, and what opens it. */
type GateRow = Omit<VetoRow, 'never'> & {
  readonly never: readonly WorkAct[]
  /** what is so once it is open */
  readonly name: string
  /** it is passed with a written reason, which is printed; what hurts at once is not */
  readonly canOverride: boolean
  /** the reason holds for the step at which it was written, or for the whole repair */
  readonly reasonFor: 'step' | 'repair'
}

/**
 * Gates between the tasks of a repair (handbook 07, 08, 09, 13), in the order in which they come. The states of vetoes.ts
 * hold beside them: those are not passed with a reason.
 */
const WORK_GATES = [
  {
    id: 'not-approved',
    name: 'Owner’s answer',
    state: 'The owner has not agreed',
    never: ['open'],
    reason: 'Opened without an answer, nobody has agreed to what is found inside.',
    until: 'the owner agreed to the quote, or it is written down why it goes on without',
    canOverride: true,
    reasonFor: 'repair',
  },
  {
    id: 'not-recovered',
    name: 'Recovered',
    state: 'It is not on record that the circuit was recovered',
    never: ['open', 'sweep'],
    reason: 'What opens under pressure sprays refrigerant and burning oil.',
    until: 'the recovery is logged, at its depth and without a rise, or the circuit is shown to be empty',
    canOverride: true,
    reasonFor: 'step',
  },
  {
    id: 'not-swept',
    name: 'Swept',
    state: 'The circuit was not swept with nitrogen since it was emptied',
    never: ['flame'],
    reason: 'A flame makes poison gas of what is left, and oil vapour burns.',
    until: 'the sweep is done',
    canOverride: false,
    reasonFor: 'step',
  },
  {
    id: 'not-tested',
    name: 'Tight under nitrogen',
    state: 'The pressure test is not passed',
    never: ['evacuate'],
    reason: 'A pump that pulls against a leak draws wet air in for as long as it runs.',
    until: 'the hold lies within its error and every joint was bubbled',
    canOverride: true,
    reasonFor: 'step',
  },
  {
    id: 'not-dry',
    name: 'Dry',
    state: 'The decay test is not passed',
    never: ['charge'],
    reason: 'Water or air that is shut in makes acid and ice.',
    until: 'the decay stays under its limit and its shape is neither a leak nor moisture',
    canOverride: true,
    reasonFor: 'step',
  },
  {
    id: 'too-few-pulls',
    name: 'Pulled three times',
    state: 'The three pulls are not on its logs',
    never: ['charge'],
    reason:
      'Water under oil and in dead legs comes out with the nitrogen of the breaks, not with one long pull.',
    until: 'three pulls and the two breaks with nitrogen between them stand on the logs',
    canOverride: true,
    reasonFor: 'step',
  },
  {
    id: 'not-charged',
    name: 'Charged',
    state: 'The circuit stands in vacuum or without its charge',
    never: ['first-start'],
    reason: 'In vacuum windings arc inside the shell.',
    until: 'the charge is weighed in or let in',
    canOverride: false,
    reasonFor: 'step',
  },
  {
    id: 'over-weight',
    name: 'Not more than calculated',
    state: 'More went in than was calculated',
    never: ['first-start'],
    reason: 'Liquid that the coils do not hold comes back to the compressor.',
    until: 'what is over is trimmed out by the scale',
    canOverride: true,
    reasonFor: 'step',
  },
  {
    id: 'not-listed',
    name: 'First start gone through',
    state: 'The list of the first start is not gone through',
    never: ['first-start'],
    reason: 'A shut valve, a wrong rotation or cold oil kills a new compressor in its first minute.',
    until: 'each point of the list is ticked',
    canOverride: true,
    reasonFor: 'step',
  },
  {
    id: 'not-proven',
    name: 'Measured after the start',
    state: 'There are no readings after the start',
    never: ['close'],
    reason: 'What was not measured was not repaired.',
    until: 'a set is measured after the start, or it is closed as not proven today',
    canOverride: true,
    reasonFor: 'step',
  },
  {
    id: 'one-mode',
    name: 'Both modes',
    state: 'The other mode is neither measured nor booked',
    never: ['close'],
    reason: 'A heat pump that was opened is proven in cooling and in heating.',
    until: 'a set in each mode is measured after the start, or the day for the other one is booked',
    canOverride: true,
    reasonFor: 'step',
  },
  {
    id: 'not-put-back',
    name: 'Everything back on',
    state: 'Something that came off is not back on',
    never: ['close'],
    reason: 'A bulb that hangs free or a cap that is missing is the next call.',
    until: 'the taken-off list is ticked back',
    canOverride: true,
    reasonFor: 'step',
  },
] as const satisfies readonly GateRow[]

export type WorkGateId = (typeof WORK_GATES)[number]['id']
export const WORK_GATE_IDS: readonly WorkGateId[] = WORK_GATES.map(({ id }) => id)
/** Whether a word is a gate of the work. */
export const isWorkGate = (word: string): word is WorkGateId => WORK_GATES.some(({ id }) => id === word)
export const workGateRow = (id: WorkGateId): GateRow => WORK_GATES.find((row) => row.id === id) as GateRow

/** The gates that hold up any of some acts. */
export const gatesOver = (acts: readonly WorkAct[]): WorkGateId[] =>
  WORK_GATES.filter(({ never }) => never.some((act) => acts.includes(act))).map(({ id }) => id)
