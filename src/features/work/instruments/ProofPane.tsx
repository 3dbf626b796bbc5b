'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { gateIdOf, suspectLabel } from '@/core/diagnosis/faults/faults'
import type { DecisionState } from '@/core/diagnosis/proof/decisionState'
import { type ShownWhere, whereShown } from '@/core/diagnosis/proof/gates'
import type { ProofGate } from '@/core/diagnosis/proof/gates'
import { observeLatest } from '@/core/record/edits/readingEdits'
import { setsOfRound } from '@/core/record/job/setsOfRound'
import { latestWords } from '@/core/record/job/words'
import { Gates } from '../../shared/decide/Gates'
import type { InstrumentProps } from './instrumentProps'

const WHERE: Readonly<Record<string, ShownWhere>> = {
  proveFirst: 'closed',
  proveAtTerminals: 'terminals',
  proveAtOpening: 'opened',
}

/** The points of a fault's gate that are shown at this step. */
function pointsAt(where: ShownWhere, { fault }: DecisionState, gates: readonly ProofGate[]): ProofGate[] {
  const gate = gates.find((each) => each.gate === gateIdOf(fault))
  if (!gate) return []
  const here = ({ id }: { id: string }) => whereShown(gate.gate, id) === where
  const [missing, onRecord] = [gate.missing.filter(here), gate.onRecord.filter(here)]
  return missing.length + onRecord.length > 0
    ? [{ ...gate, met: missing.length === 0, missing, onRecord }]
    : []
}

/** What this step has to show, with the words that answer it; readings are taken on Measure and on the bench. */
export function ProofPane({ job, change, answer, step }: InstrumentProps) {
  const where = WHERE[step.task.id]
  if (!where) return null
  const observations = latestWords(setsOfRound(job))
  return answer.decisionStates.map((state) => (
    <Box key={state.fault} component="section" aria-label={`To show: ${suspectLabel(state.fault)}`}>
      <Typography sx={{ fontWeight: 650 }}>{suspectLabel(state.fault)}</Typography>
      <Gates
        gates={pointsAt(where, state, answer.gates)}
        observations={observations}
        answer={(key, word) => void change(observeLatest(key, word))}
      />
    </Box>
  ))
}
