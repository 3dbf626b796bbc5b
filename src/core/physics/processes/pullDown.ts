import { waterVapourPressure } from '../air/psychrometrics'
import { EVAPORATION_HEAT, METAL_TO_WATER, pumping, type VacuumSetup } from './vacuum'
import { WATER_GAS } from '../air/waterConstants'

/** What a pull is calculated from. SI. */
export type Pull = Pick<VacuumSetup, 'volume' | 'temperature' | 'pump' | 'ways'> & {
  /** water to boil off, kg */
  readonly water: number
  /** gas that keeps coming through a leak, Pa m3/s */
  readonly inflow: number
  /** gas that comes out of oil and walls at first, Pa m3/s; it fades with the inverse of time */
  readonly outgassing: number
  /** factor on what the pump takes from this volume */
  readonly speedFactor: number
  /** factor on what the hoses alone carry: it tells late, where they are what holds the pull up */
  readonly hoseFactor: number
  /** factor on the water that leaves at a vapour pressure */
  readonly drying: number
  /** what the way through the circuit to its far side carries for each pascal of mean pressure, m3/(s Pa); undefined where
   * both sides are pumped */
  readonly inner: number | undefined
  /** vapour over the water against what boils freely: less where it lies deep or under oil */
  readonly plateau: number
}

/** Where a pull stands: pressure of gas and of water vapour at the near side, of both at the far side, Pa, and water left, kg. */
export type PullState = {
  readonly seconds: number
  readonly gas: number
  readonly far: number
  readonly water: number
  readonly vapour: number
}

/** [memory] time after which oil and walls give half as much gas, s. */
const FADING = 120
const COLDEST = 200
/** A step lets a pressure fall by this share at most, and the water by this one. */
const GAS_STEP = 0.12
/** A way inside the circuit that carries this many times what the pump takes is no way at all. */
const WIDE = 4
const WATER_STEP = 0.16
const LEAST_STEP = 0.5
const LONGEST_STEP = 120
const DRY = 2e-6
/** [memory] what a tube of a circuit carries in molecular flow, m3/s. */
const LEAST_INNER = 2e-5

const NODES = 48
const LOW = 1
const HIGH = 120_000

/** A function of a positive number, calculated once on a logarithmic grid and looked up between its nodes after. */
function tabled(of: (x: number) => number, low: number, high: number): (x: number) => number {
  const step = Math.log(high / low) / (NODES - 1)
  const values = Array.from({ length: NODES }, (_node, i) => of(low * Math.exp(i * step)))
  return (x) => {
    const at = Math.min(Math.max(Math.log(Math.max(x, low) / low) / step, 0), NODES - 1.001)
    const left = Math.floor(at)
    return (values[left] as number) * (1 - (at - left)) + (values[left + 1] as number) * (at - left)
  }
}

/** Vapour pressure of water, Pa, that boils as fast as heat reaches it and the pump takes it, m3/s. */
function boilingPressure(speed: number, temperature: number): number {
  let [cold, warm] = [COLDEST, temperature]
  for (let round = 0; round < 24; round += 1) {
    const kelvin = (cold + warm) / 2
    const flow = (speed * waterVapourPressure(kelvin)) / (WATER_GAS * temperature)
    if (flow * EVAPORATION_HEAT > METAL_TO_WATER * (temperature - kelvin)) warm = kelvin
    else cold = kelvin
  }
  return waterVapourPressure((cold + warm) / 2)
}

/** What of a pull does not depend on what is not known of it: looked up while courses are calculated. */
export type PullCurves = {
  /** speed that the system feels against its pressure, m3/s, by factors on pump and hoses */
  readonly speed: (pascals: number, pumpFactor: number, hoseFactor: number) => number
  /** vapour pressure of boiling water against that speed, Pa */
  readonly boiling: (speed: number) => number
}

/** A pump that takes almost nothing any more still takes this, m3/s. */
const LEAST_SPEED = 1e-9

export const pullCurves = (setup: Pick<Pull, 'pump' | 'ways' | 'volume' | 'temperature'>): PullCurves => {
  const whole: VacuumSetup = { ...setup, leak: 0, outgassing: { flow: 0, fading: 1 } }
  const alone = (pascals: number) =>
    Math.max(
      setup.pump.speed * (1 - setup.pump.ultimate / Math.max(pascals, setup.pump.ultimate)),
      LEAST_SPEED,
    )
  const felt = tabled((pascals) => Math.max(pumping(whole, pascals).speed, LEAST_SPEED), LOW, HIGH)
  return {
    speed: (pascals, pumpFactor, hoseFactor) => {
      const [pump, both] = [alone(pascals), felt(pascals)]
      // what the hoses hold back stands in a row with the pump
      const hoses = Math.max(1 / both - 1 / pump, 0)
      return 1 / (1 / (pump * pumpFactor) + hoses / hoseFactor)
    },
    boiling: tabled((speed) => boilingPressure(speed, setup.temperature), 1e-8, 0.1),
  }
}

const nearPressure = ({ gas, vapour }: PullState) => gas + vapour

/** What a gauge on the far side shows, Pa. */
export const pullPressure = (state: PullState): number => Math.max(state.far, nearPressure(state))

/** Water of a state: whether it boils at the pressure there, and how fast it leaves, kg/s. */
function boilOff(pull: Pull, here: PullState, curves: PullCurves, speed: number) {
  const isWet = here.water > DRY
  const boiling = isWet ? curves.boiling(speed) * pull.plateau : 0
  return {
    isWet,
    boiling,
    flow: (pull.drying * speed * boiling) / (WATER_GAS * pull.temperature),
    // water boils only where the pressure lets it
    isBoiling: isWet && here.gas < boiling * 6,
  }
}

/**
 * A pull from a pressure on, quasi-steady: gas that the pump takes through its hoses against what keeps coming in, water that
 * boils as heat reaches it, a far side that empties only while it stands above the near one [physics]. Coarser than
 * `evacuate`, and quick enough to be drawn by the hundred.
 * @param until Pa; the course ends there or at the limit, s
 */
export function pullCourse(
  pull: Pull,
  start: number,
  until: number,
  limit: number,
  curves = pullCurves(pull),
): PullState[] {
  const { volume, inflow, outgassing, speedFactor, hoseFactor, inner } = pull
  let here: PullState = { seconds: 0, gas: start, far: start, water: pull.water, vapour: 0 }
  const course = [here]
  while (here.seconds < limit && pullPressure(here) > until) {
    const total = nearPressure(here)
    const speed = curves.speed(total, speedFactor, hoseFactor)
    const boil = boilOff(pull, here, curves, speed)
    const way = inner === undefined ? Infinity : (inner * (total + here.far)) / 2 + LEAST_INNER
    // a wide way makes one room of both sides
    const isOne = way > WIDE * speed
    const [near, carried] = isOne ? [volume, 0] : [volume / 2, way]
    const coming = inflow + outgassing / (1 + here.seconds / FADING)
    // each side gives half of what comes in
    const farComing = isOne ? 0 : coming / 2
    // gas goes over to where the pressure is lower, whatever the vapour
    const settled = (coming - farComing + carried * Math.max(here.far - here.vapour, 0)) / (speed + carried)
    const farSettled = total + farComing / Math.max(carried, LEAST_INNER)
    const isSettled = isNear(here.gas, settled) && isNear(here.far, farSettled)
    const step = stepOf([
      isSettled ? LONGEST_STEP : (GAS_STEP * volume) / speed,
      boil.isBoiling ? (Math.max(here.water * WATER_STEP, DRY) + DRY) / boil.flow : LONGEST_STEP,
      0.1 * (FADING + here.seconds),
    ])
    const gas = settled + (here.gas - settled) * Math.exp((-(speed + carried) * step) / near)
    const vapour = vapourAfter(here, { ...boil, fall: Math.exp((-speed * step) / volume) })
    here = {
      seconds: here.seconds + step,
      gas,
      far: isOne ? gas + vapour : farSettled + (here.far - farSettled) * Math.exp((-carried * step) / near),
      water: boil.isBoiling ? Math.max(here.water - boil.flow * step, 0) : here.water,
      vapour,
    }
    course.push(here)
    const isLasting = inflow / speed > until
    if (isLasting && isSettled && !boil.isWet && here.vapour < 0.01 * settled) break
  }
  return course
}

const isNear = (value: number, settled: number) => Math.abs(value - settled) < 0.02 * settled

const stepOf = (wanted: readonly number[]) =>
  Math.min(Math.max(Math.min(...wanted), LEAST_STEP), LONGEST_STEP)

type Boil = {
  readonly boiling: number
  readonly isBoiling: boolean
  readonly isWet: boolean
  readonly fall: number
}

const vapourAfter = ({ vapour }: PullState, { boiling, isBoiling, isWet, fall }: Boil): number => {
  if (isBoiling) return boiling
  return isWet ? Math.min(boiling, vapour + boiling * (1 - fall)) : vapour * fall
}

/** Pressure of a course at a time, between its points on a logarithm; after its end the last. */
export function courseAt(course: readonly PullState[], seconds: number): number {
  let [low, high] = [0, course.length - 1]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if ((course[middle] as PullState).seconds <= seconds) low = middle
    else high = middle
  }
  const [a, b] = [course[low] as PullState, course[high] as PullState]
  if (b.seconds <= a.seconds || seconds >= b.seconds) return pullPressure(b)
  const share = Math.max((seconds - a.seconds) / (b.seconds - a.seconds), 0)
  return Math.exp(Math.log(pullPressure(a)) * (1 - share) + Math.log(pullPressure(b)) * share)
}
