import type { UnitPlate } from '../../record/equipment/unit'
import type { ObservationKey } from '../../record/readings/observations'
import type { Act, VetoId } from '../../safety/vetoes'
import type { Assessment } from '../evidence/assess'
import type { GateId } from '../faults/gateIds'

/** What is on record when a gate is judged: all sets as one, those that were taken running, and the states that refuse. */
export type GateRecord = Pick<Assessment, 'unit' | 'snapshot' | 'derived' | 'targets' | 'tests'> & {
  readonly runs: readonly Assessment[]
  readonly holding: readonly VetoId[]
}

export type GateItem = {
  readonly id: string
  /** what must be on record, in the words of the trade */
  readonly label: string
  readonly onRecord: (record: GateRecord) => boolean
  readonly applies?: (unit: UnitPlate) => boolean
  /** the line as it stands on record, where it says something else than what is asked for */
  readonly said?: (record: GateRecord) => string | undefined
  /** shown before the step */
  readonly caution?: string
  /** what the step does: the table of vetoes decides when it is not asked for */
  readonly acts?: readonly Act[]
  /** the word that is asked for, where it is one: it can be answered at the gate */
  readonly observation?: ObservationKey
}

/** What must be shown before a part is condemned; one row a gate. */
export type GateRow = {
  /** what is condemned */
  readonly part: string
  readonly items: readonly GateItem[]
  /** what condemning it amounts to, where a state refuses that */
  readonly acts?: readonly Act[]
}

/** One line of a gate as it stands. */
export type GateLine = Pick<GateItem, 'id' | 'label' | 'caution' | 'observation'> & {
  /** why it is not asked for now */
  readonly refused?: string
}

export type ProofGate = {
  readonly gate: GateId
  /** the part that would be condemned */
  readonly part: string
  readonly met: boolean
  /** why it must not be condemned now whatever is written: states that refuse it, each with what lifts it */
  readonly refused: readonly string[]
  readonly missing: readonly GateLine[]
  readonly onRecord: readonly GateLine[]
}
