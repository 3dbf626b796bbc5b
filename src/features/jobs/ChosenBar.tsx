'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { JobIndexRow } from '@/data/database'
import { ConfirmDialog } from '@/ui/ConfirmDialog'
import { downloadJobs } from '../shared/files/backup'
import { Named } from './Named'

type Props = {
  /** the jobs that are found, in their order */
  jobs: readonly JobIndexRow[]
  chosen: ReadonlySet<string>
  onChosen: (ids: ReadonlySet<string>) => void
  onRemove: (ids: readonly string[]) => void
  onDone: () => void
  storing: (work: Promise<unknown>) => void
}

/** What is done with several jobs at once. */
export function ChosenBar({ jobs, chosen, onChosen, onRemove, onDone, storing }: Props) {
  const [asking, setAsking] = useState(false)
  const all = jobs.filter(({ id }) => chosen.has(id))
  const ids = all.map(({ id }) => id)
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
      {asking && (
        <ConfirmDialog
          title={`Delete ${ids.length} ${ids.length === 1 ? 'job' : 'jobs'}?`}
          doLabel="Delete"
          onClose={() => setAsking(false)}
          onDo={() => {
            onRemove(ids)
            onChosen(new Set())
          }}
        >
          These go, with their logs and photos. While this page is open they can be had back.
          <Named jobs={all} />
        </ConfirmDialog>
      )}
    </Box>
  )
}
