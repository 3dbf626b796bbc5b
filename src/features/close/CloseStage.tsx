'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { setClosing } from '@/core/record/edits/listEdits'
import type { Job } from '@/core/record/job/job'
import { database } from '@/data/database'
import { removeJob } from '@/data/jobs'
import { AutosaveField } from '@/ui/AutosaveField'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import type { StageProps } from '../shared/stageProps'
import { useComparison } from '../shared/answer/useComparison'
import { ComparisonTable } from '../shared/comparison/ComparisonTable'
import { downloadJob } from '../shared/files/exportJob'
import { ImportButton } from '../shared/files/ImportButton'
import type { ImportMessage } from '../shared/files/importFile'

type Closing = NonNullable<Job['closing']>
const PROVEN = ['proven', 'not-proven-today'] as const

function Record({ job, change }: Pick<StageProps, 'job' | 'change'>) {
  const { closing } = job
  const put = <K extends keyof Closing>(key: K, value: Closing[K] | undefined) =>
    void change(setClosing({ [key]: value }))
  const text = (key: 'replaced' | 'notDone' | 'note') => (value: string) => {
    put(key, value || undefined)
    return undefined
  }
  return (
    <Box
      component="section"
      aria-labelledby="record-title"
      sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}
    >
      <Typography id="record-title" variant="h2">
        Record
      </Typography>
      <ChoiceChips
        label="Was the repair shown under load?"
        values={PROVEN}
        value={closing?.proven}
        onChange={(value) =>
          put(
            'proven',
            PROVEN.find((each) => each === value),
          )
        }
      />
      <QuantityField
        label="Refrigerant recovered"
        kind="mass"
        defaultUnit="lb"
        value={closing?.recovered}
        onChange={(value) => put('recovered', value)}
      />
      <QuantityField
        label="Refrigerant charged"
        kind="mass"
        defaultUnit="lb"
        value={closing?.charged}
        onChange={(value) => put('charged', value)}
      />
      <AutosaveField label="Replaced" value={closing?.replaced ?? ''} onSave={text('replaced')} multiline />
      <AutosaveField
        label="Not done, and should be"
        value={closing?.notDone ?? ''}
        onSave={text('notDone')}
        multiline
      />
      <AutosaveField label="Note" value={closing?.note ?? ''} onSave={text('note')} multiline />
    </Box>
  )
}

function Files({ job }: Pick<StageProps, 'job'>) {
  const [message, setMessage] = useState<ImportMessage>()
  const [asking, setAsking] = useState(false)
  const router = useRouter()
  return (
    <Box component="section" aria-labelledby="files-title" sx={{ display: 'grid', gap: 1 }}>
      <Typography id="files-title" variant="h2">
        Files
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button variant="contained" onClick={() => downloadJob(job)}>
          Export job file
        </Button>
        <Button variant="outlined" component={Link} href={`/job/${encodeURIComponent(job.id)}/print`}>
          Report to print
        </Button>
        <ImportButton label="Import job file" onMessage={setMessage} />
        <Button color="error" onClick={() => setAsking(true)}>
          Remove job
        </Button>
      </Box>
      {message && (
        <Alert
          severity={message.good ? 'success' : 'error'}
          sx={{ whiteSpace: 'pre-line' }}
          onClose={() => setMessage(undefined)}
        >
          {message.text}{' '}
          {message.id && message.id !== job.id && (
            <Link href={`/job/${encodeURIComponent(message.id)}/arrive`}>Open it</Link>
          )}
        </Alert>
      )}
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="remove-title">
        <DialogTitle id="remove-title">Remove this job from this browser?</DialogTitle>
        <DialogContent>Export it first if it may be needed again: removing cannot be undone.</DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={() => setAsking(false)}>
            Keep it
          </Button>
          <Button
            color="error"
            onClick={() => {
              removeJob(database(), job.id).then(
                () => router.push('/'),
                (error: Error) =>
                  setMessage({ good: false, text: `Not removed: ${error.message}. Try again.` }),
              )
            }}
          >
            Remove
          </Button>
        </DialogActions>
      </Dialog>
    </Box>
  )
}

/** Before and after, what is proven, the record, and the files. */
export function CloseStage({ job, change, display }: StageProps) {
  const { comparison, problem } = useComparison(job, display.temperature)
  return (
    <Box
      sx={{
        p: 2,
        display: 'grid',
        gap: 3,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.3fr) minmax(0, 1fr)' },
      }}
    >
      <Box sx={{ display: 'grid', gap: 3, alignContent: 'start' }}>
        <Box component="section" aria-labelledby="compare-title" tabIndex={0} sx={{ overflowX: 'auto' }}>
          <Typography id="compare-title" variant="h2">
            Before and after
          </Typography>
          {job.readingSets.length < 2 && (
            <p>One set so far: take readings again after the repair, in a new set under Measure.</p>
          )}
          {problem && <Alert severity="error">{problem}</Alert>}
          {comparison && <ComparisonTable comparison={comparison} />}
        </Box>
        <Files job={job} />
      </Box>
      <Record job={job} change={change} />
    </Box>
  )
}
