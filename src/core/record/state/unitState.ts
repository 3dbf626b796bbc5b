import type { OilFamily, RefrigerantName } from '../../physics/refrigerants/catalogue'
import { siteAtmosphere } from '../equipment/circumstances'
import type { UnitPlate } from '../equipment/unit'
import { stood } from '../readings/atRest'
import { takeSnapshot } from '../readings/snapshot'
import { WINDING_KEYS } from '../readings/standing'
import { standingPressures } from '../readings/standingPressures'
import type { StateWord } from '../readings/stateWords'
import type { JobSet } from '../records/set'
import { COVER } from './offParts'
import { type Contents, type Effects, type Filling, type ReplacedPart, type Section, SECTIONS } from './effects'
import { type EffectsOf, type StateRecords, type Timed, timelineOf } from './timeline'

export type SectionState = {
  readonly contents: Contents
  /** which refrigerant, where any is inside */
  readonly refrigerant: RefrigerantName | undefined
  /** whether how much is inside was weighed in on this job */
  readonly amount: 'weighed' | 'unknown'
  /** since when, ms; undefined: since before the job */
  readonly since: number | undefined
}

/** Where something is that comes off for the work. */
export type OffState = { readonly state: 'off' | 'back' | 'stays'; readonly at: number | undefined }

/** Something that ended a state of danger: a part replaced, the circuit evacuated or charged. */
export type Mending = { readonly at: number; readonly did: ReplacedPart | 'evacuated' | 'charged' }

/** How the unit stands at a moment: what is recorded, no verdict. */
export type UnitState = {
  readonly sections: Readonly<Record<Section, SectionState>>
  /** sections whose charge is shut in while another is worked on */
  readonly shutIn: readonly Section[]
  /** the compressor stands between two shut valves */
  readonly isolated: boolean
  /** what is in it, or was until it was emptied */
  readonly refrigerant: RefrigerantName
  readonly oil: { readonly kind: OilFamily | undefined; readonly changedAt: number | undefined }
  readonly off: Readonly<Record<string, OffState>>
  readonly cover: 'on' | 'off' | undefined
  /** pressure at the compressor against the air around it */
  readonly pressure: 'below' | 'zero' | 'above' | undefined
  /** somebody says that the pressure is off, or that it is not; undefined: nothing was said since it was read */
  readonly vented: boolean | undefined
  readonly water: 'flowing' | 'standing' | 'drained' | undefined
  /** nothing flammable is left: as somebody says of the last visit, or as the sweep of the work showed */
  readonly clear: 'said' | 'done' | undefined
  /** solenoids and electronic valves are held open */
  readonly heldOpen: boolean
  /** since when it stands open to air, ms */
  readonly openedAt: number | undefined
  readonly startedAt: number | undefined
  readonly mendings: readonly Mending[]
}

const GASES: readonly Contents[] = ['nitrogen', 'nitrogen-pressure', 'trace', 'air']
export const isGas = (contents: Contents): boolean => GASES.includes(contents)
export const isNitrogenPressure = (contents: Contents): boolean =>
  contents === 'nitrogen-pressure' || contents === 'trace'

/** The sections that are worked on: all whose charge is not shut in. */
export const workedSections = ({ shutIn }: Pick<UnitState, 'shutIn'>): Section[] =>
  SECTIONS.filter((section) => !shutIn.includes(section))

/** Pa over the air around it that still count as 0 psig. */
const AT_ZERO = 7_000

type Change = Partial<UnitState>
type Unit = Pick<UnitPlate, 'refrigerant'> & Parameters<typeof siteAtmosphere>[0] & Pick<UnitPlate, 'compressor'>

const asFound = (unit: Unit): UnitState => {
  const found: SectionState = {
    contents: 'unknown',
    refrigerant: unit.refrigerant,
    amount: 'unknown',
    since: undefined,
  }
  return {
    sections: { high: found, low: found, compressor: found },
    shutIn: [],
    isolated: false,
    refrigerant: unit.refrigerant,
    oil: { kind: unit.compressor?.oil, changedAt: undefined },
    off: {},
    cover: undefined,
    pressure: undefined,
    vented: undefined,
    water: undefined,
    clear: undefined,
    heldOpen: false,
    openedAt: undefined,
    startedAt: undefined,
    mendings: [],
  }
}

/** Contents that leave nothing of the refrigerant, but what clings to oil. */
const REFRIGERANT_LEFT: readonly Contents[] = ['unknown', 'liquid', 'vapour', 'mixed']

/** Some sections with other contents. */
function holding(
  state: UnitState,
  which: readonly Section[],
  contents: Contents,
  at: number,
  amount: SectionState['amount'] = 'unknown',
): UnitState['sections'] {
  const since = Number.isFinite(at) ? at : undefined
  const refrigerant = REFRIGERANT_LEFT.includes(contents) ? state.refrigerant : undefined
  const next = { contents, refrigerant, amount, since }
  return {
    ...state.sections,
    ...Object.fromEntries(
      which.map((section) => {
        const now = state.sections[section]
        const isSame = now.contents === contents && now.refrigerant === refrigerant && now.amount === amount
        return [section, isSame ? now : next]
      }),
    ),
  }
}

/** Sections that hold some contents become another. */
const turned = (state: UnitState, from: (contents: Contents) => boolean, to: Contents, at: number) =>
  holding(
    state,
    SECTIONS.filter((section) => from(state.sections[section].contents)),
    to,
    at,
  )

const withCover = (state: UnitState, cover: 'on' | 'off', at: number): Change => ({
  cover,
  off:
    cover === 'off' || state.off[COVER]?.state === 'off'
      ? { ...state.off, [COVER]: { state: cover === 'off' ? 'off' : 'back', at: known(at) } }
      : state.off,
})
const known = (at: number) => (Number.isFinite(at) ? at : undefined)

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

/** Whether a set was measured at the compressor's own terminals: then its cover is off. */
const isAtTerminals = (set: JobSet): boolean =>
  (set.observations?.groundMeasuredAt === 'terminals' && isOfSet(set, 'ohmsToGround')) ||
  (set.observations?.windingsMeasuredAt === 'terminals' && WINDING_KEYS.some((key) => isOfSet(set, key)))

/** A compressor that ran: its cover was on, and nothing stood in vacuum. */
const ran = (state: UnitState, at: number): Change => ({
  ...withCover(state, 'on', at),
  sections: turned(state, (contents) => contents === 'vacuum', 'unknown', at),
  pressure: state.pressure === 'below' ? undefined : state.pressure,
})

function afterSet(state: UnitState, unit: Unit, set: JobSet, words: readonly StateWord[], at: number): UnitState {
  const refrigerant = set.refrigerant ?? state.refrigerant
  const snapshot = takeSnapshot(set, refrigerant, siteAtmosphere(unit))
  const gauges = standingPressures(snapshot).map(({ pressure }) => pressure.value - snapshot.atmosphere)
  // what was said of an earlier visit says nothing of this one; what the work did stays done
  const clear = state.clear === 'said' ? undefined : state.clear
  let next: UnitState = { ...state, refrigerant, clear }
  if (refrigerant !== state.refrigerant)
    next = { ...next, sections: turnedInto(next, refrigerant) }
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

/** Pressure at the compressor after something was let in. */
const PRESSURE_OF: Readonly<Record<Filling, UnitState['pressure']>> = {
  nitrogen: 'zero',
  'nitrogen-pressure': 'above',
  trace: 'above',
  vacuum: 'below',
}

function atBegin(state: UnitState, effects: Effects, at: number): UnitState {
  const which = workedSections(state)
  let next = state
  const put = (change: Change) => {
    next = { ...next, ...change }
  }
  if (effects.isolates) put({ isolated: true })
  if (effects.opens)
    put({
      sections: holding(next, which, 'air', at),
      openedAt: next.openedAt ?? at,
      pressure: 'zero',
      vented: undefined,
    })
  if (effects.fills)
    put({
      sections: holding(next, which, effects.fills, at),
      pressure: PRESSURE_OF[effects.fills],
      vented: undefined,
      ...(effects.fills === 'nitrogen' ? {} : { openedAt: undefined }),
    })
  for (const what of effects.takesOff ?? [])
    if (next.off[what]?.state !== 'stays') {
      if (what === COVER) put(withCover(next, 'off', at))
      else put({ off: { ...next.off, [what]: { state: 'off', at } } })
    }
  if (effects.starts) put({ startedAt: next.startedAt ?? at })
  return next
}

function atEnd(state: UnitState, effects: Effects, goesIn: RefrigerantName | undefined, at: number): UnitState {
  let next = state
  const put = (change: Change) => {
    next = { ...next, ...change }
  }
  if (effects.pumpsDown)
    put({
      sections: { ...holding(next, ['high'], 'liquid', at), ...pick(holding(next, ['low', 'compressor'], 'vapour', at)) },
      shutIn: ['high'],
    })
  if (effects.isolates) put({ shutIn: ['high', 'low'] })
  if (effects.empties) put({ sections: holding(next, workedSections(next), 'vapour', at) })
  if (effects.charges) {
    const refrigerant = goesIn ?? next.refrigerant
    put({ refrigerant })
    put({
      sections: holding(next, workedSections(next), 'liquid', at, 'weighed'),
      shutIn: next.isolated ? next.shutIn : [],
      pressure: 'above',
      vented: undefined,
      clear: undefined,
      openedAt: undefined,
    })
  }
  if (effects.fills === 'vacuum') put({ mendings: [...next.mendings, { at, did: 'evacuated' }] })
  if (effects.charges) put({ mendings: [...next.mendings, { at, did: 'charged' }] })
  if (effects.joins) put({ isolated: false, shutIn: [] })
  for (const what of effects.putsBack ?? []) {
    if (what === COVER) put(withCover(next, 'on', at))
    else put({ off: { ...next.off, [what]: { state: 'back', at } } })
  }
  if (effects.holdsOpen !== undefined) put({ heldOpen: effects.holdsOpen })
  if (effects.water) put({ water: effects.water })
  if (effects.clears) put({ clear: 'done' })
  for (const did of effects.replaces ?? []) put({ mendings: [...next.mendings, { at, did }] })
  if (effects.replaces?.includes('oil') || effects.replaces?.includes('compressor'))
    put({ oil: { ...next.oil, changedAt: at } })
  return next
}
const pick = ({ low, compressor }: UnitState['sections']) => ({ low, compressor })

function after(state: UnitState, event: Timed, unit: Unit): UnitState {
  const { at } = event
  switch (event.type) {
    case 'set':
      return afterSet(state, unit, event.set, event.words, at)
    case 'word':
      return { ...state, ...WORDS[event.word](state, event.value, at) }
    case 'begin':
      return atBegin(state, event.effects, at)
    case 'end':
      return atEnd(state, event.effects, event.refrigerant, at)
    case 'off':
      if (event.what === COVER && event.state !== 'stays')
        return { ...state, ...withCover(state, event.state === 'off' ? 'off' : 'on', at) }
      return { ...state, off: { ...state.off, [event.what]: { state: event.state, at: known(at) } } }
    case 'bled':
      return {
        ...state,
        sections: turned(state, isNitrogenPressure, 'nitrogen', at),
        pressure: workedSections(state).some((section) => isNitrogenPressure(state.sections[section].contents))
          ? 'zero'
          : state.pressure,
      }
  }
}

/**
 * How the unit stands: contents by section, what is off, shut, held open, replaced, from the records of all rounds in the
 * order in which they happened.
 * @param effectsOf the effects of a step's task
 * @param until ms; what happened later is left out. Now where not given
 */
export function unitState(
  job: StateRecords & { readonly unit: Unit },
  effectsOf: EffectsOf,
  until = Infinity,
): UnitState {
  return timelineOf(job, effectsOf)
    .filter(({ at }) => at <= until)
    .reduce((state, event) => after(state, event, job.unit), asFound(job.unit))
}
