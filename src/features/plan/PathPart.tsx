'use client'
import { percent } from '@/core/base/units/percent'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { differenceFromKelvin, fromKelvin, fromPascals } from '@/core/base/units/convert'
import { setRepair } from '@/core/record/edits/repairEdits'
import type { ComparisonRow } from '@/core/repair/charge/compareRefrigerants'
import type { Plan } from '@/core/repair/plan/plan'
import { NumberTable } from '@/ui/NumberTable'
import type { StageProps } from '../shared/stageProps'
import { More, Sentences } from './More'

type Props = Pick<StageProps, 'job' | 'change' | 'display'> & { plan: Plan }

const MARK = { original: '●', possible: '△', refused: '⬣' } as const
const WORD = { original: 'made for it', possible: 'possible', refused: 'refused' } as const

function Verdict({ row, chosen, onChoose }: { row: ComparisonRow; chosen: boolean; onChoose: () => void }) {
  const { verdict, reasons } = row.suitability
  return (
    <Box sx={{ minWidth: 220, whiteSpace: 'normal', display: 'flex', gap: 1, alignItems: 'center' }}>
      <Box sx={{ flex: 1 }}>
        <b>
          {MARK[verdict]} {WORD[verdict]}
        </b>
        {reasons.length > 0 && `: ${reasons.join(' ')}`}
      </Box>
      {verdict === 'possible' && (
        <Button variant={chosen ? 'contained' : 'outlined'} onClick={onChoose}>
          {chosen ? 'Taken' : 'Convert'}
        </Button>
      )}
    </Box>
  )
}

/** Keep, convert or go back: this unit's refrigerant beside others at its own temperatures. */
export function PathPart({ job, change, display, plan: { refrigerantPath: path } }: Props) {
  const { at, comparison, holds, goesIn, work } = path
  const unit = display.temperature
  const gauge = display.system.pressure
  const shown = (kelvin: number) => `${fromKelvin(kelvin, unit).toFixed(0)} ${unit}`
  const choose = (name: ComparisonRow['name']) =>
    void change(setRepair({ refrigerantTo: job.repair?.refrigerantTo === name ? undefined : name }))
  const order = { original: 0, possible: 1, refused: 2 }
  const rows = [...(comparison?.rows ?? [])].sort(
    (a, b) => order[a.suitability.verdict] - order[b.suitability.verdict],
  )
  return (
    <section aria-labelledby="path-title">
      <Typography id="path-title" variant="h2">
        {goesIn === undefined
          ? `${holds} may not go back: replace the unit, or read its plate again`
          : goesIn === holds
            ? `${holds} is kept`
            : `${holds} comes out, ${goesIn} goes in`}
      </Typography>
      <Typography sx={{ fontSize: '0.95rem' }}>{path.recoveredReason}</Typography>
      {work.length > 0 && (
        <Typography sx={{ fontSize: '0.95rem' }}>A conversion: {work.join('; ')}.</Typography>
      )}
      {path.path === 'keep' && <Sentences all={path.reasons} />}
      <More
        label={`Compared at ${shown(at.evaporating)} and ${shown(at.condensing)}, ${at.isMeasured ? 'as measured here' : 'as usual for this kind'}`}
      >
        {rows.length > 0 && (
          <NumberTable
            caption="Refrigerants at this unit's own temperatures"
            head={[
              'Refrigerant',
              `Low, ${gauge}`,
              `High, ${gauge}`,
              `Glide, ${unit}`,
              'Capacity',
              'Charge',
              'Class',
              'In its place?',
            ]}
            words={[6, 7]}
            rows={rows.map((row) => ({
              key: row.name,
              cells: [
                row.name,
                fromPascals(row.cycle.suctionPressure, gauge).toFixed(0),
                fromPascals(row.cycle.dischargePressure, gauge).toFixed(0),
                differenceFromKelvin(row.cycle.evaporatingGlide, unit).toFixed(1),
                percent(row.relativeCapacity),
                percent(row.relativeCharge),
                row.safety,
                <Verdict
                  key="verdict"
                  row={row}
                  chosen={job.repair?.refrigerantTo === row.name}
                  onChoose={() => choose(row.name)}
                />,
              ],
            }))}
          />
        )}
      </More>
    </section>
  )
}
