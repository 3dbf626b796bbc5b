'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { isReason } from '@/core/record/job/decisions'

type Props = { onSkip: (reason: string) => void; onKeep: () => void }

/** A step is left out with a reason. */
export function SkipForm({ onSkip, onKeep }: Props) {
  const [reason, setReason] = useState('')
  return (
    <Box
      component="form"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, width: '100%' }}
      onSubmit={(event) => {
        event.preventDefault()
        if (isReason(reason)) onSkip(reason.trim())
      }}
    >
      <TextField
        autoFocus
        label="Why it is left out; printed in the report"
        value={reason}
        onChange={({ target }) => setReason(target.value)}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
        sx={{ flex: 1, minWidth: 220 }}
      />
      <Button type="submit" variant="contained" disabled={!isReason(reason)}>
        Leave out
      </Button>
      <Button color="inherit" onClick={onKeep}>
        Cancel
      </Button>
    </Box>
  )
}
