'use client'
import TextField, { type TextFieldProps } from '@mui/material/TextField'
import { useRef, useState } from 'react'

/** What became of a text: nothing to say, a message why it cannot be stored, or whether it will have been accepted. */
type SaveOutcome = string | undefined | Promise<boolean>

type Props = Omit<TextFieldProps, 'value' | 'onChange' | 'onBlur'> & {
  value: string
  /** called with every change */
  onSave: (text: string) => SaveOutcome
}

const HALF_TYPED = 'Not whole yet: it is stored when every part is typed.'
const REFUSED = 'This is not stored: see the message on this page, then change it.'

/** A text field that saves each change; while it has the focus, or while its text is refused, its own text leads. */
export function AutosaveField({ value, onSave, helperText, error, ...rest }: Props) {
  const [draft, setDraft] = useState<string>()
  const [message, setMessage] = useState<string>()
  const typed = useRef(0)
  const hasFocus = useRef(false)
  const save = (text: string) => {
    typed.current += 1
    const mine = typed.current
    hasFocus.current = true
    setDraft(text)
    const outcome = onSave(text)
    if (typeof outcome !== 'object') return setMessage(outcome)
    void outcome.then((good) => {
      // what was typed since is judged by its own save
      if (mine !== typed.current) return
      setMessage(good ? undefined : REFUSED)
      if (!good) setDraft(text)
      else if (!hasFocus.current) setDraft(undefined)
    })
  }
  return (
    <TextField
      {...rest}
      value={draft ?? value}
      error={error === true || message !== undefined}
      helperText={message ?? helperText}
      onChange={(event) => {
        // a browser gives a half typed date as nothing: what is stored stays
        if (!event.target.validity?.badInput) return save(event.target.value)
        typed.current += 1
        hasFocus.current = true
        setDraft(event.target.value)
        setMessage(HALF_TYPED)
      }}
      onBlur={() => {
        hasFocus.current = false
        if (message === undefined) setDraft(undefined)
      }}
    />
  )
}
