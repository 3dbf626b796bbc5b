'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import { useState } from 'react'
import type { Suspect } from '@/core/diagnose/diagnose'
import { faultRow, type SuspectId } from '@/core/diagnose/faults'
import { AutosaveField } from '@/ui/AutosaveField'
import { percent } from '@/ui/percent'
import type { StageProps } from '../job/stageProps'
import { SetTabs } from '../measure/SetTabs'
import { EvidenceList } from './EvidenceList'
import { Gates } from './Gates'
import { NextChecks } from './NextChecks'

const MOST_TABS = 5

const partOf = (fault: SuspectId) =>
  fault === 'healthy' || fault === 'unlisted' ? undefined : faultRow(fault).part

function severityWord(severity: number): string {
  if (severity > 0.75) return 'severe'
  return severity > 0.4 ? 'plain' : 'slight'
}

function Decision({
  job,
  change,
  suspect,
  open,
}: Pick<StageProps, 'job' | 'change'> & { suspect: Suspect; open: boolean }) {
  const decided = job.decision?.fault === suspect.fault
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {!open && (
        <AutosaveField
          label="Repair without the missing proof: why"
          helperText="Goes into the report."
          value={job.decision?.override ?? ''}
          onSave={(text) => {
            change((current) => ({
              ...current,
              decision: { ...current.decision, override: text || undefined },
            }))
            return undefined
          }}
        />
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
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
          {decided ? '● Decided: take back' : `Repair this: ${suspect.label}`}
        </Button>
        {decided && (
          <Button component={Link} href={`/job/${encodeURIComponent(job.id)}/plan`} variant="contained">
            To the plan
          </Button>
        )}
      </Box>
    </Box>
  )
}

/** Suspects with their evidence, what to check next, and the gates before a part is condemned. */
export function DiagnoseStage(props: StageProps) {
  const { diagnosis, job, change } = props
  const [chosen, setChosen] = useState<SuspectId>()
  const shown = diagnosis.suspects.slice(0, MOST_TABS)
  const suspect = shown.find((each) => each.fault === chosen) ?? shown[0]
  if (!suspect) return null
  const part = partOf(suspect.fault)
  const gates = diagnosis.gates.filter((gate) => gate.part === part)
  const open = gates.every((gate) => gate.met)
  return (
    <Box>
      <SetTabs {...props} />
      <Box
        sx={{
          px: 2,
          pb: 2,
          display: 'grid',
          gap: 2.5,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.25fr) minmax(0, 1fr)' },
        }}
      >
        <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
          <ToggleButtonGroup
            exclusive
            value={suspect.fault}
            onChange={(_event, fault: SuspectId | null) => fault && setChosen(fault)}
            aria-label="Suspect"
            orientation="vertical"
          >
            {shown.map((each) => (
              <ToggleButton
                key={each.fault}
                value={each.fault}
                sx={{
                  justifyContent: 'space-between',
                  textAlign: 'left',
                  px: 1.5,
                  gap: 2,
                  color: 'text.primary',
                }}
              >
                <span>{each.label}</span>
                <strong>{percent(each.probability)}</strong>
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <section aria-labelledby="evidence-title">
            <Typography id="evidence-title" variant="h2">
              {suspect.label} {percent(suspect.probability)}
              {suspect.severity > 0 && (
                <Typography component="span">, {severityWord(suspect.severity)}</Typography>
              )}
            </Typography>
            {suspect.tell && <Typography sx={{ color: 'text.secondary' }}>Tell: {suspect.tell}.</Typography>}
            <EvidenceList evidence={suspect.evidence} />
          </section>
        </Box>
        <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
          <section aria-labelledby="checks-title">
            <Typography id="checks-title" variant="h2">
              Next check
            </Typography>
            <NextChecks checks={diagnosis.nextChecks} />
          </section>
          <section aria-labelledby="gate-title">
            <Typography id="gate-title" variant="h2" gutterBottom>
              Before it is condemned
            </Typography>
            {gates.length > 0 ? (
              <Gates gates={gates} />
            ) : (
              <p style={{ marginTop: 0 }}>No proof gate for this suspect: confirm it by its tell.</p>
            )}
          </section>
          {suspect.fault !== 'unlisted' && (
            <Decision job={job} change={change} suspect={suspect} open={open} />
          )}
        </Box>
      </Box>
    </Box>
  )
}
