import { TRIPLE_POINT, WATER_GAS } from '../air/waterConstants'
import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { waterVapourPressure } from '../air/psychrometrics'
import { type Hose, inParallel } from './hose'

/** A circuit under a vacuum pump. SI. */
export type VacuumSetup = {
  readonly volume: number
  /** K, of the metal; water inside is colder while it boils */
  readonly temperature: number
  readonly pump: { readonly speed: number; readonly ultimate: number }
  /** ways to the pump side by side, each a row of hoses and cores */
  readonly ways: readonly (readonly Hose[])[]
  /** air coming in from outside, Pa m3/s */
  readonly leak: number
  /** refrigerant coming out of oil or past a closed valve, Pa m3/s at the start, and how fast it fades, s */
  readonly outgassing: { readonly flow: number; readonly fading: number }
}

export type VacuumState = {
  readonly seconds: number
  /** partial pressures, Pa */
  readonly air: number
  readonly vapour: number
  readonly refrigerant: number
  /** liquid water or ice left, kg, and its temperature, K */
  readonly water: number
  readonly waterTemperature: number
}

export type ValvePosition = 'open' | 'shut'

/** [physics] heat of evaporation, J/kg; heat capacity of water, J/(kg K). */
export const EVAPORATION_HEAT = 2.5e6
const WATER_HEAT = 4186
/** [memory] kg a second and pascal that leaves a wet film, and heat that reaches it from the metal, W/K. */
const EVAPORATION_RATE = 2.5e-8
export const METAL_TO_WATER = 0.6
const STEP = 1
const LEAST_WATER = 1e-9

/** A circuit that has been opened: full of air, with water inside. */
export const openedCircuit = (
  setup: VacuumSetup,
  water: number,
  atmosphere = SEA_LEVEL_PASCALS,
): VacuumState => ({
  seconds: 0,
  air: atmosphere,
  vapour: 0,
  refrigerant: 0,
  water,
  waterTemperature: setup.temperature,
})

export const totalPressure = ({ air, vapour, refrigerant }: VacuumState): number => air + vapour + refrigerant

/** Whether what water is left has frozen. */
export const isFrozen = ({ water, waterTemperature }: VacuumState): boolean =>
  water > LEAST_WATER && waterTemperature < TRIPLE_POINT

/** Pressure at the pump's inlet, Pa, and the speed that the system feels, m3/s. */
export function pumping(setup: VacuumSetup, system: number): { atPump: number; speed: number } {
  const { speed, ultimate } = setup.pump
  let atPump = system
  for (let round = 0; round < 30; round++) {
    const conductance = inParallel(setup.ways, (system + atPump) / 2)
    const own = speed * Math.max(1 - ultimate / Math.max(atPump, ultimate), 0)
    const next = Math.max((system * conductance) / (conductance + own), Math.min(ultimate, system))
    if (Math.abs(next - atPump) < 1e-6 * system) break
    atPump = (atPump + next) / 2
  }
  const conductance = inParallel(setup.ways, (system + atPump) / 2)
  return { atPump, speed: (conductance * Math.max(system - atPump, 0)) / system }
}

/** One partial pressure after a step: inflow against pumping, exact for constant rates. */
const filled = (pressure: number, inflow: number, speed: number, volume: number, seconds: number): number => {
  if (speed <= 0) return pressure + (inflow * seconds) / volume
  const settled = inflow / speed
  return settled + (pressure - settled) * Math.exp((-speed * seconds) / volume)
}

function step(setup: VacuumSetup, state: VacuumState, valve: ValvePosition): VacuumState {
  const { volume, temperature } = setup
  const speed = valve === 'open' ? pumping(setup, totalPressure(state)).speed : 0
  const outgassing = setup.outgassing.flow * Math.exp(-state.seconds / setup.outgassing.fading)
  const saturation = waterVapourPressure(state.waterTemperature)
  // Vapour rises toward saturation at the water while the pump takes it away.
  const gain = state.water > LEAST_WATER ? (EVAPORATION_RATE * WATER_GAS * temperature) / volume : 0
  const total = gain + speed / volume
  const settled = total > 0 ? (gain * saturation) / total : state.vapour
  const vapour = settled + (state.vapour - settled) * Math.exp(-total * STEP)
  const meanVapour = (vapour + state.vapour) / 2
  const wanted = gain > 0 ? EVAPORATION_RATE * (saturation - meanVapour) * STEP : 0
  const boiled = Math.min(wanted, state.water)
  const water = state.water - boiled
  const heat = METAL_TO_WATER * (temperature - state.waterTemperature) * STEP - boiled * EVAPORATION_HEAT
  const inertia = Math.max(state.water, 0.002) * WATER_HEAT
  return {
    seconds: state.seconds + STEP,
    air: filled(state.air, setup.leak, speed, volume, STEP),
    vapour: boiled < wanted ? state.vapour * Math.exp((-speed / volume) * STEP) : vapour,
    refrigerant: filled(state.refrigerant, outgassing, speed, volume, STEP),
    water,
    waterTemperature: Math.min(state.waterTemperature + heat / inertia, temperature),
  }
}

/** The state after some whole seconds of pumping, or of standing with the valve shut. */
export function evacuate(
  setup: VacuumSetup,
  state: VacuumState,
  seconds: number,
  valve: ValvePosition,
): VacuumState {
  let here = state
  for (let i = 0; i < seconds; i += STEP) here = step(setup, here, valve)
  return here
}

/** Seconds of pumping until a total pressure is reached; undefined where that takes longer than the limit. */
export function timeToReach(
  setup: VacuumSetup,
  state: VacuumState,
  pascals: number,
  limitSeconds: number,
): number | undefined {
  let here = state
  while (here.seconds - state.seconds < limitSeconds) {
    if (totalPressure(here) <= pascals) return here.seconds - state.seconds
    here = step(setup, here, 'open')
  }
  return undefined
}
