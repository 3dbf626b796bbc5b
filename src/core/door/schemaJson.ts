import { z } from '../base/schema/zod'
import { jobSchema } from '../record/job/job'

/** The job file as a JSON Schema: what may be written, as other programs read it. [std: JSON Schema 2020-12] */
export const jobJsonSchema = (): Record<string, unknown> =>
  z.toJSONSchema(jobSchema, { io: 'input' }) as Record<string, unknown>
