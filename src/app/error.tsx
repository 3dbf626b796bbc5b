'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'

/** Shown when a page cannot go on; the jobs stay in the browser's storage. */
export default function PageError({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <Box
      component="main"
      role="alert"
      sx={{ p: 4, display: 'grid', gap: 2, justifyItems: 'start', maxWidth: 640 }}
    >
      <h1>This page could not go on</h1>
      <p>
        What was saved stays saved. Orzo keeps its jobs in this browser&apos;s storage: in a private window,
        or with storage blocked or full, it cannot open them. Allow storage for this address, or free some
        space, then try again.
      </p>
      <p>{error.message}</p>
      <Button variant="contained" onClick={reset}>
        Try again
      </Button>
    </Box>
  )
}
