import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ProofGate, GateLine } from '@/core/diagnosis/proof/gates'
import { type ObservationKey, observationRow } from '@/core/record/readings/observations'
import type { Observations } from '@/core/record/readings/schema'
import { ChoiceChips } from '@/ui/ChoiceChips'

const name = (part: string) => part.replace(/-/g, ' ')

type Answering = {
  observations: Observations
  answer: (key: ObservationKey, word: string | undefined) => void
}

/** Why something is not asked for now, and what lifts that. */
function Refused({ sentence }: { sentence: string }) {
  return (
    <Typography role="note" sx={{ color: 'error.main', fontSize: '0.92rem', fontWeight: 650 }}>
      ⬣ {sentence}
    </Typography>
  )
}

/** What is still to be shown: its caution before it, and the words to tap where words answer it. */
function MissingLine({ line, observations, answer }: { line: GateLine } & Answering) {
  const { label, caution, observation, refused } = line
  return (
    <li>
      {caution && (
        <Typography component="div" role="note" sx={{ color: 'error.main', fontSize: '0.92rem' }}>
          ⬣ {caution}
        </Typography>
      )}
      ☐ {label}
      {refused && <Refused sentence={refused} />}
      {observation && !refused && (
        <ChoiceChips
          label={observationRow(observation).label}
          {...(observationRow(observation).said ? { labels: observationRow(observation).said } : {})}
          values={observationRow(observation).values}
          value={observations[observation]}
          onChange={(word) => answer(observation, word)}
        />
      )}
    </li>
  )
}

/** What must be on record before a part is condemned. */
export function Gates({ gates, ...answering }: { gates: readonly ProofGate[] } & Answering) {
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {gates.map((gate) => (
        <section key={gate.gate} aria-label={`Proof gate: ${name(gate.gate)}`}>
          <Typography sx={{ fontWeight: 650 }}>
            {gate.met ? '● open' : '⬣ closed'}: {name(gate.part)}
          </Typography>
          {gate.refused.map((sentence) => (
            <Refused key={sentence} sentence={sentence} />
          ))}
          <Box component="ul" sx={{ m: 0, pl: 0, listStyle: 'none' }}>
            {gate.missing.map((line) => (
              <MissingLine key={line.id} line={line} {...answering} />
            ))}
            {gate.onRecord.map(({ id, label }) => (
              <Box component="li" key={id} sx={{ color: 'text.secondary' }}>
                ☑ {label}
              </Box>
            ))}
          </Box>
        </section>
      ))}
    </Box>
  )
}
