import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import type { Flag } from '@/core/record/readings/flags'

/** What looks wrong with the readings, and what to do about it. */
export function Flags({ flags }: { flags: readonly Flag[] }) {
  if (flags.length === 0) return null
  return (
    <Box component="section" aria-label="What looks wrong with the readings" sx={{ display: 'grid', gap: 1 }}>
      {flags.map((flag) => (
        <Alert
          key={`${flag.id}-${flag.keys.join()}`}
          severity="warning"
          variant="outlined"
          sx={{ fontSize: '0.92rem', py: 0 }}
        >
          {flag.sentence}
        </Alert>
      ))}
    </Box>
  )
}
