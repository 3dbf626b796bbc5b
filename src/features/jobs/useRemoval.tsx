'use client'
import Alert from '@mui/material/Alert'
import Button from '@mui/material/Button'
import { type ReactNode, useState } from 'react'
import type { WholeJob } from '@/data/archive'

/**
 * Takes jobs away and keeps them while the page is open: whatever else is removed or chosen meanwhile, all of them can be had
 * back.
 */
export function useRemoval(storing: (work: Promise<unknown>) => void): {
  remove: (ids: readonly string[]) => void
  message: ReactNode
} {
  const [removed, setRemoved] = useState<readonly WholeJob[]>([])
  const take = async (ids: readonly string[]) => {
    const { takeAway } = await import('./removal')
    const taken = await takeAway(ids)
    setRemoved((before) => [...before, ...taken])
  }
  const restore = async () => {
    const { bringBack } = await import('./removal')
    await bringBack(removed)
    setRemoved([])
  }
  const message = removed.length > 0 && (
    <Alert
      severity="info"
      onClose={() => setRemoved([])}
      action={
        <Button color="inherit" onClick={() => storing(restore())}>
          Bring them back
        </Button>
      }
    >
      {removed.length} {removed.length === 1 ? 'job was' : 'jobs were'} removed, with everything in them.
    </Alert>
  )
  return { remove: (ids) => storing(take(ids)), message }
}
