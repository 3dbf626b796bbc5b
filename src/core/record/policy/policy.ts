import { z } from '../../base/schema/zod'
import { oneOf } from '../../base/units/oneOf'

/** The answers to every question of handbook 11, Orzo's own first; their words stand in questions.ts. [practice] */
const POLICY_ANSWERS = {
  decayLimit: ['field-1000', 'strict-500'],
  vacuumTarget: ['500-300-wet', 'always-500', 'always-300'],
  evacuation: ['triple-when-wet', 'always-triple'],
  brazingNitrogen: ['trickle', 'static'],
  recoveredRefrigerant: ['reuse-when-clean', 'always-reclaimed'],
  compressorRemoval: ['cut', 'unsweat'],
  r22: ['by-table', 'keep', 'convert'],
  flushSolvent: ['nitrogen-and-filters', 'flush'],
  suctionDryer: ['when-acid-or-debris', 'always-after-burnout'],
  liquidDryer: ['same-when-clean', 'one-size-up'],
  valveChange: ['when-cheap', 'always', 'clean'],
  leakHunt: ['bubbles-first', 'detector-first'],
  pressureSteps: ['steps', 'straight'],
  access: ['recover-all', 'isolate'],
  valveAdjustment: ['factory', 'trim'],
  wetRag: ['protect-valve', 'quench'],
  testPressure: ['near-plate', 'moderate'],
  decayTime: ['10-15-wet', 'always-5', 'always-15'],
  lastWord: ['weight-first', 'readings'],
  moistureSuctionDryer: ['liquid-only', 'acid-core'],
  equaliser: ['whichever-fits', 'unsweat', 'sleeve'],
  tightness: ['hold-and-bubbles', 'hold', 'bubbles'],
  nitrogenStarts: ['fit-up-in-wet', 'fit-up'],
  conversionCharge: ['90-and-trim', 'plate'],
  chargeEntry: ['liquid-line', 'discharge'],
  oilRefill: ['weighed', 'level'],
  neighbours: ['replace-cheap', 'only-failed'],
  feederTubes: ['sleeve', 'braze'],
  dryerPlace: ['reachable', 'where-it-was'],
} as const satisfies Record<string, readonly [string, ...string[]]>

export type PolicyQuestion = keyof typeof POLICY_ANSWERS
export const POLICY_KEYS = Object.keys(POLICY_ANSWERS) as PolicyQuestion[]

export type PolicyAnswer<K extends PolicyQuestion> = (typeof POLICY_ANSWERS)[K][number]

/** The answer of a company, or of one job, to each question. */
export type Policy = { readonly [K in PolicyQuestion]: PolicyAnswer<K> }
/** A policy as it is stored: rows that came later are missing in older ones. */
export type StoredPolicy = { readonly [K in PolicyQuestion]?: PolicyAnswer<K> | undefined }

const answersOf = (key: PolicyQuestion): readonly [string, ...string[]] => POLICY_ANSWERS[key]

export const policySchema = z.strictObject(
  Object.fromEntries(
    POLICY_KEYS.map((key) => {
      const answers = answersOf(key)
      return [key, oneOf(answers).optional()]
    }),
  ),
) as unknown as z.ZodType<StoredPolicy>

/** Orzo's own answers: the first of each row. */
export const DEFAULT_POLICY = Object.fromEntries(
  POLICY_KEYS.map((key) => [key, answersOf(key)[0]]),
) as unknown as Policy

/** A stored policy with Orzo's own answers where it is silent. */
export const policyOf = (stored: StoredPolicy | undefined): Policy => ({
  ...DEFAULT_POLICY,
  ...(Object.fromEntries(
    Object.entries(stored ?? {}).filter(([, answer]) => answer !== undefined),
  ) as Partial<Policy>),
})

/** Questions that two policies answer differently. */
export const policyDifferences = (a: Policy, b: Policy): PolicyQuestion[] =>
  POLICY_KEYS.filter((key) => a[key] !== b[key])
