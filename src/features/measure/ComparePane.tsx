'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { memo, useState } from 'react'
import { Choice } from '@/ui/Choice'
import { useComparison } from '../shared/answer/useComparison'
import { ComparisonTable } from '../shared/comparison/ComparisonTable'
import type { StageProps } from '../shared/stageProps'
import { LadderPair } from '../shared/comparison/LadderPair'
import { setName } from '@/core/report/setName'

type Props = Pick<StageProps, 'job' | 'display' | 'setId'>

/** The figures; not drawn again while instruments stream. */
const Differences = memo(ComparisonTable)

/** Any two sets: two ladders on one scale, and the differences in figures. */
export function ComparePane({ job, display, setId }: Props) {
  const sets = job.readingSets
  const setIndex = Math.max(
    sets.findIndex(({ id }) => id === setId),
    0,
  )
  const [ends, setEnds] = useState<readonly [number, number]>([
    setIndex > 0 ? setIndex - 1 : 0,
    setIndex > 0 ? setIndex : sets.length - 1,
  ])
  const [first, second] = [Math.min(ends[0], sets.length - 1), Math.min(ends[1], sets.length - 1)]
  const valid = [first, second] as const
  const { comparison, problem } = useComparison(job, display.temperature, sets[first]?.id, sets[second]?.id)
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
          <Box key={side} sx={{ mt: 1 }}>
            <Choice
              label={side === 0 ? 'Compare' : 'with'}
              value={sets[valid[side]]?.id ?? ''}
              values={sets.map(({ id }) => id)}
              labels={Object.fromEntries(sets.map((set, i) => [set.id, setName(set, i)]))}
              onChange={(id) => {
                const at = sets.findIndex((set) => set.id === id)
                setEnds(side === 0 ? [at, ends[1]] : [ends[0], at])
              }}
            />
          </Box>
        ))}
      </Box>
      {problem && <Alert severity="error">{problem}</Alert>}
      {comparison && (
        <>
          <LadderPair sets={sets} display={display} places={valid} pictures={comparison.pictures} />
          <Box role="region" aria-label="Differences" tabIndex={0} sx={{ overflowX: 'auto' }}>
            <Differences comparison={comparison} />
          </Box>
        </>
      )}
    </Box>
  )
}
