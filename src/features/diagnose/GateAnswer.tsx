'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import { gatesFor } from './gatesFor'
import { AutosaveField } from '@/ui/AutosaveField'
import type { StageProps } from '../job/stageProps'
import { Flags } from '../job/Flags'
import { Gates } from './Gates'

function Decision({
  job,
  change,
  suspect,
  open,
}: Pick<StageProps, 'job' | 'change' | 'suspect'> & { open: boolean }) {
  const decided = job.decision?.fault === suspect.fault
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {!open && (
        <AutosaveField
          label="Why without full proof"
          helperText="Goes into the report."
          value={job.decision?.override ?? ''}
          multiline
          onSave={(text) => {
            change((current) => ({
              ...current,
              decision: { ...current.decision, override: text || undefined },
            }))
            return undefined
          }}
        />
      )}
      <Button
        variant={decided ? 'outlined' : 'contained'}
        disabled={!open && !decided && !job.decision?.override}
        onClick={() =>
          change((current) => ({
            ...current,
            decision: { ...current.decision, fault: decided ? undefined : suspect.fault },
          }))
        }
      >
        {decided ? '● Decided. Take back' : 'Repair this'}
      </Button>
      {decided && (
        <Button component={Link} href={`/job/${encodeURIComponent(job.id)}/plan`} variant="contained">
          To the plan
        </Button>
      )}
    </Box>
  )
}

/** What must be proven before the suspect that is looked at is condemned, and the decision. */
export function GateAnswer({ diagnosis, job, change, suspect }: StageProps) {
  const gates = gatesFor(job.unit, diagnosis, suspect)
  const open = gates.every((gate) => gate.met)
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
      <section aria-labelledby="gate-title">
        <Typography id="gate-title" variant="h2" gutterBottom>
          Before it is condemned
        </Typography>
        <Typography sx={{ mb: 1 }}>{suspect.label}</Typography>
        {gates.length > 0 ? (
          <Gates gates={gates} />
        ) : (
          <p style={{ margin: 0 }}>No proof gate for this suspect: confirm it by its tell.</p>
        )}
      </section>
      {suspect.fault !== 'unlisted' && <Decision job={job} change={change} suspect={suspect} open={open} />}
      <Flags flags={diagnosis.flags} />
    </Box>
  )
}
