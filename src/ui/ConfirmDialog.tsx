'use client'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { type ReactNode, useId } from 'react'

type Props = { title: string; children: ReactNode; doLabel: string; onDo: () => void; onClose: () => void }

/** Asks before something that cannot be undone. */
export function ConfirmDialog({ title, children, doLabel, onDo, onClose }: Props) {
  const id = useId()
  return (
    <Dialog open onClose={onClose} aria-labelledby={id}>
      <DialogTitle id={id}>{title}</DialogTitle>
      <DialogContent>{children}</DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button
          color="error"
          onClick={() => {
            onClose()
            onDo()
          }}
        >
          {doLabel}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
