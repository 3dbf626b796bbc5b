import { z } from 'zod'

/** A question on which good technicians disagree (handbook 11): its answers, Orzo's own first. */
type PolicyRow = { readonly question: string; readonly answers: Readonly<Record<string, string>> }

/** Rows that something in Orzo reads today; the others join with what they decide. [practice] */
const POLICY_QUESTIONS = {
  evacuation: {
    question: 'How is a circuit evacuated?',
    answers: {
      'triple-when-wet': 'single pull when clean and dry, three with nitrogen breaks when wet',
      'always-triple': 'three pulls with nitrogen breaks, always',
    },
  },
  recoveredRefrigerant: {
    question: 'What becomes of the recovered refrigerant?',
    answers: {
      'reuse-when-clean': 'back into the same equipment when the class is clean and the acid test negative',
      'always-reclaimed': 'always to reclaim, virgin or reclaimed goes in',
    },
  },
  suctionDryer: {
    question: 'When does a suction clean-up dryer go in?',
    answers: {
      'when-acid-or-debris': 'when acid or debris shows',
      'always-after-burnout': 'after every burnout in the history too',
    },
  },
  liquidDryer: {
    question: 'How large is the liquid dryer?',
    answers: {
      'same-when-clean': 'the same size when clean, one or two sizes up when not',
      'one-size-up': 'at least one size up, always',
    },
  },
} as const satisfies Record<string, PolicyRow>

export type PolicyQuestion = keyof typeof POLICY_QUESTIONS
const POLICY_KEYS = Object.keys(POLICY_QUESTIONS) as PolicyQuestion[]

/** The row seen without its literal types. */
const policyRow = (key: PolicyQuestion): PolicyRow => POLICY_QUESTIONS[key]

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
