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

type Told = Exclude<KnownSource, 'assumed' | 'computed'>

/** What somebody wrote down or measured, without its value. */
export const fact = (source: Told, from: string): Basis => ({ source, from: [from], asks: [] })

/** A value that somebody wrote down or measured. */
export const known = <T>(value: T, source: Told, from: string): Known<T> => ({
  value,
  ...fact(source, from),
})

/** A guess, without its value. @param asks what would settle it */
export const guess = (from: string, ...asks: readonly EntryId[]): Basis => ({
  source: 'assumed',
  from: [from],
  asks,
})

/** A value that stands where nobody wrote one. @param asks what would settle it */
export const assumed = <T>(value: T, from: string, ...asks: readonly EntryId[]): Known<T> => ({
  value,
  ...guess(from, ...asks),
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

/** A basis that counts only where what else it could be would change the word: a guess that decides nothing is no guess. */
export const whereItDecides = (basis: Basis, words: () => readonly unknown[]): Basis | undefined =>
  isAssumed(basis) && new Set(words()).size > 1 ? basis : undefined

/** A value computed from others: assumed where any of them is. */
export const computed = <T>(value: T, ...parts: readonly (Basis | undefined)[]): Known<T> => ({
  value,
  ...basisOf(...parts),
})

/** "Enter the plate charge: then the weight is told against it."; undefined where nothing is asked. */
export const askSentence = ({ asks }: Basis, then: string): string | undefined =>
  asks.length === 0 ? undefined : `Enter ${entriesText(asks)}: then ${then}.`
