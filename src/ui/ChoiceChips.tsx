'use client'
import Box from '@mui/material/Box'
import Chip from '@mui/material/Chip'
import Typography from '@mui/material/Typography'

type Props = {
  label: string
  values: readonly string[]
  value: string | undefined
  /** further words that are chosen too, where several may be true */
  also?: readonly string[]
  onChange: (value: string | undefined) => void
  labels?: Readonly<Record<string, string>>
  /** how a word without a label is written; "walk-in" becomes "walk in" where not said */
  plain?: (word: string) => string
}

const spaced = (word: string) => word.replace(/-/g, ' ')

/** Words to choose from; tapping the chosen one again takes it back. */
export function ChoiceChips({ label, values, value, onChange, labels, plain = spaced, also = [] }: Props) {
  return (
    <Box role="group" aria-label={label} sx={{ py: 0.75 }}>
      <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem', mb: 0.5 }}>{label}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {values.map((each) => {
          const on = each === value || also.includes(each)
          return (
            <Chip
              key={each}
              label={`${on ? '● ' : ''}${labels?.[each] ?? plain(each)}`}
              aria-pressed={on}
              variant={on ? 'filled' : 'outlined'}
              color={on ? 'primary' : 'default'}
              onClick={() => onChange(each === value ? undefined : each)}
              sx={on ? { bgcolor: 'primary.main' } : {}}
            />
          )
        })}
      </Box>
    </Box>
  )
}
