'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { gateIdOf, isSuspect, type SuspectId, suspectLabel } from '@/core/diagnosis/faults/faults'
import { keptGate } from '@/core/diagnosis/proof/decisionState'
import { decide, setShown } from '@/core/record/edits/decisionEdits'
import { together } from '@/core/record/edits/workEdits'
import { observe } from '@/core/record/edits/readingEdits'
import { toCheck } from '@/core/record/job/decisions'
import type { Shown } from '@/core/record/records/decision'
import { BUILD } from '../shared/build'
import { decideNow } from '../shared/decide/decideNow'
import { Gates } from '../shared/decide/Gates'
import { shownText } from '@/core/report/decided'
import type { StageProps } from '../shared/stageProps'

function Verdict({ fault, shown, ...props }: StageProps & { fault: SuspectId; shown: Shown | undefined }) {
  const { answer, set, setId, change } = props
  const gate = answer.gates.find((each) => each.gate === gateIdOf(fault))
  const isShown = gate === undefined || gate.met
  const label = suspectLabel(fault)
  return (
    <Box component="section" aria-label={`To check: ${label}`} sx={{ display: 'grid', gap: 1 }}>
      <Typography>
        <strong>{label}.</strong> {shownText(shown)}.
      </Typography>
      {gate && (
        <Gates
          gates={[gate]}
          observations={set.observations ?? {}}
          answer={(key, word) => void change(observe(setId, key, word))}
        />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          variant="contained"
          sx={{ minHeight: 48 }}
          disabled={!isShown || !answer.isFresh}
          onClick={() => {
            const holds = decide(fault, gate && keptGate(gate, BUILD))
            void decideNow(props, holds, together(setShown(fault, shown), holds))
          }}
        >
          It holds: repair this
        </Button>
        <Button
          color="inherit"
          sx={{ minHeight: 48 }}
          onClick={() => void change(setShown(fault, undefined))}
        >
          It does not hold
        </Button>
      </Box>
    </Box>
  )
}

/** Verdicts of others that are to be checked: each with what it would have to show. */
export function ToCheck(props: StageProps) {
  const all = toCheck(props.job)
  if (all.length === 0) return null
  return (
    <Box component="section" aria-labelledby="to-check-title" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography id="to-check-title" variant="h2">
        Verdict to check
      </Typography>
      {all.map(({ id, fault, shown }) =>
        isSuspect(fault) ? <Verdict key={id} {...props} fault={fault} shown={shown} /> : null,
      )}
    </Box>
  )
}
