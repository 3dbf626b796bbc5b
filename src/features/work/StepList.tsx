'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { useSiteClock } from '@/ui/siteClock'
import type { RunSheet, SheetStep } from '@/core/repair/work/runSheet'
import { STATE_MARKS, STATE_WORDS, stepNote } from './stateWords'

type Props = { sheet: RunSheet; current: string | undefined; onOpen: (id: string) => void }

function Line({ step, current, onOpen }: Omit<Props, 'sheet'> & { step: SheetStep }) {
  const { task, state } = step
  const { time } = useSiteClock()
  return (
    <Box
      component="li"
      data-step={task.id}
      data-state={state}
      sx={{ borderBottom: 1, borderColor: 'divider' }}
    >
      <ButtonBase
        onClick={() => onOpen(task.id)}
        aria-current={task.id === current ? 'step' : undefined}
        sx={{
          width: '100%',
          minHeight: 48,
          py: 0.75,
          display: 'grid',
          gridTemplateColumns: '32px minmax(0, 1fr) auto',
          columnGap: 1,
          textAlign: 'left',
          fontSize: '1rem',
          fontFamily: 'inherit',
          fontWeight: task.id === current ? 700 : 400,
          color: state === 'waits' || state === 'skipped' ? 'text.secondary' : 'text.primary',
        }}
      >
        <Box component="span" aria-hidden sx={{ textAlign: 'center', fontSize: '1.1rem' }}>
          {STATE_MARKS[state]}
        </Box>
        <span>{task.label}</span>
        <Box
          component="span"
          sx={{
            color: 'text.secondary',
            textAlign: 'right',
            fontSize: '0.95rem',
            maxWidth: { xs: 120, md: 300 },
          }}
        >
          {STATE_WORDS[state]}
          {step.earlier.length > 0 && `, pass ${step.earlier.length + 1}`}
          <br />
          {stepNote(step, time)}
        </Box>
      </ButtonBase>
    </Box>
  )
}

const LIST = { listStyle: 'none', m: 0, p: 0 } as const

/** Every step in the order of the plan, each with how it stands; a tap opens it. What is planned no longer stays below. */
export function StepList({ sheet, ...props }: Props) {
  return (
    <>
      <Box component="ol" aria-label="Steps of the work" sx={LIST}>
        {sheet.steps.map((step) => (
          <Line key={step.task.id} step={step} {...props} />
        ))}
      </Box>
      {sheet.unplanned.length > 0 && (
        <Box component="section" aria-labelledby="unplanned-title" sx={{ mt: 2 }}>
          <Typography id="unplanned-title" variant="h2">
            No longer planned
          </Typography>
          <Typography sx={{ color: 'text.secondary' }}>
            Done or begun on this repair before its decision or class changed; what it showed still counts.
          </Typography>
          <Box component="ol" aria-label="Steps that are no longer planned" sx={LIST}>
            {sheet.unplanned.map((step) => (
              <Line key={step.task.id} step={step} {...props} />
            ))}
          </Box>
        </Box>
      )}
    </>
  )
}
