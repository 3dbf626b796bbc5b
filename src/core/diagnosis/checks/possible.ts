import { isThreePhase, isBoxKind } from '../../record/equipment/kinds'
import { canObserve, isUsual } from '../../record/equipment/observable'
import { tapsOf } from '../../record/equipment/taps'
import type { UnitPlate } from '../../record/equipment/unit'
import { windingsPlace } from '../../record/readings/ohmPlaces'
import { isIced } from '../../record/readings/iced'
import { stood } from '../../record/readings/atRest'
import type { ReadingKey } from '../../record/readings/vocabulary'
import { refusals, type VetoId } from '../../safety/vetoes'
import type { ElectricalTestKey } from '../electrical/electricalTests'
import { readsOpen } from '../electrical/testResult'
import type { Assessment } from '../evidence/assess'
import type { WordKey } from '../evidence/wordKey'
import { type CheckId, checkRow } from './checks'

/** The word that a check yields; undefined for one that yields a number. */
export function wordKeyOf(id: CheckId): WordKey | undefined {
  const { observation, test, standing } = checkRow(id)
  return observation ?? test ?? (standing ? 'standing' : undefined)
}

/** Both sides at rest, and the place where liquid would lie coldest. */
export function standingNeeds(unit: UnitPlate): readonly ReadingKey[] {
  const places: readonly ReadingKey[] = isBoxKind(unit)
    ? ['boxTemp', 'outdoorAirTemp']
    : ['outdoorAirTemp', 'returnAirTemp', 'waterInTemp']
  const taken = tapsOf(unit, 'off')
  const place = places.find((key) => taken.includes(key))
  return ['standingSuctionPressure', 'standingLiquidPressure', ...(place ? [place] : [])]
}

/** What the plate must name for a test, or it could not be judged. */
const TEST_NEEDS: { readonly [K in ElectricalTestKey]?: (unit: UnitPlate) => boolean } = {
  supply: (unit) => unit.power?.volts !== undefined,
  heater: (unit) => unit.power?.volts !== undefined || unit.crankcaseHeater !== undefined,
  legAmps: (unit) => unit.power?.rla !== undefined,
  startAttempt: (unit) => unit.power?.lra !== undefined,
  runCapacitor: (unit) => !isThreePhase(unit) && unit.power?.runCapacitor !== undefined,
  valveCoil: (unit) => canObserve(unit, 'magnetPull'),
  coilVolts: (unit) => canObserve(unit, 'magnetPull'),
}

const isGroundedFromContactor = ({ tests }: Assessment) => tests.ground?.word === 'at-contactor'
const isGroundedAtTerminals = ({ tests }: Assessment) => tests.groundAtTerminals?.word === 'grounded'
const areOfTerminals = ({ snapshot }: Assessment) =>
  windingsPlace(snapshot.raw, snapshot.observations) === 'terminals'
const areGoodWindings = ({ tests }: Assessment) => (tests.windings?.word ?? 'good') === 'good'
const hasOpenWinding = ({ tests }: Assessment) => readsOpen(tests.windings)

const whileRunning = ({ snapshot }: Assessment) => !stood(snapshot)

/** What only makes sense once something else was found. */
const ONLY_WHEN: { readonly [K in CheckId]?: (assessment: Assessment) => boolean } = {
  groundPath: (at) => isGroundedFromContactor(at) && !isGroundedAtTerminals(at),
  groundAtTerminals: (at) => isGroundedFromContactor(at) && at.tests.groundAtTerminals === undefined,
  // Once measured at the compressor itself, nobody goes in again to the contactor for it.
  ground: (at) => at.tests.groundAtTerminals === undefined,
  windingsAtTerminals: (at) => !areGoodWindings(at) && !areOfTerminals(at),
  terminalLook: (at) => hasOpenWinding(at) || isGroundedAtTerminals(at),
  reliefAfterRestart: ({ snapshot }) => snapshot.observations.reliefNoise === 'yes',
  handValveTest: ({ snapshot }) => snapshot.observations.pumpDownTest === 'cannot-pull-down',
  // Of a machine that stands the standing check tells it, with the coldest place.
  standingOverAmbient: whileRunning,
  frostPattern: whileRunning,
  // What is left of a lost charge is computed; there is nothing to weigh.
  weighedCharge: ({ standing }) => standing?.isLost !== true,
  standing: ({ snapshot }) => stood(snapshot),
}

/** Not taken yet, fits the unit, and can be done: what needs a running compressor is not asked of one that stands. */
export function isPossible(id: CheckId, assessment: Assessment, taken: ReadonlySet<string>): boolean {
  const { unit, targets, snapshot } = assessment
  const { feature, observation, test, state, onlyLifts } = checkRow(id)
  if (onlyLifts || (state === 'running' && (stood(snapshot) || isIced(snapshot.observations)))) return false
  if (ONLY_WHEN[id]?.(assessment) === false) return false
  if (feature) return !taken.has(feature) && targets[feature] !== undefined
  const word = wordKeyOf(id)
  if (word === undefined || taken.has(word)) return false
  if (test) return TEST_NEEDS[test]?.(unit) ?? true
  return observation === undefined || isUsual(unit, observation)
}

/** What comes before all else whatever it tells: on a circuit without liquid the leak is looked for (handbook 13). */
export const comesFirst = (id: CheckId, { standing }: Assessment): boolean =>
  standing?.isLost === true && LOOKS_FOR_LEAK.includes(id)
const LOOKS_FOR_LEAK: readonly CheckId[] = ['oilStain', 'reliefPlug']

/** The step that lifts a state, where one check does. */
const LIFTED_BY: { readonly [V in VetoId]?: CheckId } = {
  'terminals-under-pressure': 'pressureOff',
  'cover-off': 'terminalCover',
  'rotation-unknown': 'phaseSequence',
}

/** Whether a check is refused in these states. */
const isRefused = (id: CheckId, holding: readonly VetoId[]): boolean =>
  refusals(checkRow(id).acts ?? [], holding).length > 0

/**
 * What stands before a check: nothing (undefined), the one step that makes it possible, or "none" where no single step
 * that is itself allowed lifts all that refuses it.
 */
export function liftOf(id: CheckId, holding: readonly VetoId[]): CheckId | 'none' | undefined {
  const refusing = refusals(checkRow(id).acts ?? [], holding)
  if (refusing.length === 0) return undefined
  const lifts = [...new Set(refusing.map((row) => LIFTED_BY[row.id as VetoId]))]
  const [lift] = lifts
  return lifts.length === 1 && lift && !isRefused(lift, holding) ? lift : 'none'
}
