import { percent } from '../../base/units/percent'
import { attempt } from '../../base/errors/orzoError'
import { differenceToKelvin, toKelvin, toPascals } from '../../base/units/convert'
import type { PressureUnit } from '../../base/units/units'
import { isFlammable, type RefrigerantName, refrigerantRow } from '../../physics/refrigerants/catalogue'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Policy } from '../../record/policy/policy'
import type { Basis } from '../../base/known/known'
import { classesOf, type Contamination } from '../cleanup/contamination'
import { CLASS_LABELS } from '../cleanup/classes'
import { oilOf } from '../cleanup/oils'
import { SIZE_ROWS } from '../cleanup/sizeRows'
import { candidatesFor } from './candidates'
import type { RestInside } from './restInside'
import type { CircuitReadings } from './circuitReadings'
import { type Comparison, compareRefrigerants } from './compareRefrigerants'
import { madeFor } from '../../record/equipment/madeFor'
import { goesIn, listingOf } from './listing'

/** What becomes of the refrigerant (handbook 10, 11). */
export type RefrigerantPath = {
  readonly path: 'keep' | 'convert' | 'back-to-listed' | 'replace-unit'
  /** what is in it, and what goes in at the end */
  readonly holds: RefrigerantName
  readonly goesIn: RefrigerantName | undefined
  readonly recovered: 'reuse-in-same-equipment' | 'reclaim' | 'nothing'
  /** why the recovered charge goes where it goes */
  readonly recoveredReason: string
  readonly reasons: readonly string[]
  /** what a conversion asks for beside the refrigerant */
  readonly work: readonly string[]
  /** temperatures of the comparison, K, and whether this unit's readings gave them */
  readonly at: { readonly evaporating: number; readonly condensing: number; readonly isMeasured: boolean }
  readonly comparison: Comparison | undefined
  /** how the figures are known by which the recovered charge goes where it goes */
  readonly basis: Basis
}

export type PathInput = {
  readonly unit: UnitPlate
  readonly contamination: Contamination
  readonly acidNegative: boolean
  readonly inside: RestInside
  /** only a part is emptied: the rest stays in */
  readonly isPart: boolean
  readonly policy: Policy
  /** what was asked for, and what goes in */
  readonly chosen: RefrigerantName | undefined
  readonly choice: RefrigerantChoice
}

/** [practice] where no reading tells. */
const USUAL_CONDENSING = toKelvin({ value: 110, unit: 'F' })
const SUPERHEAT = differenceToKelvin(12, 'F')
const SUBCOOLING = differenceToKelvin(10, 'F')
const EFFICIENCY = 0.7

function pointOf(unit: UnitPlate, { evaporating, condensing }: CircuitReadings): RefrigerantPath['at'] {
  if (evaporating !== undefined && condensing !== undefined && condensing > evaporating)
    return { evaporating, condensing, isMeasured: true }
  return {
    evaporating: toKelvin({ value: SIZE_ROWS[unit.kind].evaporating, unit: 'F' }),
    condensing: USUAL_CONDENSING,
    isMeasured: false,
  }
}

function comparisonOf(
  unit: UnitPlate,
  at: RefrigerantPath['at'],
  chosen: RefrigerantName | undefined,
): Comparison | undefined {
  const made = madeFor(unit)
  const high = unit.designPressures?.high
  const names = [
    ...new Set([
      made,
      unit.refrigerant,
      ...candidatesFor(made),
      ...(unit.listedFor ?? []),
      ...(chosen ? [chosen] : []),
    ]),
  ]
  const found = attempt(() =>
    compareRefrigerants(
      made,
      names,
      { ...at, superheat: SUPERHEAT, subcooling: SUBCOOLING, efficiency: EFFICIENCY },
      {
        refusal: (name) => listingOf(unit, name).reason || undefined,
        highSide: high && toPascals(high as { value: number; unit: PressureUnit }),
      },
    ),
  )
  return found.ok ? found.value : undefined
}

/** What goes in at the end, and the comparison that decided it. */
export type RefrigerantChoice = Pick<RefrigerantPath, 'at' | 'comparison'> & {
  readonly to: RefrigerantName | undefined
}

/**
 * What goes in: a refrigerant that was asked for only where the comparison lets it, whatever else was written.
 * @throws OrzoError not-loaded where the candidates' tables are not in memory
 */
export function chooseRefrigerant(
  unit: UnitPlate,
  readings: CircuitReadings,
  chosen: RefrigerantName | undefined,
): RefrigerantChoice {
  const at = pointOf(unit, readings)
  const comparison = comparisonOf(unit, at, chosen)
  const row = comparison?.rows.find(({ name }) => name === chosen)
  const isAllowed = row !== undefined && row.suitability.verdict !== 'refused'
  return { at, comparison, to: goesIn(unit, isAllowed ? chosen : undefined) }
}

/** Whether the recovered charge may go back, with its reason. */
function recoveredOf(input: PathInput): Pick<RefrigerantPath, 'recovered' | 'recoveredReason'> {
  const { contamination, acidNegative, inside, isPart, policy, unit, choice } = input
  const to = (recovered: RefrigerantPath['recovered'], recoveredReason: string) => ({
    recovered,
    recoveredReason,
  })
  if (inside === 'nothing')
    return to('nothing', 'The circuit is empty: prove it, there is nothing to recover.')
  if (!listingOf(unit, unit.refrigerant).ok)
    return to('reclaim', `${unit.refrigerant} does not belong in this equipment: it does not go back.`)
  if (choice.to !== undefined && choice.to !== unit.refrigerant)
    return to(
      'reclaim',
      `${unit.refrigerant} comes out, ${choice.to} goes in: what came out is reclaimed, whatever its state.`,
    )
  if (contamination.class !== 'clean' && isPart)
    return to(
      'reclaim',
      'What comes out of the part is reclaimed; the rest stays in as it is, with what is in it.',
    )
  if (contamination.class !== 'clean')
    return to(
      'reclaim',
      `Class ${classesOf(contamination)
        .map((name) => CLASS_LABELS[name].toLowerCase())
        .join(', ')}: not to be used again, into a cylinder of its own.`,
    )
  if (contamination.electrical && !contamination.oilTested)
    return to(
      'reclaim',
      'After an electrical failure the oil is tested before a charge goes in again: a strip frees nothing.',
    )
  if (!acidNegative)
    return to('reclaim', 'No negative acid test on record: test before it is used again, else reclaim.')
  if (!contamination.known) return to('reclaim', 'The class is not known: the charge does not go back.')
  if (policy.recoveredRefrigerant !== 'reuse-when-clean')
    return to('reclaim', 'By policy the recovered charge is not used again.')
  return to(
    'reuse-in-same-equipment',
    "Clean, and the acid test negative: it may be used again in the same owner's equipment.",
  )
}

/** What a conversion asks for (handbook 10). */
function conversionWork(unit: UnitPlate, to: RefrigerantName): string[] {
  const oil = oilOf(unit)
  const keepsOil = refrigerantRow(to).oils.includes(oil)
  return [
    'recover all and weigh it',
    keepsOil
      ? `${oil} oil may stay: watch its return`
      : `${refrigerantRow(to).oils[0]} oil: about 95 % of it, by the maker`,
    unit.metering === 'txv' || unit.metering === 'eev'
      ? 'valve: check its range and set the superheat anew'
      : 'orifice or capillary: check its size for the new mass flow',
    'new dryer, seals and cores; pressure test',
    'targets stay those of the equipment: its coils do not change',
    'label: refrigerant, charge, oil, date',
  ]
}

/** What the company does with a unit that holds R-22 (handbook 11). */
const R22_SAYS: Readonly<Record<Policy['r22'], string>> = {
  'by-table': 'Kept while it is tight and its owner agrees; the table below says what could take its place.',
  keep: 'By policy R-22 is kept.',
  convert: 'By policy a unit with R-22 is converted: take one of the possible ones below.',
}

function reasonsOf(
  input: PathInput,
  to: RefrigerantName | undefined,
  comparison: Comparison | undefined,
): string[] {
  const { unit, policy } = input
  const listing = listingOf(unit, unit.refrigerant)
  const row = comparison?.rows.find(({ name }) => name === to)
  const refusals = comparison?.rows.find(({ name }) => name === input.chosen)?.suitability.reasons ?? []
  return [
    ...(input.chosen && input.chosen !== to ? [`${input.chosen} is refused.`, ...refusals] : []),
    ...(listing.ok ? [] : [listing.reason]),
    ...(to === undefined
      ? ['Nothing that this equipment is listed for is known: replace the unit, or read its plate.']
      : []),
    ...(row && to !== madeFor(unit)
      ? [
          `Capacity ${percent(row.relativeCapacity)}, charge ${percent(row.relativeCharge)} of the original.`,
          ...row.suitability.reasons,
        ]
      : []),
    ...(to && isFlammable(to)
      ? [`${to} is flammable: rated tools, no flame, its cautions stand at every step.`]
      : []),
    ...(unit.refrigerant === 'R-22' && to === 'R-22' ? [R22_SAYS[policy.r22]] : []),
    ...(to === unit.refrigerant ? ['Never top up with another refrigerant.'] : []),
  ]
}

function pathOf(unit: UnitPlate, to: RefrigerantName | undefined): RefrigerantPath['path'] {
  if (to === undefined) return 'replace-unit'
  if (to === unit.refrigerant) return 'keep'
  return listingOf(unit, unit.refrigerant).ok ? 'convert' : 'back-to-listed'
}

/**
 * Keep, convert, go back to what the plate lists, or replace the unit; refused refrigerants never go in, whatever was
 * chosen.
 */
export function refrigerantPath(input: PathInput): RefrigerantPath {
  const { unit } = input
  const { at, comparison, to } = input.choice
  const path = pathOf(unit, to)
  return {
    path,
    holds: unit.refrigerant,
    goesIn: to,
    ...recoveredOf(input),
    reasons: reasonsOf(input, to, comparison),
    work: to !== undefined && path === 'convert' ? conversionWork(unit, to) : [],
    at,
    comparison,
    basis: input.contamination.basis,
  }
}
