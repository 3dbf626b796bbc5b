import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { observe } from '@/core/record/edits/readingEdits'
import { canObserve } from '@/core/record/equipment/observable'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { type ObservationKey, observationRow } from '@/core/record/readings/observations'
import type { Observations } from '@/core/record/readings/schema'
import { ACT_NAMES, type VetoId, vetoesOf, type VetoRow } from '@/core/safety/vetoes'
import { ChoiceChips } from '@/ui/ChoiceChips'
import type { StageProps } from './stageProps'

/** The words that say that a state is lifted. */
const LIFTED_BY: Readonly<Record<VetoId, readonly ObservationKey[]>> = {
  'ground-path': ['groundPath', 'groundMended'],
  'cover-off': ['terminalCover'],
  'terminals-burnt': ['terminalLook', 'groundMended'],
  'terminals-under-pressure': ['pressureOff'],
  'standing-vacuum': ['circuitWork'],
  evacuated: ['circuitWork'],
  'below-atmosphere': [],
  'gas-inside': ['gasInside'],
  'under-nitrogen': ['gasInside'],
  'no-liquid': ['circuitWork'],
  'low-side-leak': ['lowSide', 'circuitWork'],
  isolated: ['servicePortState'],
  'water-not-flowing': ['waterCoil'],
  'water-standing': ['waterCoil'],
  flammable: ['flammableClear'],
  'rotation-unknown': ['phaseSequence'],
}
/** Told where they matter, at the gate and in the plan: they hold on such a unit most of the time. */
const TOLD_ELSEWHERE: readonly VetoId[] = ['flammable', 'rotation-unknown']

const never = ({ never: acts }: VetoRow) => acts.map((act) => ACT_NAMES[act]).join('; ')

function Veto({ row }: { row: VetoRow }) {
  return (
    <Box component="li" sx={{ py: 0.5 }}>
      <Typography sx={{ color: 'error.main', fontWeight: 650 }}>⬣ {row.state}.</Typography>
      <Typography sx={{ fontSize: '0.95rem' }}>
        Do not: {never(row)}. {row.reason}
      </Typography>
      <Typography sx={{ fontSize: '0.95rem', color: 'text.secondary' }}>Until {row.until}.</Typography>
    </Box>
  )
}

type Props = Pick<StageProps, 'setId' | 'change'> & {
  unit: UnitPlate
  vetoes: readonly VetoId[]
  observations: Observations
}

/** What must not be done now, why, and what lifts it: the words for that stand beside it. */
export function Vetoes({ vetoes, unit, observations, setId, change }: Props) {
  const shown = vetoes.filter((id) => !TOLD_ELSEWHERE.includes(id))
  if (shown.length === 0) return null
  const words = [...new Set(shown.flatMap((id) => LIFTED_BY[id]))].filter((key) => canObserve(unit, key))
  return (
    <Box
      component="section"
      aria-labelledby="vetoes-title"
      sx={{ border: 2, borderColor: 'error.main', borderRadius: 1, px: 1.5, py: 1 }}
    >
      <Typography id="vetoes-title" variant="h2">
        Not now
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {vetoesOf(shown).map((row) => (
          <Veto key={row.id} row={row} />
        ))}
      </Box>
      {words.map((key) => (
        <ChoiceChips
          key={key}
          label={observationRow(key).label}
          values={observationRow(key).values}
          value={observations[key]}
          onChange={(word) => void change(observe(setId, key, word))}
        />
      ))}
    </Box>
  )
}
