'use client'
import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { attempt } from '@/core/base/errors/orzoError'
import { quantitySchema } from '@/core/base/units/quantitySchema'
import { parseTyped } from '@/core/base/units/parseTyped'
import { type QuantityKind, type Unit, unitsOf } from '@/core/base/units/units'
import { AutosaveField } from './AutosaveField'

type Stored = { value: number; unit: Unit }
type Props = {
  label: string
  kind: QuantityKind
  value: Stored | undefined
  defaultUnit: Unit
  onChange: (value: Stored | undefined) => void
  /** what may be stored, where that is not any quantity of the kind */
  schema?: ReturnType<typeof quantitySchema>
}

/** A number and its unit; empty is a valid answer. */
export function QuantityField({ label, kind, value, defaultUnit, onChange, schema }: Props) {
  const [unit, setUnit] = useState<Unit>(value?.unit ?? defaultUnit)
  const shownUnit = value?.unit ?? unit
  const save = (text: string): string | undefined => {
    if (text.trim() === '') {
      onChange(undefined)
      return undefined
    }
    const typed = attempt(() => parseTyped(text, kind, shownUnit))
    if (!typed.ok) return typed.error.message
    const result = (schema ?? quantitySchema(kind)).safeParse(typed.value)
    if (!result.success) return result.error.issues[0]?.message ?? 'This value cannot be stored.'
    setUnit(typed.value.unit)
    onChange(typed.value)
    return undefined
  }
  return (
    <Box sx={{ display: 'flex', gap: 0.5 }}>
      <AutosaveField
        label={label}
        value={value === undefined ? '' : String(value.value)}
        onSave={save}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <TextField
        select
        fullWidth={false}
        value={shownUnit}
        slotProps={{ select: { SelectDisplayProps: { 'aria-label': `Unit of ${label}` } } }}
        onChange={(event) => {
          const next = event.target.value as Unit
          setUnit(next)
          if (value) onChange({ value: value.value, unit: next })
        }}
        sx={{ minWidth: 104 }}
      >
        {unitsOf(kind).map((each) => (
          <MenuItem key={each} value={each}>
            {each}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  )
}
