import { fromSI } from '@/core/base/units/convert'
import { setClosing } from '@/core/record/edits/listEdits'
import type { Edit } from '@/core/record/edits/edit'
import type { Job } from '@/core/record/job/job'
import type { LogPurpose } from '@/core/record/readings/logPurposes'

/** [practice] a scale tells no less than this, kg. */
const LEAST = 0.005

/** Where the weight of a log stands in the record of the job. */
const FIELDS: { readonly [P in LogPurpose]?: 'recovered' | 'charged' } = {
  recovery: 'recovered',
  'weigh-in': 'charged',
}

/** What the scale of a log says, as it is written into the record. */
export type LogWeight = {
  readonly field: 'recovered' | 'charged'
  readonly edit: Edit
  readonly isNew: boolean
}

/**
 * The weight that moved, for the record of the job.
 * @param moved kg by the scale
 * @returns undefined where the log weighs nothing, or nothing moved
 */
export function weightOfLog(
  { closing }: Pick<Job, 'closing'>,
  purpose: LogPurpose,
  moved: number | undefined,
): LogWeight | undefined {
  const field = FIELDS[purpose]
  if (field === undefined || moved === undefined || moved < LEAST) return undefined
  const value = Number(fromSI(moved, 'lb').toFixed(2))
  return {
    field,
    edit: setClosing({ [field]: { value, unit: 'lb' } }),
    isNew: closing?.[field] === undefined,
  }
}
