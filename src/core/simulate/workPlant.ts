import { GAS_CONSTANT } from '../base/numeric/gasConstant'
import { gaussian, type RandomSource } from '../base/numeric/random'
import { fromKelvin, fromPascals } from '../base/units/convert'
import { type Unit, UNITS } from '../base/units/units'
import {
  charge,
  type Cylinder,
  type Emptying,
  recover,
  USUAL_CYLINDER,
  USUAL_MACHINE,
} from '../physics/processes/cylinder'
import type { Hose } from '../physics/processes/hose'
import { fillNitrogen, hold, inflowOfAir, testPressure } from '../physics/processes/nitrogen'
import {
  evacuate,
  pumping,
  totalPressure,
  type VacuumSetup,
  type VacuumState,
} from '../physics/processes/vacuum'
import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { saturatedState, saturationPressure } from '../physics/refrigerants/saturation'
import type { PlantChannel } from './workProbes'

/** What is wrong with the circuit while it is worked on. SI */
export type PlantTrouble = {
  /** area of a leak, m2 */
  readonly leak: number
  /** water inside, kg */
  readonly water: number
}

/** What hands have done to the hoses and machines. */
export type PlantHands = {
  readonly machine: boolean
  /** regulator of the nitrogen, Pa over the air; 0 is shut */
  readonly regulator: number
  readonly vent: boolean
  readonly pump: boolean
  readonly valve: 'open' | 'shut'
  readonly hose: 'open' | 'shut'
  readonly charging: boolean
  /** liquid that is still in it is warmed */
  readonly warm: boolean
}
const HANDS_OFF: PlantHands = {
  machine: false,
  regulator: 0,
  vent: false,
  pump: false,
  valve: 'open',
  hose: 'open',
  charging: false,
  warm: false,
}

/** A circuit under work, what stands on the scale, and what hands have set: a value, each step gives a new one. SI */
export type WorkPlant = {
  readonly refrigerant: RefrigerantName
  readonly volume: number
  readonly atmosphere: number
  /** K round it */
  readonly air: number
  readonly inside: Emptying
  /** nitrogen and air, moles */
  readonly gas: number
  /** how much warmer the gas is than the metal, K */
  readonly gasWarmth: number
  readonly vacuum: VacuumState | undefined
  readonly recovered: Cylinder
  readonly supply: Cylinder
  readonly onScale: 'recovered' | 'supply'
  readonly pump: { readonly speed: number; readonly ultimate: number }
  readonly ways: readonly (readonly Hose[])[]
  readonly trouble: PlantTrouble
  readonly hands: PlantHands
  readonly seconds: number
}

/** [memory] heat capacity of a circuit's metal, J/K, and how it grows with the charge, J/(K kg). */
const METAL = 4000
const METAL_A_KILOGRAM = 3000
/** [memory] what a full charging cylinder holds, kg. */
const FULL = 11
/** [memory] steel of a small cylinder, kg; how fast a regulator fills and a vent empties, s. */
const TARE = 12
const FILLING = 25
const VENTING = 6
/** [memory] filling warms the gas by this at most, K, and it cools to the metal in this time, s. */
const FILL_WARMTH = 7
const GAS_COOLING = 150
/** [memory] a charging hose with its core out, m2 with the discharge coefficient. */
const CHARGE_AREA = 6e-7
/** [memory] a charging cylinder in warm water stands this far above the air, K. */
const WARM_WATER = 8
/** [memory] a heater or warm water at the cold spot, W/K. */
const WARMING = 60
/** [memory] of a charge this part comes as liquid through the liquid valve. */
const LIQUID_SHARE = 0.6
/** Vapour that a sweep carries out, kg: more than that is not swept. */
const SWEPT = 0.3
/** [memory] heat from still air to a circuit, W/K. */
const STILL_AIR = 20

export type PlantQuestion = {
  readonly refrigerant: RefrigerantName
  /** what goes in at the end; another one after a conversion */
  readonly fills: RefrigerantName
  /** kg in the circuit */
  readonly charge: number
  readonly volume: number
  readonly atmosphere: number
  readonly air: number
  readonly trouble: PlantTrouble
  readonly pump: WorkPlant['pump']
  readonly ways: WorkPlant['ways']
  /** the hose to the pump, as it was left */
  readonly hose: PlantHands['hose']
  /** what is in it when the work goes on after an interruption */
  readonly begins: 'charged' | 'open' | 'evacuated'
}

const molesAt = (pascals: number, volume: number, kelvin: number) =>
  (pascals * volume) / (GAS_CONSTANT * kelvin)

/** A circuit as the work finds it. @throws OrzoError not-loaded */
export function beginPlant(question: PlantQuestion): WorkPlant {
  const { refrigerant, fills, charge: mass, volume, atmosphere, air, trouble, pump, ways, begins } = question
  const isCharged = begins === 'charged'
  return {
    refrigerant,
    volume,
    atmosphere,
    air,
    inside: {
      refrigerant,
      mass: isCharged ? mass : 0,
      volume,
      temperature: air,
      metal: METAL + mass * METAL_A_KILOGRAM,
      conductance: STILL_AIR,
    },
    gas: begins === 'open' ? molesAt(atmosphere, volume, air) : 0,
    gasWarmth: 0,
    vacuum:
      begins === 'evacuated'
        ? { seconds: 0, air: 30, vapour: 0, refrigerant: 0, water: 0, waterTemperature: air }
        : undefined,
    recovered: { refrigerant, mass: 0, temperature: air, ...USUAL_CYLINDER },
    // it stands in warm water, so that it gives what a circuit at rest takes
    supply: {
      refrigerant: fills,
      mass: FULL,
      ...USUAL_CYLINDER,
      temperature: air + WARM_WATER,
      conductance: 25,
    },
    onScale: isCharged ? 'recovered' : 'supply',
    pump,
    ways,
    trouble,
    hands: { ...HANDS_OFF, hose: question.hose },
    seconds: 0,
  }
}

const refrigerantPressure = ({ inside }: WorkPlant): number => {
  if (inside.mass <= 0) return 0
  const { density } = saturatedState(inside.refrigerant, 'dew', inside.temperature)
  return (
    saturationPressure(inside.refrigerant, 'dew', inside.temperature) *
    Math.min(inside.mass / inside.volume / density, 1)
  )
}
const gasPressure = ({ gas, volume, air, gasWarmth }: WorkPlant): number =>
  testPressure({ volume, amount: gas, leakArea: 0 }, air + gasWarmth)

/** Pressure of the circuit, Pa absolute. */
export const plantPressure = (plant: WorkPlant): number =>
  plant.vacuum ? totalPressure(plant.vacuum) : refrigerantPressure(plant) + gasPressure(plant)

const vacuumSetup = ({ volume, air, pump, ways, trouble, atmosphere }: WorkPlant): VacuumSetup => ({
  volume,
  temperature: air,
  pump,
  ways,
  leak: inflowOfAir(trouble.leak, atmosphere, air),
  outgassing: { flow: 0, fading: 600 },
})

/** The recovery machine takes, or the metal warms what is left. */
function recovering(plant: WorkPlant, seconds: number): WorkPlant {
  const { inside, hands, air } = plant
  const conductance = STILL_AIR + (hands.warm ? WARMING : 0)
  const from: Emptying = { ...inside, conductance }
  if (hands.machine && inside.mass > 1e-4) {
    const { system, cylinder } = recover(from, plant.recovered, USUAL_MACHINE, {
      seconds,
      air,
      liquidFirst: Math.max(LIQUID_SHARE * (inside.mass + plant.recovered.mass) - plant.recovered.mass, 0),
    })
    return { ...plant, inside: system, recovered: cylinder, onScale: 'recovered' }
  }
  const warmth = (inside.temperature - air) * Math.exp((-conductance * seconds) / inside.metal)
  return { ...plant, inside: { ...inside, temperature: air + warmth } }
}

/** Nitrogen goes in through the regulator, out through a vent or a leak; filling warms it. */
function filling(plant: WorkPlant, seconds: number): WorkPlant {
  const { hands, volume, air, atmosphere, trouble } = plant
  const now = plantPressure(plant)
  const warmth = plant.gasWarmth * Math.exp(-seconds / GAS_COOLING)
  if (hands.vent) {
    const left = atmosphere + (now - atmosphere) * Math.exp(-seconds / VENTING)
    return { ...plant, gas: fillNitrogen(volume, Math.max(left, 1), air, 0).amount, gasWarmth: 0 }
  }
  const target = hands.regulator + atmosphere
  if (hands.regulator > 0 && now < target) {
    const next = target - (target - now) * Math.exp(-seconds / FILLING)
    const warmed = warmth + (FILL_WARMTH * (next - now)) / target
    return { ...plant, gas: fillNitrogen(volume, next, air + warmed, 0).amount, gasWarmth: warmed }
  }
  if (plant.gas <= 0) return { ...plant, gasWarmth: warmth }
  const left = hold(
    { volume, amount: plant.gas, leakArea: trouble.leak },
    seconds,
    () => air + warmth,
    atmosphere,
  )
  return { ...plant, gas: left.amount, gasWarmth: warmth }
}

/** What the pump pulls, or how a vacuum stands. */
function pulling(plant: WorkPlant, seconds: number): WorkPlant {
  const { hands, trouble } = plant
  const begins: VacuumState = plant.vacuum ?? {
    seconds: 0,
    air: gasPressure(plant),
    vapour: 0,
    refrigerant: 0,
    water: trouble.water,
    waterTemperature: plant.air,
  }
  const isPulled = hands.pump && hands.valve === 'open' && hands.hose === 'open'
  const state = evacuate(vacuumSetup(plant), begins, seconds, isPulled ? 'open' : 'shut')
  // whoever pulls a vacuum has put the charging cylinder on the scale
  return { ...plant, gas: 0, vacuum: state, onScale: 'supply', trouble: { ...trouble, water: state.water } }
}

/** Liquid goes in from the cylinder on the scale. */
function charging(plant: WorkPlant, seconds: number): WorkPlant {
  const { supply, volume, air } = plant
  const { refrigerant } = supply
  const inside = { ...plant.inside, refrigerant }
  const behind = (given: number) =>
    refrigerantPressure({ ...plant, vacuum: undefined, inside: { ...inside, mass: inside.mass + given } })
  const filled = charge(supply, {
    drawn: 'liquid',
    area: CHARGE_AREA,
    behind,
    wanted: Infinity,
    seconds,
    air: air + WARM_WATER,
  })
  return {
    ...plant,
    vacuum: undefined,
    gas: 0,
    supply: filled.cylinder,
    onScale: 'supply',
    inside: { ...inside, volume, mass: inside.mass + filled.given, temperature: air },
  }
}

/** The plant some seconds later. @throws OrzoError out-of-range where a cylinder cools below its table */
export function stepPlant(plant: WorkPlant, seconds: number): WorkPlant {
  const { hands } = plant
  const isVacuum = plant.vacuum !== undefined
  const opensToGas = isVacuum && (hands.regulator > 0 || hands.vent)
  const here: WorkPlant = opensToGas
    ? { ...plant, gas: molesAt(totalPressure(plant.vacuum!), plant.volume, plant.air), vacuum: undefined }
    : plant
  const pulls = hands.pump && hands.regulator === 0 && !hands.vent && here.inside.mass < SWEPT
  const gasses = hands.regulator > 0 || hands.vent || here.gas > 0
  const swept = (each: WorkPlant): WorkPlant => ({ ...each, inside: { ...each.inside, mass: 0 } })
  const next = hands.charging
    ? charging(here, seconds)
    : pulls || (here.vacuum && !opensToGas)
      ? pulling(swept(here), seconds)
      : gasses && here.inside.mass < SWEPT
        ? filling(swept(here), seconds)
        : recovering(here, seconds)
  return { ...next, seconds: plant.seconds + seconds }
}

/** Hands do something; a sweep or a vent breaks a vacuum. */
export const setHands = (plant: WorkPlant, hands: Partial<PlantHands>): WorkPlant => {
  const next = { ...plant.hands, ...hands }
  // a part that was emptied is full of air once it is opened
  const isOpened = hands.vent === true && plant.inside.mass < 0.05
  return {
    ...plant,
    hands: next,
    ...(isOpened ? { inside: { ...plant.inside, mass: 0 } } : {}),
  }
}
export const setTrouble = (plant: WorkPlant, trouble: Partial<PlantTrouble>): WorkPlant => ({
  ...plant,
  trouble: { ...plant.trouble, ...trouble },
})

/** What a gauge in the circuit shows at most while it is under vacuum, Pa: a micron gauge has its range. */
const MICRON_TOP = 25_000 * UNITS.micron.si

/** What an instrument of each channel is at, SI. */
function truth(plant: WorkPlant, channel: PlantChannel): number {
  const pressure = plantPressure(plant)
  if (channel === 'cylinderWeight') return TARE + plant[plant.onScale].mass
  if (channel === 'gasTemp') return plant.air + plant.gasWarmth
  if (channel === 'systemVacuum') return Math.min(pressure, MICRON_TOP)
  if (channel === 'pumpVacuum') {
    const { hands, pump } = plant
    if (!hands.pump) return Math.min(pressure, MICRON_TOP)
    const isOff = hands.valve === 'shut' || hands.hose === 'shut'
    return Math.min(isOff ? pump.ultimate : pumping(vacuumSetup(plant), pressure).atPump, MICRON_TOP)
  }
  return pressure
}

export type PlantReading = { readonly value: number; readonly unit: Unit }

const rounded = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(4))

/** How each kind of instrument shows it: its unit, its last digit, how far it wanders. [memory] */
const SHOWS: Readonly<Record<PlantChannel, (si: number, plant: WorkPlant, noise: number) => PlantReading>> = {
  cylinderWeight: (si, _plant, noise) => ({
    value: rounded(si / UNITS.lb.si + noise * 0.003, 0.005),
    unit: 'lb',
  }),
  circuitPressure: (si, { atmosphere }, noise) => ({
    value: rounded(fromPascals(si, 'psig', atmosphere) + noise * 0.04, 0.1),
    unit: 'psig',
  }),
  testPressure: (si, { atmosphere }, noise) => ({
    value: rounded(fromPascals(si, 'psig', atmosphere) + noise * 0.03, 0.05),
    unit: 'psig',
  }),
  gasTemp: (si, _plant, noise) => ({ value: rounded(fromKelvin(si, 'F') + noise * 0.1, 0.1), unit: 'F' }),
  systemVacuum: (si, _plant, noise) => ({
    value: Math.max(Math.round((si / UNITS.micron.si) * (1 + noise * 0.015)), 1),
    unit: 'micron',
  }),
  pumpVacuum: (si, _plant, noise) => ({
    value: Math.max(Math.round((si / UNITS.micron.si) * (1 + noise * 0.015)), 1),
    unit: 'micron',
  }),
}

/** What an instrument on a channel shows now. */
export const readPlant = (plant: WorkPlant, channel: PlantChannel, random: RandomSource): PlantReading =>
  SHOWS[channel](truth(plant, channel), plant, gaussian(random))
