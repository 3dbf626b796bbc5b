import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { type Quantity, UNITS } from '../../base/units/units'
import { figureState } from '../readings/figureLimits'
import { whyImpossible } from '../readings/quantityRange'
import { isReadingKey } from '../readings/vocabulary'
import { type DataProblem, pathText } from '../records/kind'
import type { LogHead } from '../records/log'

type Path = readonly PropertyKey[]
type Found = { readonly path: Path; readonly why: string }

const MOST_TOLD = 12

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null
const isQuantity = (data: object): data is Quantity =>
  'value' in data &&
  typeof data.value === 'number' &&
  'unit' in data &&
  typeof data.unit === 'string' &&
  Object.hasOwn(UNITS, data.unit)

/** The figure as its own tap or channel takes it; a sentence of its own. */
function ofReading(path: Path, quantity: Quantity): string | undefined {
  // what a tap read before stands in a list of its reading
  const [list, key] = path.at(-2) === 'before' ? path.slice(-4, -2) : path.slice(-2)
  if (list !== 'readings' || typeof key !== 'string' || !isReadingKey(key)) return undefined
  const figure = figureState(key, quantity, SEA_LEVEL_PASCALS)
  return figure.state === 'impossible' ? `holds what cannot be. ${figure.sentence}` : undefined
}

/** The looks of a typed log, each in the unit of its channel. */
function ofLooks(data: object, path: Path): Found[] {
  const { channels, looks, purpose } = data as Partial<LogHead>
  if (!Array.isArray(looks) || !Array.isArray(channels)) return []
  return looks.flatMap(({ values }, look) =>
    values.flatMap((value, i): Found[] => {
      const channel = channels[i]
      if (value === null || !channel) return []
      const figure = figureState(channel.key, { value, unit: channel.unit }, SEA_LEVEL_PASCALS, purpose)
      if (figure.state !== 'impossible') return []
      return [
        { path: [...path, 'looks', look, 'values', i], why: `holds what cannot be. ${figure.sentence}` },
      ]
    }),
  )
}

function* found(data: unknown, path: Path): Generator<Found> {
  if (!isObject(data)) return
  if (isQuantity(data)) {
    const why = whyImpossible(data) ?? ofReading(path, data)
    if (why !== undefined) yield { path: [...path, 'value'], why }
  }
  yield* ofLooks(data, path)
  for (const [key, value] of Object.entries(data))
    if (isObject(value)) yield* found(value, [...path, Array.isArray(data) ? Number(key) : key])
}

/**
 * Figures of a document or of a record that cannot be, each with its place: the same ranges in files as in fields.
 * @param whole what the place is called where it is the whole
 */
export function rangeProblems(data: unknown, whole?: string): DataProblem[] {
  const problems: DataProblem[] = []
  for (const { path, why } of found(data, [])) {
    if (problems.length >= MOST_TOLD) break
    problems.push({ path: pathText(path, whole), message: why.replace(/\.$/, '') })
  }
  return problems
}
