'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { setPlate } from '@/core/record/edits/headEdits'
import type { AskedField } from '@/core/record/equipment/asked'
import type { Plate } from '@/core/record/equipment/unit'
import { recentJobs } from '@/data/jobs'
import { database } from '@/data/shared'
import { Choice } from '@/ui/Choice'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { KIND_LABELS, METERING_LABELS } from '@/core/report/jobText'
import type { ChangeJob } from '../record/useJob'
import { useLive } from '../storage/useLive'
import { everyOf, usualOf } from './usual'

const QUESTIONS: Readonly<Record<AskedField, string>> = {
  refrigerant: 'Which refrigerant?',
  metering: 'Which metering device?',
  kind: 'What kind of unit?',
}
const LABELS: Readonly<Record<AskedField, Readonly<Record<string, string>>>> = {
  refrigerant: {},
  metering: METERING_LABELS,
  kind: KIND_LABELS,
}

/** Words short enough for a row of taps. */
const SHORT: Readonly<Record<AskedField, Readonly<Record<string, string>>>> = {
  refrigerant: {},
  metering: { eev: 'Electronic valve' },
  kind: {},
}
const OTHERS = 'others'

type AskProps = { field: AskedField; value: string | undefined; onChange: (word: string) => void }

/** One question about the unit: a tap for what is used most here, typed into for the rest. */
export function AskField({ field, value, onChange }: AskProps) {
  const jobs = useLive(() => recentJobs(database()), [], [])
  const [listed, setListed] = useState(false)
  const usual = usualOf(
    field,
    jobs.map(({ summary }) => summary),
  )
  const all = everyOf(field)
  const others = all.filter((word) => !usual.includes(word))
  if (listed)
    return (
      <Choice
        label={QUESTIONS[field]}
        value=""
        values={all}
        labels={LABELS[field] as Record<string, string>}
        onChange={onChange}
      />
    )
  return (
    <ChoiceChips
      label={QUESTIONS[field]}
      values={[...usual, ...(others.length > 0 ? [OTHERS] : [])]}
      value={value}
      labels={{ ...LABELS[field], ...SHORT[field], [OTHERS]: 'Another…' }}
      plain={(word) => word}
      onChange={(word) => (word === OTHERS ? setListed(true) : word && onChange(word))}
    />
  )
}

type Props = { plate: Plate; asks: readonly AskedField[]; change: ChangeJob }

/** What the plate does not tell and the readings need: never presumed, asked where it is needed. */
export function AskUnit({ plate, asks, change }: Props) {
  if (asks.length === 0) return null
  return (
    <Box component="section" aria-label="What is not known of the unit" sx={{ display: 'grid', gap: 1 }}>
      {asks.map((field) => (
        <AskField
          key={field}
          field={field}
          value={plate[field]}
          onChange={(word) => void change(setPlate({ [field]: word }))}
        />
      ))}
    </Box>
  )
}

/** In place of an answer that would have to presume something. */
export function AskFirst(props: Props) {
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography>Nothing is presumed: choose what the plate says, and the suspects are ranked.</Typography>
      <AskUnit {...props} />
    </Box>
  )
}
