'use client'
import Button from '@mui/material/Button'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { Unit } from '@/core/units/units'
import { SUNLIGHT } from '../theme'
import { pressKey, takesSign } from './entry'

type Props = {
  label: string
  text: string
  unit: Unit
  units: readonly Unit[]
  message: string | undefined
  onText: (text: string) => void
  onUnit: (unit: Unit) => void
  onNext: () => void
}

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '±', '0', '.'] as const
const NAMES: Readonly<Record<string, string>> = { '±': 'Change sign', '.': 'Decimal point' }

/** The numeric pad: knows its quantity's units, a key tall enough for a glove. */
export function NumericPad({ label, text, unit, units, message, onText, onUnit, onNext }: Props) {
  return (
    <Box sx={{ p: 1.25, display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between', gap: 1 }}>
        <Typography variant="h3" component="label" htmlFor="pad-display">
          {label}
        </Typography>
        <Typography component="span" sx={{ color: 'text.secondary' }}>
          {unit}
        </Typography>
      </Box>
      <Box
        component="input"
        id="pad-display"
        inputMode="none"
        autoComplete="off"
        value={text}
        aria-describedby="pad-message"
        aria-invalid={message !== undefined}
        placeholder="–"
        onChange={(event: React.ChangeEvent<HTMLInputElement>) =>
          onText(event.target.value.replace(',', '.').trim())
        }
        onKeyDown={(event: React.KeyboardEvent) => {
          if (event.key === 'Enter') onNext()
        }}
        sx={{
          font: 'inherit',
          fontSize: '2.3rem',
          fontWeight: 700,
          lineHeight: 1.15,
          textAlign: 'right',
          width: '100%',
          px: 1.25,
          color: 'text.primary',
          bgcolor: SUNLIGHT.paper,
          border: 1,
          borderColor: message ? 'error.main' : 'divider',
          borderRadius: 1,
          '&:focus-visible': { outline: `2px solid ${SUNLIGHT.copper}`, outlineOffset: 1 },
        }}
      />
      <Typography
        id="pad-message"
        role="status"
        sx={{ color: 'error.main', fontSize: '0.9rem', display: message ? 'block' : 'none' }}
      >
        {message}
      </Typography>
      <ToggleButtonGroup
        exclusive
        value={unit}
        onChange={(_event, value: Unit | null) => value && onUnit(value)}
        aria-label="Unit"
        sx={{ flexWrap: 'wrap' }}
      >
        {units.map((each) => (
          <ToggleButton key={each} value={each} sx={{ px: 1.25, flexGrow: 1 }}>
            {each}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 0.75 }}>
        <Box sx={{ gridColumn: 'span 3', display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 0.75 }}>
          {KEYS.map((key) => (
            <Button
              key={key}
              variant="outlined"
              color="inherit"
              aria-label={NAMES[key] ?? key}
              disabled={key === '±' && !takesSign(unit)}
              onClick={() => onText(pressKey(text, key))}
              sx={{ fontSize: '1.4rem', borderColor: 'divider', minWidth: 0 }}
            >
              {key}
            </Button>
          ))}
        </Box>
        <Box sx={{ display: 'grid', gridTemplateRows: '1fr 2fr', gap: 0.75 }}>
          <Button
            variant="outlined"
            color="inherit"
            aria-label="Delete last digit"
            onClick={() => onText(pressKey(text, '⌫'))}
            sx={{ fontSize: '1.3rem', borderColor: 'divider', minWidth: 0 }}
          >
            ⌫
          </Button>
          <Button variant="contained" onClick={onNext} sx={{ fontSize: '1.05rem', minWidth: 0 }}>
            Next
          </Button>
        </Box>
      </Box>
    </Box>
  )
}
