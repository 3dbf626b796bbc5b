import type { RandomSource } from '../base/numeric/random'
import { OBSERVATIONS, type ObservationKey } from '../record/readings/observations'
import type { Observations } from '../record/readings/schema'
import { canObserve } from '../record/equipment/observable'
import type { SimulatedFault } from './circuitFaults'
import type { Steady } from './steady'

const FREEZING = 273.15
/** Vapour in the liquid line that shows as bubbles, and a drop over a dryer that sweats or frosts it, K. */
const BUBBLES = 0.003
const DRYER_SWEATS = 4
/** A starved coil is wet on less than this share; a coil that ices whole on more than that. */
const STARVED_SHARE = 0.7
const WHOLE_SHARE = 0.85
/** Suction gas this near saturation sweats or frosts back to the compressor, K. */
const WET_SUCTION = 1.5
const PLAIN = 0.35
/** Severity from which a weighed charge is plainly off the plate. */
const LEAST_WEIGHED = 0.2

/** A word, or several of which one is met, as often as it stands in the list. */
type Words = { readonly [K in ObservationKey]?: string | readonly string[] }

/** Where frost or sweat begins, by temperatures and by how far the liquid reaches. */
function frost({ state }: Steady): string {
  const { liquid, evaporator, evaporatorCorners: low, afterCoil } = state
  // Liquid that expands in the line or in the dryer is cold from there on, before any device.
  const drop = liquid.leaving.temperature - liquid.afterDryer.temperature
  if (drop > DRYER_SWEATS && liquid.afterDryer.quality > 0) return 'after-dryer'
  const cold = low.bubble < FREEZING
  if (afterCoil.temperature - low.dew < WET_SUCTION) return 'suction-to-compressor'
  if (cold && evaporator.wetShare < STARVED_SHARE) {
    return evaporator.wetShare < STARVED_SHARE / 2 ? 'metering-device' : 'distributor-tubes'
  }
  return cold && evaporator.surface < FREEZING && evaporator.wetShare > WHOLE_SHARE ? 'whole-coil' : 'none'
}

const noPumpDown = { pumpDownTest: 'cannot-pull-down' } as const
const lessInside: (s: number) => Words = (s) => (s > LEAST_WEIGHED ? { weighedCharge: 'below-plate' } : {})
const LEAK_STAINS = [
  'none',
  'none',
  'joint',
  'joint',
  'line-set',
  'condenser-coil',
  'evaporator-coil',
] as const
const noStem = { stemResponse: 'none' } as const

/** What a fault shows beside the circuit's state, by severity; what is not named reads as on a sound unit. */
const TELLS: { readonly [F in SimulatedFault]?: (severity: number) => Words } = {
  undercharge: (s) => ({ ...lessInside(s), ...(s > PLAIN ? { oilStain: LEAK_STAINS } : {}) }),
  'access-fitting-leak': (s) => ({
    ...lessInside(s),
    oilStain: ['service-valve', 'service-valve', 'valve-stem', 'none'],
  }),
  'relief-plug-melted': (s) => ({
    ...lessInside(s),
    oilStain: ['condenser-coil', 'none'],
    reliefPlug: 'melted',
  }),
  'rv-pilot-tube-leak': (s) => ({ ...lessInside(s), oilStain: 'reversing-valve' }),
  overcharge: (s) => (s > LEAST_WEIGHED ? { weighedCharge: 'above-plate' } : {}),
  'service-valve-shut': () => ({ servicePortState: 'front-seated' }),
  'service-valve-damaged': (s) => (s > PLAIN ? { frostPattern: 'service-valve' } : {}),
  'liquid-solenoid-stuck-closed': () => ({ solenoidPull: 'none' }),
  'liquid-solenoid-leaking': () => noPumpDown,
  'txv-underfeeding': () => ({ bulbWarmResponse: 'none', ...noStem }),
  'txv-lost-bulb-charge': (s) => ({
    bulbWarmResponse: 'none',
    ...noStem,
    ...(s > PLAIN ? { bulbState: 'lost-charge-feel' } : {}),
  }),
  'txv-inlet-screen-plugged': (s) => ({
    inletScreen: 'plugged',
    bulbWarmResponse: s > 0.7 ? 'none' : 'opens',
    ...noStem,
    ...(s > PLAIN ? { oilAppearance: ['metal-flakes', 'dark', 'clear'] } : {}),
  }),
  'moisture-freeze-at-valve': () => ({
    bulbWarmResponse: 'none',
    ...noStem,
    comesAndGoes: 'yes',
    moistureIndicator: 'wet',
    warmValveResponse: 'flow-returned',
  }),
  'txv-overfeeding': () => ({ ...noStem, bulbIceResponse: 'stays-open' }),
  'eev-fault': () => noStem,
  'equalizer-broken-or-blocked': () => ({ equalizerState: ['blocked', 'broken'] }),
  'txv-bulb-loose': (s) => ({ bulbState: s > 0.5 ? 'loose' : 'uninsulated' }),
  'fixed-orifice-oversized': () => ({ orificeSize: 'wrong-or-unseated' }),
  'compressor-not-pumping': (s) =>
    s > PLAIN
      ? {
          ...noPumpDown,
          compressorNoise: ['rattling', 'rattling', 'loud', 'normal'],
          handValveTest: 'cannot-pull-down',
        }
      : {},
  'internal-relief-open': () => ({ reliefNoise: 'yes', reliefAfterRestart: 'stays-open', ...noPumpDown }),
  'reversing-valve-leaking-through': (s) =>
    s > PLAIN ? { reversingValveNoise: ['hiss', 'hiss', 'none'] } : {},
  'reversing-valve-stuck-mid': () => ({ reversingValveNoise: 'hiss', ...noPumpDown }),
  'condenser-fouled': (s) => ({ condenserCoil: 'dirty', ...(s > 0.9 ? { outdoorFan: 'off' } : {}) }),
  'condenser-water-low-flow': () => ({ waterStrainer: 'plugged-or-shut' }),
  'low-evaporator-airflow': (s) => ({ evaporatorCoil: 'dirty', ...(s > 0.95 ? { indoorFan: 'off' } : {}) }),
  'evaporator-fan-failed': () => ({ indoorFan: 'off' }),
  'defrost-failure': () => ({ evaporatorCoil: 'iced', frostPattern: 'whole-coil' }),
  'phase-reversed': () => ({ phaseSequence: 'reversed', compressorNoise: 'loud', ...noPumpDown }),
}

/** [practice] a part that is plainly seen to be broken is hardly ever called so by mistake; a broken one is overlooked. */
const PLAINLY_SEEN: { readonly [K in ObservationKey]?: readonly string[] } = {
  reliefPlug: ['melted'],
  equalizerState: ['broken', 'blocked'],
  bulbState: ['loose'],
  inletScreen: ['plugged'],
  overheatedValve: ['service-valve', 'expansion-valve', 'reversing-valve'],
  servicePortState: ['front-seated'],
  indoorFan: ['belt-off'],
  leadState: ['rubbed-through'],
  terminalLook: ['burnt'],
  evaporatorCoil: ['iced'],
}
/** Of the lapses that would say so, how many are made. */
const PLAIN_LAPSES = 0.02

/** A word said by mistake; the true one where nobody would say the other. */
function mistaken(key: ObservationKey, word: string, random: RandomSource): string {
  const words = OBSERVATIONS[key].values as readonly string[]
  const said = words[Math.floor(random() * words.length)] as string
  const isPlain = PLAINLY_SEEN[key]?.includes(said) ?? false
  return isPlain && random() >= PLAIN_LAPSES ? word : said
}

/** What a sound unit shows. */
const SOUND: { readonly [K in ObservationKey]?: string } = {
  compressorState: 'running',
  comesAndGoes: 'no',
  callForOperation: 'yes',
  indoorFan: 'running',
  outdoorFan: 'running',
  moistureIndicator: 'dry',
  oilStain: 'none',
  compressorNoise: 'normal',
  reliefNoise: 'no',
  reversingValveNoise: 'none',
  oilAppearance: 'clear',
  bulbState: 'tight-insulated',
  equalizerState: 'ok',
  inletScreen: 'clean',
  warmValveResponse: 'none',
  bulbWarmResponse: 'opens',
  stemResponse: 'answers',
  condenserCoil: 'clean',
  evaporatorCoil: 'clean',
  waterStrainer: 'clean-open',
  weighedCharge: 'at-plate',
  solenoidPull: 'pulls',
  reliefPlug: 'sound',
  orificeSize: 'right-seated',
  pumpDownTest: 'pulls-down',
  phaseSequence: 'correct',
  compressorShell: 'cold',
  breaker: 'holds',
  leadState: 'sound',
  contactorPoints: 'clean',
  loadVolts: 'live',
  controlVolts: 'live',
  lowPressureSwitch: 'closed',
  hardStart: 'starts',
  startGear: 'proven',
  jumpAtUnit: 'holds',
  jumpAtThermostat: 'holds',
  magnetPull: 'pulls',
  terminalLook: 'sound',
  groundPath: 'compressor-side',
  reliefAfterRestart: 'reseated',
  bulbIceResponse: 'closes',
  handValveTest: 'pulls-down',
  servicePortState: 'open',
  overheatedValve: 'none',
}
/** Where frost begins and what the sight glass shows, as the state and the fault have it. */
export function seenInState(steady: Steady): { readonly frostPattern: string; readonly sightGlass: string } {
  const own = tellsOf(steady).frostPattern
  const bubbles = steady.state.liquid.beforeDryer.quality > BUBBLES
  const state = { frostPattern: frost(steady), sightGlass: bubbles ? 'bubbles' : 'clear' }
  return {
    ...state,
    ...(typeof own === 'string' ? { frostPattern: own } : {}),
  }
}

const tellsOf = ({ question }: Steady): Words =>
  Object.assign({}, ...(question.faults ?? []).map(({ fault, severity }) => TELLS[fault]?.(severity) ?? {}))

/**
 * What a technician sees, hears and tries at a unit in a steady state.
 * @param keys observations to make; those that the unit does not have are left out
 * @param lapse share of observations that are simply mistaken
 * @param changed words that an electrical fault changes
 */
export function observe(
  steady: Steady,
  keys: readonly ObservationKey[],
  random: RandomSource,
  lapse: number,
  changed: { readonly [K in ObservationKey]?: string } = {},
): Observations {
  const { plate } = steady.sized
  const truth: Words = { ...SOUND, ...tellsOf(steady), ...seenInState(steady), ...changed }
  const seen: Record<string, string> = {}
  for (const key of keys) {
    const told = truth[key]
    if (told === undefined || !canObserve(plate, key)) continue
    const word = typeof told === 'string' ? told : (told[Math.floor(random() * told.length)] as string)
    seen[key] = random() < lapse ? mistaken(key, word, random) : word
  }
  return seen as Observations
}
