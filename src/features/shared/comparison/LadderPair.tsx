'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useMemo } from 'react'
import type { Picture } from '@/core/answer/comparison'
import type { ReadingSet } from '@/core/record/readings/schema'
import type { Display } from '@/core/base/units/show'
import { kelvinsOf } from '@/core/drawing/ladderPlaces'
import { Ladder } from '@/ui/ladder/Ladder'
import { ladderModel } from '@/core/drawing/ladderModel'
import { setName } from '@/core/report/setName'

type Props = {
  sets: readonly ReadingSet[]
  display: Display
  /** places of the sets in the list */
  places: readonly number[]
  /** what the ladders are drawn from */
  pictures: readonly Picture[]
}

/** Sets as ladders on one scale, side by side. */
export function LadderPair({ sets, display, places, pictures }: Props) {
  const models = useMemo(() => pictures.map(ladderModel), [pictures])
  const all = models.flatMap(kelvinsOf)
  const most = Math.max(...models.map(({ spans }) => spans.length))
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, gap: 1.5 }}>
      {models.map((model, side) => {
        const index = places[side] ?? -1
        const set = sets[index]
        if (!set) return null
        return (
          <Box key={side} sx={{ breakInside: 'avoid' }}>
            <Typography sx={{ fontWeight: 650 }}>
              {setName(set, index)}, {set.mode}
            </Typography>
            <Typography sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>{set.note}</Typography>
            <Box sx={{ height: { xs: 360, md: 430 } }}>
              <Ladder
                model={model}
                display={display}
                alongside={all}
                spansBeside={most}
                title={`Temperature ladder, ${setName(set, index)}`}
              />
            </Box>
          </Box>
        )
      })}
    </Box>
  )
}
