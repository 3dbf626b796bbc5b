import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'
import { instantSchema, textSchema } from '../../base/units/quantitySchema'
import { type Unit, UNITS } from '../../base/units/units'
import { CHANNEL_KEYS, type ChannelKey } from '../readings/channels'
import { LOG_PURPOSES, PURPOSE_VERSIONS } from '../readings/logPurposes'
import { countSchema, idSchema, inRoundShape } from './fields'
import { defineKind, type RawData, widened } from './kind'

const MOST_CHANNELS = 40

const channelSchema = z.strictObject({
  key: z.enum(CHANNEL_KEYS as readonly [ChannelKey, ...ChannelKey[]], { error: 'is no reading' }),
  unit: z.enum(Object.keys(UNITS) as readonly Unit[] as readonly [Unit, ...Unit[]], { error: 'is no unit' }),
  /** what the instrument calls it */
  name: textSchema.optional(),
})
export type LogChannel = z.infer<typeof channelSchema>

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
  what: oneOf(MARK_KINDS),
  text: textSchema.optional(),
  /** figure of the mark in the unit of the log's first channel: a step's pressure, the weight of a new cylinder */
  value: z.number({ error: 'is not a number' }).optional(),
})
export type LogMark = z.infer<typeof markSchema>

const MOST_LOOKS = 2000
const lookSchema = z.strictObject({
  id: idSchema,
  /** s after the start of the log */
  seconds: z
    .number({ error: 'is not a number' })
    .min(0, 'is negative')
    .max(31_536_000, 'is longer than a year'),
  /** what each channel showed, in its unit; null where it was not read */
  values: z.array(z.number({ error: 'is not a number' }).nullable()).max(MOST_CHANNELS),
})
/** A look at an instrument that was typed. */
export type TypedLook = z.infer<typeof lookSchema>

/** How a log stands against its limit. */
const LIMITS = ['passed', 'failed', 'borderline', 'waiting'] as const
/** Why a vacuum rises, as far as its curve shows it; pending while it is computed. */
const CAUSES = ['dry-enough', 'leak', 'moisture', 'both', 'open', 'pending'] as const
export type LogCause = (typeof CAUSES)[number]

const MOST_MISSING = 20
/** What the judge said of a log, kept so that it is not judged again: it counts while both digests are those of now. */
const verdictSchema = z.strictObject({
  /** of samples and marks */
  digest: textSchema,
  /** of limits, policy and the judge itself */
  by: textSchema,
  /** moment of its last sample */
  at: instantSchema,
  limit: oneOf(LIMITS),
  cause: oneOf(CAUSES).optional(),
  /** what is still to be done before its gate opens */
  missing: z.array(textSchema).max(MOST_MISSING),
  sentence: textSchema,
  /** microns at which an evacuation stood near what refrigerant or ice gives, where it did */
  stoodAt: z.number({ error: 'is not a number' }).min(0, 'is negative').max(1_000_000).optional(),
  /** of an evacuation: pulls to the depth at which it is broken, p, and breaks with nitrogen, b, in their order */
  pulls: z
    .string()
    .regex(/^[pb]*$/, 'holds more than p and b')
    .max(2 * MOST_MARKS + 1)
    .optional(),
})
export type LogVerdict = z.infer<typeof verdictSchema>

/** What was said of a log elsewhere or by an earlier Orzo: told, never believed. */
const saidSchema = z.strictObject({
  at: instantSchema,
  sentence: textSchema,
  detail: textSchema.optional(),
})

export const logSchema = z.strictObject({
  ...inRoundShape,
  id: idSchema,
  name: textSchema,
  /** moment of time zero of its samples */
  startedAt: instantSchema,
  /** its file told no date: time zero was put so that it ends when it was imported */
  undated: z.literal(true).optional(),
  source: z.enum(['file', 'instruments', 'hand'], { error: 'is not one of file, instruments, hand' }),
  purpose: oneOf(LOG_PURPOSES).optional(),
  /** the pass of a task that it belongs to, by its step */
  step: idSchema.optional(),
  marks: z.array(markSchema).max(MOST_MARKS).optional(),
  /** what was typed, in order of time: its samples; those of instruments and files stand in chunks beside */
  looks: z.array(lookSchema).max(MOST_LOOKS).optional(),
  /** what was said of it before it came here */
  said: saidSchema.optional(),
  /** what the judge says of it; never taken from a file */
  verdict: verdictSchema.optional(),
  channels: z.array(channelSchema).min(1, 'holds no channel').max(MOST_CHANNELS),
  /** how many samples it holds; written when it is sealed, missing while it is recorded */
  samples: countSchema.optional(),
})
export type LogHead = z.infer<typeof logSchema>

/** Version 2: it belongs to a pass of a task, whose first one is named like the task. */
const ofStep = ({ task, ...data }: RawData): RawData => (task === undefined ? data : { ...data, step: task })

/** Version 3: what was said of it opens no gate; the judge says it anew from its samples. */
function asSaid({ verdict, ...data }: RawData): RawData {
  if (typeof verdict !== 'object' || verdict === null) return data
  const { passed: _passed, ...said } = verdict as RawData
  return { ...data, said }
}

/** Versions that came with fields of the log; those that came with a kind of log stand beside its word. */
const OWN_VERSION = 4

/** What a log is; its samples stand in chunks of their own, outside the job's live query and outside undo. */
export const LOG = defineKind({
  kind: 'log',
  version: OWN_VERSION + PURPOSE_VERSIONS.length,
  schema: logSchema,
  migrations: [
    { to: 2, change: ofStep },
    { to: 3, change: asSaid },
    // version 4: what is typed stands in the log itself; what was typed before stays where it is
    { to: 4, change: (data) => data },
    ...PURPOSE_VERSIONS.map(widened),
  ],
  defaults: {},
})
