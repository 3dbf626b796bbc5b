'use client'
import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { quantitySchema } from '@/core/readings/schema'
import { type QuantityKind, type Unit, unitsOf } from '@/core/units/units'
import { AutosaveField } from './AutosaveField'

type Stored = { value: number; unit: Unit }
type Props = {
  label: string
  kind: QuantityKind
  value: Stored | undefined
  defaultUnit: Unit
  onChange: (value: Stored | undefined) => void
}

/** A number and its unit; empty is a valid answer. */
export function QuantityField({ label, kind, value, defaultUnit, onChange }: Props) {
  const [unit, setUnit] = useState<Unit>(value?.unit ?? defaultUnit)
  const shownUnit = value?.unit ?? unit
  const save = (text: string): string | undefined => {
    if (text.trim() === '') {
      onChange(undefined)
      return undefined
    }
    const number = Number(text.replace(',', '.'))
    if (!Number.isFinite(number)) return 'Type a number.'
    const result = quantitySchema(kind).safeParse({ value: number, unit: shownUnit })
    if (!result.success) return result.error.issues[0]?.message ?? 'This value cannot be stored.'
    onChange({ value: number, unit: shownUnit })
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
