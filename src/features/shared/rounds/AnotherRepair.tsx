'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { setRoundReason } from '@/core/record/edits/roundEdits'
import { roundLookedAt } from '@/core/record/job/rounds'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { goInJob } from '../address/useAddress'
import type { StageProps } from '../stageProps'
import { REASON_NAMES } from '@/core/report/roundText'

const REASONS = ['found', 'return'] as const

/** Begins another repair of the same circuit; the one that is looked at stays as it is. */
export function AnotherRepair({ job, change, startRound }: StageProps) {
  const start = async (why: (typeof REASONS)[number]) => {
    if (await startRound(why)) goInJob(job.id, 'diagnose')
  }
  const { why } = roundLookedAt(job)
  return (
    <Box component="section" aria-labelledby="another-title">
      {why !== 'first' && (
        <ChoiceChips
          label="Why this repair began"
          values={REASONS}
          value={why}
          labels={REASON_NAMES}
          onChange={(value) => {
            const reason = REASONS.find((each) => each === value)
            if (reason) void change(setRoundReason(reason))
          }}
        />
      )}
      <Typography id="another-title" variant="h2">
        Another repair of this circuit
      </Typography>
      <Typography sx={{ mb: 1 }}>
        It has its own decision, steps, logs and gates. This one stays as it is and stands in the report.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {REASONS.map((why) => (
          <Button key={why} variant="outlined" sx={{ minHeight: 48 }} onClick={() => void start(why)}>
            {REASON_NAMES[why]}
          </Button>
        ))}
      </Box>
    </Box>
  )
}
