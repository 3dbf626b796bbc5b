import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Job } from '@/core/record/job/job'
import { clockText } from './stateWords'

type Props = Pick<Job, 'logs' | 'steps'> & { onOpen: (task: string) => void }

/** Nothing is left to do: what each log of the work said, and the way back to it. */
export function WorkOver({ logs, steps, onOpen }: Props) {
  const taskOf = (step: string | undefined) => steps.find(({ id }) => id === step)?.task
  const judged = logs.filter(({ purpose, verdict }) => purpose !== undefined && verdict !== undefined)
  return (
    <Box component="section" aria-labelledby="over-title" sx={{ display: 'grid', gap: 1.5, maxWidth: 900 }}>
      <Typography id="over-title" variant="h2">
        Every step is over.
      </Typography>
      <Box
        component="ul"
        aria-label="What the logs said"
        sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1 }}
      >
        {judged.map(({ id, name, step, verdict, startedAt }) => (
          <Box
            component="li"
            key={id}
            sx={{
              display: 'flex',
              alignItems: 'flex-start',
              gap: 1.5,
              borderTop: 1,
              borderColor: 'divider',
              pt: 1,
            }}
          >
            <Box sx={{ flex: 1 }}>
              <Typography sx={{ fontWeight: 650 }}>
                {verdict?.passed ? '●' : '△'} {name}, {clockText(startedAt)}
              </Typography>
              <Typography>{verdict?.sentence}</Typography>
            </Box>
            {taskOf(step) && (
              <Button variant="outlined" aria-label={`Open ${name}`} onClick={() => onOpen(taskOf(step)!)}>
                Open
              </Button>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  )
}
