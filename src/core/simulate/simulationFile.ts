import { excessOf } from '../base/json/excess'
import { z } from '../base/schema/zod'
import { OrzoError } from '../base/errors/orzoError'
import { unitSchema } from '../record/equipment/unit'
import { quantitySchema } from '../base/units/quantitySchema'
import { toKelvin, toSI } from '../base/units/convert'
import type { Quantity, TemperatureUnit } from '../base/units/units'
import { SIMULATED_FAULTS, type SimulatedFault } from './circuitFaults'
import type { Conditions } from './conditions'
import type { SteadyQuestion } from './steady'

const SIMULATION_FORMAT = 'orzo.simulation'
const SIMULATION_VERSION = 1

const temperature = quantitySchema('temperature').optional()
const humidity = quantitySchema('humidity').optional()

const conditionsSchema = z.strictObject({
  outdoorAirTemp: temperature,
  outdoorHumidity: humidity,
  returnAirTemp: temperature,
  returnAirWetBulb: temperature,
  boxTemp: temperature,
  boxHumidity: humidity,
  waterInTemp: temperature,
})

const faultSchema = z.strictObject({
  fault: z.enum(SIMULATED_FAULTS as [SimulatedFault, ...SimulatedFault[]], {
    error: `is not one of ${SIMULATED_FAULTS.join(', ')}`,
  }),
  severity: z.number({ error: 'is not a number' }).min(0, 'is below 0').max(1, 'is above 1'),
})

const MOST_FAULTS = 4

/** A question to the simulator as a file: unit, conditions, faults, and a seed where instruments shall read it. */
const simulationSchema = z.strictObject({
  format: z.literal(SIMULATION_FORMAT, { error: `is not "${SIMULATION_FORMAT}"` }),
  version: z.literal(SIMULATION_VERSION, { error: `is not ${SIMULATION_VERSION}` }),
  unit: unitSchema,
  mode: z.enum(['cooling', 'heating'], { error: 'is neither cooling nor heating' }),
  conditions: conditionsSchema.optional(),
  faults: z.array(faultSchema).max(MOST_FAULTS, `are more than ${MOST_FAULTS}`).optional(),
  /** readings as instruments show them, the same for the same seed */
  instruments: z.strictObject({ seed: z.number().int('is not a whole number') }).optional(),
})
export type SimulationFile = z.infer<typeof simulationSchema>

type ConditionKey = keyof Conditions
const HUMIDITIES: readonly ConditionKey[] = ['outdoorHumidity', 'boxHumidity']

/** Conditions of a file in SI. */
export function conditionsOf(file: SimulationFile): Conditions {
  const entries = Object.entries(file.conditions ?? {})
    .filter(([, quantity]) => quantity !== undefined)
    .map(([key, quantity]) => {
      const value = quantity as Quantity
      const si = HUMIDITIES.includes(key as ConditionKey)
        ? toSI(value)
        : toKelvin(value as Quantity<TemperatureUnit>)
      return [key, si] as const
    })
  return Object.fromEntries(entries) as Conditions
}

export const questionOf = (file: SimulationFile): SteadyQuestion => ({
  unit: file.unit,
  mode: file.mode,
  conditions: conditionsOf(file),
  faults: file.faults ?? [],
})

const place = (path: readonly PropertyKey[]) => path.map(String).join('.') || 'the document'

/**
 * Reads the text of a simulation file.
 * @throws OrzoError bad-document, naming every place that cannot be used
 */
export function readSimulationText(text: string): SimulationFile {
  if (excessOf(text))
    throw new OrzoError(
      'bad-document',
      'The file holds far deeper brackets or more values than a simulation does.',
    )
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new OrzoError('bad-document', 'The file is not JSON: it is damaged or cut off.')
  }
  const result = simulationSchema.safeParse(value)
  if (result.success) return result.data
  const problems = result.error.issues.map((issue) => `${place(issue.path)} ${issue.message}`)
  throw new OrzoError('bad-document', `${problems.join('.\n')}.`)
}
