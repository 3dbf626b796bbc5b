'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { WholeJob } from '@/data/archive'
import type { JobIndexRow } from '@/data/database'
import { ConfirmDialog } from '@/ui/ConfirmDialog'
import { downloadJobs } from '../shared/files/backup'
import { titleOf } from '../shared/jobText'
import { bringBack, takeAway } from './removal'

/** Names that are read out before they go; more are counted. */
const MOST_NAMED = 12

type Props = {
  /** the jobs that are found, in their order */
  jobs: readonly JobIndexRow[]
  chosen: ReadonlySet<string>
  onChosen: (ids: ReadonlySet<string>) => void
  onDone: () => void
  storing: (work: Promise<unknown>) => void
}

function Named({ jobs }: { jobs: readonly JobIndexRow[] }) {
  const named = jobs.slice(0, MOST_NAMED)
  return (
    <ul>
      {named.map(({ id, summary }) => (
        <li key={id}>{titleOf(summary)}</li>
      ))}
      {jobs.length > named.length && <li>and {jobs.length - named.length} more</li>}
    </ul>
  )
}

/** What is done with several jobs at once. */
export function ChosenBar({ jobs, chosen, onChosen, onDone, storing }: Props) {
  const [asking, setAsking] = useState(false)
  const [removed, setRemoved] = useState<readonly WholeJob[]>([])
  const all = jobs.filter(({ id }) => chosen.has(id))
  const ids = all.map(({ id }) => id)
  const remove = async () => {
    setRemoved(await takeAway(ids))
    onChosen(new Set())
  }
  const restore = async () => {
    await bringBack(removed)
    setRemoved([])
  }
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Typography role="status" sx={{ minWidth: 96 }}>
          {ids.length} chosen
        </Typography>
        <Button color="inherit" onClick={() => onChosen(new Set(jobs.map(({ id }) => id)))}>
          All {jobs.length} found
        </Button>
        <Button variant="outlined" disabled={ids.length === 0} onClick={() => storing(downloadJobs(ids))}>
          Export
        </Button>
        <Button variant="outlined" color="error" disabled={ids.length === 0} onClick={() => setAsking(true)}>
          Delete
        </Button>
        <Button color="inherit" onClick={onDone}>
          Done
        </Button>
      </Box>
      {removed.length > 0 && (
        <Alert
          severity="info"
          onClose={() => setRemoved([])}
          action={
            <Button color="inherit" onClick={() => storing(restore())}>
              Bring them back
            </Button>
          }
        >
          {removed.length} {removed.length === 1 ? 'job was' : 'jobs were'} deleted.
        </Alert>
      )}
      {asking && (
        <ConfirmDialog
          title={`Delete ${ids.length} ${ids.length === 1 ? 'job' : 'jobs'}?`}
          doLabel="Delete"
          onClose={() => setAsking(false)}
          onDo={() => storing(remove())}
        >
          These go, with their logs and photos. While this page is open they can be had back.
          <Named jobs={all} />
        </ConfirmDialog>
      )}
    </Box>
  )
}
