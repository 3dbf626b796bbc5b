'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { suspectKey } from '@/core/answer/diagnose'
import { ProbabilityBar } from '@/ui/ProbabilityBar'
import { AskFirst } from '../shared/unit/AskUnit'
import { tells } from '../shared/tells'
import { Flags } from '../shared/Flags'
import { believed, isFirstBeside, SuspectNotes } from '../shared/SuspectNotes'
import { StandingCircuit } from '../shared/StandingCircuit'
import { Vetoes } from '../shared/Vetoes'
import type { StageProps } from '../shared/stageProps'
import { wordsNow } from '../shared/wordsNow'

const MOST_SUSPECTS = 6
const LEAST_SHARE = 0.01

/** The answer so far: suspects, what to check next, and what looks wrong with the readings. */
export function Answer(props: StageProps) {
  const { diagnosis, job, change, answer } = props
  if (answer.asks.length > 0)
    return (
      <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
        <AskFirst plate={job.unit} asks={answer.asks} change={change} />
        <Flags flags={diagnosis.flags} />
      </Box>
    )
  return <Ranked {...props} />
}

function Ranked({ diagnosis, set, setId, change, unit, answer }: StageProps) {
  const { suspects, nextChecks, flags } = diagnosis
  const shown = suspects
    .filter(({ probability }, i) => i === 0 || probability >= LEAST_SHARE)
    .slice(0, MOST_SUSPECTS)
  const untouched = Object.keys(set.readings).length === 0
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
      <StandingCircuit told={answer.standing} />
      <section aria-labelledby="answer-suspects">
        <Typography id="answer-suspects" variant="h2" gutterBottom>
          Suspects
        </Typography>
        {untouched && (
          <p style={{ margin: '0 0 8px' }}>
            Before any reading: how often each is found. Every reading moves this list.
          </p>
        )}
        <SuspectNotes ranking={diagnosis} mode={set.mode} />
        <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 1.25 }}>
          {shown.map((suspect, i) => (
            <li key={suspectKey(suspect)} data-suspect={suspect.fault}>
              {isFirstBeside(shown, i) && (
                <Typography sx={{ color: 'text.secondary' }}>Beside it:</Typography>
              )}
              <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, mb: 0.25 }}>
                <Typography sx={{ fontWeight: i === 0 ? 700 : 400, lineHeight: 1.25 }}>
                  {suspect.label}
                </Typography>
                <Typography sx={{ fontWeight: 700, whiteSpace: 'nowrap' }}>{believed(suspect)}</Typography>
              </Box>
              <ProbabilityBar share={suspect.probability} strong={i === 0} />
              {i === 0 && suspect.evidence[0]?.direction === 'for' && (
                <Typography sx={{ fontSize: '0.92rem', color: 'text.secondary', mt: 0.5 }}>
                  {suspect.evidence[0].sentence}
                </Typography>
              )}
            </li>
          ))}
        </Box>
      </section>
      <Vetoes
        vetoes={answer.vetoes}
        observations={wordsNow(set, answer.state)}
        {...{ unit, setId, change }}
      />
      <Flags flags={flags} />
      {nextChecks.length > 0 && (
        <section aria-labelledby="answer-next">
          <Typography id="answer-next" variant="h2" gutterBottom>
            Next check
          </Typography>
          <Box component="ol" sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.75 }}>
            {nextChecks.slice(0, 3).map((check) => (
              <li key={check.check}>
                {check.label}
                <Typography component="span" sx={{ color: 'text.secondary' }}>
                  {' '}
                  {tells(check.gain)}, {check.minutes} min
                </Typography>
              </li>
            ))}
          </Box>
        </section>
      )}
    </Box>
  )
}
