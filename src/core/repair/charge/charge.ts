import { ENTRIES, entriesText, type EntryId } from '../../base/known/entries'
import { basisOf, computed, guess, isAssumed, type Known } from '../../base/known/known'
import { UNITS } from '../../base/units/units'
import { attempt } from '../../base/errors/orzoError'
import { fromKelvin, fromPascals, toKelvin, toSI } from '../../base/units/convert'
import type { TemperatureUnit } from '../../base/units/units'
import {
  glide,
  saturatedState,
  saturationPressure,
  saturationTemperature,
} from '../../physics/refrigerants/saturation'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { SEA_LEVEL_PASCALS } from '../../base/units/atmosphere'
import { isBoxKind } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Policy } from '../../record/policy/policy'
import type { Closing } from '../../record/records/closing'
import type { Repair } from '../../record/records/repair'
import type { CircuitSize } from '../cleanup/circuitSize'
import { blockVolume } from '../cleanup/dryerNeed'
import { type DryerChoice } from '../cleanup/dryers'
import { extraLine } from '../cleanup/extraLine'
import { SIZE_ROWS } from '../cleanup/sizeRows'
import type { CircuitReadings } from './circuitReadings'
import type { ChargeLine } from './chargeLine'
import { asksHeadControl, floodingLine, headControlSays } from './flooding'
import { lineHolds } from './lineSetAdder'
import { type FinishMeans, finishMeans } from './finishMeans'

/** What was put in against what was calculated. */
export type Trim = {
  readonly charged: number
  /** of the plate */
  readonly share: number
  readonly verdict: 'as-calculated' | 'trimmed' | 'questioned'
  readonly sentence: string
}

export type Charge = {
  readonly refrigerant: RefrigerantName
  readonly lines: readonly ChargeLine[]
  /** kg; undefined where the plate charge is not known: no figure stands in its place (handbook 09) */
  readonly total: Known<number> | undefined
  /** the total, or a guess at it, kg: for cylinder and hoses, judges nothing */
  readonly guess: Known<number>
  /** weighed to the tenth of an ounce */
  readonly isExact: boolean
  /** what must still be known */
  readonly missing: readonly string[]
  readonly trim: Trim | undefined
  /** why what went in is not judged, and what would settle it */
  readonly unjudged: string | undefined
  /** how it is finished, and how it goes in */
  readonly finish: readonly string[]
  readonly cylinder: string | undefined
  /** a blend: it leaves its cylinder as liquid, always */
  readonly leavesAsLiquid: boolean
}

export type ChargeInput = {
  readonly unit: UnitPlate
  readonly refrigerant: RefrigerantName
  readonly isConversion: boolean
  readonly size: CircuitSize
  readonly dryers: readonly DryerChoice[]
  readonly repair: Repair
  readonly closing: Closing | undefined
  readonly policy: Policy
  readonly readings: CircuitReadings
  /** only a part was emptied: what goes in is not the whole charge */
  readonly isPart: boolean
}

/** [practice] share of the plate with which a conversion starts; handbook 10: 80-95 %. */
const CONVERSION_SHARE = 0.9
/** [practice] a trim up to this share is noise; a quarter of the plate is questioned. */
const TRIM_NOISE = 0.05
const TRIM_QUESTIONED = 0.25
const ROUNDING = 1e-9
/** [practice] a cylinder should stand this far above the side that it fills, Pa. */
const LEAST_HEAD = 70_000
const GLIDES = 2

const OLD_DRYER_UNKNOWN = guess('no larger than the old dryer', 'oldDryer')

function linesLine({ unit, refrigerant }: ChargeInput): ChargeLine[] {
  const { length, liquidArea, vapourArea, basis } = extraLine(unit)
  if (length === 0 || liquidArea === 0) return []
  const { liquid, vapour } = lineHolds(refrigerant, liquidArea, vapourArea)
  const feet = Math.abs(length / UNITS.ft.si)
  const label = `${feet.toFixed(feet < 10 ? 1 : 0)} ft of line ${length < 0 ? 'less than' : 'beyond what'} the plate includes`
  return [{ id: 'lines', label, kg: (liquid + vapour) * length, basis }]
}

/** The difference to the old dryer; of one that nobody wrote down there is none, and it is asked for. */
const dryerLine = ({ holds, oldHeld, basis }: DryerChoice): ChargeLine => ({
  id: 'dryer',
  label: oldHeld
    ? 'larger dryer, less what the old one held'
    : 'a larger dryer than the old one: its size is asked for, nothing is added for a guess',
  kg: oldHeld ? holds - oldHeld.value : undefined,
  basis: basisOf(oldHeld ?? OLD_DRYER_UNKNOWN, basis),
})

function suctionLine(choice: DryerChoice, { refrigerant, unit }: ChargeInput): ChargeLine[] {
  if (!choice.chosen) return []
  const evaporating = toKelvin({ value: SIZE_ROWS[unit.kind].evaporating, unit: 'F' })
  const { density } = saturatedState(refrigerant, 'dew', evaporating)
  return [
    {
      id: 'suctionDryer',
      label: 'gas in the suction dryer',
      kg: blockVolume(choice.chosen.dryer.block) * density,
      basis: choice.basis,
    },
  ]
}

/** Share of the plate that is weighed in first. */
const shareOf = (isConversion: boolean, policy: Policy) =>
  isConversion && policy.conversionCharge === '90-and-trim' ? CONVERSION_SHARE : 1

function chargeLines(input: ChargeInput): ChargeLine[] {
  const { size, isConversion, policy, dryers } = input
  const part = shareOf(isConversion, policy)
  const liquid = dryers.find(({ place }) => place === 'liquid')
  const suction = dryers.find(({ place }) => place === 'suction')
  const plate: ChargeLine = {
    id: 'plate',
    label: part === 1 ? 'plate charge' : `${part * 100} % of the plate charge, to start a conversion`,
    kg: size.charge && size.charge.value * part,
    basis: size.charge ?? size.chargeGuess,
  }
  const all = [
    plate,
    ...linesLine(input),
    ...(liquid?.chosen ? [dryerLine(liquid)] : []),
    ...(suction ? suctionLine(suction, input) : []),
    ...floodingLine(input),
  ]
  // a difference of nothing that is guessed is a guess like any other
  return all.filter(({ id, kg, basis }) => id === 'plate' || Math.abs(kg ?? 0) > 1e-9 || isAssumed(basis))
}

/** What a trim away from the calculated weight means (handbook 09). @param plate kg */
export function trimOf(charged: number, calculated: number, plate: number): Trim {
  const share = (charged - calculated) / plate
  const size = Math.abs(share)
  const verdict =
    size <= TRIM_NOISE + ROUNDING
      ? 'as-calculated'
      : size < TRIM_QUESTIONED - ROUNDING
        ? 'trimmed'
        : 'questioned'
  const way = share < 0 ? 'less' : 'more'
  const sentence = {
    'as-calculated': 'As calculated.',
    trimmed: `${Math.round(size * 100)} % of the plate ${way} than calculated: trust the weight, look for a reason: airflow, line length, valve.`,
    questioned: `${Math.round(size * 100)} % of the plate ${way} than calculated: that is no trim. What else is wrong?`,
  }[verdict]
  return { charged, share, verdict, sentence }
}

/** Whether a blend's composition would shift if it left its cylinder as vapour. */
const glidesMuch = (refrigerant: RefrigerantName): boolean => {
  const glides = attempt(() =>
    glide(refrigerant, saturationPressure(refrigerant, 'bubble', toKelvin({ value: 100, unit: 'F' }))),
  )
  return glides.ok && glides.value > GLIDES
}

/** How much goes in first after a conversion (handbook 10). */
const startText = (policy: Policy): string =>
  shareOf(true, policy) === 1
    ? 'The plate charge as liquid'
    : `${CONVERSION_SHARE * 100} % of the plate charge as liquid`

/** How it is finished by each means. */
const FINISHES: Readonly<Record<FinishMeans, (weightFirst: boolean) => string>> = {
  weight: () => 'By weight only, to the tenth of an ounce.',
  glass: () => 'By weight, then a clear glass at 90 to 95 F of condensing or more.',
  superheat: (weightFirst) =>
    `By weight, then ${weightFirst ? 'the superheat target within its band' : 'the superheat target'}.`,
  subcooling: (weightFirst) =>
    weightFirst
      ? 'By weight; subcooling must then lie in its band, else say that they disagree.'
      : 'By subcooling to the plate, 10 F where it is silent; then superheat.',
}

function finishOf({ unit, policy, refrigerant, isConversion }: ChargeInput): string[] {
  const by = isConversion
    ? [`${startText(policy)}, then trimmed by superheat and subcooling of ${refrigerant}.`]
    : [FINISHES[finishMeans(unit)](policy.lastWord === 'weight-first')]
  return [
    ...by,
    policy.chargeEntry === 'liquid-line'
      ? 'Liquid into the liquid line, compressor off; the rest throttled into suction.'
      : 'Into the discharge side, compressor off; the rest throttled into suction.',
    ...(glidesMuch(refrigerant) ? ['A blend leaves the cylinder as liquid, always.'] : []),
    ...(isConversion ? ['Trim in small steps: wait ten minutes each.'] : []),
    ...headControlSays(unit),
    ...(isBoxKind(unit) ? [] : ['In the cold block condenser air, or charge by weight alone.']),
  ]
}

/** Whether the cylinder has head enough to give its charge, and how warm it must be (handbook 07). */
function cylinderWarmUp({ refrigerant, unit, repair, readings }: ChargeInput): string | undefined {
  const told = repair.cylinderAir
  const air = told ? toKelvin(told as { value: number; unit: TemperatureUnit }) : readings.outdoor
  if (air === undefined) return undefined
  const found = attempt(() => {
    const evaporating = toKelvin({ value: SIZE_ROWS[unit.kind].evaporating, unit: 'F' })
    const side = saturationPressure(refrigerant, 'dew', evaporating)
    const has = saturationPressure(refrigerant, 'bubble', air)
    return has >= side + LEAST_HEAD
      ? undefined
      : { has, wanted: saturationTemperature(refrigerant, 'bubble', side + LEAST_HEAD) }
  })
  if (!found.ok || !found.value) return undefined
  const { has, wanted } = found.value
  return `At ${fromKelvin(air, 'F').toFixed(0)} F the cylinder gives ${fromPascals(has, 'psig', SEA_LEVEL_PASCALS).toFixed(0)} psig: warm its base to ${fromKelvin(wanted, 'F').toFixed(0)} F with warm water or a thermostatic heater, 125 F at most, never a flame.`
}

/** What settles a charge on its own; what a dryer was chosen by is asked only where nothing else is missing. */
const DIRECT: readonly EntryId[] = [
  'factoryCharge',
  'lineLength',
  'lineLiquid',
  'lineVapour',
  'lineIncluded',
  'oldDryer',
]

/** The sum of what is counted, with what each part of it rests on; the lines count even where they add nothing. */
function sumOf(
  lines: readonly ChargeLine[],
  { unit, isConversion, policy, size }: ChargeInput,
): Known<number> {
  const plate = size.chargeGuess
  const counted = lines.filter(({ id, isAllowance }) => id !== 'plate' && !isAllowance)
  const sum = counted.reduce((all, { kg = 0 }) => all + kg, 0)
  const part = shareOf(isConversion, policy)
  const all = computed(
    plate.value * part + sum,
    plate,
    extraLine(unit).basis,
    ...counted.map(({ basis }) => basis),
  )
  const direct = all.asks.filter((id) => DIRECT.includes(id))
  return direct.length > 0 ? { ...all, asks: direct } : all
}

/** Why nothing is said of what went in, and what would settle it. */
const unjudgedOf = ({ asks }: Known<number>, isPart: boolean): string =>
  isPart
    ? 'What went in is not judged: the rest of the charge stayed inside, and nobody weighed it.'
    : `What went in is not judged: enter ${entriesText(asks)}.`

/** Plate, lines, dryers and flooding; how it is finished and what a trim means. kg */
export function chargeOf(input: ChargeInput): Charge {
  const { unit, size, closing, refrigerant } = input
  const lines = chargeLines(input)
  const sum = sumOf(lines, input)
  const total = size.charge && sum
  const charged = closing?.charged && toSI(closing.charged)
  const isJudged = total !== undefined && !isAssumed(total) && !input.isPart
  return {
    refrigerant,
    lines,
    total,
    guess: sum,
    isExact: unit.metering === 'capillary',
    missing: [
      ...(size.charge ? [] : ['charge of the plate']),
      ...extraLine(unit).missing,
      ...(asksHeadControl(unit) ? [ENTRIES.headControl] : []),
    ],
    trim:
      charged !== undefined && isJudged ? trimOf(charged, total.value, size.chargeGuess.value) : undefined,
    unjudged: charged === undefined || isJudged ? undefined : unjudgedOf(sum, input.isPart),
    finish: finishOf(input),
    cylinder: cylinderWarmUp(input),
    leavesAsLiquid: glidesMuch(refrigerant),
  }
}
