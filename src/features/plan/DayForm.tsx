'use client'
import { HOUR } from '@/core/base/units/time'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import FormControlLabel from '@mui/material/FormControlLabel'
import Switch from '@mui/material/Switch'
import Typography from '@mui/material/Typography'
import { addStretch, removeStretch, setDay, setStretch } from '@/core/record/edits/dayEdits'
import { ACCESS_EASE, type Day } from '@/core/record/records/day'
import { USUAL_HOURS } from '@/core/repair/day/calendar'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { MomentField } from '@/ui/MomentField'
import type { StageProps } from '../shared/stageProps'
import { proposedStart, wallOf } from '../shared/wallClock'
import { More } from './More'

type Props = Pick<StageProps, 'job' | 'change'>

/** Who, from when, and how hard it is to reach. */
export function DayBasics({ job, change }: Props) {
  const day = job.day ?? {}
  const set = (values: Parameters<typeof setDay>[0]) => change(setDay(values))
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'end', columnGap: 2 }}>
      <ChoiceChips
        label="People"
        values={['1', '2', '3']}
        value={String(day.crew ?? 1)}
        onChange={(word) => void set({ crew: word ? (Number(word) as 1 | 2 | 3) : undefined })}
      />
      <ChoiceChips
        label="Access"
        values={ACCESS_EASE}
        value={day.access ?? 'usual'}
        onChange={(word) => void set({ access: ACCESS_EASE.find((each) => each === word) })}
      />
      <Box sx={{ py: 1, display: 'flex', gap: 1, alignItems: 'center' }}>
        <MomentField
          label="Start"
          type="datetime-local"
          value={day.start}
          onSave={(start) => set({ start })}
        />
        {!day.start && (
          <Button variant="outlined" onClick={() => void set({ start: proposedStart(job.unit.site?.zone) })}>
            Tomorrow {USUAL_HOURS.start}
          </Button>
        )}
      </Box>
    </Box>
  )
}

type StretchProps = Pick<Props, 'change'> & {
  table: 'rain' | 'breaks'
  label: string
  all: readonly { from: string; to: string }[]
}

/** Lines of rain or breaks: both ends typed over in place, or taken away. */
function Stretches({ change, table, label, all }: StretchProps) {
  const type = table === 'rain' ? 'datetime-local' : 'time'
  return all.map((each, index) => {
    const name = `${label}${all.length > 1 ? ` ${index + 1}` : ''}`
    return (
      <Box key={index} sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5, py: 1 }}>
        {(['from', 'to'] as const).map((side) => (
          <MomentField
            key={side}
            label={`${name} ${side}`}
            type={type}
            value={each[side]}
            onSave={(value) =>
              value ? change(setStretch(table, index, side, value)) : change(removeStretch(table, index))
            }
          />
        ))}
        <Button
          color="inherit"
          aria-label={`Remove ${name.toLowerCase()}`}
          onClick={() => void change(removeStretch(table, index))}
        >
          Remove
        </Button>
      </Box>
    )
  })
}

/** Rain begins as two hours after the start or the last rain, to be typed over. */
function usualRain({ start, rain = [] }: Day) {
  const from = new Date(rain.at(-1)?.to ?? start ?? proposedStart()).getTime() + 2 * HOUR
  return { from: wallOf(from), to: wallOf(from + 2 * HOUR) }
}

/** By when it must run again, and what happens else. */
function DeadlineFields({ job, change }: Props) {
  const day = job.day ?? {}
  const set = (values: Parameters<typeof setDay>[0]) => change(setDay(values))
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'end', pt: 1 }}>
      <MomentField
        label="Must run again by"
        type="datetime-local"
        value={day.deadline}
        onSave={(deadline) => set({ deadline })}
      />
      <ChoiceChips
        label="or else"
        values={['space', 'goods']}
        labels={{ space: 'the space is too hot', goods: 'the goods spoil' }}
        value={day.deadlineOf}
        onChange={(word) => void set({ deadlineOf: word as Day['deadlineOf'] })}
      />
    </Box>
  )
}

/** Hours, light, breaks, rain, deadline: what the day must keep. */
export function DayLimits({ job, change }: Props) {
  const day = job.day ?? {}
  const set = (values: Parameters<typeof setDay>[0]) => change(setDay(values))
  const rain = day.rain ?? []
  const breaks = day.breaks ?? []
  const count =
    rain.length + breaks.length + [day.opensAt, day.lightFrom, day.deadline].filter(Boolean).length
  return (
    <More label={`Hours, weather, breaks, deadline${count > 0 ? `, ${count} set` : ''}`}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, py: 1 }}>
        <MomentField
          label="Building opens"
          type="time"
          value={day.opensAt}
          onSave={(opensAt) => set({ opensAt })}
        />
        <MomentField
          label="Building closes"
          type="time"
          value={day.closesAt}
          onSave={(closesAt) => set({ closesAt })}
        />
        <MomentField
          label="Light from"
          type="time"
          value={day.lightFrom}
          onSave={(lightFrom) => set({ lightFrom })}
        />
        <MomentField
          label="Light to"
          type="time"
          value={day.lightTo}
          onSave={(lightTo) => set({ lightTo })}
        />
      </Box>
      <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
        Where nothing is set one works from {USUAL_HOURS.opensAt} to {USUAL_HOURS.closesAt}.
      </Typography>
      <FormControlLabel
        sx={{ minHeight: 48 }}
        control={
          <Switch
            checked={day.leaveRunning === true}
            onChange={(_event, on) => void set({ leaveRunning: on || undefined })}
          />
        }
        label="Machines may run on while nobody is there"
      />
      <Stretches change={change} table="breaks" label="Break" all={breaks} />
      <Stretches change={change} table="rain" label="Rain" all={rain} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          variant="outlined"
          onClick={() => void change(addStretch('breaks', { from: '12:00', to: '12:30' }))}
        >
          Add a break
        </Button>
        <Button
          variant="outlined"
          onClick={() =>
            void change((before, stamp) => {
              const dated = day.start
                ? before
                : setDay({ start: proposedStart(job.unit.site?.zone) })(before, stamp)
              return addStretch('rain', usualRain(day))(dated, stamp)
            })
          }
        >
          Add rain
        </Button>
      </Box>
      <DeadlineFields job={job} change={change} />
    </More>
  )
}
