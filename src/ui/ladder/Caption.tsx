import Box from '@mui/material/Box'
import type { Display } from '@/core/base/units/show'
import { INK } from '../theme/tokens'
import type { LadderSpan } from '@/core/drawing/ladderModel'
import { spanTexts } from '@/core/drawing/spanText'

type CaptionProps = {
  spans: readonly LadderSpan[]
  display: Display
  onActive: (id: string | undefined) => void
}

/** The spans for which no lane is left on a narrow screen, in words. */
export function Caption({ spans, display, onActive }: CaptionProps) {
  if (spans.length === 0) return null
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 2,
        fontSize: '0.9rem',
        lineHeight: `${CAPTION_LINE}px`,
      }}
    >
      {spans.map((span) => {
        const { value, error, verdict, whole } = spanTexts(span, display)
        return (
          <Box
            component="button"
            key={span.id}
            aria-label={whole}
            onFocus={() => onActive(span.id)}
            onClick={() => onActive(span.id)}
            onBlur={() => onActive(undefined)}
            sx={{
              all: 'unset',
              cursor: 'pointer',
              '&:focus-visible': { outline: `2px solid ${INK.copper}` },
            }}
          >
            {span.label} <strong>{value}</strong> {error} {verdict}
          </Box>
        )
      })}
    </Box>
  )
}

/** Formula, numbers and where the target comes from, of the span that is pointed at, touched or focused. */
export function Explained({ span, display }: { span: LadderSpan | undefined; display: Display }) {
  if (!span) return null
  return (
    <Box
      data-explained={span.id}
      aria-hidden
      sx={{
        position: 'absolute',
        bottom: 4,
        left: 4,
        right: 4,
        px: 1,
        py: 0.5,
        bgcolor: 'background.paper',
        border: 1,
        borderColor: 'primary.main',
        borderRadius: 1,
        fontSize: '0.9rem',
        pointerEvents: 'none',
      }}
    >
      {spanTexts(span, display).whole}
    </Box>
  )
}

const CAPTION_LINE = 24
/** Width of one span in words, pixels. */
const CAPTION_SPAN = 165

/** Room for the spans in words, pixels. */
export const captionHeight = (count: number, width: number) =>
  CAPTION_LINE * Math.ceil(Math.max(count, 0) / Math.max(Math.floor(width / CAPTION_SPAN), 1))
