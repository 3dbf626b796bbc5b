import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { checkRow } from '@/core/diagnosis/checks/checks'
import { suspectLabel } from '@/core/diagnosis/faults/faults'
import type { NextCheck } from '@/core/diagnosis/checks/nextCheck'
import type { ObservationKey } from '@/core/record/readings/observations'
import { observationRow } from '@/core/record/readings/observations'
import type { Mode, Observations } from '@/core/record/readings/schema'
import { tells } from '../shared/tells'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { chance } from '@/core/base/units/chance'

const MOST_SPLITS = 3

export type CheckActions = {
  /** answers an observation where it is asked */
  readonly answer: (key: ObservationKey, word: string | undefined) => void
  /** opens the tap of a reading on Measure */
  readonly take: (check: NextCheck) => void
  /** opens the electrical bench */
  readonly toBench: (check: NextCheck) => void
}

type Props = { observations: Observations; mode: Mode; actions: CheckActions }

/** What to tap to make the check: the words themselves, the tap, or the bench. */
function Doing({ check, observations, actions }: { check: NextCheck } & Props) {
  const { observation, test } = checkRow(check.check)
  if (observation) {
    const { label, values, said } = observationRow(observation)
    return (
      <ChoiceChips
        label={label}
        values={values}
        {...(said ? { labels: said } : {})}
        value={observations[observation]}
        onChange={(word) => actions.answer(observation, word)}
      />
    )
  }
  return (
    <Button
      variant="outlined"
      sx={{ mt: 0.5 }}
      onClick={() => (test ? actions.toBench(check) : actions.take(check))}
    >
      {test ? 'On the electrical bench' : 'Take it'}
    </Button>
  )
}

/** How much it tells and how long it takes; a tap shows the figure behind the word. */
function Tells({ check: { gain, minutes } }: { check: NextCheck }) {
  const [shown, setShown] = useState(false)
  return (
    <ButtonBase
      onClick={() => setShown(!shown)}
      aria-expanded={shown}
      sx={{
        font: 'inherit',
        minHeight: 48,
        minWidth: 48,
        px: 1,
        color: 'text.secondary',
        flexShrink: 0,
        alignSelf: 'flex-start',
      }}
    >
      {tells(gain)}, {minutes} min
      {shown && `, ${gain.toFixed(2)} bit`}
    </ButtonBase>
  )
}

function Check({ check, ...rest }: { check: NextCheck } & Props) {
  return (
    <Box component="li" sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}>
      {check.caution && (
        <Typography sx={{ color: 'error.main', fontSize: '0.95rem' }}>⬣ {check.caution}</Typography>
      )}
      {check.unmet && (
        <Typography sx={{ color: 'error.main', fontSize: '0.95rem', fontWeight: 650 }}>
          ⬣ {check.unmet}
        </Typography>
      )}
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
        <Typography sx={{ fontWeight: 650 }}>{check.label}</Typography>
        <Tells check={check} />
      </Box>
      <Box component="ul" sx={{ m: 0, mt: 0.25, pl: 2.25, color: 'text.secondary', fontSize: '0.95rem' }}>
        {check.unlocks && <li>Then: {check.unlocks}.</li>}
        {check.splits.slice(0, MOST_SPLITS).map((split) => (
          <li key={split.outcome}>
            {split.outcome}: {suspectLabel(split.leads, rest.mode)} {chance(split.probability)}
          </li>
        ))}
      </Box>
      <Doing check={check} {...rest} />
    </Box>
  )
}

/** The few checks that would tell most a minute, what each outcome would do to the list, and where to make them. */
export function NextChecks({ checks, ...rest }: { checks: readonly NextCheck[] } & Props) {
  if (checks.length === 0) return <p>No check left that would tell much more.</p>
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {checks.map((check) => (
        <Check key={check.check} check={check} {...rest} />
      ))}
    </Box>
  )
}
