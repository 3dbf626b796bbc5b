import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import type { SxProps } from '@mui/material/styles'
import type { PathPoint } from '@/core/diagnosis/electrical/supplyPath'
import { INK } from '@/ui/theme/tokens'

type Props = {
  point: PathPoint
  state: 'live' | 'dead' | undefined
  proven: boolean
  isNext: boolean
  onClick: () => void
  sx?: SxProps
}

/** What is known of a point, as a shape and a word. */
function stateWord({ state, proven, isNext }: Pick<Props, 'state' | 'proven' | 'isNext'>): string {
  if (state === 'live') return '● live'
  if (state === 'dead') return '○ dead'
  if (proven) return '✓ proven'
  return isNext ? '▸ next' : '–'
}

/** One point of the way to a load: tapping it goes from untested to live, to dead, and back. */
export function PointButton({ point, state, proven, isNext, onClick, sx }: Props) {
  const word = stateWord({ state, proven, isNext })
  return (
    <Box sx={sx ?? {}}>
      <ButtonBase
        onClick={onClick}
        aria-label={`${point.label}: ${word.replace(/^\S+ /, '').replace('–', 'not tested')}`}
        sx={{
          width: '100%',
          minHeight: 48,
          px: 1,
          gap: 1,
          border: isNext ? 3 : 1.5,
          borderColor: isNext ? 'primary.main' : 'divider',
          borderRadius: 1,
          bgcolor: isNext ? INK.copperWash : 'background.paper',
          font: 'inherit',
          fontSize: '0.85rem',
          lineHeight: 1.15,
          justifyContent: 'space-between',
          textAlign: 'left',
          '&:focus-visible': { outline: `3px solid ${INK.copper}`, outlineOffset: 2 },
        }}
      >
        <span>{point.label}</span>
        <strong style={{ whiteSpace: 'nowrap' }}>{word}</strong>
      </ButtonBase>
    </Box>
  )
}
