'use client'
import { percent } from '@/core/base/units/percent'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { classesOf } from '@/core/repair/cleanup/contamination'
import type { Plan } from '@/core/repair/plan/plan'
import { Figure, Figures } from '@/ui/Figure'
import { NumberTable } from '@/ui/NumberTable'
import type { StageProps } from '../shared/stageProps'
import { durationText } from '@/core/base/units/wall'
import { classText, grams, oilChangesOf, sureness } from '@/core/report/planText'
import { Dryers } from './Dryers'
import { LabFields } from './LabFields'
import { Columns, More, Sentences } from './More'
import { basisOf } from '@/core/base/known/known'
import { setRepair } from '@/core/record/edits/repairEdits'
import { WATER_WORKS } from '@/core/record/records/repair'
import { Assumed } from '@/ui/Assumed'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { OwnDryers } from './OwnDryers'
import { Retests } from './Retests'
import { WaterBalance } from './WaterBalance'

type Props = Pick<StageProps, 'job' | 'change'> & { plan: Plan }

const swapText = ({ laterChanges, newCompressor }: Plan['oil']): string =>
  [
    ...(newCompressor ? ['the new compressor’s oil is the first'] : []),
    ...(laterChanges > 0 ? [`${laterChanges} after it has run`] : []),
  ]
    .map((text) => `${text}, `)
    .join('')

function Answer({ plan }: { plan: Plan }) {
  const { contamination, dryers, oil, opens } = plan
  const choice = dryers.find(({ place }) => place === 'liquid')
  const liquid = choice?.chosen?.dryer
  const { water, known } = contamination
  return (
    <Figures>
      <Figure
        label={known ? 'Clean-up class' : '△ Class not known, planned as'}
        value={classText(classesOf(contamination))}
        basis={contamination.basis}
        note={`${Math.round(contamination.confidence * 100)} % that nothing graver is inside, ${sureness(contamination.confidence)}`}
      />
      <Figure
        label="Liquid dryer"
        value={liquid ? `${liquid.block} in³` : opens ? 'none fits' : 'stays'}
        note={liquid ? `${liquid.flow}, ${liquid.pressure.toFixed(0)} psig` : 'the circuit stays closed'}
        basis={choice?.basis}
      />
      <Figure
        label="Water left for it"
        value={grams(water.remainder.likely)}
        basis={water.basis}
        note={`${grams(Math.min(water.remainder.low, water.remainder.high))} to ${grams(Math.max(water.remainder.low, water.remainder.high))}`}
      />
      <Figure
        label="Oil changes"
        value={String(oilChangesOf(oil))}
        basis={oilChangesOf(oil) > 0 ? oil.changesBasis : undefined}
        note={`${swapText(oil)}${water.work.sweeps} ${water.work.sweeps === 1 ? 'sweep' : 'sweeps'}, ${durationText(water.work.hours * 60)} of vacuum`}
      />
    </Figures>
  )
}

function Why({ plan: { contamination, size } }: { plan: Plan }) {
  const { evidence, conflicts, assumed, exposure } = contamination
  return (
    <>
      {[...assumed, ...conflicts].map((sentence) => (
        <Typography key={sentence} sx={{ fontSize: '1rem' }}>
          △ {sentence}
        </Typography>
      ))}
      <More label="Why this class">
        <Sentences
          all={[
            ...(evidence.length > 0 ? evidence : ['Nothing was looked at yet.']),
            ...(exposure && !evidence.includes(exposure.sentence) ? [exposure.sentence] : []),
            ...size.assumed.map((text) => `Assumed: ${text}.`),
          ]}
        />
      </More>
    </>
  )
}

function Settles({ plan: { contamination } }: { plan: Plan }) {
  const { settles } = contamination
  const [first] = settles
  if (!first) return null
  return (
    <section aria-labelledby="settles-title">
      <Typography id="settles-title" variant="h2">
        What would change it: {first.label.toLowerCase()}
      </Typography>
      <NumberTable
        caption="What each outcome would make of it"
        head={['It says', 'Chance', 'Oil changes', 'Then it is']}
        words={[0, 3]}
        rows={first.outcomes.map(({ says, chance, classes, oilChanges }) => ({
          key: says,
          cells: [says, percent(chance), String(oilChanges), classText(classes)],
        }))}
      />
      {settles.length > 1 && (
        <More label={`${settles.length - 1} other ${settles.length === 2 ? 'test' : 'tests'}`}>
          <NumberTable
            caption="Other tests of the inside"
            words={[0]}
            head={['Test', 'Time', 'Changes it in']}
            rows={settles.slice(1).map(({ id, label, minutes, gain }) => ({
              key: id,
              cells: [label, minutes > 1000 ? 'days' : durationText(minutes), percent(gain)],
            }))}
          />
        </More>
      )}
    </section>
  )
}

function Water({ plan }: { plan: Plan }) {
  const { contamination, dryers } = plan
  const { water, closes, closesHigh, missing, room } = contamination
  const dryer = dryers[0]?.chosen?.dryer
  const verdict = !dryer
    ? 'the circuit stays closed'
    : closes
      ? closesHigh
        ? 'closes, on the high side too'
        : 'closes; on the high side the margin is used up'
      : `${grams(missing)} too much for it`
  return (
    <section aria-labelledby="water-title">
      <Typography id="water-title" variant="h2">
        Water: {verdict}
      </Typography>
      <WaterBalance water={water} room={dryer ? `room ${grams(room)}` : 'no dryer'} />
      <More label="Low, likely and high">
        <Assumed basis={basisOf(water.basis, dryers[0]?.figures)} of="Water" />
        <NumberTable
          caption="Water ledger"
          words={[0]}
          head={['Grams', 'Low', 'Likely', 'High']}
          rows={[
            ...water.sources.map(({ id, label, kg }) => ledgerRow(id, `+ ${label}`, kg)),
            ...water.sinks.map(({ id, label, kg }) => ledgerRow(id, `− ${label}`, kg)),
            ledgerRow('left', 'left for the dryer', water.remainder),
          ]}
        />
        <Sentences
          all={[
            `The oil held about ${Math.round(water.ppmFound.likely)} ppm, and holds about ${Math.round(water.ppmLeft.likely)} after the work.`,
            'High: more came in and less goes out. Oil and dryer figures are from memory: check the maker’s sheet.',
          ]}
        />
      </More>
    </section>
  )
}

type Sides = { readonly low: number; readonly likely: number; readonly high: number }
const ledgerRow = (key: string, label: string, { low, likely, high }: Sides) => ({
  key,
  cells: [label, grams(low), grams(likely), grams(high)],
})

/** What is done against water: by caution or by grams, and the choice between them. */
function WaterEffort({ change, plan: { contamination } }: Pick<Props, 'change' | 'plan'>) {
  const { by, isChoice, sentence } = contamination.effort
  if (!sentence) return null
  return (
    <>
      <Typography sx={{ fontSize: '0.95rem' }}>{sentence}</Typography>
      {isChoice && (
        <ChoiceChips
          label="Against water"
          values={WATER_WORKS}
          labels={{ caution: 'what a wet class asks for', ledger: 'what its grams ask for' }}
          value={by}
          onChange={(word) =>
            void change(setRepair({ waterWork: WATER_WORKS.find((each) => each === word) }))
          }
        />
      )}
    </>
  )
}

function Acid({ plan: { contamination } }: { plan: Plan }) {
  const { acid } = contamination
  if (acid.before.likely === 0) return null
  return (
    <section aria-labelledby="acid-title">
      <Typography id="acid-title" variant="h2">
        Acid: {acid.changes} oil {acid.changes === 1 ? 'change' : 'changes'} to below {acid.target} mg KOH/g
        {acid.changesHigh > acid.changes && `, ${acid.changesHigh} at worst`}
      </Typography>
      <NumberTable
        caption="Acid ledger"
        words={[0]}
        head={['Total acid number', 'mg KOH/g']}
        rows={[
          {
            key: 'before',
            cells: [
              <span key="l">
                {acid.isMeasured ? 'by the laboratory' : 'taken for this class'}{' '}
                <Assumed basis={acid.basis} of="Acid" />
              </span>,
              acid.before.likely.toFixed(3),
            ],
          },
          ...acid.after.map(({ label, tan }) => ({ key: label, cells: [label, tan.toFixed(3)] })),
        ]}
      />
    </section>
  )
}

/** Class, water, acid and dryers: the answer first, its arithmetic below. */
export function CleanUpView({ job, change, plan }: Props) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      <Box>
        <Answer plan={plan} />
        <Why plan={plan} />
      </Box>
      <Columns
        wider="left"
        left={
          <>
            <Water plan={plan} />
            <WaterEffort change={change} plan={plan} />
            <Acid plan={plan} />
            <Retests job={job} change={change} plan={plan} />
          </>
        }
        right={
          <>
            <Dryers plan={plan} />
            <OwnDryers job={job} change={change} />
            <Settles plan={plan} />
            <LabFields job={job} change={change} />
          </>
        }
      />
    </Box>
  )
}
