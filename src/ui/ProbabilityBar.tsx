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
        // a width of its own would be a rule of its own: the browser would work out every style of the page again
        style={{ width: `${Math.max(share * 100, 0.5)}%` }}
        sx={{
          height: '100%',
          bgcolor: strong ? INK.copper : INK.quiet,
          transition: 'width 180ms ease-out',
        }}
      />
    </Box>
  )
}
