import type { ReadingKey } from '../record/readings/vocabulary'
import { READING_KEYS, readingRow } from '../record/readings/vocabulary'
import { airEnthalpy, airHeatCapacity } from '../physics/air/moistAir'
import { airLeaving, leavingCondenser, leavingEvaporator } from './airSide'
import { type FullConditions, isBox, isPool } from './conditions'
import { lagged } from './instruments'
import { type Simulator, simulateSteady, type Steady, type SteadyQuestion } from './steady'
import { asMoistAir } from './stream'
import { TON_WATTS } from './ratingPoint'
import { trueReadings, type Truth } from './trueReadings'

/** A room or box that the unit cools or heats. */
export type Space = {
  /** J/K of air, walls and what stands inside */
  readonly heatCapacity: number
  /** W/K to outdoors */
  readonly conductance: number
  /** W from people, machines, product */
  readonly gain: number
}

/** A unit that runs while time passes; values, not objects with a life: every step gives a new one. */
export type Run = {
  readonly simulator: Simulator
  readonly question: SteadyQuestion
  readonly space: Space | undefined
  readonly steady: Steady
  /** what the pipes, the air and the meters are at now, SI */
  readonly now: Truth
  readonly seconds: number
}

/** [memory] time constants, s: pressures follow at once, pipes in a minute or two, a shell in a quarter of an hour. */
const BY_KIND: Partial<Record<string, number>> = {
  pressure: 15,
  temperature: 75,
  current: 4,
  voltage: 1,
  humidity: 60,
}
const BY_KEY: Partial<Record<ReadingKey, number>> = {
  supplyAirTemp: 40,
  supplyAirWetBulb: 40,
  returnAirTemp: 5,
  boxTemp: 5,
  outdoorAirTemp: 5,
  meteringOutletTemp: 25,
  evaporatorOutletTemp: 45,
  liquidLineTemp: 60,
  waterOutTemp: 30,
  dischargeLineTemp: 150,
  rvDischargeTemp: 150,
  rvHotOutTemp: 150,
  compressorShellTemp: 900,
}
const STANDING: readonly ReadingKey[] = [
  'standingPressure',
  'standingSuctionPressure',
  'standingLiquidPressure',
  'lowCutIn',
  'lowCutOut',
]

/** Time constant of a reading, s. */
export const timeConstant = (key: ReadingKey): number => BY_KEY[key] ?? BY_KIND[readingRow(key).kind] ?? 1

/** [memory] a tank of a house or a stocked box a ton, and the share of the load that comes through its walls at design. */
const COMFORT_CAPACITY_PER_TON = 4e6
const BOX_CAPACITY_PER_TON = 0.9e6
const LOAD_SHARE = 0.7
const WALL_SHARE = 0.6
const DESIGN_DIFFERENCE = 11

/** An ordinary space for a unit: at design it needs seven tenths of the capacity. Pools do not change in a visit. */
export function usualSpace({ sized }: Simulator): Space | undefined {
  if (isPool(sized.plate)) return undefined
  const watts = sized.cooling.nominalCapacity
  const perTon = isBox(sized.plate) ? BOX_CAPACITY_PER_TON : COMFORT_CAPACITY_PER_TON
  return {
    heatCapacity: (perTon * watts) / TON_WATTS,
    conductance: (LOAD_SHARE * WALL_SHARE * watts) / (DESIGN_DIFFERENCE * (isBox(sized.plate) ? 3 : 1)),
    gain: LOAD_SHARE * (1 - WALL_SHARE) * watts,
  }
}

/** How long one quasi-steady state is held before the space has moved enough for another, s. */
const RESOLVE_SECONDS = 20

/**
 * Begins a run.
 * @param from values at the start (a unit just switched on shows ambient and standing pressure); steady where left out
 * @throws OrzoError not-simulated
 */
export function beginRun(
  simulator: Simulator,
  question: SteadyQuestion,
  options: { readonly space?: Space | undefined; readonly from?: Truth } = {},
): Run {
  const steady = simulateSteady(simulator, question)
  return {
    simulator,
    question,
    space: options.space,
    steady,
    now: { ...trueReadings(steady), ...options.from },
    seconds: 0,
  }
}

/** Sensible heat taken out of the space, W; negative in heating. */
function takenFromSpace({ state, mode }: Steady): number {
  const stream = mode === 'cooling' ? state.streams.evaporator : state.streams.condenser
  if (stream.entering.kind !== 'air') return 0
  const leaving = mode === 'cooling' ? leavingEvaporator(state) : leavingCondenser(state)
  const out = airLeaving(stream, leaving)
  if (!out) return 0
  const air = asMoistAir(stream.entering)
  const sensible = airHeatCapacity(air) * (air.temperature - out.temperature)
  return (
    stream.massFlow * Math.min(sensible, mode === 'cooling' ? airEnthalpy(air) - airEnthalpy(out) : sensible)
  )
}

function warmedSpace(run: Run, seconds: number): FullConditions {
  const { steady, space } = run
  if (!space) return steady.conditions
  const box = isBox(steady.sized.plate)
  const temperature = box ? steady.conditions.boxTemp : steady.conditions.returnAirTemp
  const into = space.gain + space.conductance * (steady.conditions.outdoorAirTemp - temperature)
  const next = temperature + ((into - takenFromSpace(steady)) * seconds) / space.heatCapacity
  return box ? { ...steady.conditions, boxTemp: next } : { ...steady.conditions, returnAirTemp: next }
}

/** Conditions as a question takes them. */
function asQuestion({ returnAirWetBulb, ...rest }: FullConditions): SteadyQuestion['conditions'] {
  const cooled = returnAirWetBulb === undefined ? undefined : Math.min(returnAirWetBulb, rest.returnAirTemp)
  return cooled === undefined ? rest : { ...rest, returnAirWetBulb: cooled }
}

function follow(now: Truth, target: Truth, seconds: number): Truth {
  const out: { [K in ReadingKey]?: number } = {}
  for (const key of READING_KEYS) {
    const wanted = target[key]
    if (wanted === undefined) continue
    out[key] = STANDING.includes(key)
      ? wanted
      : lagged(now[key] ?? wanted, wanted, seconds, timeConstant(key))
  }
  return out
}

/**
 * Lets time pass: the space moves, the circuit follows it, every reading follows with its own time constant. The result
 * depends on nothing but the run and the seconds.
 * @throws OrzoError not-simulated where the moving space leaves what the circuit can do
 */
export function advanceRun(run: Run, seconds: number): Run {
  let here = run
  for (let left = seconds; left > 0; left -= RESOLVE_SECONDS) {
    const step = Math.min(left, RESOLVE_SECONDS)
    const conditions = asQuestion(warmedSpace(here, step))
    const question = { ...here.question, ...(conditions ? { conditions } : {}) }
    const steady = here.space ? simulateSteady(here.simulator, question) : here.steady
    here = {
      simulator: here.simulator,
      question,
      space: here.space,
      steady,
      now: follow(here.now, trueReadings(steady), step),
      seconds: here.seconds + step,
    }
  }
  return here
}

/** The same unit with other faults from now on: readings go on from where they are. @throws OrzoError not-simulated */
export function changeFaults(run: Run, faults: NonNullable<SteadyQuestion['faults']>): Run {
  const question = { ...run.question, faults }
  return { ...run, question, steady: simulateSteady(run.simulator, question) }
}
