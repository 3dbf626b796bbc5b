'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useRef, useState } from 'react'
import { attempt } from '@/core/base/errors/orzoError'
import { parseTyped } from '@/core/base/units/parseTyped'
import type { Unit } from '@/core/base/units/units'
import { channelRow, type WorkChannel } from '@/core/record/readings/channels'
import { logWhen } from './logActs'
import type { PurposeProps } from './purposeProps'
import { readLooks } from './readLooks'

type Channel = readonly [WorkChannel, Unit]
type Texts = Readonly<Record<string, string>>
type Props = Pick<PurposeProps, 'job' | 'purpose' | 'atmosphere' | 'log' | 'warn'> & {
  channels: readonly Channel[]
  /** when it was, as it was typed; empty is now */
  when: string
  /** what stands there before, where a look is corrected */
  initial?: Texts
  label?: string
  /** its first field has the focus when it comes up */
  takesFocus?: boolean
  /** @param at ms of the job; undefined is now @returns a sentence why it could not be stored */
  onType: (values: readonly (number | null)[], at: number | undefined) => Promise<string | undefined>
}
type Problem = { readonly text: string; readonly key?: WorkChannel | undefined; readonly asked?: string }

/** What stands half typed in a field of a log while one looks at another step: kept while the tab lives. */
const halfTyped = new Map<string, Texts>()

/** The texts of a form, which stay when it is left in the middle. @param key of the log; undefined where nothing is kept */
function useTexts(key: string | undefined, initial: Texts) {
  const [texts, setTexts] = useState<Texts>((key !== undefined && halfTyped.get(key)) || initial)
  const put = (next: Texts) => {
    if (key !== undefined) halfTyped.set(key, next)
    setTexts(next)
  }
  return [texts, put] as const
}

/** What has to be told of the figures at once, while they are typed. */
function warningOf(texts: Texts, channels: readonly Channel[], warn: Props['warn']): string | undefined {
  for (const [key, unit] of channels) {
    const typed = attempt(() => parseTyped((texts[key] ?? '').trim(), channelRow(key).kind, unit))
    const told = typed.ok && warn?.(key, typed.value)
    if (told) return told
  }
  return undefined
}

/** What was read from an instrument without a radio, one look at a time; any unit, stored in that of the log. */
export function HandEntry(props: Props) {
  const { channels, atmosphere, purpose, job, log, when, warn, initial, label, takesFocus, onType } = props
  const form = useRef<HTMLFormElement>(null)
  // a correction begins with what stands there
  const [texts, setTexts] = useTexts(initial ? undefined : log.head?.id, initial ?? {})
  const [problem, setProblem] = useState<Problem>()
  const typed = JSON.stringify([texts, when])
  const submit = async () => {
    const read = readLooks(texts, channels, { atmosphere, purpose, isSure: problem?.asked === typed })
    if ('problem' in read)
      return setProblem({ text: read.problem, key: read.key, ...(read.isAsked ? { asked: typed } : {}) })
    const at = attempt(() => (when.trim() === '' ? undefined : logWhen(job, log.head, when)))
    if (!at.ok) return setProblem({ text: at.error.message })
    // the fields are free at once: what is typed while the look is being stored is the next one
    setProblem(undefined)
    setTexts({})
    form.current?.querySelector('input')?.focus()
    const refused = await onType(read.values, at.value)
    if (refused === undefined) return
    setProblem({ text: refused })
    setTexts(texts)
  }
  const warning = warningOf(texts, channels, warn)
  return (
    <Box
      component="form"
      ref={form}
      aria-label={label ?? 'Type a look'}
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}
    >
      {channels.map(([key, unit], i) => (
        <TextField
          key={key}
          autoFocus={takesFocus === true && i === 0}
          label={`${channelRow(key).short}, ${unit}`}
          value={texts[key] ?? ''}
          onChange={({ target }) => setTexts({ ...texts, [key]: target.value })}
          error={problem?.key === key}
          slotProps={{
            htmlInput: { inputMode: 'decimal', 'aria-label': `${channelRow(key).label}, ${unit}` },
          }}
          sx={{ width: 150 }}
        />
      ))}
      <Button type="submit" variant="outlined" sx={{ minHeight: 56 }}>
        {problem?.asked === typed ? 'It is right: write it down' : (label ?? 'Write down')}
      </Button>
      {problem && (
        <Alert severity={problem.asked ? 'warning' : 'error'} sx={{ flexBasis: '100%' }}>
          {problem.text}
        </Alert>
      )}
      {warning && (
        <Alert severity="error" sx={{ flexBasis: '100%' }}>
          {warning}
        </Alert>
      )}
    </Box>
  )
}
