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
  const onRecord = due.filter((item) => item.onRecord(record)).map((item) => lineOf(item, []))
  const refused = refusals(acts, holding).map(vetoSentence)
  return { gate, part, met: missing.length === 0 && refused.length === 0, refused, missing, onRecord }
}

/** Whether a point of a gate is read at the compressor's own terminals: with the pressure off, nothing before. */
export const needsTerminals = (gate: GateId, item: string): boolean =>
  GATES[gate].items.some(({ id, acts = [] }) => id === item && acts.includes('own-terminals'))
