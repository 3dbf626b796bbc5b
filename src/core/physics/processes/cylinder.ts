import type { RefrigerantName } from '../refrigerants/catalogue'
import { saturatedState, saturationPressure } from '../refrigerants/saturation'

/** A cylinder on the scale. SI. */
export type Cylinder = {
  readonly refrigerant: RefrigerantName
  /** refrigerant inside, kg */
  readonly mass: number
  /** K of liquid and steel */
  readonly temperature: number
  /** heat capacity of the steel, J/K, and heat from the air round it, W/K */
  readonly steel: number
  readonly conductance: number
}

/** What the cylinder gives: liquid from the dip tube or vapour from the top. */
export type Drawn = 'liquid' | 'vapour'

/** [memory] a 30 lb cylinder of thin steel in still air. */
export const USUAL_CYLINDER = { steel: 3000, conductance: 2.5 } as const
const STEP = 1
const LEAST_MASS = 0.02

/** Pressure inside, Pa absolute: of the boiling liquid. @throws OrzoError out-of-range */
export const cylinderPressure = ({ refrigerant, temperature }: Cylinder): number =>
  saturationPressure(refrigerant, 'bubble', temperature)

/** Flow through a hose and a valve by a pressure drop, kg/s: area with its discharge coefficient, m2. */
function drawnFlow(cylinder: Cylinder, drawn: Drawn, area: number, behind: number): number {
  const pressure = cylinderPressure(cylinder)
  const line = drawn === 'liquid' ? 'bubble' : 'dew'
  const { density } = saturatedState(cylinder.refrigerant, line, cylinder.temperature)
  const drop = Math.max(pressure - Math.max(behind, drawn === 'vapour' ? 0.55 * pressure : 0), 0)
  return area * Math.sqrt(2 * density * drop)
}

export type Charging = { readonly cylinder: Cylinder; readonly given: number; readonly seconds: number }

/**
 * Charging by weight: the cylinder gives until the time or the wanted weight is reached. Vapour drawn boils liquid and
 * cools the cylinder; liquid leaves almost without cooling it.
 * @param behind pressure in the system, Pa, as a function of the weight given (kg) so far
 * @throws OrzoError out-of-range where the cylinder cools below the refrigerant's table
 */
export function charge(
  start: Cylinder,
  options: {
    readonly drawn: Drawn
    readonly area: number
    readonly behind: (given: number) => number
    readonly wanted: number
    readonly seconds: number
    /** K */
    readonly air: number
  },
): Charging {
  let cylinder = start
  let [given, seconds] = [0, 0]
  while (seconds < options.seconds && given < options.wanted && cylinder.mass > LEAST_MASS) {
    const flow = drawnFlow(cylinder, options.drawn, options.area, options.behind(given))
    const taken = Math.min(flow * STEP, options.wanted - given, cylinder.mass - LEAST_MASS)
    const liquid = saturatedState(cylinder.refrigerant, 'bubble', cylinder.temperature)
    const vapour = saturatedState(cylinder.refrigerant, 'dew', cylinder.temperature)
    // What leaves as liquid is replaced by its own volume of vapour.
    const boiled = options.drawn === 'vapour' ? taken : (taken * vapour.density) / liquid.density
    const inertia = cylinder.steel + cylinder.mass * liquid.heatCapacity
    const heat =
      cylinder.conductance * (options.air - cylinder.temperature) * STEP -
      boiled * (vapour.enthalpy - liquid.enthalpy)
    cylinder = {
      ...cylinder,
      mass: cylinder.mass - taken,
      temperature: cylinder.temperature + heat / inertia,
    }
    given += taken
    seconds += STEP
  }
  return { cylinder, given, seconds }
}

/** A recovery machine: liquid as fast as its passage, vapour by its swept volume. */
export type RecoveryMachine = {
  readonly liquidFlow: number
  readonly swept: number
  readonly stopsAt: number
}
/** [memory] a small oil-less machine: kg/s of liquid, m3/s of vapour, and the pressure at which it stops, Pa. */
export const USUAL_MACHINE: RecoveryMachine = { liquidFlow: 0.03, swept: 1.2e-4, stopsAt: 67_000 }

/** A circuit being emptied: what is in it and how warm its metal keeps it. */
export type Emptying = {
  readonly refrigerant: RefrigerantName
  readonly mass: number
  readonly volume: number
  readonly temperature: number
  /** metal, J/K, and heat from the air, W/K */
  readonly metal: number
  readonly conductance: number
}

export type Recovery = {
  readonly system: Emptying
  readonly cylinder: Cylinder
  readonly recovered: number
  readonly seconds: number
  /** Pa absolute at the end */
  readonly pressure: number
}

/** Pressure in a circuit that holds a mass: saturation while there is liquid, else by density. */
function systemPressure({ refrigerant, mass, volume, temperature }: Emptying): number {
  const { density } = saturatedState(refrigerant, 'dew', temperature)
  return saturationPressure(refrigerant, 'dew', temperature) * Math.min(mass / volume / density, 1)
}

/**
 * Recovery until the machine stops or the time is over: liquid first, then vapour that boils off and cools what is left.
 * @param air K round the circuit and the cylinder
 */
export function recover(
  start: Emptying,
  into: Cylinder,
  machine: RecoveryMachine,
  options: { readonly seconds: number; readonly air: number; readonly liquidFirst: number },
): Recovery {
  let system = start
  let cylinder = into
  let [recovered, seconds] = [0, 0]
  while (seconds < options.seconds && systemPressure(system) > machine.stopsAt) {
    const vapour = saturatedState(system.refrigerant, 'dew', system.temperature)
    const liquid = saturatedState(system.refrigerant, 'bubble', system.temperature)
    const asLiquid = recovered < options.liquidFirst
    const gasDensity = Math.min(system.mass / system.volume, vapour.density)
    const taken = Math.min(asLiquid ? machine.liquidFlow : machine.swept * gasDensity, system.mass) * STEP
    const latent = vapour.enthalpy - liquid.enthalpy
    const isWet = system.mass / system.volume > vapour.density
    const boiled = asLiquid ? 0 : isWet ? taken : 0
    const heat = system.conductance * (options.air - system.temperature) * STEP - boiled * latent
    const warmed =
      cylinder.conductance * (options.air - cylinder.temperature) * STEP +
      (asLiquid ? 0 : 0.12 * taken * latent)
    system = {
      ...system,
      mass: system.mass - taken,
      temperature: system.temperature + heat / (system.metal + system.mass * liquid.heatCapacity),
    }
    const inertia = cylinder.steel + cylinder.mass * liquid.heatCapacity
    cylinder = {
      ...cylinder,
      mass: cylinder.mass + taken,
      temperature: cylinder.temperature + warmed / inertia,
    }
    recovered += taken
    seconds += STEP
  }
  return { system, cylinder, recovered, seconds, pressure: systemPressure(system) }
}
