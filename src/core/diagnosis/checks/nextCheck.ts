import type { UnitPlate } from '../../record/equipment/unit'
import { stood } from '../../record/readings/atRest'
import type { VetoId } from '../../safety/vetoes'
import type { Snapshot } from '../../record/readings/snapshot'
import { type ReadingKey, readingRow } from '../../record/readings/vocabulary'
import { CHECK_IDS, type CheckId, checkRow, type CheckState } from './checks'
import { comesFirst, isPossible, liftOf, standingNeeds, wordKeyOf } from './possible'
import type { Assessment } from '../evidence/assess'
import { electricalTestRow } from '../electrical/electricalTests'
import { familyOf } from '../faults/families'
import { featureRow } from '../evidence/features'
import { type Undivided, undivided } from './lookAlikes'
import { differentWork, isGeneric, isHighAndFull } from './work'
import type { SuspectId } from '../faults/faults'
import type { Item } from '../evidence/items'
import { featureOutcomes, type Outcome, type Predictor, predictorOf, wordOutcomes } from '../ranking/predict'
import type { Ranked } from '../ranking/weigh'

/** What a check may show, and who would then lead the list. */
type Split = {
  readonly outcome: string
  readonly chance: number
  readonly leads: SuspectId
  readonly probability: number
}

export type NextCheck = {
  readonly check: CheckId
  readonly label: string
  /** at the unit, with the readings that are missing beside its own */
  readonly minutes: number
  /** expected information about what would be done next, bits */
  readonly gain: number
  readonly caution?: string
  /** what does not hold now and must be brought about first */
  readonly unmet?: string
  /** readings still to be taken for it */
  readonly taps: readonly ReadingKey[]
  readonly splits: readonly Split[]
  /** the check that this one makes possible, where it tells nothing on its own */
  readonly unlocks?: string
}

const MOST_CHECKS = 4
/** Of those shown, the first three are three kinds of work. */
const KINDS_SHOWN = 3
/** Checks looked at for what would unseat the leader. */
const MOST_LOOKED_AT = 10
/** Hypotheses below this share do not sway the choice and are left out of the sum. */
const LEAST_PROBABILITY = 0.004
/** Information below this is not worth a walk, bits. */
const LEAST_GAIN = 0.03
/** A question that fits every complaint must tell more to be worth a place, bits. */
const LEAST_GENERIC_GAIN = 0.1
/** Which fault of a family it is matters less than what would be done next, but it does. */
const WITHIN_FAMILY = 0.4
/** [practice] walking, unpacking, writing down: beside the minutes of the check itself. */
export const CARRY_MINUTES = 3
/** [practice] one more tap beside the check's own, minutes. */
const MORE_TAP_MINUTES = 3

/** Mutual information between the answer and groups of hypotheses, bits. */
function information(
  outcomes: readonly Outcome[],
  weights: readonly number[],
  groups: readonly number[],
): number {
  const count = Math.max(...groups) + 1
  const groupWeights = new Float64Array(count)
  for (const [i, group] of groups.entries())
    groupWeights[group] = (groupWeights[group] as number) + (weights[i] as number)
  const joint = new Float64Array(count)
  let bits = 0
  for (const { shares } of outcomes) {
    joint.fill(0)
    let chance = 0
    for (let i = 0; i < weights.length; i++) {
      const share = (weights[i] as number) * (shares[i] as number)
      const group = groups[i] as number
      joint[group] = (joint[group] as number) + share
      chance += share
    }
    for (let g = 0; g < count; g++) {
      const both = joint[g] as number
      if (both > 0 && chance > 0) bits += both * Math.log2(both / (chance * (groupWeights[g] as number)))
    }
  }
  return bits
}

const indexed = (names: readonly string[]): number[] => {
  const unique = [...new Set(names)]
  return names.map((name) => unique.indexOf(name))
}

/** Outcomes of one name put together, with the suspect that would lead. */
function splitsOf(
  outcomes: readonly Outcome[],
  alive: readonly Ranked[],
  weights: readonly number[],
): Split[] {
  const names = [...new Set(outcomes.map((outcome) => outcome.name))]
  return names
    .map((name) => {
      const same = outcomes.filter((outcome) => outcome.name === name)
      const joint = weights.map((weight, i) =>
        same.reduce((sum, { shares }) => sum + weight * (shares[i] as number), 0),
      )
      const chance = joint.reduce((a, b) => a + b, 0)
      const best = joint.indexOf(Math.max(...joint))
      return {
        outcome: name.replace(/-/g, ' '),
        chance,
        leads: alive[best]?.hypothesis.suspect ?? 'unlisted',
        probability: (joint[best] ?? 0) / chance,
      }
    })
    .sort((a, b) => b.chance - a.chance)
}

const UNMET: Readonly<Record<CheckState, (at: Snapshot) => string | undefined>> = {
  running: () => undefined,
  'power-off': (at) =>
    at.mode !== 'off' && !stood(at)
      ? 'Not met now: the unit runs. Stop it, lock out and prove it dead first.'
      : 'Lock out and prove it dead first.',
  standing: ({ mode }) =>
    mode === 'off' ? undefined : 'Not met now: it must stand until both sides are equal.',
  recovered: () => 'Not met now: the refrigerant must be recovered first.',
  'pressure-off': ({ observations }) =>
    observations.pressureOff === 'yes'
      ? 'Power off, locked out, proven dead.'
      : 'Not met now: recover, or take the pressure off and vent to 0 psig with nitrogen, before the terminal cover comes off.',
}

/** Time and words of a check, with the readings that are missing beside its own. */
function effortOf(id: CheckId, taps: readonly ReadingKey[]): { label: string; minutes: number } {
  const { label, minutes, covers = 1 } = checkRow(id)
  const more = taps.slice(0, Math.max(taps.length - covers, 0))
  const names = more.map((key) => readingRow(key).label.toLowerCase())
  return {
    label: more.length > 0 ? `${label}, and read ${names.join(' and ')}` : label,
    minutes: minutes + MORE_TAP_MINUTES * more.length,
  }
}

const needsOf = (id: CheckId, unit: UnitPlate): readonly ReadingKey[] => {
  const { feature, test, standing } = checkRow(id)
  if (standing) return standingNeeds(unit)
  return feature ? featureRow(feature).needs : test ? electricalTestRow(test).needs(unit) : []
}

type Scored = { readonly id: CheckId; readonly outcomes: readonly Outcome[]; readonly gain: number }

function scored(
  id: CheckId,
  predictors: readonly Predictor[],
  weights: readonly number[],
  actions: readonly number[],
  exact: readonly number[],
): Scored {
  const { feature } = checkRow(id)
  const word = wordKeyOf(id)
  const outcomes = feature ? featureOutcomes(feature, predictors) : word ? wordOutcomes(word, predictors) : []
  const action = information(outcomes, weights, actions)
  const gain = (1 - WITHIN_FAMILY) * action + WITHIN_FAMILY * information(outcomes, weights, exact)
  return { id, outcomes, gain }
}

/** A result of one check that would put another suspect first. */
export type MindChanger = {
  readonly check: CheckId
  readonly label: string
  readonly outcome: string
  readonly chance: number
  readonly leads: SuspectId
  readonly probability: number
}

export type Asked = {
  readonly nextChecks: readonly NextCheck[]
  readonly mindChangers: readonly MindChanger[]
  /** the two that lead and look alike by what is on record; the first check splits them */
  readonly undivided?: Undivided
}

const MOST_CHANGERS = 3
/** An outcome less likely than this is not worth telling. */
const LEAST_CHANCE = 0.02

/** Results that would put another suspect first, the likeliest first; at most one a check. */
function mindChangersOf(checks: readonly NextCheck[], leader: SuspectId): MindChanger[] {
  return checks
    .flatMap(({ check, label, splits }) =>
      splits
        .filter(({ leads, chance }) => leads !== leader && chance >= LEAST_CHANCE)
        .slice(0, 1)
        .map((split) => ({ check, label, ...split })),
    )
    .sort((a, b) => b.chance - a.chance)
    .slice(0, MOST_CHANGERS)
}

/**
 * The few checks that would tell most, a minute of effort, about what would be done next; and what would unseat the leader.
 * @param ranked the present ranking
 * @param items evidence already taken
 * @param holding states that refuse some checks: none of those is asked for
 */
export function askChecks(
  assessment: Assessment,
  ranked: readonly Ranked[],
  items: readonly Item[],
  holding: readonly VetoId[],
): Asked {
  const { unit, snapshot } = assessment
  const alive = ranked.filter((row) => row.probability >= LEAST_PROBABILITY)
  const total = alive.reduce((sum, row) => sum + row.probability, 0)
  const weights = alive.map((row) => row.probability / total)
  const predictors = alive.map(predictorOf)
  const actions = indexed(alive.map(({ hypothesis }) => familyOf(hypothesis.suspect)))
  const exact = alive.map((_row, i) => i)
  // What was seen and tested is not asked again, also where it says nothing here.
  const taken = new Set<string>([
    ...items.filter((item) => !('implied' in item)).map((item) => item.key),
    ...Object.keys(snapshot.observations),
    ...Object.keys(assessment.tests),
  ])
  const weigh = (id: CheckId): Found => {
    const taps = needsOf(id, unit).filter((key) => snapshot.values[key] === undefined)
    return { ...scored(id, predictors, weights, actions, exact), taps, effort: effortOf(id, taps) }
  }
  const open = CHECK_IDS.filter((id) => isPossible(id, assessment, taken)).map(weigh)
  const allowed = withLifts(open, holding)
  const alike = undivided(
    alive.map(({ hypothesis, probability }) => ({ suspect: hypothesis.suspect, probability })),
    new Set(allowed.map(({ id }) => id)),
  )
  const tell = TELLS[alive[0]?.hypothesis.suspect ?? 'unlisted']
  const splits = (id: CheckId) => (id === alike?.check || id === tell ? 1 : 0)
  const checks = allowed
    .filter(({ id, gain }) => gain >= leastGain(id) || comesFirst(id, assessment) || splits(id) === 1)
    .sort(
      (a, b) =>
        place(b.id, assessment) - place(a.id, assessment) || splits(b.id) - splits(a.id) || rate(b) - rate(a),
    )
    .slice(0, MOST_LOOKED_AT)
    .map((found) => told(found, snapshot, alive, weights))
  return {
    nextChecks: differentWork(checks, KINDS_SHOWN, MOST_CHECKS),
    mindChangers: mindChangersOf(checks, alive[0]?.hypothesis.suspect ?? 'unlisted'),
    ...(alike ? { undivided: alike } : {}),
  }
}

/** A leader is not taken for granted before its own tell was looked for, however plain its pattern is. */
const TELLS: { readonly [S in SuspectId]?: CheckId } = {
  'phase-reversed': 'phaseSequence',
  'relief-plug-melted': 'reliefPlug',
  'terminal-plug-burnt': 'windingsAtTerminals',
}

const leastGain = (id: CheckId) => (isGeneric(id) ? LEAST_GENERIC_GAIN : LEAST_GAIN)

/** What comes before all else, and what waits: under high head with much subcooling general questions wait. */
const place = (id: CheckId, assessment: Assessment): number =>
  comesFirst(id, assessment) ? 1 : isGeneric(id) && isHighAndFull(assessment) ? -1 : 0

/** A check with what it would tell and cost. */
type Found = Scored & {
  readonly taps: readonly ReadingKey[]
  readonly effort: { label: string; minutes: number }
  readonly unlocks?: string
}

/** A check that is refused gives way to the step that makes it possible, where there is one that is allowed. */
function withLifts(found: readonly Found[], holding: readonly VetoId[]): Found[] {
  const lifted = new Set<CheckId>()
  return [...found]
    .sort((a, b) => rate(b) - rate(a))
    .flatMap((each): Found[] => {
      const lift = liftOf(each.id, holding)
      if (lift === undefined) return [each]
      if (lift === 'none' || lifted.has(lift)) return []
      lifted.add(lift)
      const { label, minutes } = checkRow(lift)
      return [
        {
          id: lift,
          outcomes: [],
          gain: each.gain,
          taps: [],
          effort: { label, minutes: minutes + each.effort.minutes },
          unlocks: each.effort.label,
        },
      ]
    })
}

function told(
  { id, outcomes, gain, taps, effort, unlocks }: Found,
  snapshot: Snapshot,
  alive: readonly Ranked[],
  weights: readonly number[],
): NextCheck {
  const { caution, state } = checkRow(id)
  const unmet = state && UNMET[state](snapshot)
  return {
    check: id,
    ...effort,
    gain,
    ...(caution === undefined ? {} : { caution }),
    ...(unmet === undefined ? {} : { unmet }),
    ...(unlocks === undefined ? {} : { unlocks }),
    taps,
    splits: splitsOf(outcomes, alive, weights),
  }
}

/** Bits a minute, carrying counted. */
const rate = ({ gain, effort }: { gain: number; effort: { minutes: number } }) =>
  gain / (effort.minutes + CARRY_MINUTES)
