import { isFlammable } from '../../physics/refrigerants/catalogue'
import { hasReversingValve } from '../../record/equipment/kinds'
import { isAcid, isBurnout, isWet } from './contamination'
import type { DryerNeed } from './dryerNeed'
import { lineReverses } from './dryerNeed'
import type { DryerChoice } from './dryers'

type Advice = {
  readonly applies: (need: DryerNeed, choice: DryerChoice) => boolean
  readonly sentence: string
}

const liquid = ({ place }: DryerChoice) => place === 'liquid'
const suction = ({ place }: DryerChoice) => place === 'suction'

/** Where and how a dryer goes in (handbook 06 rules 4 to 9, 11). [practice] */
const PLACING: readonly Advice[] = [
  {
    applies: ({ policy, unit }, choice) =>
      liquid(choice) && policy.dryerPlace === 'reachable' && unit.oldDryer?.outside !== true,
    sentence: 'Outside, where it can be reached: cut the old one out and close the gap with tube.',
  },
  {
    applies: ({ policy, unit }, choice) =>
      liquid(choice) && (policy.dryerPlace === 'where-it-was' || unit.oldDryer?.outside === true),
    sentence: 'Where the old one sat; cut it out, never unsweat it: heat drives its water into the line.',
  },
  {
    applies: (_need, choice) => liquid(choice),
    sentence:
      'Room and ports on both sides, so that its drop can be read next time; a valve behind it where one is kept.',
  },
  {
    applies: ({ unit }, choice) =>
      liquid(choice) && !lineReverses(unit) && unit.oldDryer?.arrow === 'against-flow',
    sentence: 'The old one sat against its arrow: turn the new one with the flow.',
  },
  {
    applies: ({ unit }, choice) => liquid(choice) && unit.oldDryer === undefined,
    sentence:
      'Nothing is written of an old one: a muffler looks like a dryer, and some units have none. Add one.',
  },
  {
    applies: ({ unit }, choice) => suction(choice) && hasReversingValve(unit),
    sentence: 'Between reversing valve and compressor, never in the line that becomes discharge.',
  },
  {
    applies: (_need, choice) => suction(choice),
    sentence: 'Access valves on both sides: it comes out by its drop and by the acid test.',
  },
  {
    applies: ({ unit, refrigerant }) => !isFlammable(refrigerant) && !isFlammable(unit.refrigerant),
    sentence:
      'Sealed until the moment it goes in; wet rag or paste while brazing; repaint what was scorched.',
  },
  {
    applies: ({ unit, refrigerant }) => isFlammable(refrigerant) || isFlammable(unit.refrigerant),
    sentence: 'Flammable: cut, never unsweat; flare or press it in, sealed until the moment it goes in.',
  },
]

/** How a chosen dryer goes in, in sentences. */
export const placingOf = (need: DryerNeed, choice: DryerChoice): string[] =>
  PLACING.filter(({ applies }) => applies(need, choice)).map(({ sentence }) => sentence)

/** One date of a core: hours after the first start, and what is done. */
export type CoreChange = { readonly hours: number; readonly sentence: string }

const SCHEDULE: readonly {
  readonly applies: (need: DryerNeed, choice: DryerChoice) => boolean
  readonly change: CoreChange
}[] = [
  {
    applies: ({ contamination }, choice) =>
      suction(choice) && isAcid(contamination) && !isBurnout(contamination),
    change: {
      hours: 24,
      sentence: 'oil tested: negative, the suction dryer comes out; else new core, another day',
    },
  },
  {
    applies: ({ contamination }, choice) => suction(choice) && isBurnout(contamination),
    change: { hours: 24, sentence: 'oil tested: acid left, new suction and liquid cores' },
  },
  {
    applies: ({ contamination }, choice) => suction(choice) && isBurnout(contamination),
    change: { hours: 72, sentence: 'oil tested: negative, suction core out or a standard one in' },
  },
  {
    applies: ({ contamination }, choice) => suction(choice) && !isAcid(contamination),
    change: { hours: 24, sentence: 'drop read: metal caught, new core; clean, it comes out' },
  },
  {
    applies: ({ contamination, isWaterWorked }, choice) =>
      liquid(choice) && isWet(contamination) && isWaterWorked,
    change: { hours: 48, sentence: 'indicator read: not dry, a second liquid dryer on a return visit' },
  },
]

/** When cores are looked at and changed. [practice] */
export const coreChanges = (need: DryerNeed, choice: DryerChoice): CoreChange[] =>
  SCHEDULE.filter(({ applies }) => applies(need, choice)).map(({ change }) => change)
