import { z } from '../../base/schema/zod'
import { instantSchema } from '../../base/units/quantitySchema'
import { slugOf } from '../../base/units/slug'
import { idSchema, inRoundShape } from './fields'
import { defineKind, widened } from './kind'

export const tickSchema = z.strictObject({
  ...inRoundShape,
  /** what it ticks: "task:setUp", "part:liquid-dryer", "leave:compressor-plate" */
  key: idSchema,
  at: instantSchema.optional(),
})
export type Tick = z.infer<typeof tickSchema>

/** A tick of a list that was numbered: what it ticked is not known any more. */
const BY_POSITION = 'position:'
export const isByPosition = ({ key }: Pick<Tick, 'key'>): boolean => key.startsWith(BY_POSITION)

/** The key of a tick of file version 1: a task's name, a part by its place, a line of the leaving list. */
export function keyOfOldTick(id: string): string {
  if (/^part-\d+$/.test(id)) return `${BY_POSITION}${id}`
  return id.startsWith('leave-') ? leaveKey(id.slice('leave-'.length)) : `task:${id}`
}

const LONGEST_SLUG = 70
const slug = (label: string) => slugOf(label, LONGEST_SLUG)

/** Keys by what they tick. */
export const taskKey = (id: string): string => `task:${id}`
export const partKey = (name: string): string => `part:${slug(name)}`
export const leaveKey = (label: string): string => `leave:${slug(label)}`

/** Something that was ticked off; there while it is on. */
export const TICK = defineKind({
  kind: 'tick',
  version: 2,
  schema: tickSchema,
  migrations: [widened(2)],
  defaults: {},
})
