import { z } from 'zod'
import { instantSchema, textSchema } from '../../base/units/quantitySchema'
import { type Unit, UNITS } from '../../base/units/units'
import { isReadingKey, type ReadingKey } from '../readings/vocabulary'
import { countSchema, idSchema } from './fields'
import { defineKind } from './kind'

const MOST_CHANNELS = 40

const channelSchema = z.strictObject({
  key: z.custom<ReadingKey>((word) => typeof word === 'string' && isReadingKey(word), 'is no reading'),
  unit: z.custom<Unit>((word) => typeof word === 'string' && Object.hasOwn(UNITS, word), 'is no unit'),
  /** what the instrument calls it */
  name: textSchema.optional(),
})
export type LogChannel = z.infer<typeof channelSchema>

export const logSchema = z.strictObject({
  id: idSchema,
  name: textSchema,
  /** moment of time zero of its samples */
  startedAt: instantSchema,
  /** its file told no date: time zero was put so that it ends when it was imported */
  undated: z.literal(true).optional(),
  source: z.enum(['file', 'instruments'], { error: 'is neither file nor instruments' }),
  channels: z.array(channelSchema).min(1, 'holds no channel').max(MOST_CHANNELS),
  /** how many samples it holds; written when it is sealed, missing while it is recorded */
  samples: countSchema.optional(),
})
export type LogHead = z.infer<typeof logSchema>

/** What a log is; its samples stand in chunks of their own, outside the job's live query and outside undo. */
export const LOG = defineKind({
  kind: 'log',
  version: 1,
  schema: logSchema,
  migrations: [],
  defaults: {},
})
