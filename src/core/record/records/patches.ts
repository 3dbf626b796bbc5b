/**
 * Changes of one record, place by place. A quantity (value with its unit and all that belongs to it) and a list are one
 * place each: half of a reading never is taken back alone.
 */
export type Patch = {
  readonly path: readonly string[]
  /** what stood there; undefined: nothing */
  readonly old: unknown
  readonly new: unknown
  /** depth from which the containers of the place were not there before */
  readonly madeFrom?: number
}

type Container = Readonly<Record<string, unknown>>

const isContainer = (value: unknown): value is Container =>
  typeof value === 'object' &&
  value !== null &&
  !Array.isArray(value) &&
  !('value' in value && 'unit' in value)

/** Whether two plain values are the same in every field. */
export function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false
  if (Array.isArray(a) !== Array.isArray(b)) return false
  const [left, right] = [defined(a), defined(b)]
  return left.length === right.length && left.every(([key, value]) => isSame(value, (b as Container)[key]))
}
const defined = (value: object) => Object.entries(value).filter(([, each]) => each !== undefined)

function walk(before: unknown, after: unknown, path: readonly string[], made: number | undefined): Patch[] {
  if (isSame(before, after)) return []
  const isNew = before === undefined && isContainer(after) && defined(after).length > 0
  if (!isNew && !(isContainer(before) && isContainer(after)))
    return [{ path, old: before, new: after, ...(made === undefined ? {} : { madeFrom: made }) }]
  const [left, right] = [(before ?? {}) as Container, after as Container]
  const depth = isNew ? (made ?? path.length) : made
  return [...new Set([...Object.keys(left), ...Object.keys(right)])].flatMap((key) =>
    walk(left[key], right[key], [...path, key], depth),
  )
}

/** The places that differ. */
export const diffData = (before: unknown, after: unknown): Patch[] => walk(before, after, [], undefined)

const at = (data: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>((value, key) => (isContainer(value) ? value[key] : undefined), data)

/** The same data with one place changed; what is not on the way stays the same object. */
function withPlace(data: Container, [key, ...rest]: readonly string[], value: unknown): Container {
  if (key === undefined) return data
  const inner = rest.length === 0 ? value : withPlace((data[key] ?? {}) as Container, rest, value)
  if (inner === undefined) {
    const { [key]: _gone, ...others } = data
    return others
  }
  return { ...data, [key]: inner }
}

/** Containers that the change made go again when nothing is left in them. */
function pruned(data: Container, { path, madeFrom }: Patch): Container {
  if (madeFrom === undefined) return data
  let current = data
  for (let depth = path.length - 1; depth >= madeFrom; depth--) {
    const place = path.slice(0, depth)
    const container = at(current, place)
    if (depth === 0 || !isContainer(container) || Object.keys(container).length > 0) break
    current = withPlace(current, place, undefined)
  }
  return current
}

export type Patched = {
  readonly data: Container
  /** what was done */
  readonly done: readonly Patch[]
  /** places that hold something else by now, and so were left alone */
  readonly kept: readonly Patch[]
}

/** Takes changes back, or makes them again; a place that was changed since keeps what it holds. */
export function applyPatches(data: Container, patches: readonly Patch[], way: 'back' | 'forth'): Patched {
  const order = way === 'back' ? [...patches].reverse() : patches
  let current = data
  const done: Patch[] = []
  const kept: Patch[] = []
  for (const patch of order) {
    const [from, to] = way === 'back' ? [patch.new, patch.old] : [patch.old, patch.new]
    if (!isSame(at(current, patch.path), from)) {
      kept.push(patch)
      continue
    }
    current = withPlace(current, patch.path, to)
    if (way === 'back') current = pruned(current, patch)
    done.push(patch)
  }
  return { data: current, done: way === 'back' ? done.reverse() : done, kept }
}

/** The same data without keys whose value is undefined, as it reads back from a file; untouched parts stay the same object. */
export function withoutUndefined<T>(value: T): T {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value
  const entries = Object.entries(value)
  const next = entries
    .filter(([, each]) => each !== undefined)
    .map(([key, each]) => [key, withoutUndefined(each as unknown)] as const)
  const isUntouched =
    next.length === entries.length && next.every(([key, each]) => each === (value as Container)[key])
  return isUntouched ? value : (Object.fromEntries(next) as T)
}
