import { entriesText, type EntryId } from './entries'

/** How a figure is known. */
type KnownSource = 'plate' | 'measured' | 'typed' | 'computed' | 'assumed'

/** What something rests on, without its value. */
export type Basis = {
  readonly source: KnownSource
  /** from what, in words */
  readonly from: readonly string[]
  /** what would settle it where it is assumed */
  readonly asks: readonly EntryId[]
}

/** A value that carries how it is known wherever it goes. */
export type Known<T> = Basis & { readonly value: T }

/** A value that somebody wrote down or measured. */
export const known = <T>(
  value: T,
  source: Exclude<KnownSource, 'assumed' | 'computed'>,
  from: string,
): Known<T> => ({
  value,
  source,
  from: [from],
  asks: [],
})

/** A value that stands where nobody wrote one. @param asks what would settle it */
export const assumed = <T>(value: T, from: string, ...asks: readonly EntryId[]): Known<T> => ({
  value,
  source: 'assumed',
  from: [from],
  asks,
})

export const isAssumed = ({ source }: Basis): boolean => source === 'assumed'

const once = <T>(all: readonly T[]): T[] => [...new Set(all)]

/** What follows from several things: assumed where any of them is, and then from the assumed ones. */
export function basisOf(...parts: readonly (Basis | undefined)[]): Basis {
  const given = parts.filter((part) => part !== undefined)
  const guesses = given.filter(isAssumed)
  const counted = guesses.length > 0 ? guesses : given
  return {
    source: guesses.length > 0 ? 'assumed' : 'computed',
    from: once(counted.flatMap(({ from }) => from)),
    asks: once(counted.flatMap(({ asks }) => asks)),
  }
}

/** A value computed from others: assumed where any of them is. */
export const computed = <T>(value: T, ...parts: readonly (Basis | undefined)[]): Known<T> => ({
  value,
  ...basisOf(...parts),
})

/** "Enter the plate charge: then the weight is told against it."; undefined where nothing is asked. */
export const askSentence = ({ asks }: Basis, then: string): string | undefined =>
  asks.length === 0 ? undefined : `Enter ${entriesText(asks)}: then ${then}.`
