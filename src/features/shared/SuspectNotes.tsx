import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Diagnosis, Suspect } from '@/core/answer/diagnose'
import { suspectLabel } from '@/core/diagnosis/faults/faults'
import { checkRow } from '@/core/diagnosis/checks/checks'
import type { Mode } from '@/core/record/readings/schema'
import { chance } from '@/core/base/units/chance'

const lower = (label: string) => label.charAt(0).toLowerCase() + label.slice(1)

/** How far a suspect is believed; one that was seen says so. */
export const believed = ({ seen, probability }: Suspect): string => (seen ? 'seen' : chance(probability))

type Props = { ranking: Pick<Diagnosis, 'suspects' | 'undivided' | 'flags'>; mode: Mode }

/** What is said of the list before it: a symptom to take away first, a repair that may not have held, two that look alike. */
export function SuspectNotes({ ranking: { suspects, undivided, flags }, mode }: Props) {
  const iced = flags.find(({ id }) => id === 'iced')
  const back = suspects.filter(({ repairedBefore }) => repairedBefore)
  if (back.length === 0 && !undivided && !iced) return null
  return (
    <Box role="note" sx={{ display: 'grid', gap: 0.5, mb: 1 }}>
      {iced && <Typography sx={{ fontWeight: 650 }}>△ {iced.sentence}</Typography>}
      {back.length > 0 && (
        <Typography sx={{ fontSize: '0.95rem' }}>
          Repaired here before, and looked at first:{' '}
          {back.map((each) => `${lower(each.label)} (now ${chance(each.probability)})`).join('; ')}.
        </Typography>
      )}
      {undivided && (
        <Typography sx={{ fontSize: '0.95rem' }}>
          {suspectLabel(undivided.pair[0], mode)} and {lower(suspectLabel(undivided.pair[1], mode))} look
          alike by what is on record. This tells them apart: {lower(checkRow(undivided.check).label)}.
        </Typography>
      )}
    </Box>
  )
}

/** Stands between what was seen and what is ranked beside it. */
export const isFirstBeside = (suspects: readonly Suspect[], i: number): boolean =>
  i > 0 && suspects[i - 1]?.seen === true && suspects[i]?.seen !== true
