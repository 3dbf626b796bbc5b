'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Display } from '@/core/base/units/show'
import type { StoredJob } from '@/core/record/job/job'
import type { PairReport } from '@/core/report/roundReport'
import { ComparisonTable } from '../comparison/ComparisonTable'
import { LadderPair } from '../comparison/LadderPair'

type Props = { pair: PairReport; job: StoredJob; display: Display; id: string }

/** A set before the repair and one after it: the table, and the ladders on one scale. */
export function PairView({ pair, job, display, id }: Props) {
  const places = pair.setIds.map((wanted) => job.readingSets.findIndex((set) => set.id === wanted))
  return (
    <Box component="section" aria-labelledby={id} sx={{ display: 'grid', gap: 1, minWidth: 0 }}>
      <Typography id={id} variant="h3">
        {pair.title}
      </Typography>
      <Typography sx={{ color: 'text.secondary' }}>{pair.conditions}</Typography>
      <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="group" aria-label={`${pair.title}, table`}>
        <ComparisonTable comparison={pair.comparison} />
      </Box>
      <LadderPair
        sets={job.readingSets}
        display={display}
        places={places}
        pictures={pair.comparison.pictures}
      />
    </Box>
  )
}
