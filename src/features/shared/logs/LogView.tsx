'use client'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { drawable } from '@/core/record/logs/drawable'
import type { LogHead } from '@/core/record/records/log'
import { readSamples } from '@/data/logs'
import { database } from '@/data/shared'
import { useLive } from '../storage/useLive'
import { LogPlots } from './LogPlots'

/** A stored log over time. */
export function LogView({ jobId, log, onClose }: { jobId: string; log: LogHead; onClose: () => void }) {
  const samples = useLive(() => readSamples(database(), jobId, log), [jobId, log])
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="log-view-title">
      <DialogTitle id="log-view-title">{log.name}</DialogTitle>
      <DialogContent tabIndex={0}>
        {samples && <LogPlots channels={log.channels} samples={drawable(log, samples)} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  )
}
