'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { DEFAULT_POLICY, policyDifferences, policyOf } from '@/core/record/policy/policy'
import { changeSetting, readSettings, writeSetting } from '@/data/settings'
import { database } from '@/data/shared'
import { PageHeader } from '../shared/PageHeader'
import { PolicyQuestions } from '../shared/PolicyQuestions'
import { StorageHealth } from '../shared/storage/StorageHealth'
import { useLive } from '../shared/storage/useLive'

/** The company's answer to each question on which good technicians disagree; a new job copies them. */
export function SettingsPage() {
  const settings = useLive(() => readSettings(database()), [])
  const policy = policyOf(settings?.policy)
  const own = policyDifferences(policy, DEFAULT_POLICY).length
  return (
    <Box sx={{ minHeight: '100dvh' }}>
      <PageHeader title="Settings">
        {own > 0 && (
          <Button color="inherit" onClick={() => void writeSetting(database(), 'policy', DEFAULT_POLICY)}>
            All as Orzo answers ({own} differ)
          </Button>
        )}
      </PageHeader>
      <Box
        component="main"
        sx={{ maxWidth: 1080, mx: 'auto', p: { xs: 1.5, md: 3 }, display: 'grid', gap: 2 }}
      >
        <StorageHealth />
        <Box>
          <Typography variant="h1">Company policy</Typography>
          <Typography sx={{ color: 'text.secondary' }}>
            Where good technicians disagree. A new job copies these answers and keeps them: a change here
            changes no older job.
          </Typography>
        </Box>
        {settings && (
          <PolicyQuestions
            policy={policy}
            against={DEFAULT_POLICY}
            differs="not Orzo's own"
            onAnswer={(question, answer) =>
              void changeSetting(database(), 'policy', (now) => ({ ...policyOf(now), [question]: answer }))
            }
          />
        )}
      </Box>
    </Box>
  )
}
