import { isElectricalTest } from '../electrical/electricalTests'
import { COMMON_WORDS, wordsOf } from '../evidence/commonWords'
import { seenPart } from '../faults/seenParts'
import type { WordKey } from '../evidence/wordKey'
import { faultRow, hasDegree, isElectrical, type SuspectId } from '../faults/faults'

/** A sound circuit shows the plain word more often still. */
const SOUND_FACTOR = 8
/** [practice] how often an observation is simply mistaken, and a test made or a pressure read the wrong way. */
const LAPSE = 0.05
const TEST_LAPSE = 0.008
/** What is computed, or what nobody mistakes: the complaint, and what the machine does. */
const RARELY_WRONG: readonly WordKey[] = ['standing', 'comesAndGoes', 'compressorState', 'callForOperation']
/** Of the lapses that would name a part, how many are made: what is plainly seen is not called so by mistake. */
const PLAIN_LAPSES = 0.02

/** Severities at which word tables are kept. */
export const SEVERITIES: readonly number[] = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1]
/** Index of the severity nearest to one between 0 and 1. */
export const severityIndex = (severity: number): number =>
  Math.min(Math.max(Math.round(severity * 10) - 1, 0), SEVERITIES.length - 1)
const FULL = SEVERITIES.length - 1

function baseShare(key: WordKey, word: string): number {
  const values = wordsOf(key)
  const common = COMMON_WORDS[key] ?? {}
  const named = Object.values(common).reduce((sum, share) => sum + share, 0)
  const rest = (1 - named) / (values.length - Object.keys(common).length)
  return common[word] ?? rest
}

/** A tell is seen early: at this severity less than full. */
const LEAST_TELL = 0.3

/** What a fault's table says of one observation, in one of its ways of failing; undefined where it is silent. */
function tableOf(
  suspect: SuspectId,
  key: WordKey,
  way: number,
): Readonly<Record<string, number>> | undefined {
  if (suspect === 'healthy' || suspect === 'unlisted') return undefined
  const { observations, ways } = faultRow(suspect)
  return ways?.[way]?.observations[key] ?? observations?.[key]
}

/** Whether a suspect's own table bears on an observation; where none does, words read as on a sound unit. */
export const isNamed = (suspects: readonly SuspectId[], key: WordKey): boolean =>
  suspects.some((suspect) => waysOf(suspect).some((_share, way) => tableOf(suspect, key, way) !== undefined))

/** Shares of the ways in which a suspect fails; most have one. */
export function waysOf(suspect: SuspectId): readonly number[] {
  const ways = suspect === 'healthy' || suspect === 'unlisted' ? undefined : faultRow(suspect).ways
  return ways?.map(({ share }) => share) ?? ONE_WAY
}
const ONE_WAY: readonly number[] = [1]

/** Whether the words of a suspect are the same at every degree. */
export const hasFlatWords = (suspect: SuspectId): boolean => suspect === 'healthy' || !hasDegree(suspect)

/** What the state of the circuit shows: of a faulty one it is no longer what a sound one shows, named or not. */
const OF_CIRCUIT: readonly WordKey[] = ['frostPattern', 'sightGlass']
const isSeenInCircuit = (suspects: readonly SuspectId[], key: WordKey) =>
  OF_CIRCUIT.includes(key) && suspects.some((suspect) => suspect !== 'healthy' && !isElectrical(suspect))

export type WordChances = Readonly<Record<string, number>>

/** Chances of the words at each of SEVERITIES; they depend on the fault table alone, so they are kept. */
const keptChances = new Map<string, readonly WordChances[]>()

function chancesAt(suspects: readonly SuspectId[], key: WordKey, severity: number, way: number): WordChances {
  const values = wordsOf(key)
  const plain = COMMON_WORDS[key] ?? {}
  const tables = suspects.map((suspect) => tableOf(suspect, key, way)).filter((table) => table !== undefined)
  const isSound = tables.length === 0 && !suspects.includes('unlisted') && !isSeenInCircuit(suspects, key)
  const power = Math.min(1, LEAST_TELL + severity)
  const weights = values.map((word) =>
    tables.reduce(
      (share, table) => share * (table[word] ?? 1) ** power,
      baseShare(key, word) * (isSound && plain[word] !== undefined ? SOUND_FACTOR : 1),
    ),
  )
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const lapse = isElectricalTest(key) || RARELY_WRONG.includes(key) ? TEST_LAPSE : LAPSE
  const chances = values.map((word, i) => {
    const mistaken = (seenPart(key, word) ? PLAIN_LAPSES : 1) * (lapse / values.length)
    return (1 - lapse) * ((weights[i] as number) / total) + mistaken
  })
  const sum = chances.reduce((a, b) => a + b, 0)
  return Object.fromEntries(values.map((word, i) => [word, (chances[i] as number) / sum]))
}

/** [practice] a word that a table makes so many times likelier is one that its suspect explains. */
const EXPLAINS = 2

/** Whether the table of a suspect, in any of its ways of failing, makes a word likelier. */
export const explainsWord = (suspect: SuspectId, key: WordKey, word: string): boolean =>
  waysOf(suspect).some((_share, way) => (tableOf(suspect, key, way)?.[word] ?? 1) >= EXPLAINS)

/**
 * Probability of each word under a suspect, or under two faults at once, at each of SEVERITIES; each sums to one. What no
 * table of theirs names reads as on a sound unit.
 * @param way which of the ways of failing (waysOf)
 */
export function wordChances(suspects: readonly SuspectId[], key: WordKey, way = 0): readonly WordChances[] {
  const name = `${suspects.join('+')}/${key}/${way}`
  const known = keptChances.get(name)
  if (known) return known
  const chances = SEVERITIES.map((severity) => chancesAt(suspects, key, severity, way))
  keptChances.set(name, chances)
  return chances
}

/** Words at full severity in one way of failing. */
export const fullChances = (suspect: SuspectId, key: WordKey, way: number): WordChances =>
  wordChances([suspect], key, way)[FULL] as WordChances
