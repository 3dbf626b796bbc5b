'use client'
import ArrowDownward from '@mui/icons-material/ArrowDownward'
import ArrowUpward from '@mui/icons-material/ArrowUpward'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import IconButton from '@mui/material/IconButton'
import Typography from '@mui/material/Typography'
import { memo, useEffect, useRef } from 'react'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { marksOf, type TapView } from '../circuit/tapView'
import { INK } from '../theme/tokens'

type Props = {
  taps: readonly TapView[]
  selected: ReadingKey | undefined
  onSelect: (key: ReadingKey) => void
  /** moves a tap in the order; given while the order is edited */
  onMove?: ((key: ReadingKey, by: 1 | -1) => void) | undefined
}

const LINE = { borderBottom: 1, borderColor: 'divider', display: 'flex' } as const

function Tap({ tap, on, onSelect }: { tap: TapView; on: boolean; onSelect: Props['onSelect'] }) {
  const current = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    if (on) current.current?.scrollIntoView({ block: 'nearest' })
  }, [on])
  const read = tap.value !== undefined
  return (
    <ButtonBase
      ref={current}
      onClick={() => onSelect(tap.key)}
      aria-pressed={on}
      data-tap={tap.key}
      sx={{
        flex: 1,
        minHeight: 48,
        px: 1.5,
        py: 0.5,
        display: 'flex',
        justifyContent: 'space-between',
        textAlign: 'left',
        gap: 1,
        borderLeft: 4,
        borderLeftColor: on ? INK.copper : 'transparent',
        bgcolor: on ? INK.copperWash : 'transparent',
      }}
    >
      <span>
        <Typography
          component="span"
          sx={{
            display: 'block',
            lineHeight: 1.2,
            color: read && !tap.stale ? 'text.primary' : 'text.secondary',
          }}
        >
          {tap.label}
        </Typography>
        <Typography component="span" sx={{ fontSize: '0.8rem', color: 'primary.main', fontWeight: 600 }}>
          {marksOf(tap)
            .map(({ sign, words }) => `${sign} ${words}`)
            .join(', ')}
        </Typography>
      </span>
      <Typography
        component="span"
        sx={{
          fontSize: '1.2rem',
          fontWeight: 650,
          whiteSpace: 'nowrap',
          color: tap.stale ? 'text.secondary' : undefined,
        }}
      >
        {tap.value ?? '–'}
        <Typography component="span" sx={{ color: 'text.secondary', ml: 0.5, fontSize: '0.9rem' }}>
          {tap.unit}
        </Typography>
      </Typography>
    </ButtonBase>
  )
}

/** The places where readings are taken, in walking order. */
export const TapList = memo(function TapList({ taps, selected, onSelect, onMove }: Props) {
  return (
    <Box component="ul" aria-label="Taps" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {taps.map((tap) => (
        <Box component="li" key={tap.key} sx={LINE}>
          <Tap tap={tap} on={tap.key === selected} onSelect={onSelect} />
          {onMove && (
            <>
              <IconButton aria-label={`${tap.label} earlier`} onClick={() => onMove(tap.key, -1)}>
                <ArrowUpward fontSize="small" />
              </IconButton>
              <IconButton aria-label={`${tap.label} later`} onClick={() => onMove(tap.key, 1)}>
                <ArrowDownward fontSize="small" />
              </IconButton>
            </>
          )}
        </Box>
      ))}
    </Box>
  )
})
