'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useState } from 'react'
import { systemClock } from '@/data/clock'
import type { JobIndexRow } from '@/data/database'
import { database } from '@/data/shared'
import { ConfirmDialog } from '@/ui/ConfirmDialog'
import { Named } from './Named'

/** The observatory and its simulator are fetched when they are asked for. */
export async function addDemo(): Promise<void> {
  const { addDemoJobs } = await import('@/demo/demoJobs')
  await addDemoJobs(database(), new Date(systemClock.now()))
}

type Props = {
  demo: readonly JobIndexRow[]
  live: boolean
  onRemove: (ids: readonly string[]) => void
  storing: (work: Promise<unknown>) => void
}

/** Brings the demo jobs, or takes them away after asking; */
export function DemoButton({ demo, live, onRemove, storing }: Props) {
  const [asking, setAsking] = useState(false)
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
      {asking && (
        <ConfirmDialog
          title="Remove the demo jobs?"
          doLabel="Remove"
          onClose={() => setAsking(false)}
          onDo={() => onRemove(demo.map(({ id }) => id))}
        >
          These go, with everything that was entered in them. Your own jobs stay.
          <Named jobs={demo} />
        </ConfirmDialog>
      )}
    </Box>
  )
}
