'use client'
import Button from '@mui/material/Button'
import { toSI } from '@/core/base/units/convert'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import type { StageProps } from '../../shared/stageProps'
import type { PurposeLog } from '../logs/useWork'
import { weightOfLog } from '../logs/weightOfLog'

/** [practice] two weights within this are the same, kg. */
const SAME = 0.005

type Props = Pick<StageProps, 'job' | 'change'> & {
  purpose: LogPurpose
  log: PurposeLog
  /** kg by the scale */
  moved: number | undefined
}

/**
 * What the scale says, into the record of the job. The end of the first log writes it there; where the record says something
 * else by now, one tap writes it again.
 */
export function WriteWeight({ job, change, purpose, log, moved }: Props) {
  const weight = weightOfLog(job, purpose, moved)
  if (!weight || log.isOwn || log.isOpen) return null
  const written = job.closing?.[weight.field]
  if (written && Math.abs(toSI(written) - moved!) < SAME) return null
  return (
    <Button variant="outlined" sx={{ justifySelf: 'start' }} onClick={() => void change(weight.edit)}>
      {weight.isNew ? 'Write this weight into the record' : 'Write this weight into the record again'}
    </Button>
  )
}
