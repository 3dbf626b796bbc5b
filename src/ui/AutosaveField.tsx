'use client'
import TextField, { type TextFieldProps } from '@mui/material/TextField'
import { useState } from 'react'

type Props = Omit<TextFieldProps, 'value' | 'onChange' | 'onBlur'> & {
  value: string
  /** called with every change; returns a message when the text cannot be stored */
  onSave: (text: string) => string | undefined
}

/** A text field that saves each change; while it has the focus its own text leads. */
export function AutosaveField({ value, onSave, helperText, error, ...rest }: Props) {
  const [draft, setDraft] = useState<string>()
  const [message, setMessage] = useState<string>()
  return (
    <TextField
      {...rest}
      value={draft ?? value}
      error={error === true || message !== undefined}
      helperText={message ?? helperText}
      onChange={(event) => {
        setDraft(event.target.value)
        setMessage(onSave(event.target.value))
      }}
      onBlur={() => {
        if (message === undefined) setDraft(undefined)
      }}
    />
  )
}
