'use client'
import { setRepair } from '@/core/record/edits/repairEdits'
import { QuantityField } from '@/ui/QuantityField'
import type { StageProps } from './stageProps'

const FIELDS = [
  ['oilOut', 'Oil out, poured', 'volume', 'floz'],
  ['oilOutWeighed', 'Oil out, weighed', 'mass', 'oz'],
  ['oilLost', 'Left inside parts', 'volume', 'floz'],
  ['oilStroke', 'Oil pump, a stroke', 'volume', 'floz'],
] as const

/** What came out, what stayed in parts, what a stroke of the pump gives: on the plan and at the step. */
export const OilFields = ({ job, change }: Pick<StageProps, 'job' | 'change'>) =>
  FIELDS.map(([key, label, kind, unit]) => (
    <QuantityField
      key={key}
      label={label}
      kind={kind}
      defaultUnit={unit}
      value={job.repair?.[key]}
      onChange={(value) => void change(setRepair({ [key]: value }))}
    />
  ))
