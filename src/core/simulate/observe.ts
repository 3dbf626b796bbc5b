import type { RandomSource } from '../numeric/random'
import { OBSERVATIONS, type ObservationKey } from '../readings/observations'
import type { Observations } from '../readings/schema'
import { hasReversingValve } from '../job/reversing'
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

type Words = { readonly [K in ObservationKey]?: string }

/** Where frost or sweat begins, by temperatures and by how far the liquid reaches. */
function frost({ state }: Steady): string {
  const { liquid, evaporator, evaporatorCorners: low, afterCoil } = state
  if (liquid.beforeDryer.temperature - liquid.afterDryer.temperature > DRYER_SWEATS) return 'after-dryer'
  const cold = low.bubble < FREEZING
  if (afterCoil.temperature - low.dew < WET_SUCTION) return 'suction-to-compressor'
  if (cold && evaporator.wetShare < STARVED_SHARE) {
    return evaporator.wetShare < STARVED_SHARE / 2 ? 'metering-device' : 'distributor-tubes'
  }
  return cold && evaporator.surface < FREEZING && evaporator.wetShare > WHOLE_SHARE ? 'whole-coil' : 'none'
}

/** What a fault shows beside the circuit's state, by severity; what is not named reads as on a sound unit. */
const TELLS: { readonly [F in SimulatedFault]?: (severity: number) => Words } = {
  undercharge: (s) => (s > PLAIN ? { oilStain: 'joint' } : {}),
  'access-fitting-leak': () => ({ oilStain: 'service-valve' }),
  'relief-plug-melted': () => ({ oilStain: 'condenser-coil' }),
  'txv-underfeeding': () => ({ bulbWarmResponse: 'none' }),
  'txv-lost-bulb-charge': (s) => ({
    bulbWarmResponse: 'none',
    ...(s > PLAIN ? { bulbState: 'lost-charge-feel' } : {}),
  }),
  'txv-inlet-screen-plugged': (s) => ({
    bulbWarmResponse: s > 0.7 ? 'none' : 'opens',
    ...(s > PLAIN ? { oilAppearance: 'metal-flakes' } : {}),
  }),
  'moisture-freeze-at-valve': () => ({
    bulbWarmResponse: 'none',
    moistureIndicator: 'wet',
    warmValveResponse: 'flow-returned',
  }),
  'txv-bulb-loose': (s) => ({ bulbState: s > 0.5 ? 'loose' : 'uninsulated' }),
  'compressor-not-pumping': (s) =>
    s > PLAIN ? { pumpDownTest: 'cannot-pull-down', compressorNoise: 'rattling' } : {},
  'internal-relief-open': () => ({ reliefNoise: 'yes', pumpDownTest: 'cannot-pull-down' }),
  'reversing-valve-leaking-through': (s) => (s > PLAIN ? { reversingValveNoise: 'hiss' } : {}),
  'reversing-valve-stuck-mid': () => ({ reversingValveNoise: 'hiss', pumpDownTest: 'cannot-pull-down' }),
  'condenser-fouled': (s) => (s > 0.9 ? { outdoorFan: 'off' } : {}),
  'low-evaporator-airflow': (s) => (s > 0.95 ? { indoorFan: 'off' } : {}),
  'evaporator-fan-failed': () => ({ indoorFan: 'off' }),
  'phase-reversed': () => ({
    phaseSequence: 'reversed',
    compressorNoise: 'loud',
    pumpDownTest: 'cannot-pull-down',
  }),
}

/** What a sound unit shows. */
const SOUND: Words = {
  compressorState: 'running',
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
  warmValveResponse: 'none',
  bulbWarmResponse: 'opens',
  pumpDownTest: 'pulls-down',
  phaseSequence: 'correct',
}
const VALVE_ONLY: readonly ObservationKey[] = [
  'bulbState',
  'bulbWarmResponse',
  'warmValveResponse',
  'equalizerState',
]

/**
 * What a technician sees, hears and tries at a unit in a steady state.
 * @param keys observations to make; those that the unit does not have are left out
 * @param lapse share of observations that are simply mistaken
 */
export function observe(
  steady: Steady,
  keys: readonly ObservationKey[],
  random: RandomSource,
  lapse: number,
): Observations {
  const { plate } = steady.sized
  const isValve = plate.metering === 'txv'
  const tells = (steady.question.faults ?? []).map(({ fault, severity }) => TELLS[fault]?.(severity) ?? {})
  const bubbles = steady.state.liquid.beforeDryer.quality > BUBBLES
  const truth: Words = Object.assign(
    {},
    SOUND,
    { frostPattern: frost(steady), sightGlass: bubbles ? 'bubbles' : 'clear' },
    ...tells,
  )
  const seen: Record<string, string> = {}
  for (const key of keys) {
    const word = truth[key]
    const absent =
      (key === 'reversingValveNoise' && !hasReversingValve(plate)) || (VALVE_ONLY.includes(key) && !isValve)
    if (word === undefined || absent) continue
    const words = OBSERVATIONS[key].values as readonly string[]
    const mistaken = random() < lapse
    seen[key] = mistaken ? (words[Math.floor(random() * words.length)] as string) : word
  }
  return seen as Observations
}
