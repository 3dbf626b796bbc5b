import { refusals, type VetoId, vetoSentence } from '../../safety/vetoes'
import type { GateId } from '../faults/gateIds'
import { CIRCUIT_GATES } from './circuitGates'
import { COMPRESSOR_GATES } from './compressorGates'
import type { ProofGate, GateItem, GateLine, GateRecord, GateRow } from './gate'

export type { ProofGate, GateLine, GateRecord } from './gate'

const GATES: Readonly<Record<GateId, GateRow>> = { ...CIRCUIT_GATES, ...COMPRESSOR_GATES }

function lineOf(
  { id, label, caution, observation, acts = [] }: GateItem,
  holding: readonly VetoId[],
): GateLine {
  const [refusal] = refusals(acts, holding)
  return {
    id,
    label,
    ...(caution ? { caution } : {}),
    ...(observation ? { observation } : {}),
    ...(refusal ? { refused: vetoSentence(refusal) } : {}),
  }
}

/** Judges one gate against what is on record; a state that refuses condemning the part keeps it shut whatever is proven. */
export function judgeGate(gate: GateId, record: GateRecord): ProofGate {
  const { part, items, acts = [] } = GATES[gate]
  const { holding } = record
  const due = items.filter((item) => item.applies?.(record.unit) ?? true)
  const missing = due.filter((item) => !item.onRecord(record)).map((item) => lineOf(item, holding))
  const onRecord = due
    .filter((item) => item.onRecord(record))
    .map((item) => lineOf({ ...item, label: item.said?.(record) ?? item.label }, []))
  const refused = refusals(acts, holding).map(vetoSentence)
  return { gate, part, met: missing.length === 0 && refused.length === 0, refused, missing, onRecord }
}

/** Where a point of a gate can be shown: on the closed circuit, over the terminals with the pressure off, or with it open. */
export type ShownWhere = 'closed' | 'terminals' | 'opened'

/** @param item id of a point; one that the gate does not have is shown on the closed circuit */
export function whereShown(gate: GateId, item: string): ShownWhere {
  const acts = GATES[gate].items.find(({ id }) => id === item)?.acts ?? []
  if (acts.includes('own-terminals')) return 'terminals'
  return acts.includes('open') ? 'opened' : 'closed'
}
