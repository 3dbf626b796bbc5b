'use client'
import Autocomplete from '@mui/material/Autocomplete'
import TextField from '@mui/material/TextField'
import { found } from './found'

type Props<T extends string> = {
  label: string
  value: T | ''
  values: readonly T[]
  labels?: Readonly<Record<T, string>> | undefined
  onChange: (value: T) => void
}

/** Options that are drawn at once; typing brings the others. */
const MOST_OFFERED = 100

/** A choice from a long list: it is typed into, the best answer first; what is typed and not chosen changes nothing. */
export function SearchChoice<T extends string>({ label, value, values, labels, onChange }: Props<T>) {
  const labelOf = (each: T) => labels?.[each] ?? each
  return (
    <Autocomplete
      options={values}
      value={value === '' ? (null as unknown as T) : value}
      getOptionLabel={labelOf}
      // two options may be called the same: two units of one name
      getOptionKey={(each) => each}
      filterOptions={(options, { inputValue, getOptionLabel }) =>
        // what stands there was not typed: the whole list is offered
        found(options, getOptionLabel, value !== '' && inputValue === labelOf(value) ? '' : inputValue).slice(
          0,
          MOST_OFFERED,
        )
      }
      onChange={(_event, chosen) => chosen && onChange(chosen)}
      disableClearable
      autoHighlight
      openOnFocus={false}
      selectOnFocus
      handleHomeEndKeys
      noOptionsText="Nothing in the list answers this"
      slotProps={{ listbox: { sx: { '& .MuiAutocomplete-option': { minHeight: 48 } } } }}
      renderInput={(input) => <TextField {...input} label={label} />}
    />
  )
}
