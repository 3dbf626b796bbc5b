import { useSiteClock } from '@/ui/siteClock'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Job } from '@/core/record/job/job'
import { passOf } from '@/core/record/job/passes'
import { logWord } from '@/core/repair/logs/logWord'
import { logsOfPass } from '@/core/repair/logs/taskPurposes'
import type { Verdicts } from '@/core/repair/logs/verdicts'
import type { SheetStep } from '@/core/repair/work/runSheet'

type Props = Pick<Job, 'logs'> & { step: SheetStep; verdicts: Verdicts }

/** What earlier passes of a step showed: they stay, whatever the last one says. */
export function EarlierPasses({ step, logs, verdicts }: Props) {
  const { time } = useSiteClock()
  if (step.earlier.length === 0) return null
  return (
    <Box component="section" aria-labelledby="passes-title">
      <Typography id="passes-title" variant="h2">
        Done before, pass {passOf(step.record ?? {})} now
      </Typography>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {step.earlier.map((pass) => {
          const kept = logsOfPass(logs, pass)
          const when = pass.doneAt ?? pass.skipped?.at ?? pass.spans.at(-1)?.to
          return (
            <Box component="li" key={pass.id} data-pass={passOf(pass)} sx={{ py: 0.5 }}>
              <Typography sx={{ fontWeight: 650 }}>
                Pass {passOf(pass)}
                {when ? `, ${time(when)}` : ''}
                {pass.doneAt ? ', done' : ', not finished'}
              </Typography>
              {kept.map((log) => {
                const { mark, word, sentence } = logWord(log, verdicts[log.id])
                return (
                  <Typography key={log.id}>
                    {mark} {log.name}, {word}: {sentence}
                  </Typography>
                )
              })}
              {pass.note && <Typography sx={{ color: 'text.secondary' }}>{pass.note}</Typography>}
            </Box>
          )
        })}
      </Box>
    </Box>
  )
}
