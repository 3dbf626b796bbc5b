'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { attempt } from '@/core/base/errors/orzoError'
import { parseTyped } from '@/core/base/units/parseTyped'
import { convertValue } from '@/core/base/units/convertValue'
import type { Unit } from '@/core/base/units/units'
import { channelRow, type WorkChannel } from '@/core/record/readings/channels'
import type { Shown } from './workRecorder'

type Channel = readonly [WorkChannel, Unit]
type Props = {
  channels: readonly Channel[]
  /** Pa: what is typed as absolute is shown by a gauge that is zeroed here */
  atmosphere: number
  /** @returns a sentence why it could not be stored */
  onType: (values: ReadonlyMap<WorkChannel, Omit<Shown, 'at'>>) => Promise<string | undefined>
}

/** What was read from an instrument without a radio, one look at a time; any unit, stored in that of the log. */
export function HandEntry({ channels, atmosphere, onType }: Props) {
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({})
  const [problem, setProblem] = useState<string>()
  const submit = async () => {
    const values = new Map<WorkChannel, Omit<Shown, 'at'>>()
    for (const [key, unit] of channels) {
      const text = (texts[key] ?? '').trim()
      if (text === '') continue
      const read = attempt(() => convertValue(parseTyped(text, channelRow(key).kind, unit), unit, atmosphere))
      if (!read.ok) return setProblem(`${channelRow(key).label}: ${read.error.message}`)
      values.set(key, { value: read.value, unit })
    }
    if (values.size === 0) return setProblem('Type what the instrument shows.')
    const refused = await onType(values)
    setProblem(refused)
    if (refused === undefined) setTexts({})
  }
  return (
    <Box
      component="form"
      aria-label="Type a look"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}
    >
      {channels.map(([key, unit], i) => (
        <TextField
          key={key}
          label={`${channelRow(key).short}, ${unit}`}
          value={texts[key] ?? ''}
          onChange={({ target }) => setTexts({ ...texts, [key]: target.value })}
          error={problem !== undefined && i === 0}
          helperText={i === 0 ? problem : undefined}
          slotProps={{
            htmlInput: { inputMode: 'decimal', 'aria-label': `${channelRow(key).label}, ${unit}` },
          }}
          sx={{ width: 150 }}
        />
      ))}
      <Button type="submit" variant="outlined" sx={{ minHeight: 56 }}>
        Write down
      </Button>
    </Box>
  )
}
