'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useState } from 'react'
import type { WholeJob } from '@/data/archive'
import { systemClock } from '@/data/clock'
import type { JobIndexRow } from '@/data/database'
import { database } from '@/data/shared'
import { ConfirmDialog } from '@/ui/ConfirmDialog'
import { titleOf } from '../shared/jobText'

/** The observatory and its simulator are fetched when they are asked for. */
export async function addDemo(): Promise<void> {
  const { addDemoJobs } = await import('@/demo/demoJobs')
  await addDemoJobs(database(), new Date(systemClock.now()))
}

/** The first change of a job counts two: one is its making. */
const UNCHANGED = 1

/** What goes, by name; what somebody worked in is marked. */
function Named({ jobs }: { jobs: readonly JobIndexRow[] }) {
  return (
    <ul>
      {jobs.map(({ id, summary, clock }) => (
        <li key={id}>
          {titleOf(summary)}
          {clock > UNCHANGED && ', changed by you'}
        </li>
      ))}
    </ul>
  )
}

type Props = {
  demo: readonly JobIndexRow[]
  live: boolean
  storing: (work: Promise<unknown>) => void
}

/** Brings the demo jobs, or takes them away after asking; they can be had back while the page is open. */
export function DemoButton({ demo, live, storing }: Props) {
  const [asking, setAsking] = useState(false)
  const [removed, setRemoved] = useState<readonly WholeJob[]>([])
  const remove = async () => {
    const { takeAway } = await import('./removal')
    setRemoved(await takeAway(demo.map(({ id }) => id)))
  }
  const restore = async () => {
    const { bringBack } = await import('./removal')
    await bringBack(removed)
    setRemoved([])
  }
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
      {demo.length > 0 ? (
        <Button color="inherit" onClick={() => setAsking(true)}>
          Remove demo jobs
        </Button>
      ) : (
        <Button color="inherit" disabled={!live} onClick={() => storing(addDemo())}>
          Add demo jobs
        </Button>
      )}
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
          {removed.length} demo jobs were removed, with what was changed in them.
        </Alert>
      )}
      {asking && (
        <ConfirmDialog
          title="Remove the demo jobs?"
          doLabel="Remove"
          onClose={() => setAsking(false)}
          onDo={() => storing(remove())}
        >
          These go, with everything that was entered in them. Your own jobs stay.
          <Named jobs={demo} />
        </ConfirmDialog>
      )}
    </Box>
  )
}
