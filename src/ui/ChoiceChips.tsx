'use client'
import Box from '@mui/material/Box'
import Chip from '@mui/material/Chip'
import Typography from '@mui/material/Typography'

type Props = {
  label: string
  values: readonly string[]
  value: string | undefined
  onChange: (value: string | undefined) => void
  labels?: Readonly<Record<string, string>>
}

const plain = (word: string) => word.replace(/-/g, ' ')

/** Words to choose from; tapping the chosen one again takes it back. */
export function ChoiceChips({ label, values, value, onChange, labels }: Props) {
  return (
    <Box role="group" aria-label={label} sx={{ py: 0.75 }}>
      <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem', mb: 0.5 }}>{label}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {values.map((each) => (
          <Chip
            key={each}
            label={`${each === value ? '● ' : ''}${labels?.[each] ?? plain(each)}`}
            aria-pressed={each === value}
            variant={each === value ? 'filled' : 'outlined'}
            color={each === value ? 'primary' : 'default'}
            onClick={() => onChange(each === value ? undefined : each)}
            sx={each === value ? { bgcolor: 'primary.main' } : {}}
          />
        ))}
      </Box>
    </Box>
  )
}
