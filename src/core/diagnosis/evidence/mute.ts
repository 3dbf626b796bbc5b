import { differenceToKelvin, toKelvin } from '../../base/units/convert'
import type { ObservationKey } from '../../record/readings/observations'
import { isSatisfied } from '../targets/control'
import type { ElectricalTestKey } from '../electrical/electricalTests'
import { cooledAndMeasuredAgain } from '../electrical/cooled'
import type { Assessment } from './assessment'

/** [practice] handbook 03: bubbling at 86-90 F and clear near 94 F is a normal charging sequence in cold weather. */
const GLASS_SPEAKS_FROM = toKelvin({ value: 90, unit: 'F' })
/** [practice] a drop that puts vapour into the line ahead of the glass, so that the glass speaks of it and not of the charge. */
const DROP_AHEAD = differenceToKelvin(3, 'F')

/** Below the floor of a unit without head-pressure control bubbles mean little (handbook 13). */
function isColdGlass({ unit, snapshot, derived }: Assessment): boolean {
  const condensing = derived.condensingBubble
  return (
    snapshot.observations.sightGlass === 'bubbles' &&
    snapshot.mode === 'cooling' &&
    unit.receiver === true &&
    !unit.headPressureControl &&
    condensing !== undefined &&
    condensing.value < GLASS_SPEAKS_FROM &&
    (derived.dryerDrop?.value ?? 0) < DROP_AHEAD
  )
}

/** Patterns that an internal overload makes as well. */
const LIKE_OVERLOAD: readonly string[] = ['all-open', 'common-leg-open']

/** "Cold" is a word; only windings that were measured again speak of a shell that was cooled. */
const isOnlySaidCold = ({ snapshot, tests }: Assessment): boolean =>
  snapshot.observations.compressorShell === 'cold' &&
  LIKE_OVERLOAD.includes(tests.windings?.word ?? '') &&
  !cooledAndMeasuredAgain(snapshot)

/** Of a control that is satisfied nothing else is expected: the words of a machine that rests are no votes. */
function isCalledFor(word: string) {
  return ({ unit, snapshot }: Assessment, key: ObservationKey): boolean =>
    snapshot.observations[key] === word && isSatisfied(unit, snapshot)
}

const MUTE: { readonly [K in ObservationKey]?: (assessment: Assessment, key: ObservationKey) => boolean } = {
  sightGlass: isColdGlass,
  compressorShell: isOnlySaidCold,
  compressorState: isCalledFor('off'),
  callForOperation: isCalledFor('no'),
  controlVolts: isCalledFor('dead'),
  loadVolts: isCalledFor('dead'),
  contactorPoints: isCalledFor('not-pulled-in'),
}

/** What a motor that rests reads. */
const NOTHING_FLOWS: readonly string[] = ['none', 'no-current']

/** Of a motor that is off "no amps" says the same again; where its control is satisfied nothing that rests is a vote. */
export function isMuteTest(
  key: ElectricalTestKey,
  word: string,
  { unit, snapshot, tests }: Assessment,
): boolean {
  if ((key !== 'legAmps' && key !== 'startAttempt') || !NOTHING_FLOWS.includes(word)) return false
  const isSaidTwice = key === 'legAmps' && tests.startAttempt !== undefined
  return isSaidTwice || isSatisfied(unit, snapshot)
}

/** Whether a word that was seen says nothing here, by what else is on record. */
export const isMute = (key: ObservationKey, assessment: Assessment): boolean =>
  MUTE[key]?.(assessment, key) ?? false
