'use client'
import Box from '@mui/material/Box'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import { Fragment } from 'react'
import { checkStart, markTaken } from '@/core/record/edits/workEdits'
import { offLabel } from '@/core/record/state/offParts'
import { HEATED, isThrough, type StartLine, startLines } from '@/core/repair/work/firstStart'
import { sheetTasks } from '@/core/repair/work/ownSteps'
import { HeaterClock } from './HeaterClock'
import { useUnitState } from '../useSheet'
import type { InstrumentProps } from './instrumentProps'

/** The list of the first start (handbook 09): nothing starts before each point is ticked. */
export function FirstStartList(props: InstrumentProps) {
  const { job, unit, change, answer } = props
  const state = useUnitState(props)
  const points = startLines({ unit, tasks: sheetTasks(answer.plan.tasks, job.steps), state })
  const isOn = (line: StartLine) => isThrough(line, { run: job.run, state, now: props.now })
  const left = points.filter((line) => !isOn(line)).length
  // a part that came off has one state: the list of what is off
  const tick = ({ id, part }: StartLine, on: boolean) =>
    part ? markTaken({ what: part, label: offLabel(part) }, on ? 'back' : 'off') : checkStart(id, on)
  return (
    <Box component="section" aria-label="First start">
      <Typography sx={{ fontWeight: 650 }} aria-live="polite">
        {left === 0
          ? '● First start: every point is ticked'
          : `△ First start: ${left} of ${points.length} points left`}
      </Typography>
      {points.map((line) => (
        <Fragment key={line.id}>
          <FormControlLabel
            sx={{ display: 'flex', minHeight: 48, m: 0 }}
            control={
              <Checkbox
                checked={isOn(line)}
                sx={{ width: 48, height: 48 }}
                onChange={(_event, on) => void change(tick(line, on))}
              />
            }
            label={line.label}
          />
          {line.id === HEATED && <HeaterClock {...props} />}
        </Fragment>
      ))}
    </Box>
  )
}
