'use client'
import Typography from '@mui/material/Typography'
import { setRepair } from '@/core/record/edits/repairEdits'
import { ACCESS_WAYS } from '@/core/record/records/repair'
import type { Plan } from '@/core/repair/plan/plan'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { NumberTable } from '@/ui/NumberTable'
import { durationText } from '@/core/base/units/wall'
import type { StageProps } from '../shared/stageProps'
import { More, Sentences } from './More'

type Props = Pick<StageProps, 'job' | 'change'> & { plan: Plan }

/** The ways to get at the part: which fit, what each costs and gives up, and why the others do not. */
export function Access({ job, change, plan: { access, recovery } }: Props) {
  const { ways, chosen, refused, costs } = access
  const way = ways.find((each) => each.way === chosen)
  const labels = Object.fromEntries(ways.map((each) => [each.way, each.label]))
  return (
    <section aria-labelledby="access-title">
      <Typography id="access-title" variant="h2">
        At the part: {labels[chosen]?.toLowerCase()}
      </Typography>
      {refused && (
        <Typography>
          ⬣ {labels[refused]} does not fit: {ways.find((each) => each.way === refused)?.against.join('; ')}.
        </Typography>
      )}
      <Typography sx={{ fontSize: '0.95rem' }}>
        {way?.leaves} Depth before opening: <b>{recovery.depth.shown}</b>.
      </Typography>
      {costs.length > 0 && (
        <Typography>
          △ Taken by choice after its valves were tried. What speaks against it: {costs.join('; ')}.
        </Typography>
      )}
      <ChoiceChips
        label="Way wanted"
        values={ACCESS_WAYS}
        labels={labels}
        value={job.repair?.way}
        onChange={(word) => void change(setRepair({ way: ACCESS_WAYS.find((each) => each === word) }))}
      />
      <ChoiceChips
        label="The valves that would hold the rest"
        values={['yes', 'no']}
        labels={{ yes: 'tried, they hold', no: 'they leak through' }}
        value={job.repair?.valvesTight === undefined ? undefined : job.repair.valvesTight ? 'yes' : 'no'}
        onChange={(word) =>
          void change(setRepair({ valvesTight: word === undefined ? undefined : word === 'yes' }))
        }
      />
      <More label="The three ways, and what each gives up">
        <NumberTable
          caption="Ways to get at the part"
          head={['Way', 'Likely', 'Fits', 'Why not, or what it leaves']}
          words={[0, 2, 3]}
          rows={ways.map(({ way: id, label, minutes, fits, against, leaves }) => ({
            key: id,
            cells: [
              label,
              durationText(minutes[1]),
              fits ? '● yes' : '⬣ no',
              fits ? leaves : against.join('; '),
            ],
          }))}
        />
        <Sentences
          all={[
            ...(way?.asks ?? []),
            ...recovery.sentences,
            ...(recovery.depth.appliance ? [recovery.depth.appliance] : []),
          ]}
        />
      </More>
    </section>
  )
}
