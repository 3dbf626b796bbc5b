'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { setDay } from '@/core/record/edits/dayEdits'
import { isSame } from '@/core/record/records/patches'
import { type Earlier, earlierTimes } from '@/core/repair/day/earlier'
import { earlierDays } from '@/data/earlierDays'
import { database } from '@/data/shared'
import type { StageProps } from '../shared/stageProps'
import { useLive } from '../shared/storage/useLive'
import { More } from './More'

type Props = Pick<StageProps, 'job' | 'change'> & { labelOf: (id: string) => string }

const NONE: Earlier = {}
const percent = (factor: number) => {
  const change = Math.round((factor - 1) * 100)
  return change === 0 ? 'as planned' : change > 0 ? `${change} % longer` : `${-change} % shorter`
}

/** What the tasks of earlier jobs took here: the job considers a copy, so that it stays what it was. */
export function EarlierTimes({ job, change, labelOf }: Props) {
  const days = useLive(() => earlierDays(database(), job.id), [job.id])
  if (!days) return null
  const known = earlierTimes(days)
  const used = job.day?.earlier ?? NONE
  const count = Object.keys(known).length
  if (count === 0 && Object.keys(used).length === 0) return null
  const isOffered = !isSame(known, used)
  const rows = Object.entries(isOffered ? known : used)
  return (
    <More
      label={
        isOffered
          ? `Earlier jobs here tell of ${count} ${count === 1 ? 'task' : 'tasks'}: not used yet`
          : `Times of ${rows.length} ${rows.length === 1 ? 'task' : 'tasks'} moved by earlier jobs here`
      }
    >
      {rows.map(([id, { factor, jobs }]) => (
        <Typography key={id} sx={{ fontSize: '0.95rem' }}>
          {labelOf(id)}: {percent(factor)}, {jobs} {jobs === 1 ? 'job' : 'jobs'}
        </Typography>
      ))}
      <Box sx={{ display: 'flex', gap: 1, pt: 1 }}>
        {isOffered && (
          <Button
            variant="outlined"
            onClick={() => void change(setDay({ earlier: count > 0 ? known : undefined }))}
          >
            Use the times of earlier jobs
          </Button>
        )}
        {Object.keys(used).length > 0 && (
          <Button color="inherit" onClick={() => void change(setDay({ earlier: undefined }))}>
            Usual times
          </Button>
        )}
      </Box>
    </More>
  )
}
