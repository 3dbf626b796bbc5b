import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { siteAtmosphere } from '../equipment/circumstances'
import { stood } from '../readings/atRest'
import { takeSnapshot } from '../readings/snapshot'
import { WINDING_KEYS } from '../readings/lasting'
import { ohmPlaceOf } from '../readings/ohmPlaces'
import { standingPressures } from '../readings/standingPressures'
import type { ReadingKey } from '../readings/vocabulary'
import type { StateWord } from '../readings/stateWords'
import type { JobSet } from '../records/set'
import { holding, isGas, isNitrogenPressure, turned, workedSections } from './contents'
import { withCover } from './cover'
import type { Contents } from './effects'
import type { Change, SectionState, StateUnit, UnitState } from './unit'

/** Pa over the air around it that still count as 0 psig. */
const AT_ZERO = 7_000

/** What the circuit holds once somebody says what was done on it. */
function worked(state: UnitState, value: string, at: number): Change {
  const which = workedSections(state)
  if (value === 'evacuated') return { sections: holding(state, which, 'vacuum', at) }
  if (value === 'charged')
    return { sections: holding(state, which, 'liquid', at), pressure: 'above', clear: undefined }
  return { sections: turned(state, (contents) => contents === 'vacuum', 'unknown', at) }
}

/** How each word changes what is known. */
const WORDS: Readonly<Record<StateWord, (state: UnitState, value: string, at: number) => Change>> = {
  terminalCover: (state, value, at) => withCover(state, value === 'off' ? 'off' : 'on', at),
  pressureOff: ({ pressure }, value) =>
    value === 'yes'
      ? { vented: true, pressure: pressure === 'below' ? 'zero' : pressure }
      : { vented: false },
  servicePortState: (_state, value) => ({ isolated: value === 'front-seated' }),
  gasInside: (state, value, at) =>
    value === 'none'
      ? { sections: turned(state, isGas, 'unknown', at) }
      : { sections: holding(state, workedSections(state), value as Contents, at) },
  circuitWork: worked,
  // which side leaks is judged from all that was seen (diagnosis/vetoes)
  lowSide: () => ({}),
  waterCoil: (_state, value) => ({ water: value as UnitState['water'] }),
  flammableClear: (_state, value) => ({ clear: value === 'yes' ? 'said' : undefined }),
}
/** Gas first: what was done on the circuit afterwards says more of what is inside. */
const WORD_ORDER = Object.keys(WORDS) as StateWord[]

/** Readings that a new set took over from the one before were not taken with the cover off now. */
const isOfSet = (set: JobSet, key: keyof JobSet['readings']): boolean => {
  const reading = set.readings[key]
  return reading !== undefined && !(reading.at && set.at && Date.parse(reading.at) < Date.parse(set.at))
}

const OHM_KEYS: readonly ReadingKey[] = ['ohmsToGround', ...WINDING_KEYS]

/** Whether a set was measured at the compressor's own terminals: then its cover is off. */
const isAtTerminals = (set: JobSet): boolean =>
  OHM_KEYS.some(
    (key) => isOfSet(set, key) && ohmPlaceOf(key, set.readings[key], set.observations ?? {}) === 'terminals',
  )

/** A compressor that ran: its cover was on, and nothing stood in vacuum. */
const ran = (state: UnitState, at: number): Change => ({
  ...withCover(state, 'on', at),
  sections: turned(state, (contents) => contents === 'vacuum', 'unknown', at),
  pressure: state.pressure === 'below' ? undefined : state.pressure,
})

/** How the unit stands after a set was taken. @param words those that are as old as the set */
export function afterSet(
  state: UnitState,
  unit: StateUnit,
  set: JobSet,
  words: readonly StateWord[],
  at: number,
): UnitState {
  const refrigerant = set.refrigerant ?? state.refrigerant
  const snapshot = takeSnapshot(set, refrigerant, siteAtmosphere(unit))
  const gauges = standingPressures(snapshot).map(({ pressure }) => pressure.value - snapshot.atmosphere)
  // what was said of an earlier visit says nothing of this one; what the work did stays done
  const clear = state.clear === 'said' ? undefined : state.clear
  let next: UnitState = { ...state, refrigerant, clear }
  if (refrigerant !== state.refrigerant) next = { ...next, sections: turnedInto(next, refrigerant) }
  if (gauges.length > 0) next = { ...next, vented: undefined }
  const { compressorState } = snapshot.observations
  if (!stood(snapshot) && (compressorState === 'running' || snapshot.values.compressorAmps !== undefined))
    next = { ...next, ...ran(next, at) }
  if (isAtTerminals(set)) next = { ...next, ...withCover(next, 'off', at) }
  for (const word of WORD_ORDER) {
    const value = words.includes(word) ? set.observations?.[word] : undefined
    if (value !== undefined) next = { ...next, ...WORDS[word](next, value, at) }
  }
  return gauges.length > 0 ? { ...next, ...withGauges(next, gauges, at) } : next
}

/** Pressure against the air around, as it was read; nitrogen over it stands under pressure. */
function withGauges(state: UnitState, gauges: readonly number[], at: number): Change {
  if (gauges.some((gauge) => gauge < 0)) return { pressure: 'below' }
  if (gauges.every((gauge) => gauge <= AT_ZERO))
    return { pressure: 'zero', sections: turned(state, isNitrogenPressure, 'nitrogen', at) }
  const isNitrogen = (contents: Contents) => contents === 'nitrogen'
  return { pressure: 'above', sections: turned(state, isNitrogen, 'nitrogen-pressure', at) }
}

/** The same contents of another refrigerant, where somebody says that it is another. */
const turnedInto = ({ sections }: UnitState, refrigerant: RefrigerantName): UnitState['sections'] => {
  const of = (each: SectionState) => (each.refrigerant === undefined ? each : { ...each, refrigerant })
  return { high: of(sections.high), low: of(sections.low), compressor: of(sections.compressor) }
}

/** How the unit stands after somebody said one more word of it. */
export const afterWord = (state: UnitState, word: StateWord, value: string, at: number): UnitState => ({
  ...state,
  ...WORDS[word](state, value, at),
})
