import { z } from '../../base/schema/zod'
import { instantSchema } from '../../base/units/quantitySchema'
import { countSchema, idSchema } from './fields'

/** What every stored record carries beside its data, so that copies of a job from two devices can be merged by files. */
export const envelopeSchema = z.strictObject({
  /** primary key: job, kind and id */
  key: z.string(),
  jobId: idSchema,
  kind: idSchema,
  /** unique among its kind in the job */
  id: idSchema,
  /** place among its kind; records of equal order stand by id */
  order: z.number(),
  /** version of the kind's schema that the data is in */
  version: countSchema,
  /** counts the changes of this record */
  rev: countSchema,
  /** logical clock of the job when it was last changed */
  clock: countSchema,
  /** the browser that changed it last */
  device: idSchema,
  at: instantSchema,
  /** a removed record stays as a mark, so that a merge does not bring it back */
  deleted: z.literal(1).optional(),
  data: z.unknown(),
})
export type StoredRecord = z.infer<typeof envelopeSchema>

/** What belongs to no job, as own dryers, stands under this name in place of a job's: no job has it. */
export const STORE_ID = '@store'

/** The primary key of a record. */
export const recordKey = (jobId: string, kind: string, id: string): string => `${jobId}/${kind}/${id}`
