'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Plan } from '@/core/repair/plan/plan'
import type { Basis } from '@/core/base/known/known'
import { Assumed } from '@/ui/Assumed'
import { NumberTable } from '@/ui/NumberTable'
import { EntryField } from '../shared/unit/entryFields'
import { OilFields } from '../shared/OilFields'
import { unitText } from '@/core/base/units/system'
import type { StageProps } from '../shared/stageProps'
import { RepairNumber } from './LabFields'
import { More, Sentences } from './More'

type Props = Pick<StageProps, 'job' | 'change'> & { plan: Plan }

const row = (key: string, label: string, volume: number, basis?: Basis) => ({
  key,
  cells: [named(label, basis), <Volume key="v" of={volume} />],
})

/** The number of a volume; its unit stands above. */
function Volume({ of }: { of: number }) {
  const { volume } = useUnits()
  return volume(of).split(' ')[0]
}

/** The name of a line, with its mark where the figure is a guess. */
const named = (label: string, basis: Basis | undefined) => (
  <>
    {label} <Assumed basis={basis} of={label} />
  </>
)

/** The oil of a new compressor against what stayed in the circuit. */
function NewCompressor({ oil, job, change }: { oil: Plan['oil'] } & Omit<Props, 'plan'>) {
  const { newCompressor, plate, left } = oil
  const { system } = useUnits()
  if (!newCompressor) return null
  const { ships, together, pourOff } = newCompressor
  return (
    <>
      <NumberTable
        caption="Oil with the new compressor"
        words={[0]}
        head={['', unitText(system.volume)]}
        rows={[
          row('plate', 'by the plate', plate.value, plate),
          ...(oil.out === undefined ? [] : [row('out', 'came out', oil.out)]),
          ...(oil.lost > 0 ? [row('lost', 'left inside parts', oil.lost)] : []),
          row('left', 'stays in the circuit', left.value, left),
          row('ships', 'it ships with', ships.value, ships),
          row('together', 'together', together.value, together),
          row('off', 'poured off before it is fitted', pourOff.value, pourOff),
        ]}
      />
      <Box sx={{ mt: 1.5 }}>
        <EntryField id="newOil" job={job} change={change} />
      </Box>
    </>
  )
}

/** What its title says of the oil. */
function titleOf({ refill, newCompressor }: Plan['oil'], volume: (cubicMetres: number) => string): string {
  if (refill.value > 0) return `${volume(refill.value)} in`
  return newCompressor ? 'nothing is filled in' : 'stays where it is'
}

/** Oil out against the plate, in, and what stays. */
export function OilPart({ job, change, plan: { oil } }: Props) {
  const refill = oil.refill.value
  const { volume, system } = useUnits()
  return (
    <section aria-labelledby="oil-title">
      <Typography id="oil-title" variant="h2">
        Oil: {oil.goesIn}
        {oil.goesIn !== oil.kind.value && ` in place of ${oil.kind.value}`}, {titleOf(oil, volume)}
      </Typography>
      <NewCompressor oil={oil} job={job} change={change} />
      {refill > 0 && !oil.newCompressor && (
        <NumberTable
          caption="Oil out and in"
          words={[0]}
          head={['', unitText(system.volume)]}
          rows={[
            row('plate', 'by the plate', oil.plate.value, oil.plate),
            row(
              'out',
              oil.isMeasured ? 'came out' : 'likely to come out',
              oil.out ?? refill - oil.lost,
              oil.refill,
            ),
            ...(oil.lost > 0 ? [row('lost', 'left inside parts', oil.lost)] : []),
            row('left', 'stays in the circuit', oil.left.value, oil.left),
            row('in', 'goes in', refill, oil.refill),
          ]}
        />
      )}
      {refill > 0 && (
        <Typography sx={{ fontSize: '0.95rem' }}>
          {Math.round(oil.newShare * 100)} % new after one refill
          {oil.strokes !== undefined && `, ${oil.strokes} strokes`}
          {oil.cans > 0 && `; bring ${oil.cans} ${oil.cans === 1 ? 'quart' : 'quarts'}`}.
        </Typography>
      )}
      <More label="What came out, and what is said of it" open={oil.isMeasured}>
        <Box sx={{ display: 'grid', gap: 1.5, py: 1 }}>
          <OilFields job={job} change={change} />
          <RepairNumber job={job} change={change} field="oilCanOpen" label="Can open for, h" />
        </Box>
        <Sentences all={oil.reasons} />
      </More>
    </section>
  )
}
