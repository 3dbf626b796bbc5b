import type { WordKey } from './wordKey'
import type { FeatureKey } from './features'

/** A continuous feature: (measured - expected) / tolerance, and the instrument's share of it. */
export type FeatureItem = {
  readonly type: 'feature'
  readonly key: FeatureKey
  readonly deviation: number
  readonly error: number
  /** half width of the band now, SI: wider where conditions were not measured */
  readonly tolerance: number
}

/** A word: what was seen, tried or said by an electrical test. */
export type WordItem = {
  readonly type: 'word'
  readonly key: WordKey
  readonly word: string
  /** further words of the same observation, where it is seen at several places */
  readonly further?: readonly string[]
  /** not written down but following from another reading; it is not told as evidence */
  readonly implied?: true
}

/** One piece of evidence that was taken. */
export type Item = FeatureItem | WordItem
