'use client'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { SearchChoice } from './SearchChoice'

/** A list that is longer is typed into. */
const MOST_SHOWN = 10

type Props<T extends string> = {
  label: string
  value: T | ''
  values: readonly T[]
  labels?: Readonly<Record<T, string>>
  onChange: (value: T) => void
}

/** A choice from a list: a short one opens, a long one is typed into. */
export function Choice<T extends string>({ label, value, values, labels, onChange }: Props<T>) {
  if (values.length > MOST_SHOWN) return <SearchChoice {...{ label, value, values, labels, onChange }} />
  return (
    <TextField
      select
      fullWidth
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as T)}
      slotProps={{ select: { SelectDisplayProps: { 'aria-label': label } } }}
    >
      {values.map((each) => (
        <MenuItem key={each} value={each} sx={{ minHeight: 48 }}>
          {labels?.[each] ?? each}
        </MenuItem>
      ))}
    </TextField>
  )
}
