import { z } from 'zod'
import { instantSchema, textSchema } from '../../base/units/quantitySchema'
import { type Unit, UNITS } from '../../base/units/units'
import { type ChannelKey, isChannelKey } from '../readings/channels'
import { countSchema, idSchema, inRoundShape } from './fields'
import { defineKind, type RawData } from './kind'

const MOST_CHANNELS = 40

const channelSchema = z.strictObject({
  key: z.custom<ChannelKey>((word) => typeof word === 'string' && isChannelKey(word), 'is no reading'),
  unit: z.custom<Unit>((word) => typeof word === 'string' && Object.hasOwn(UNITS, word), 'is no unit'),
  /** what the instrument calls it */
  name: textSchema.optional(),
})
export type LogChannel = z.infer<typeof channelSchema>

/** What a log was taken for; one without a purpose is a log of readings. */
const LOG_PURPOSES = ['recovery', 'pressure-test', 'evacuation', 'decay', 'weigh-in'] as const
export type LogPurpose = (typeof LOG_PURPOSES)[number]

/** What happened at a moment of a log. */
const MARK_KINDS = ['step', 'hold', 'stop', 'sweep', 'valve-shut', 'valve-open', 'cylinder', 'note'] as const
export type MarkKind = (typeof MARK_KINDS)[number]

const MOST_MARKS = 200
const markSchema = z.strictObject({
  /** s after the start of the log */
  seconds: z
    .number({ error: 'is not a number' })
    .min(0, 'is negative')
    .max(31_536_000, 'is longer than a year'),
  what: z.enum(MARK_KINDS, { error: `is not one of ${MARK_KINDS.join(', ')}` }),
  text: textSchema.optional(),
  /** figure of the mark in the unit of the log's first channel: a step's pressure, the weight of a new cylinder */
  value: z.number({ error: 'is not a number' }).optional(),
})
export type LogMark = z.infer<typeof markSchema>

const verdictSchema = z.strictObject({
  at: instantSchema,
  passed: z.boolean({ error: 'is neither true nor false' }),
  sentence: textSchema,
  /** which limit was applied, and what else is to be told of it */
  detail: textSchema.optional(),
})
export type LogVerdict = z.infer<typeof verdictSchema>

export const logSchema = z.strictObject({
  ...inRoundShape,
  id: idSchema,
  name: textSchema,
  /** moment of time zero of its samples */
  startedAt: instantSchema,
  /** its file told no date: time zero was put so that it ends when it was imported */
  undated: z.literal(true).optional(),
  source: z.enum(['file', 'instruments', 'hand'], { error: 'is not one of file, instruments, hand' }),
  purpose: z.enum(LOG_PURPOSES, { error: `is not one of ${LOG_PURPOSES.join(', ')}` }).optional(),
  /** the pass of a task that it belongs to, by its step */
  step: idSchema.optional(),
  marks: z.array(markSchema).max(MOST_MARKS).optional(),
  /** what was said of it when it was judged */
  verdict: verdictSchema.optional(),
  channels: z.array(channelSchema).min(1, 'holds no channel').max(MOST_CHANNELS),
  /** how many samples it holds; written when it is sealed, missing while it is recorded */
  samples: countSchema.optional(),
})
export type LogHead = z.infer<typeof logSchema>

/** Version 2: it belongs to a pass of a task, whose first one is named like the task. */
const ofStep = ({ task, ...data }: RawData): RawData => (task === undefined ? data : { ...data, step: task })

/** What a log is; its samples stand in chunks of their own, outside the job's live query and outside undo. */
export const LOG = defineKind({
  kind: 'log',
  version: 2,
  schema: logSchema,
  migrations: [{ to: 2, change: ofStep }],
  defaults: {},
})
