import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
import { instantSchema, textSchema } from '../../base/units/quantitySchema'
import { countSchema, idSchema } from './fields'
import { defineKind } from './kind'

/** Pictures that every browser shows. */
const PHOTO_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const

export const attachmentSchema = z.strictObject({
  id: idSchema,
  name: textSchema,
  type: oneOf(PHOTO_TYPES),
  /** bytes of the stored picture */
  size: countSchema,
  width: countSchema.optional(),
  height: countSchema.optional(),
  at: instantSchema.optional(),
  caption: textSchema.optional(),
})
export type Attachment = z.infer<typeof attachmentSchema>

/** What a photo is; its bytes stand beside, outside the job's live query and outside undo. */
export const ATTACHMENT = defineKind({
  kind: 'attachment',
  version: 1,
  schema: attachmentSchema,
  migrations: [],
  defaults: {},
})
