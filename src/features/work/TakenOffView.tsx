'use client'
import { useSiteClock } from '@/ui/siteClock'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { addTaken, markTaken, removeTaken, type TakenState, together } from '@/core/record/edits/workEdits'
import { type OffLine, stillOff, takenOffList } from '@/core/repair/work/takenOff'
import type { StageProps } from '../shared/stageProps'
import { useUnitState } from './useSheet'

const WORDS: Readonly<Record<OffLine['state'], string>> = {
  on: '○ still on',
  off: '△ off',
  back: '● back on',
  stays: '– did not come off',
}

type LineProps = Pick<StageProps, 'change'> & { line: OffLine }

/** What can be said of a line in each state. */
const SAYS: Readonly<Record<OffLine['state'], readonly (readonly [label: string, state: TakenState])[]>> = {
  on: [
    ['Off', 'off'],
    ['Stays', 'stays'],
  ],
  off: [
    ['Back on', 'back'],
    ['Stays', 'stays'],
  ],
  back: [['Off again', 'off']],
  stays: [['It came off', 'off']],
}

function Line({ change, line }: LineProps) {
  const { time } = useSiteClock()
  const { state, offAt, backAt, isOwn } = line
  // what was written by hand did come off
  const says = SAYS[state].filter(([, to]) => !(isOwn && to === 'stays'))
  return (
    <Box
      component="li"
      data-off={line.what}
      data-state={state}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1,
        py: 0.75,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 150 }}>
        <Typography sx={{ fontWeight: state === 'off' ? 700 : 400 }}>{line.label}</Typography>
        <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
          {WORDS[state]}
          {state === 'off' && offAt ? ` since ${time(offAt)}` : ''}
          {state === 'back' && backAt ? `, ${time(backAt)}` : ''}
        </Typography>
      </Box>
      {says.map(([label, to]) => (
        <Button
          key={to}
          variant="outlined"
          aria-label={`${label}: ${line.label}`}
          onClick={() => void change(markTaken(line, to))}
        >
          {label}
        </Button>
      ))}
      {isOwn && (
        <Button
          color="error"
          aria-label={`Remove: ${line.label}`}
          onClick={() => void change(removeTaken(line.what))}
        >
          Remove
        </Button>
      )}
    </Box>
  )
}

/** Everything that is off goes back on at once, but what is excepted. */
function AllBack({ lines, change }: Pick<StageProps, 'change'> & { lines: readonly OffLine[] }) {
  const [excepted, setExcepted] = useState<readonly string[]>()
  if (lines.length < 2) return null
  const rest = lines.filter(({ what }) => !excepted?.includes(what))
  if (excepted === undefined)
    return (
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          variant="contained"
          sx={{ minHeight: 56 }}
          onClick={() => void change(together(...lines.map((line) => markTaken(line, 'back'))))}
        >
          All {lines.length} back on
        </Button>
        <Button variant="outlined" sx={{ minHeight: 56 }} onClick={() => setExcepted([])}>
          All but
        </Button>
      </Box>
    )
  return (
    <Box component="fieldset" sx={{ border: 1, borderColor: 'divider', display: 'grid', px: 1.5, py: 1 }}>
      <Typography component="legend">Still off; the others go back on</Typography>
      {lines.map(({ what, label }) => (
        <FormControlLabel
          key={what}
          sx={{ minHeight: 48, m: 0 }}
          control={
            <Checkbox
              checked={excepted.includes(what)}
              sx={{ width: 48, height: 48 }}
              onChange={(_event, on) =>
                setExcepted(on ? [...excepted, what] : excepted.filter((each) => each !== what))
              }
            />
          }
          label={label}
        />
      ))}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          variant="contained"
          disabled={rest.length === 0}
          onClick={() => {
            void change(together(...rest.map((line) => markTaken(line, 'back'))))
            setExcepted(undefined)
          }}
        >
          {rest.length} back on
        </Button>
        <Button color="inherit" onClick={() => setExcepted(undefined)}>
          Cancel
        </Button>
      </Box>
    </Box>
  )
}

/** What came off by the plan and by hand: ticked back before the job is closed. */
export function TakenOffView(props: StageProps) {
  const { job, unit, change, answer } = props
  const [label, setLabel] = useState('')
  const state = useUnitState(props)
  const tasks = [...answer.plan.tasks.map(({ id }) => id), ...job.steps.map(({ task }) => task)]
  const lines = takenOffList({ job: { ...job, unit }, state, tasks })
  const left = stillOff(lines).length
  const add = () => {
    if (label.trim() === '') return
    void change(addTaken(label.trim()))
    setLabel('')
  }
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography sx={{ fontSize: '1.4rem', fontWeight: 700 }} aria-live="polite">
        {left === 0 ? '● Nothing is off' : `△ ${left} off`}
      </Typography>
      <AllBack lines={stillOff(lines)} change={change} />
      <Box component="ul" aria-label="Taken off" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {lines.map((line) => (
          <Line key={line.what} change={change} line={line} />
        ))}
      </Box>
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1, mt: 1 }}
        onSubmit={(event) => {
          event.preventDefault()
          add()
        }}
      >
        <TextField
          label="Something else came off"
          value={label}
          onChange={({ target }) => setLabel(target.value)}
          slotProps={{ htmlInput: { maxLength: 200 } }}
          fullWidth
        />
        <Button
          type="submit"
          variant="contained"
          disabled={label.trim() === ''}
          sx={{ whiteSpace: 'nowrap', flexShrink: 0 }}
        >
          Write down
        </Button>
      </Box>
    </Box>
  )
}
