import { isAssumed, type Known } from '../../../base/known/known'
import { isThreePhase } from '../../../record/equipment/kinds'
import type { UnitPlate } from '../../../record/equipment/unit'
import type { Repair } from '../../../record/records/repair'

/** What decides a point: the same word, at least as much, or within a tenth. */
type Rule = 'same' | 'at-least' | 'near'

export type MatchFacts = {
  readonly unit: UnitPlate
  /** what the circuit holds after the repair */
  readonly refrigerant: string | undefined
  readonly oil: string
  readonly tons: Known<number>
  readonly feederTubes: number | undefined
  /** measured before it is cut */
  readonly capillary: Repair['capillary']
  /** volts read on a coil, connected */
  readonly coilVolts: number | undefined
}

type MatchRow = {
  readonly label: string
  readonly rule: Rule
  /** what this unit asks for, where the job knows */
  readonly wanted?: (facts: MatchFacts) => string | undefined
}

const quantityText = (value: { readonly value: number; readonly unit: string } | undefined) =>
  value && `${value.value} ${value.unit}`

const withUnit = (value: number | undefined, unit: string) =>
  value === undefined ? undefined : `${value} ${unit}`

/** [practice] what control circuits are wound for. */
const NOMINAL_VOLTS = [24, 115, 208, 230, 277, 460] as const
/** [practice] a supply is within this share of what it is named for. */
const VOLTS_BAND = 0.15

/** The volts that a coil is ordered for, from what was read on it; itself where it is near none. */
export function nominalVolts(read: number): number {
  const off = (named: number) => Math.abs(read / named - 1)
  const [nearest] = [...NOMINAL_VOLTS].sort((a, b) => off(a) - off(b))
  return nearest !== undefined && off(nearest) <= VOLTS_BAND ? nearest : read
}

/** Points by which a part is checked before leaving, when it is collected, and against a substitute. [practice] */
const MATCH_ROWS = {
  capacity: {
    label: 'Capacity',
    rule: 'near',
    wanted: ({ tons }) => (isAssumed(tons) ? undefined : `${Number(tons.value.toFixed(2))} tons`),
  },
  refrigerant: { label: 'Refrigerant', rule: 'same', wanted: ({ refrigerant }) => refrigerant },
  connections: { label: 'Connections', rule: 'same' },
  ports: { label: 'Ports', rule: 'at-least' },
  equaliser: { label: 'Equaliser', rule: 'same' },
  chargeType: { label: 'Charge type of the bulb', rule: 'same' },
  volts: { label: 'Volts', rule: 'same', wanted: ({ unit }) => withUnit(unit.power?.volts, 'V') },
  phase: {
    label: 'Phases',
    rule: 'same',
    wanted: ({ unit }) => (unit.power?.phase ? (isThreePhase(unit) ? '3 phases' : '1 phase') : undefined),
  },
  hertz: {
    label: 'Hertz',
    rule: 'same',
    wanted: ({ unit }) => withUnit(unit.power?.hertz, 'Hz'),
  },
  amps: {
    label: 'Rated amps',
    rule: 'at-least',
    wanted: ({ unit }) => withUnit(unit.power?.rla, 'A'),
  },
  oil: { label: 'Oil', rule: 'same', wanted: ({ oil }) => oil },
  poles: {
    label: 'Poles',
    rule: 'at-least',
    wanted: ({ unit }) => (unit.power?.phase ? (isThreePhase(unit) ? '3 poles' : '2 poles') : undefined),
  },
  coilVolts: {
    label: 'Coil volts',
    rule: 'same',
    wanted: ({ unit, coilVolts }) =>
      withUnit(unit.control?.volts ?? (coilVolts === undefined ? undefined : nominalVolts(coilVolts)), 'V'),
  },
  microfarad: {
    label: 'Microfarads',
    rule: 'near',
    wanted: ({ unit }) => quantityText(unit.power?.runCapacitor),
  },
  capacitorVolts: { label: 'Capacitor volts', rule: 'at-least' },
  bore: { label: 'Bore', rule: 'same', wanted: ({ capillary }) => quantityText(capillary?.bore) },
  length: { label: 'Length', rule: 'same', wanted: ({ capillary }) => quantityText(capillary?.length) },
  orifice: { label: 'Orifice size', rule: 'same' },
  tubes: {
    label: 'Feeder tubes',
    rule: 'same',
    wanted: ({ feederTubes }) => (feederTubes ? `${feederTubes} tubes` : undefined),
  },
  pattern: { label: 'Pattern of the body', rule: 'same' },
  setting: { label: 'Setting', rule: 'same' },
  thread: { label: 'Thread', rule: 'same' },
  opensAt: { label: 'Opens at', rule: 'same' },
  watts: {
    label: 'Watts',
    rule: 'near',
    wanted: ({ unit }) => withUnit(unit.crankcaseHeater?.watts, 'W'),
  },
  shape: { label: 'Shape, diameter', rule: 'same' },
  motor: { label: 'Motor plate: power, speed, shaft, rotation', rule: 'same' },
  wireGauge: { label: 'Gauge and temperature rating', rule: 'same' },
  lineSize: { label: 'Line size', rule: 'same' },
} as const satisfies Record<string, MatchRow>

export type MatchId = keyof typeof MATCH_ROWS

/** One point of a part: what is asked for, where it is known. */
export type MatchPoint = {
  readonly id: MatchId
  readonly label: string
  readonly wanted?: string | undefined
}

const rowOf = (id: MatchId): MatchRow => MATCH_ROWS[id]

/** The points of a part, filled in as far as the job knows. */
export const matchPoints = (ids: readonly MatchId[], facts: MatchFacts): MatchPoint[] =>
  ids.map((id) => {
    const { label, wanted } = rowOf(id)
    const known = wanted?.(facts)
    return known ? { id, label, wanted: known } : { id, label }
  })

/** Whether a substitute fits at one point; unknown where one of the two is not written. */
export type Fit = 'fits' | 'differs' | 'unknown'

/** [practice] a capacity within a tenth is the same size. */
const NEAR = 0.1
const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[\s,;.-]+/g, ' ')
    .trim()
const PLAIN_NUMBER = /^\s*\d+(\.\d+)?\s*[a-zµ]*\s*$/i
const unitOf = (text: string) => plain(text.replace(/^\s*[\d.,/]+\s*/, '')).replace(/s$/, '')

function compareNumbers(rule: Rule, wanted: string, offered: string): Fit | undefined {
  const [a, b] = [Number.parseFloat(wanted), Number.parseFloat(offered)]
  const units = [unitOf(wanted), unitOf(offered)]
  if (Number.isNaN(a) || Number.isNaN(b)) return undefined
  // 24 V against 24: the unit that is not written is the same
  if (units[0] !== units[1] && units.every((unit) => unit !== '')) return undefined
  if (rule === 'same') return b === a ? 'fits' : 'differs'
  if (rule === 'at-least') return b >= a ? 'fits' : 'differs'
  return Math.abs(b - a) <= Math.abs(a) * NEAR ? 'fits' : 'differs'
}

/** Compares a substitute at one point. */
export function compareMatch(id: MatchId, wanted: string | undefined, offered: string | undefined): Fit {
  if (!wanted?.trim() || !offered?.trim()) return 'unknown'
  if (plain(wanted) === plain(offered)) return 'fits'
  const { rule } = rowOf(id)
  if (rule !== 'same') return compareNumbers(rule, wanted, offered) ?? 'unknown'
  // 208 V against 208; a size like 3/8 is a word
  const isPlain = [wanted, offered].every((text) => PLAIN_NUMBER.test(text))
  return isPlain ? (compareNumbers(rule, wanted, offered) ?? 'differs') : 'differs'
}
