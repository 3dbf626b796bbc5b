import { acidSigns } from './acidEvidence'
import { acidFound } from '../../record/job/acidTests'
import type { CleanupRecord } from './record'

type Conflict = { readonly holds: (record: CleanupRecord) => boolean; readonly sentence: string }

const CAREFUL = 'the careful side is taken'

/** What the test of the oil says, else that of the gas. */
const acidWord = (record: CleanupRecord) => {
  const { oil, strip } = acidFound(record)
  return oil ?? strip
}

/** Signs that do not go together, and which one is followed. */
const CONFLICTS: readonly Conflict[] = [
  {
    holds: (record) =>
      acidWord(record) === 'negative' &&
      (record.observations.oilAppearance === 'dark' || record.observations.oilAppearance === 'burnt-smell'),
    sentence: `The acid test is negative and the oil is dark or burnt: ${CAREFUL}; have the oil tested again.`,
  },
  {
    holds: (record) => acidWord(record) === 'negative' && record.observations.refrigerantSmell === 'yes',
    sentence: `The acid test is negative and the refrigerant smells burnt: ${CAREFUL}.`,
  },
  {
    holds: (record) => acidWord(record) === 'strong' && record.observations.oilAppearance === 'clear',
    sentence: `The acid test is strong and the oil is clear: ${CAREFUL}; an old kit shows acid that is not there.`,
  },
  {
    holds: (record) => {
      const tests = acidSigns(record).filter(({ ofOil }) => ofOil)
      return new Set(tests.map(({ asks }) => asks ?? 'none')).size > 1
    },
    sentence: `Laboratory and test of the oil do not agree: ${CAREFUL}.`,
  },
  {
    holds: ({ observations: { moistureIndicator, oilAppearance, copperPlating } }) =>
      moistureIndicator === 'dry' && (oilAppearance === 'milky' || copperPlating === 'yes'),
    sentence: `The indicator is dry and the oil or the plating speaks of water: ${CAREFUL}; brazing heat shifts an indicator for hours.`,
  },
]

/** What contradicts itself on record. */
export const conflictsOf = (record: CleanupRecord): string[] =>
  CONFLICTS.filter(({ holds }) => holds(record)).map(({ sentence }) => sentence)
