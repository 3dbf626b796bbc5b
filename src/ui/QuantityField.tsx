'use client'
import { fieldUnit, unitText } from '@/core/base/units/system'
import { useUnits } from './units'
import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { attempt } from '@/core/base/errors/orzoError'
import {
  type Compound,
  compoundOf,
  inParts,
  ofParts,
  partsOf,
  type TypedQuantity,
} from '@/core/base/units/compound'
import { fromSI, toSI } from '@/core/base/units/convert'
import { quantitySchema } from '@/core/base/units/quantitySchema'
import { parseTyped } from '@/core/base/units/parseTyped'
import { type QuantityKind, type Unit, unitsOf } from '@/core/base/units/units'
import { AutosaveField } from './AutosaveField'

type Props = {
  label: string
  kind: QuantityKind
  value: TypedQuantity | undefined
  defaultUnit: Unit
  onChange: (value: TypedQuantity | undefined) => void
  /** what may be stored, where that is not any quantity of the kind */
  schema?: ReturnType<typeof quantitySchema>
  /** what cannot be read takes away what stood there: nothing is computed from an older figure */
  clears?: boolean
}

const DECIMAL = { htmlInput: { inputMode: 'decimal' as const } }

/** Stores a quantity that its kind allows. @returns why not, else undefined */
function stored(make: () => TypedQuantity, { kind, schema, onChange }: Props): string | undefined {
  const read = attempt(make)
  if (!read.ok) return read.error.message
  const result = (schema ?? quantitySchema(kind)).safeParse(read.value)
  if (!result.success) return result.error.issues[0]?.message ?? 'This value cannot be stored.'
  onChange(read.value)
  return undefined
}

/** The two texts, the larger unit first. */
type Parts = readonly [string, string]

type InPartsProps = { props: Props; compound: Compound }

/** Two fields for a measure that is read in two units: pounds and ounces, feet and inches. */
function InParts({ props, compound }: InPartsProps) {
  const { label, value, onChange } = props
  const [whole = '', rest = ''] = ((value && partsOf(value)) ?? []).map((part) => (part === '0' ? '' : part))
  // what was typed into one field may not be stored yet when the other is typed into: while the focus is here it leads
  const [typed, setTyped] = useState<Parts>()
  const save = (at: 0 | 1) => (text: string) => {
    const [first, second] = typed ?? [whole, rest]
    const parts: Parts = at === 0 ? [text.trim(), second] : [first, text.trim()]
    setTyped(parts)
    if (parts.every((part) => part === '')) return void onChange(undefined)
    return stored(() => ofParts(compound, parts[0], parts[1]), props)
  }
  return (
    <Box
      sx={{ display: 'contents' }}
      onBlur={({ currentTarget, relatedTarget }) => {
        if (!currentTarget.contains(relatedTarget)) setTyped(undefined)
      }}
    >
      <AutosaveField
        label={`${label}, ${compound.large}`}
        value={whole}
        onSave={save(0)}
        slotProps={DECIMAL}
      />
      <AutosaveField label={compound.small} value={rest} onSave={save(1)} slotProps={DECIMAL} />
    </Box>
  )
}

/** A number and its unit, or a measure in two units kept as it is typed; empty is a valid answer. */
export function QuantityField(props: Props) {
  const { label, kind, value, onChange } = props
  const { system } = useUnits()
  const defaultUnit = fieldUnit(system, props.defaultUnit)
  const compound = compoundOf(kind)
  const [chosen, setChosen] = useState<Unit | 'both'>(value?.unit ?? defaultUnit)
  const shown = value === undefined ? chosen : value.typed === undefined ? value.unit : 'both'
  const save = (text: string): string | undefined => {
    if (text.trim() === '') return void onChange(undefined)
    const problem = stored(() => parseTyped(text, kind, shown === 'both' ? defaultUnit : shown), props)
    if (problem !== undefined && props.clears) onChange(undefined)
    if (problem === undefined) setChosen(parseTyped(text, kind, shown === 'both' ? defaultUnit : shown).unit)
    return problem
  }
  const choose = (next: Unit | 'both') => {
    setChosen(next)
    if (!value) return
    if (next === 'both') return compound && onChange(inParts(compound, value))
    // a number in the wrong unit gets the right one; of a measure in two units the same measure is meant
    const number = value.typed === undefined ? value.value : Number(fromSI(toSI(value), next).toFixed(4))
    onChange({ value: number, unit: next })
  }
  return (
    <Box sx={{ display: 'flex', gap: 0.5 }}>
      {shown === 'both' && compound ? (
        <InParts props={props} compound={compound} />
      ) : (
        <AutosaveField
          label={label}
          value={value === undefined ? '' : String(value.value)}
          onSave={save}
          slotProps={DECIMAL}
        />
      )}
      <TextField
        select
        fullWidth={false}
        value={shown}
        slotProps={{ select: { SelectDisplayProps: { 'aria-label': `Unit of ${label}` } } }}
        onChange={(event) => choose(event.target.value as Unit | 'both')}
        sx={{ minWidth: 104 }}
      >
        {[...unitsOf(kind), ...(compound ? (['both'] as const) : [])].map((each) => (
          <MenuItem key={each} value={each}>
            {each === 'both' ? compound?.name : unitText(each)}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  )
}
