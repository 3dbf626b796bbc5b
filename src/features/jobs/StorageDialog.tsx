'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'
import { database } from '@/data/shared'
import { downloadAside, downloadBackup } from '../shared/files/backup'
import { ImportButton } from '../shared/files/ImportButton'
import type { ImportMessage } from '../shared/files/importFile'
import { ImportMessages } from '../shared/files/ImportMessages'
import { storeSentence } from '../shared/storage/storeSentence'
import { useLive } from '../shared/storage/useLive'

type Room = { readonly used: number | undefined; readonly free: number | undefined; readonly kept: boolean }

const MEGABYTE = 1_000_000
const megabytes = (bytes: number) =>
  bytes < MEGABYTE ? 'less than 1 MB' : `${Math.round(bytes / MEGABYTE).toLocaleString('en')} MB`

/** What the browser says of its room; a browser that says nothing leaves it open. */
function useRoom(): Room | undefined {
  const [room, setRoom] = useState<Room>()
  useEffect(() => {
    let current = true
    const ask = async () => {
      const estimate = await navigator.storage?.estimate?.()
      const kept = (await navigator.storage?.persisted?.()) ?? false
      const { usage, quota } = estimate ?? {}
      const free = usage === undefined || quota === undefined ? undefined : quota - usage
      if (current) setRoom({ used: usage, free, kept })
    }
    ask().catch(() => undefined)
    return () => {
      current = false
    }
  }, [])
  return room
}

function RoomText({ room }: { room: Room | undefined }) {
  if (!room) return null
  return (
    <Typography>
      {room.used !== undefined && `Orzo takes ${megabytes(room.used)} of this browser. `}
      {room.free !== undefined && `${megabytes(room.free)} are free. `}
      {room.kept
        ? 'The browser has promised to keep it.'
        : 'The browser has not promised to keep it when space runs short: save a backup from time to time.'}
    </Typography>
  )
}

/** Everything in one file, and back; what could not be read; how much room there is. */
export function StorageDialog({ onClose }: { onClose: () => void }) {
  const room = useRoom()
  const aside = useLive(() => database().aside.count(), []) ?? 0
  const [messages, setMessages] = useState<readonly ImportMessage[]>([])
  const [busy, setBusy] = useState(false)
  const save = async (work: () => Promise<number>, told: (count: number) => string) => {
    setBusy(true)
    try {
      setMessages([{ good: true, text: told(await work()) }])
    } catch (error) {
      setMessages([{ good: false, text: `Not saved: ${storeSentence(error as Error)}` }])
    }
    setBusy(false)
  }
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="storage-title">
      <DialogTitle id="storage-title">Backup</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        <ImportMessages messages={messages} onClose={() => setMessages([])} />
        <Typography>
          The jobs stand in this browser alone. A backup is one zip file with every job, its logs and photos,
          and the settings; other programs read what is in it.
        </Typography>
        <RoomText room={room} />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button
            variant="contained"
            disabled={busy}
            onClick={() =>
              void save(
                downloadBackup,
                (count) => `${count} ${count === 1 ? 'job is' : 'jobs are'} in the backup.`,
              )
            }
          >
            {busy ? 'Packing' : 'Save a backup'}
          </Button>
          <ImportButton label="Restore a backup" onMessages={setMessages} />
        </Box>
        <Typography sx={{ color: 'text.secondary' }}>
          Restoring writes nothing over: a job that is here in another state comes beside it.
        </Typography>
        {aside > 0 && (
          <Alert
            severity="warning"
            action={
              <Button
                color="inherit"
                onClick={() => void save(downloadAside, (count) => `${count} rows were saved as they are.`)}
              >
                Save them
              </Button>
            }
          >
            {aside === 1 ? 'One job' : `${aside} jobs`} of an earlier Orzo could not be read and{' '}
            {aside === 1 ? 'is' : 'are'} kept aside, unchanged.
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  )
}
