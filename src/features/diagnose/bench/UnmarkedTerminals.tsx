'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { attempt } from '@/core/base/errors/orzoError'
import { toSI } from '@/core/base/units/convert'
import { parseTyped } from '@/core/base/units/parseTyped'
import {
  nameTerminals,
  type Pair,
  PAIRS,
  type SinglePhaseResult,
} from '@/core/diagnosis/electrical/singlePhase'
import { INK } from '@/ui/theme/tokens'

type Texts = Readonly<Record<Pair, string>>
const EMPTY: Texts = { AB: '', BC: '', CA: '' }
const PLACE = { A: [90, 24], B: [24, 130], C: [156, 130] } as const
const MIDDLE: Readonly<Record<Pair, { left: number; top: number }>> = {
  AB: { left: 0, top: 62 },
  BC: { left: 58, top: 156 },
  CA: { left: 116, top: 62 },
}

/** Ohms of a text, in any unit: empty is not measured, "open" or "OL" is open; undefined for what is no number. */
function ohmsOf(text: string): number | undefined {
  const word = text.trim().replace(',', '.').toLowerCase()
  if (word === 'open' || word === 'ol') return Infinity
  if (word === '') return undefined
  const plain = Number(word)
  const typed = Number.isFinite(plain)
    ? { ok: true as const, value: plain }
    : attempt(() => toSI(parseTyped(text, 'resistance', 'ohm')))
  return typed.ok && typed.value >= 0 ? typed.value : undefined
}

type Props = { hot: boolean | undefined; onNamed: (ohms: NonNullable<SinglePhaseResult['ohms']>) => void }

/** Three unmarked terminals: three ohm readings name them. */
export function UnmarkedTerminals({ hot, onNamed }: Props) {
  const [texts, setTexts] = useState<Texts>(EMPTY)
  const ohms = { AB: ohmsOf(texts.AB), BC: ohmsOf(texts.BC), CA: ohmsOf(texts.CA) }
  const complete = PAIRS.every((pair) => ohms[pair] !== undefined)
  const result = complete ? nameTerminals(ohms as Record<Pair, number>, hot) : undefined
  return (
    <Box component="section" aria-label="Unmarked terminals" sx={{ display: 'grid', gap: 1 }}>
      <Typography>
        Write A, B, C on the pins, measure the three pairs; &quot;open&quot; is an answer.
      </Typography>
      <Box sx={{ position: 'relative', width: 180, height: 215, mx: 'auto' }}>
        <svg viewBox="0 0 180 215" width={180} height={215} aria-hidden>
          <path d="M90 24 L24 130 L156 130 Z" fill="none" stroke={INK.hairline} strokeWidth={6} />
          {(['A', 'B', 'C'] as const).map((terminal) => (
            <g key={terminal}>
              <circle
                cx={PLACE[terminal][0]}
                cy={PLACE[terminal][1]}
                r={18}
                fill={INK.raised}
                stroke={INK.ink}
              />
              <text x={PLACE[terminal][0]} y={PLACE[terminal][1] + 5} textAnchor="middle" fontWeight={700}>
                {result?.terminals?.[terminal]?.charAt(0).toUpperCase() ?? terminal}
              </text>
            </g>
          ))}
        </svg>
        {PAIRS.map((pair) => (
          <TextField
            key={pair}
            label={`${pair[0]} to ${pair[1]}, ohm`}
            value={texts[pair]}
            error={texts[pair].trim() !== '' && ohms[pair] === undefined}
            onChange={(event) => setTexts((now) => ({ ...now, [pair]: event.target.value }))}
            slotProps={{ htmlInput: { inputMode: 'decimal' }, inputLabel: { sx: { fontSize: '0.8rem' } } }}
            sx={{
              position: 'absolute',
              width: 96,
              bgcolor: 'background.paper',
              left: MIDDLE[pair].left - (pair === 'AB' ? 28 : pair === 'BC' ? 16 : 4),
              top: MIDDLE[pair].top,
            }}
          />
        ))}
      </Box>
      {result && (
        <Box role="status">
          {result.terminals && (
            <Typography sx={{ fontWeight: 700 }}>
              {(['A', 'B', 'C'] as const)
                .flatMap((terminal) => {
                  const name = result.terminals?.[terminal]
                  return name ? [`${terminal} is ${name}`] : []
                })
                .join(', ')}
              .
            </Typography>
          )}
          <Typography>{result.finding.sentence}</Typography>
          {result.finding.next && (
            <Typography sx={{ color: 'text.secondary' }}>Next: {result.finding.next}</Typography>
          )}
          {result.ohms && (
            <Button variant="contained" sx={{ mt: 1 }} onClick={() => result.ohms && onNamed(result.ohms)}>
              Keep as C, R, S
            </Button>
          )}
        </Box>
      )}
    </Box>
  )
}
