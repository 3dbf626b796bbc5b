'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { hasFiles } from '@/core/record/job/job'
import { removeJob } from '@/data/jobs'
import { database } from '@/data/shared'
import { ConfirmDialog } from '@/ui/ConfirmDialog'
import { downloadJob } from '../shared/files/exportJob'
import { ImportButton } from '../shared/files/ImportButton'
import type { ImportMessage } from '../shared/files/importFile'
import { ImportMessages } from '../shared/files/ImportMessages'
import type { StageProps } from '../shared/stageProps'
import { storeSentence } from '../shared/storage/storeSentence'

/** The job as a file, other files, and taking the job out. */
export function Files({ job }: Pick<StageProps, 'job'>) {
  const [messages, setMessages] = useState<readonly ImportMessage[]>([])
  const [asking, setAsking] = useState(false)
  const router = useRouter()
  const failed = (what: string) => (error: Error) =>
    setMessages([{ good: false, text: `${what}: ${storeSentence(error)}` }])
  return (
    <Box component="section" aria-labelledby="files-title" sx={{ display: 'grid', gap: 1 }}>
      <Typography id="files-title" variant="h2">
        Files
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button variant="contained" onClick={() => void downloadJob(job).catch(failed('Not exported'))}>
          Export job file
        </Button>
        <ImportButton label="Import job file" onMessages={setMessages} />
        <Button color="error" onClick={() => setAsking(true)}>
          Remove job
        </Button>
      </Box>
      {hasFiles(job) && (
        <Typography sx={{ color: 'text.secondary' }}>
          With its logs and photos the job is exported as one zip file; other programs read what is in it.
        </Typography>
      )}
      <ImportMessages messages={messages} here={job.id} onClose={() => setMessages([])} />
      {asking && (
        <ConfirmDialog
          title="Remove this job from this browser?"
          doLabel="Remove"
          onClose={() => setAsking(false)}
          onDo={() => void removeJob(database(), job.id).then(() => router.push('/'), failed('Not removed'))}
        >
          Export it first if it may be needed again: removing cannot be undone.
        </ConfirmDialog>
      )}
    </Box>
  )
}
