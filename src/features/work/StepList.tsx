'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import type { RunSheet } from '@/core/repair/work/runSheet'
import { STATE_MARKS, STATE_WORDS, stepNote } from './stateWords'

type Props = { sheet: RunSheet; current: string | undefined; onOpen: (id: string) => void }

/** Every step in the order of the plan, each with how it stands; a tap opens it. */
export function StepList({ sheet, current, onOpen }: Props) {
  return (
    <Box component="ol" aria-label="Steps of the work" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {sheet.steps.map((step) => {
        const { task, state } = step
        return (
          <Box
            component="li"
            key={task.id}
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
                <br />
                {stepNote(step)}
              </Box>
            </ButtonBase>
          </Box>
        )
      })}
    </Box>
  )
}
