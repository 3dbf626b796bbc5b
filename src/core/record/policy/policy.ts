import { z } from 'zod'
import { POLICY_QUESTIONS, type PolicyRow } from './questions'

export type PolicyQuestion = keyof typeof POLICY_QUESTIONS
export const POLICY_KEYS = Object.keys(POLICY_QUESTIONS) as PolicyQuestion[]

/** The row seen without its literal types. */
export const policyRow = (key: PolicyQuestion): PolicyRow => POLICY_QUESTIONS[key]

type Answers<K extends PolicyQuestion> = keyof (typeof POLICY_QUESTIONS)[K]['answers'] & string

/** The answer of a company, or of one job, to each question. */
export type Policy = { readonly [K in PolicyQuestion]: Answers<K> }
/** A policy as it is stored: rows that came later are missing in older ones. */
export type StoredPolicy = { readonly [K in PolicyQuestion]?: Answers<K> | undefined }

const answersOf = (key: PolicyQuestion) => Object.keys(policyRow(key).answers) as [string, ...string[]]

export const policySchema = z.strictObject(
  Object.fromEntries(
    POLICY_KEYS.map((key) => {
      const answers = answersOf(key)
      return [key, z.enum(answers, { error: `is not one of ${answers.join(', ')}` }).optional()]
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

/** The answer in words. */
export const policyAnswer = <K extends PolicyQuestion>(policy: Policy, key: K): string =>
  policyRow(key).answers[policy[key]] ?? ''
