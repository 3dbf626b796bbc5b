'use client'
import { AutosaveField } from './AutosaveField'

type Props = {
  label: string
  value: string | undefined
  type: 'time' | 'datetime-local'
  onSave: (value: string | undefined) => Promise<boolean>
}

/** A time of day or a moment of the wall clock; an empty one takes it away. */
export function MomentField({ label, value, type, onSave }: Props) {
  return (
    <AutosaveField
      label={label}
      type={type}
      value={value ?? ''}
      size="small"
      fullWidth={false}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { 'aria-label': label, style: { minHeight: 30 } },
      }}
      sx={{ width: type === 'time' ? 150 : 256 }}
      onSave={(text) => onSave(text || undefined)}
    />
  )
}
