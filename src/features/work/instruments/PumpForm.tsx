'use client'
import Box from '@mui/material/Box'
import { setPump } from '@/core/record/edits/workEdits'
import { HOSE_SIZES } from '@/core/record/records/run'
import { USUAL_PUMP } from '@/core/repair/logs/pumpSetup'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import type { StageProps } from '../../shared/stageProps'

const WAYS = ['1', '2'] as const
const CORES = ['out', 'in'] as const

/** What the vacuum is pulled with: hose, sides, cores, pump, the coldest place. */
export function PumpForm({ job, change }: Pick<StageProps, 'job' | 'change'>) {
  const pump = { ...USUAL_PUMP, ...job.run?.pump }
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, alignItems: 'flex-end' }}>
      <ChoiceChips
        label="Hose, in"
        values={HOSE_SIZES}
        value={pump.hose}
        onChange={(value) => void change(setPump({ hose: HOSE_SIZES.find((each) => each === value) }))}
        plain={(word) => word}
      />
      <ChoiceChips
        label="Sides"
        values={WAYS}
        value={String(pump.hoses)}
        onChange={(value) => void change(setPump({ hoses: value === '2' ? 2 : 1 }))}
      />
      <ChoiceChips
        label="Cores"
        values={CORES}
        value={pump.coresOut ? 'out' : 'in'}
        onChange={(value) => void change(setPump({ coresOut: value !== 'in' }))}
      />
      <Box sx={{ width: 220 }}>
        <QuantityField
          label="Pump"
          kind="flow"
          defaultUnit="cfm"
          value={job.run?.pump?.pumpFlow}
          onChange={(value) => void change(setPump({ pumpFlow: value }))}
        />
      </Box>
      <Box sx={{ width: 220 }}>
        <QuantityField
          label="Coldest place"
          kind="temperature"
          defaultUnit="F"
          value={job.run?.pump?.coldest}
          onChange={(value) => void change(setPump({ coldest: value }))}
        />
      </Box>
    </Box>
  )
}
