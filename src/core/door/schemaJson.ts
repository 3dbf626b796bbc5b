import { z } from '../base/schema/zod'
import { jobSchema } from '../record/job/job'
import { fileEnvelopesSchema } from '../record/job/recordsOfFile'
import { KIND_NAMES, type KindName } from '../record/records/kinds'

/** The document with what its file says beside it: versions of its kinds of records, and their envelopes. */
const fileSchema = jobSchema.extend({
  kinds: z.partialRecord(z.enum(KIND_NAMES as [KindName, ...KindName[]]), z.number().int().min(1)).optional(),
  envelopes: fileEnvelopesSchema.optional(),
})

/** The job file as a JSON Schema: what may be written, as other programs read it. [std: JSON Schema 2020-12] */
export const jobJsonSchema = (): Record<string, unknown> =>
  z.toJSONSchema(fileSchema, { io: 'input' }) as Record<string, unknown>
