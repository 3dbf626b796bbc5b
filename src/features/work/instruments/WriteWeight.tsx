'use client'
import Button from '@mui/material/Button'
import { fromSI } from '@/core/base/units/convert'
import { setClosing } from '@/core/record/edits/listEdits'
import type { StageProps } from '../../shared/stageProps'
import type { PurposeLog } from '../logs/useWork'

/** [practice] a scale tells no less than this, kg. */
const LEAST = 0.005

type Props = Pick<StageProps, 'job' | 'change'> & {
  field: 'recovered' | 'charged'
  log: PurposeLog
  /** kg by the scale */
  moved: number | undefined
}

/** What the scale says, written into the record of the job once the log is ended. */
export function WriteWeight({ job, change, field, log, moved }: Props) {
  if (moved === undefined || moved < LEAST || log.isOwn || log.isOpen) return null
  const value = Number(fromSI(moved, 'lb').toFixed(2))
  return (
    <Button
      variant="outlined"
      sx={{ justifySelf: 'start' }}
      onClick={() => void change(setClosing({ [field]: { value, unit: 'lb' } }))}
    >
      {job.closing?.[field] === undefined
        ? 'Write this weight into the record'
        : 'Write this weight into the record again'}
    </Button>
  )
}
