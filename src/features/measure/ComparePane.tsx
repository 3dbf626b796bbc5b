'use client'
import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { memo, useState } from 'react'
import { compareSets } from '../close/comparison'
import { ComparisonTable } from '../close/ComparisonTable'
import type { StageProps } from '../job/stageProps'
import { LadderPair } from './LadderPair'
import { setName } from './SetBar'

type Props = Pick<StageProps, 'job' | 'display' | 'setIndex'>

type DifferencesProps = Pick<Props, 'job' | 'display'> & { first: number; second: number }

/** The figures; both sets are ranked for it, so it is not made again while instruments stream. */
const Differences = memo(function Differences({ job, display, first, second }: DifferencesProps) {
  return <ComparisonTable comparison={compareSets(job, display, [first, second])} />
})

/** Any two sets: two ladders on one scale, and the differences in figures. */
export function ComparePane({ job, display, setIndex }: Props) {
  const sets = job.readingSets
  const [ends, setEnds] = useState<readonly [number, number]>([
    setIndex > 0 ? setIndex - 1 : 0,
    setIndex > 0 ? setIndex : sets.length - 1,
  ])
  const [first, second] = [Math.min(ends[0], sets.length - 1), Math.min(ends[1], sets.length - 1)]
  const valid = [first, second] as const
  if (sets.length < 2)
    return (
      <Typography sx={{ p: 3, color: 'text.secondary' }}>
        One set so far. “+ New set” begins another one after something was changed: warmed, repaired, switched
        over.
      </Typography>
    )
  return (
    <Box sx={{ px: 1.5, pb: 2, display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, gap: 1.5 }}>
        {([0, 1] as const).map((side) => (
          <TextField
            key={side}
            select
            label={side === 0 ? 'Compare' : 'with'}
            value={valid[side]}
            onChange={({ target }) =>
              setEnds(side === 0 ? [Number(target.value), ends[1]] : [ends[0], Number(target.value)])
            }
            sx={{ mt: 1 }}
          >
            {sets.map((set, index) => (
              <MenuItem key={index} value={index}>
                {setName(set, index)}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </Box>
      <LadderPair job={job} display={display} ends={valid} />
      <Box role="region" aria-label="Differences" tabIndex={0} sx={{ overflowX: 'auto' }}>
        <Differences job={job} display={display} first={first} second={second} />
      </Box>
    </Box>
  )
}
