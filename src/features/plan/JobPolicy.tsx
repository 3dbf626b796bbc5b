'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { setJobPolicy, takePolicy } from '@/core/record/edits/repairEdits'
import { policyDifferences, policyOf } from '@/core/record/policy/policy'
import { readSettings } from '@/data/settings'
import { database } from '@/data/shared'
import { PolicyQuestions } from '../shared/PolicyQuestions'
import type { StageProps } from '../shared/stageProps'
import { useLive } from '../shared/storage/useLive'
import { More } from './More'

/** The policy that this job was made under; it follows no later change of the settings unless one says so. */
export function JobPolicy({ job, change }: Pick<StageProps, 'job' | 'change'>) {
  const settings = useLive(() => readSettings(database()), [])
  if (!settings) return null
  const [own, company] = [policyOf(job.policy), policyOf(settings.policy)]
  const differs = policyDifferences(own, company)
  return (
    <More
      label={
        differs.length === 0
          ? 'Policy of this job: as in the settings'
          : `Policy of this job: ${differs.length} ${differs.length === 1 ? 'answer differs' : 'answers differ'} from the settings`
      }
    >
      {differs.length > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, mb: 1.5 }}>
          <Typography sx={{ flex: 1, minWidth: 200 }}>
            The job keeps the answers that it was made under.
          </Typography>
          <Button variant="outlined" onClick={() => void change(takePolicy(company))}>
            Take over the settings
          </Button>
        </Box>
      )}
      <PolicyQuestions
        policy={own}
        against={company}
        differs="Not as in the settings"
        onAnswer={(question, answer) => void change(setJobPolicy(question, answer))}
      />
    </More>
  )
}
