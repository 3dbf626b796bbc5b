import type { Migration, RawData } from '../records/kind'
import { UNNAMED } from '../records/decision'
import { keyOfOldTick } from '../records/tick'
import { DEFAULT_POLICY } from '../policy/policy'

const isObject = (value: unknown): value is RawData =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Sets get ids by their place, so that the same file read twice is the same job. */
const withIds = (sets: unknown) =>
  Array.isArray(sets)
    ? sets.map((set: unknown, i) => (isObject(set) ? { ...set, id: `set-${i + 1}` } : set))
    : sets

/** The one decision becomes the first of many; what was written before anything was decided stays as a draft. */
function decisionsOf(decision: unknown): unknown {
  if (decision === undefined) return []
  if (!isObject(decision)) return [decision]
  const { fault } = decision
  if (Object.keys(decision).length === 0) return []
  return [{ id: fault ?? UNNAMED, state: fault === undefined ? 'draft' : 'decided', ...decision }]
}

const ticksOf = (ticked: unknown): unknown =>
  Array.isArray(ticked)
    ? [...new Set(ticked)].map((id) => (typeof id === 'string' ? { key: keyOfOldTick(id) } : id))
    : (ticked ?? [])

/** Version 2: sets have ids, several decisions, ticks by what they tick, a policy; the stage is computed. */
function toVersion2({ stage: _stage, decision, ticked, ...rest }: RawData): RawData {
  return {
    ...rest,
    policy: DEFAULT_POLICY,
    readingSets: withIds(rest.readingSets),
    decisions: decisionsOf(decision),
    ticks: ticksOf(ticked),
  }
}

/** A record of which a job had one as the list of which each round has one. */
const asList = (data: unknown): unknown => (data === undefined ? [] : [data])

/** Version 3: rounds; what belongs to one round stands in a list, a kind's version beside. Records are as they were. */
function toVersion3({ closing, repair, day, run, ...rest }: RawData): RawData {
  return {
    ...rest,
    kinds: {},
    closings: asList(closing),
    repairs: asList(repair),
    days: asList(day),
    runs: asList(run),
  }
}

/**
 * Steps in order, numbered from 2 (version 1 is the first). Each has a test that holds an old document.
 */
export const JOB_MIGRATIONS: readonly Migration[] = [
  { to: 2, change: toVersion2 },
  { to: 3, change: toVersion3 },
]

/** Applies every step after the document's own version. The steps must be numbered without gaps. */
export function migrate(
  document: RawData,
  from: number,
  steps: readonly Migration[] = JOB_MIGRATIONS,
): RawData {
  return steps
    .filter((step) => step.to > from)
    .reduce((current, step) => ({ ...step.change(current), version: step.to }), document)
}
