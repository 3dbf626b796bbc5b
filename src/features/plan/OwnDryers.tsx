'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import { considerDryers } from '@/core/record/edits/repairEdits'
import { isSame } from '@/core/record/records/patches'
import { listOwnDryers } from '@/data/ownDryers'
import { database } from '@/data/shared'
import type { StageProps } from '../shared/stageProps'
import { useLive } from '../shared/storage/useLive'

const countOf = (count: number) => `${count} own ${count === 1 ? 'dryer' : 'dryers'}`

/** Own dryers that this job considers, and whether the store holds others by now. */
export function OwnDryers({ job, change }: Pick<StageProps, 'job' | 'change'>) {
  const own = useLive(() => listOwnDryers(database()), [])
  if (!own) return null
  const considered = job.dryers
  const differs =
    own.length !== considered.length || own.some((each) => !considered.some((other) => isSame(each, other)))
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
      <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem', flex: 1, minWidth: 200 }}>
        {considered.length > 0
          ? `${countOf(considered.length)} considered beside the generic list.`
          : 'Chosen from the generic list.'}
        {differs && ` The store holds ${countOf(own.length)}, not the same.`}
      </Typography>
      {differs ? (
        <Button variant="outlined" onClick={() => void change(considerDryers(own))}>
          Consider those of the store
        </Button>
      ) : (
        <Button component={Link} href="/store" color="inherit">
          Store
        </Button>
      )}
    </Box>
  )
}
