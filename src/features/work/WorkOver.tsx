import { useSiteClock } from '@/ui/siteClock'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Job } from '@/core/record/job/job'
import { logWord } from '@/core/repair/logs/logWord'
import type { Verdicts } from '@/core/repair/logs/verdicts'

type Props = { job: Pick<Job, 'logs' | 'steps'>; verdicts: Verdicts; onOpen: (task: string) => void }

/** Nothing is left to do: what each log of the work said, and the way back to it. */
export function WorkOver({ job: { logs, steps }, verdicts, onOpen }: Props) {
  const { time } = useSiteClock()
  const taskOf = (step: string | undefined) => steps.find(({ id }) => id === step)?.task
  const judged = logs
    .filter(({ purpose }) => purpose !== undefined)
    .map((log) => ({ ...log, ...logWord(log, verdicts[log.id]) }))
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
        {judged.map(({ id, name, step, mark, word, sentence, startedAt }) => (
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
                {mark} {name}, {time(startedAt)}: {word}
              </Typography>
              <Typography>{sentence}</Typography>
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
