'use client'
import { tradeSize } from '@/core/base/units/tradeSize'
import { useUnits } from '@/ui/units'
import { Assumed } from '@/ui/Assumed'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { JudgedDryer } from '@/core/repair/cleanup/dryers'
import { dryerName } from '@/core/repair/plan/dryerName'
import type { Plan, PlannedDryer } from '@/core/repair/plan/plan'
import { More, Sentences } from './More'

const PLACE = { liquid: 'Liquid dryer', suction: 'Suction dryer' } as const
const MARK = { leave: '●', 'at-next-visit': '△', 'change-now': '⬣' } as const

const figures = ({ judged }: JudgedDryer, holds: boolean) =>
  judged.filter((each) => each.holds === holds).map(({ sentence }) => sentence)

/** What the larger block takes, where the old one is known. */
const extraText = (holds: number, old: PlannedDryer['oldHeld'], mass: (kg: number) => string): string =>
  old
    ? `Charge ${holds < old.value ? '' : '+'}${mass(holds - old.value)} against the old one`
    : 'What it takes beyond the old one is not known: enter the in³ of the old dryer'

function Refused({ refused }: { refused: readonly JudgedDryer[] }) {
  return (
    <More label={`${refused.length} refused, and why`}>
      <Box sx={{ display: 'grid', gap: 0.75, fontSize: '0.95rem' }}>
        {refused.map((each) => (
          <div key={each.dryer.id}>
            <b>{dryerName(each.dryer)}</b>: {figures(each, false).join('; ')}
          </div>
        ))}
      </Box>
    </More>
  )
}

function Choice({ choice }: { choice: PlannedDryer }) {
  const { mass } = useUnits()
  const { place, chosen, ways, others, refused, holds, oldHeld, placing, basis, figures: told } = choice
  return (
    <section aria-label={PLACE[place]} data-dryer={place}>
      <Typography variant="h2">
        {PLACE[place]}: {chosen ? dryerName(chosen.dryer) : 'none of the list fits'}
      </Typography>
      <Assumed basis={basis} of={PLACE[place]} />
      {ways && (
        <Typography>△ The best that fits; it alone is not enough. {ways.sentences.join('; ')}.</Typography>
      )}
      {place === 'liquid' && chosen && (
        <Typography sx={{ fontSize: '0.95rem' }}>
          {extraText(holds, oldHeld, mass)}
          {chosen.reducer &&
            `; two reducers ${tradeSize(chosen.reducer.from)} to ${tradeSize(chosen.reducer.to)}`}
          . <Assumed basis={basis} of="Charge for the larger dryer" />
        </Typography>
      )}
      {chosen && (
        <More label="Its figures, and how it goes in">
          <Sentences
            all={[...figures(chosen, true), ...figures(chosen, false).map((text) => `△ ${text}`), ...placing]}
          />
          <Assumed basis={told} of="These figures" />
          {others.length > 0 && (
            <Typography sx={{ mt: 1, fontSize: '0.95rem' }}>
              Would do too: {others.map(({ dryer }) => dryerName(dryer)).join('; ')}.
            </Typography>
          )}
        </More>
      )}
      <Refused refused={refused} />
    </section>
  )
}

/** Dryers chosen and refused, each with its figures; what readings of their drop say. */
export function Dryers({ plan: { dryers, drops } }: { plan: Plan }) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>
      {dryers.length === 0 && <Typography>The circuit stays closed: no dryer is changed.</Typography>}
      {dryers.map((choice) => (
        <Choice key={choice.place} choice={choice} />
      ))}
      {drops.map(({ place, verdict, sentence }) => (
        <Typography key={place}>
          {MARK[verdict]} {sentence}
        </Typography>
      ))}
    </Box>
  )
}
