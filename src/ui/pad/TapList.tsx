'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { memo, useEffect, useRef } from 'react'
import type { Readings } from '@/core/readings/schema'
import { type ReadingKey, readingRow } from '@/core/readings/vocabulary'
import { INK } from '../theme/tokens'

type Props = {
  taps: readonly ReadingKey[]
  readings: Readings
  selected: ReadingKey | undefined
  /** taps that the next checks ask for */
  wanted: ReadonlySet<ReadingKey>
  /** taps that a sanity flag concerns */
  flagged: ReadonlySet<ReadingKey>
  onSelect: (key: ReadingKey) => void
}

function note(wanted: boolean, flagged: boolean): string {
  if (flagged) return '⚠ check'
  return wanted ? '◆ tells most' : ''
}

/** The places where readings are taken, in walking order. */
export const TapList = memo(function TapList({ taps, readings, selected, wanted, flagged, onSelect }: Props) {
  const current = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    current.current?.scrollIntoView({ block: 'nearest' })
  }, [selected])
  return (
    <Box component="ul" aria-label="Taps" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {taps.map((key) => {
        const reading = readings[key]
        const on = key === selected
        return (
          <li key={key}>
            <ButtonBase
              ref={on ? current : undefined}
              onClick={() => onSelect(key)}
              aria-pressed={on}
              data-tap={key}
              sx={{
                width: '100%',
                minHeight: 48,
                px: 1.5,
                py: 0.5,
                display: 'flex',
                justifyContent: 'space-between',
                textAlign: 'left',
                gap: 1,
                borderBottom: 1,
                borderColor: 'divider',
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
                    color: reading ? 'text.primary' : 'text.secondary',
                  }}
                >
                  {readingRow(key).label}
                </Typography>
                <Typography
                  component="span"
                  sx={{ fontSize: '0.8rem', color: 'primary.main', fontWeight: 600 }}
                >
                  {note(wanted.has(key) && !reading, flagged.has(key))}
                </Typography>
              </span>
              <Typography component="span" sx={{ fontSize: '1.2rem', fontWeight: 650, whiteSpace: 'nowrap' }}>
                {reading ? reading.value : '–'}
                <Typography component="span" sx={{ color: 'text.secondary', ml: 0.5, fontSize: '0.9rem' }}>
                  {reading?.unit}
                </Typography>
              </Typography>
            </ButtonBase>
          </li>
        )
      })}
    </Box>
  )
})
