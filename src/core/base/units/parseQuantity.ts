import { OrzoError } from '../errors/orzoError'
import { isUnit, type Quantity, type QuantityKind, unitRow, unitsOf } from './units'

const PATTERN = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z%][a-z0-9/]*)\s*$/i

/**
 * Reads "118psig", "40 F", "1750m".
 * @param kind what is wanted; the unit must measure it
 * @throws OrzoError bad-number, unknown-unit or wrong-unit, each naming the units that fit
 */
export function parseQuantity(text: string, kind: QuantityKind): Quantity {
  const fitting = unitsOf(kind).join(', ')
  const match = PATTERN.exec(text)
  if (!match) {
    throw new OrzoError(
      'bad-number',
      `"${text}" is not a number with a unit: write for example 40F (${fitting}).`,
    )
  }
  const word = match[2] as string
  if (!isUnit(word)) throw new OrzoError('unknown-unit', `"${word}" is no unit of ${kind}: use ${fitting}.`)
  if (!unitsOf(kind).includes(word)) {
    throw new OrzoError('wrong-unit', `${word} measures ${unitRow(word).kind}, not ${kind}: use ${fitting}.`)
  }
  return { value: Number(match[1]), unit: word }
}
