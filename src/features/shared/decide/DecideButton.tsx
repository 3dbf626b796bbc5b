'use client'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { IS_WIDE } from '@/ui/theme/theme'
import { DecideAny, type DecideProps } from './DecideAny'

/** Opens the list of faults over what is worked on: what is found now is decided now. */
export function DecideButton({ label, ...props }: DecideProps & { label: string }) {
  const [open, setOpen] = useState(false)
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  return (
    <>
      <Button
        variant="outlined"
        color="inherit"
        sx={{ minHeight: 48, justifySelf: 'start' }}
        onClick={() => setOpen(true)}
      >
        {label}
      </Button>
      {open && (
        <Dialog
          open
          fullScreen={!isWide}
          fullWidth
          maxWidth="sm"
          onClose={() => setOpen(false)}
          aria-labelledby="decide-title"
        >
          <DialogContent>
            <DecideAny {...props} />
          </DialogContent>
          <DialogActions>
            <Button onClick={() => setOpen(false)} sx={{ minHeight: 48 }}>
              Close
            </Button>
          </DialogActions>
        </Dialog>
      )}
    </>
  )
}
