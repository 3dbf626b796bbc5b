'use client'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import { useId, useState } from 'react'
import type { DayPlan } from '@/core/repair/day/planDay'
import { saveBlob } from '@/ui/saveBlob'
import { officeText } from '../shared/dayText'

type Props = { title: string; place: string | undefined; day: DayPlan }

/** The time for the office: to copy, to send, or as a file for its calendar. */
export function OfficeTime({ title, place, day }: Props) {
  const [open, setOpen] = useState(false)
  const [state, setState] = useState('')
  const heading = useId()
  const text = officeText(title, day)
  const copy = () =>
    void navigator.clipboard.writeText(text).then(
      () => setState('Copied.'),
      () => setState('The browser does not let it be copied: mark the text and copy it.'),
    )
  const send = () =>
    void navigator.share({ title, text }).catch((error: Error) => {
      // leaving the list of programs is no mistake
      if (error.name !== 'AbortError') setState('It could not be sent: copy it instead.')
    })
  const save = async () => {
    const { calendarFile } = await import('@/core/repair/day/calendarFile')
    const made = calendarFile({ title, place, day })
    if (made.ok) saveBlob(new Blob([made.text], { type: 'text/calendar' }), 'orzo-day.ics')
    else setState(made.reason)
  }
  return (
    <>
      <Button variant="contained" onClick={() => setOpen(true)}>
        Give the office this time
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby={heading} fullWidth maxWidth="sm">
        <DialogTitle id={heading}>For the office</DialogTitle>
        <DialogContent>
          <TextField
            multiline
            fullWidth
            value={text}
            sx={{ mt: 1 }}
            slotProps={{ htmlInput: { readOnly: true, 'aria-label': 'Time for the office' } }}
            helperText={
              state || (day.calendar.isDated ? '' : 'No day is set: times count from 08:00 of any day.')
            }
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={copy}>Copy</Button>
          {typeof navigator !== 'undefined' && 'share' in navigator && <Button onClick={send}>Send</Button>}
          <Button disabled={!day.calendar.isDated} onClick={() => void save()}>
            Calendar file
          </Button>
          <Button onClick={() => setOpen(false)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  )
}
