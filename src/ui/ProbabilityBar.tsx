import Box from '@mui/material/Box'
import { INK } from './theme/tokens'

/** A share of one as a hairline bar; the number stands beside it in text. */
export function ProbabilityBar({ share, strong }: { share: number; strong: boolean }) {
  return (
    <Box
      aria-hidden
      sx={{ height: 6, bgcolor: INK.paper, border: 1, borderColor: 'divider', borderRadius: 1 }}
    >
      <Box
        // a rule of its own would have the browser work out every style of the page again; a width that changes over time
        // would have it lay the page out in each frame
        style={{ transform: `scaleX(${Math.max(share, 0.005)})` }}
        sx={{
          height: '100%',
          bgcolor: strong ? INK.copper : INK.quiet,
          transformOrigin: 'left',
          transition: 'transform 150ms ease-out',
          willChange: 'transform',
        }}
      />
    </Box>
  )
}
