'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { memo } from 'react'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { INK } from '../theme/tokens'
import type { Rect } from './geometry'
import { chipName } from './chipNames'
import { marksOf, type TapView, tapSentence } from './tapView'

type Props = { tap: TapView; box: Rect; selected: boolean; onSelect: (key: ReadingKey) => void }

const LINE = { display: 'block', whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' } as const

const edgeOf = (tap: TapView, selected: boolean) => {
  if (selected) return { border: `2px solid ${INK.copper}`, boxShadow: 'none' }
  if (tap.wanted && tap.value === undefined)
    return { border: `2px solid ${INK.copper}`, boxShadow: `0 0 0 3px ${INK.copperWash}` }
  return { border: `1px ${tap.value === undefined ? 'dashed' : 'solid'} ${INK.hairline}`, boxShadow: 'none' }
}

/** A tap on the drawing: its name, its value, its error and age. */
export const TapChip = memo(function TapChip({ tap, box, selected, onSelect }: Props) {
  const marks = marksOf(tap)
  const quiet = tap.value === undefined || tap.stale || tap.live === 'lost'
  return (
    <ButtonBase
      onClick={() => onSelect(tap.key)}
      aria-label={tapSentence(tap)}
      aria-pressed={selected}
      data-tap={tap.key}
      style={{ left: box.x, top: box.y, width: box.width, height: box.height }}
      sx={{
        position: 'absolute',
        px: '4px',
        display: 'block',
        textAlign: 'left',
        font: 'inherit',
        lineHeight: 1.15,
        borderRadius: '3px',
        bgcolor: selected ? INK.copperWash : INK.raised,
        ...edgeOf(tap, selected),
      }}
    >
      <Box component="span" sx={{ ...LINE, fontSize: 11.5, color: INK.quiet }}>
        {marks.length > 0 && (
          <strong style={{ color: INK.copper }}>{marks.map(({ sign }) => sign).join('')} </strong>
        )}
        {chipName(tap)}
      </Box>
      <Box
        component="span"
        sx={{ ...LINE, fontSize: 16, fontWeight: 650, color: quiet ? INK.quiet : INK.ink }}
      >
        {tap.value ?? '–'}
        <Box component="span" sx={{ fontSize: 10.5, fontWeight: 400, ml: '2px', color: INK.quiet }}>
          {tap.unit}
        </Box>
      </Box>
      <Box component="span" sx={{ ...LINE, fontSize: 10.5, color: INK.quiet, minHeight: 12 }}>
        {[tap.error, tap.age].filter(Boolean).join(' · ')}
      </Box>
    </ButtonBase>
  )
})
