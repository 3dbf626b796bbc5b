'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { SuspectId } from '@/core/diagnose/faults'
import { percent } from '@/ui/percent'
import { ProbabilityBar } from '@/ui/ProbabilityBar'
import type { StageProps } from '../job/stageProps'
import { SetTabs } from '../measure/SetTabs'
import { EvidenceList } from './EvidenceList'
import { NextChecks } from './NextChecks'

const MOST_SUSPECTS = 5

function severityWord(severity: number): string {
  if (severity > 0.75) return 'severe'
  return severity > 0.4 ? 'plain' : 'slight'
}

function SuspectChoice({ diagnosis, suspect, chooseSuspect }: StageProps) {
  return (
    <ToggleButtonGroup
      exclusive
      value={suspect.fault}
      onChange={(_event, fault: SuspectId | null) => fault && chooseSuspect(fault)}
      aria-label="Suspect"
      orientation="vertical"
      sx={{ width: '100%' }}
    >
      {diagnosis.suspects.slice(0, MOST_SUSPECTS).map((each, i) => (
        <ToggleButton
          key={each.fault}
          value={each.fault}
          sx={{ display: 'block', px: 1.5, py: 0.75, color: 'text.primary' }}
        >
          <Box sx={{ display: 'flex', justifyContent: 'space-between', textAlign: 'left', gap: 2, mb: 0.5 }}>
            <span>{each.label}</span>
            <strong style={{ whiteSpace: 'nowrap' }}>{percent(each.probability)}</strong>
          </Box>
          <ProbabilityBar share={each.probability} strong={i === 0} />
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  )
}

/** Suspects with their evidence, and what to check next; the gate stands in the answer. */
export function DiagnoseStage(props: StageProps) {
  const { diagnosis, suspect } = props
  return (
    <Box>
      <SetTabs {...props} />
      <Box
        sx={{
          px: 2,
          pb: 2,
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.2fr) minmax(0, 1fr)' },
        }}
      >
        <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
          <SuspectChoice {...props} />
          <section aria-labelledby="evidence-title">
            <Typography id="evidence-title" variant="h2">
              {suspect.label} {percent(suspect.probability)}
              {suspect.severity > 0 && `, ${severityWord(suspect.severity)}`}
            </Typography>
            {suspect.tell && <Typography sx={{ color: 'text.secondary' }}>Tell: {suspect.tell}.</Typography>}
            <EvidenceList evidence={suspect.evidence} />
          </section>
        </Box>
        <section aria-labelledby="checks-title">
          <Typography id="checks-title" variant="h2">
            Next check
          </Typography>
          <NextChecks checks={diagnosis.nextChecks} />
        </section>
      </Box>
    </Box>
  )
}
