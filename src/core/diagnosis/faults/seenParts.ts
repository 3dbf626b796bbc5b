import type { FaultId } from './faults'
import type { WordKey } from '../evidence/wordKey'

/** A word that names a part: what is seen there outranks any pattern (handbook 13). */
export type SeenPart = {
  readonly key: WordKey
  readonly word: string
  /** what is seen; the first that the unit can have in its mode */
  readonly faults: readonly FaultId[]
  /** suspects that it brings about: its consequence, not a second fault */
  readonly causes: readonly FaultId[]
}

const LEAKS = [
  'undercharge',
  'charge-lost',
  'access-fitting-leak',
  'relief-plug-melted',
  'rv-pilot-tube-leak',
] as const satisfies readonly FaultId[]
/** A switch that opens on a lost charge did its job. */
const LEAKED = [...LEAKS, 'control-open'] as const satisfies readonly FaultId[]
const STARVED = [
  'txv-underfeeding',
  'txv-lost-bulb-charge',
  'txv-inlet-screen-plugged',
  'txv-set-too-closed',
  'moisture-freeze-at-valve',
  'eev-fault',
] as const satisfies readonly FaultId[]
const BLOCKED_LINE = [
  'liquid-line-restriction',
  'plugged-liquid-dryer',
  'liquid-solenoid-stuck-closed',
  'service-valve-damaged',
  'service-valve-shut',
] as const satisfies readonly FaultId[]
const LOW_AIR = [
  'low-evaporator-airflow',
  'evaporator-fan-failed',
  'defrost-failure',
] as const satisfies readonly FaultId[]

/** [practice] words that name a part, and what each can cause and no more. */
export const SEEN_PARTS: readonly SeenPart[] = [
  { key: 'reliefPlug', word: 'melted', faults: ['relief-plug-melted'], causes: LEAKED },
  {
    key: 'equalizerState',
    word: 'broken',
    faults: ['equalizer-broken-or-blocked'],
    causes: [...LEAKED, ...STARVED, 'txv-overfeeding'],
  },
  {
    key: 'equalizerState',
    word: 'blocked',
    faults: ['equalizer-broken-or-blocked'],
    causes: [...STARVED, 'txv-overfeeding'],
  },
  { key: 'bulbState', word: 'loose', faults: ['txv-bulb-loose'], causes: ['txv-overfeeding'] },
  {
    key: 'inletScreen',
    word: 'plugged',
    faults: ['txv-inlet-screen-plugged'],
    causes: [...STARVED, 'control-open'],
  },
  {
    key: 'overheatedValve',
    word: 'service-valve',
    faults: ['service-valve-damaged'],
    causes: [...BLOCKED_LINE, ...LEAKED],
  },
  {
    key: 'overheatedValve',
    word: 'expansion-valve',
    faults: ['txv-underfeeding', 'eev-fault'],
    causes: [...STARVED, 'txv-overfeeding'],
  },
  {
    key: 'overheatedValve',
    word: 'reversing-valve',
    faults: ['reversing-valve-leaking-through'],
    causes: ['reversing-valve-stuck-mid', 'check-valve-leaking', 'compressor-not-pumping'],
  },
  {
    key: 'servicePortState',
    word: 'front-seated',
    faults: ['service-valve-shut'],
    causes: [...BLOCKED_LINE, 'undercharge', 'control-open', 'suction-line-restriction'],
  },
  {
    key: 'indoorFan',
    word: 'belt-off',
    faults: ['evaporator-fan-failed', 'condenser-fouled'],
    causes: LOW_AIR,
  },
  { key: 'leadState', word: 'rubbed-through', faults: ['wire-rubbed-to-ground'], causes: [] },
  {
    key: 'terminalLook',
    word: 'burnt',
    faults: ['terminal-plug-burnt'],
    causes: ['contactor-failed', 'supply-fault'],
  },
  { key: 'windingsAtTerminals', word: 'sound-there', faults: ['terminal-plug-burnt'], causes: [] },
  { key: 'heater', word: 'open', faults: ['crankcase-heater-open'], causes: [] },
  {
    key: 'compressorInside',
    word: 'broken',
    faults: ['compressor-broken-inside'],
    causes: ['compressor-locked-rotor', 'compressor-not-pumping', 'compressor-overload-open'],
  },
  {
    key: 'shaftTurns',
    word: 'stuck',
    faults: ['compressor-broken-inside'],
    causes: ['compressor-locked-rotor', 'compressor-overload-open'],
  },
]

/** What a word names; undefined where it is one of a pattern. */
export const seenPart = (key: WordKey, word: string): SeenPart | undefined =>
  SEEN_PARTS.find((each) => each.key === key && each.word === word)
