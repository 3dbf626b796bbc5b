'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import { isUntouched } from '@/core/record/job/rounds'
import { dropRound } from '@/core/record/edits/roundEdits'
import type { StageProps } from '../stageProps'
import { jobRounds, REASON_NAMES, roundName } from '@/core/report/roundText'

/** Which repair of the job is looked at; nothing while there is one only. */
export function RoundTabs({ job, change, chooseRound }: StageProps) {
  const rounds = jobRounds(job)
  if (rounds.length < 2) return null
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', borderBottom: 1, borderColor: 'divider', minWidth: 0 }}>
      <Tabs
        value={job.round}
        onChange={(_event, id: string) => chooseRound(id)}
        aria-label="Repairs of this job"
        variant="scrollable"
        scrollButtons="auto"
        allowScrollButtonsMobile
        sx={{ flex: 1, minWidth: 0 }}
      >
        {rounds.map((round, i) => (
          <Tab
            key={round.id}
            value={round.id}
            data-round={round.id}
            title={REASON_NAMES[round.why]}
            label={`${i + 1}: ${roundName(job, round)}`}
            sx={{ minHeight: 48, fontSize: '0.95rem', maxWidth: 340, textTransform: 'none' }}
          />
        ))}
      </Tabs>
      {isUntouched(job) && (
        <Button color="inherit" onClick={() => void change(dropRound).then(() => chooseRound(undefined))}>
          Remove
        </Button>
      )}
    </Box>
  )
}
