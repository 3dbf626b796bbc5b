'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import { useMemo } from 'react'
import { familyOf } from '@/core/diagnosis/faults/families'
import type { ObservationKey } from '@/core/record/readings/observations'
import { AutosaveField } from '@/ui/AutosaveField'
import type { StageProps } from '../job/stageProps'
import { Flags } from '../job/Flags'
import { withObservation, withSet } from '../measure/sets'
import { Gates } from './Gates'
import { gatesFor } from './gatesFor'

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
            decision: {
              ...current.decision,
              fault: decided ? undefined : suspect.fault,
              at: decided ? undefined : new Date().toISOString(),
            },
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

const dayOf = (iso: string) => iso.slice(0, 10)

/** Proof from another day is repeated before anything is opened. */
function ProveAgain({ job, setIndex }: Pick<StageProps, 'job' | 'setIndex'>) {
  const at = job.readingSets[setIndex]?.at
  const today = new Date().toISOString()
  if (at === undefined || dayOf(at) === dayOf(today)) return null
  return (
    <Typography role="note" sx={{ fontWeight: 650 }}>
      △ Read on {new Date(at).toLocaleDateString()}: prove it again on the day of the repair, before anything
      is opened.
    </Typography>
  )
}

/** What must be proven before the suspect that is looked at is condemned, and the decision. */
export function GateAnswer({ diagnosis, job, change, set, setIndex, suspect }: StageProps) {
  const answer = (key: ObservationKey, word: string | undefined) =>
    change((current) =>
      withSet(current, setIndex, new Date().toISOString(), (each) => withObservation(each, key, word)),
    )
  const gates = useMemo(() => gatesFor(job, setIndex, suspect), [job, setIndex, suspect])
  const open = gates.every((gate) => gate.met)
  const twins = diagnosis.suspects.filter(
    (each) =>
      each !== suspect && familyOf(each.fault) === familyOf(suspect.fault) && each.probability >= 0.05,
  )
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
      <section aria-labelledby="gate-title">
        <Typography id="gate-title" variant="h2" gutterBottom>
          Before it is condemned
        </Typography>
        <Typography sx={{ mb: 1 }}>{suspect.label}</Typography>
        {gates.length > 0 ? (
          <Gates gates={gates} observations={set.observations ?? {}} answer={answer} />
        ) : (
          <p style={{ margin: 0 }}>No proof gate for this suspect: confirm it by its tell.</p>
        )}
      </section>
      {twins.length > 0 && (
        <Typography sx={{ color: 'text.secondary' }}>
          The same next step as: {twins.map(({ label }) => label.toLowerCase()).join('; ')}.
        </Typography>
      )}
      <ProveAgain job={job} setIndex={setIndex} />
      {suspect.fault !== 'unlisted' && <Decision job={job} change={change} suspect={suspect} open={open} />}
      <Flags flags={diagnosis.flags} />
    </Box>
  )
}
