import { isElectricalTest } from '../electrical/electricalTests'
import { COMMON_WORDS, wordsOf } from '../evidence/commonWords'
import type { WordKey } from '../evidence/wordKey'
import { faultRow, type SuspectId } from '../faults/faults'

/** A sound circuit shows the plain word more often still. */
const SOUND_FACTOR = 3
/** [practice] how often an observation is simply mistaken, and a test made or a pressure read the wrong way. */
const LAPSE = 0.03
const TEST_LAPSE = 0.008

/** Severities at which word tables are kept. */
export const SEVERITIES: readonly number[] = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1]
/** Index of the severity nearest to one between 0 and 1. */
export const severityIndex = (severity: number): number =>
  Math.min(Math.max(Math.round(severity * 10) - 1, 0), SEVERITIES.length - 1)

function baseShare(key: WordKey, word: string): number {
  const values = wordsOf(key)
  const common = COMMON_WORDS[key] ?? {}
  const named = Object.values(common).reduce((sum, share) => sum + share, 0)
  const rest = (1 - named) / (values.length - Object.keys(common).length)
  return common[word] ?? rest
}

/** A tell is seen early: at this severity less than full. */
const LEAST_TELL = 0.3

function factor(suspect: SuspectId, key: WordKey, word: string, severity: number): number {
  if (suspect === 'unlisted') return 1
  if (suspect === 'healthy') return COMMON_WORDS[key]?.[word] === undefined ? 1 : SOUND_FACTOR
  return (faultRow(suspect).observations?.[key]?.[word] ?? 1) ** Math.min(1, LEAST_TELL + severity)
}

export type WordChances = Readonly<Record<string, number>>

/** Chances of the words at each of SEVERITIES; they depend on the fault table alone, so they are kept. */
const keptChances = new Map<string, readonly WordChances[]>()

function chancesAt(suspects: readonly SuspectId[], key: WordKey, severity: number): WordChances {
  const values = wordsOf(key)
  const weights = values.map((word) =>
    suspects.reduce((share, suspect) => share * factor(suspect, key, word, severity), baseShare(key, word)),
  )
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const lapse = isElectricalTest(key) || key === 'standing' ? TEST_LAPSE : LAPSE
  return Object.fromEntries(
    values.map((word, i) => [word, (1 - lapse) * ((weights[i] as number) / total) + lapse / values.length]),
  )
}

/** Probability of each word under a suspect, or under two faults at once, at each of SEVERITIES; each sums to one. */
export function wordChances(suspects: readonly SuspectId[], key: WordKey): readonly WordChances[] {
  const name = `${suspects.join('+')}/${key}`
  const known = keptChances.get(name)
  if (known) return known
  const chances = SEVERITIES.map((severity) => chancesAt(suspects, key, severity))
  keptChances.set(name, chances)
  return chances
}
