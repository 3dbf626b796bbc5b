import type { ReadingSet } from '../readings/schema'
import { LASTING_READINGS, LASTING_WORDS } from '../readings/lasting'
import { picked } from '../job/findings'
import type { Job } from '../job/job'
import { isDecided } from '../job/decisions'

/** What a repair leaves as it was. */
const AFTER_REPAIR: readonly string[] = ['lowCutIn', 'lowCutOut', 'phaseSequence']

/** What a new set takes over from the one before it: readings and words that do not change on their own. */
export function carriedOver(job: Job): Pick<ReadingSet, 'readings' | 'observations' | 'also'> {
  const last = job.readingSets.at(-1)
  const isRepaired = (last?.observations?.groundMended ?? 'nothing') !== 'nothing'
  const stays = (key: string) =>
    (!isDecided(job) || AFTER_REPAIR.includes(key)) && !(isRepaired && /ground/i.test(key))
  const observations = picked(last?.observations, LASTING_WORDS.filter(stays))
  return {
    readings: picked(last?.readings, LASTING_READINGS.filter(stays)),
    ...(Object.keys(observations).length > 0 ? { observations } : {}),
    ...(observations.oilStain && last?.also?.oilStain ? { also: { oilStain: last.also.oilStain } } : {}),
  }
}
