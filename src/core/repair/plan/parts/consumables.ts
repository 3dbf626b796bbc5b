import { type Basis, basisOf, type Known } from '../../../base/known/known'
import { hasReversingValve } from '../../../record/equipment/kinds'
import type { UnitPlate } from '../../../record/equipment/unit'
import type { Charge } from '../../charge/charge'
import type { OilBalance } from '../../charge/oilFigures'
import type { RefrigerantPath } from '../../charge/refrigerantPath'
import type { Recovery } from '../../charge/recovery'
import type { DryerChoice } from '../../cleanup/dryers'
import { tradeSize } from '../../../base/units/tradeSize'
import { dryerName } from '../dryerName'
import { cubicFeet, type Nitrogen } from './nitrogen'
import { weightText } from '../weightText'

/** Something that is used up or brought along, by a name that stays. */
export type Consumable = {
  readonly name: string
  readonly label: string
  readonly why: string
  readonly quantity?: string
  /** how what decides it, or how much of it, is known */
  readonly basis?: Basis
}

export type ConsumableFacts = {
  readonly unit: UnitPlate
  readonly dryers: readonly DryerChoice[]
  readonly oil: OilBalance
  readonly charge: Charge | undefined
  readonly path: RefrigerantPath
  readonly recovery: Recovery
  readonly isEmpty: boolean
  /** the charge stays in the receiver or round the isolated compressor */
  readonly isPart: boolean
  readonly nitrogen: Known<Nitrogen>
  readonly joints: Known<{ readonly copper: number; readonly steel: number }>
}

function dryerParts({ place, chosen, ways, basis }: DryerChoice): Consumable[] {
  if (!chosen) return []
  const count = ways && ways.parallel > 1 ? `${ways.parallel} x ` : ''
  return [
    {
      name: `${place}-dryer`,
      label: `${count}${place} dryer, ${dryerName(chosen.dryer)}`,
      why: ways ? `the best that fits; ${ways.sentences[0] ?? ''}` : '',
      basis,
    },
    ...(ways && ways.visits > 1
      ? [
          {
            name: `${place}-dryer-return`,
            label: `${ways.visits - 1} more ${place} dryer for the return visit`,
            why: 'one does not hold the water',
            basis,
          },
        ]
      : []),
    ...(chosen.reducer
      ? [
          {
            name: `${place}-dryer-reducers`,
            label: `two reducers ${tradeSize(chosen.reducer.from)} to ${tradeSize(chosen.reducer.to)}`,
            why: `line and ${place} dryer differ`,
            basis,
          },
        ]
      : []),
  ]
}

/** [practice] refrigerant in a usual new cylinder, kg, and what is brought beyond the charge. */
const FULL_CYLINDER = 10
const SPARE = 1.1

/** What goes in again, with its weight; nothing where the equipment may hold nothing that is known. */
function refrigerantParts({ charge, path, isPart }: ConsumableFacts): Consumable[] {
  if (!charge || path.goesIn === undefined) return []
  if (isPart)
    return [
      {
        name: 'refrigerant',
        label: `${path.goesIn}: its charge stays in; a little for what goes out with the part`,
        why: 'topped up by weight',
      },
    ]
  const isOwn = path.recovered === 'reuse-in-same-equipment'
  const { total, guess } = charge
  const cylinders = Math.ceil((guess.value * SPARE) / FULL_CYLINDER)
  const weight = total
    ? weightText(total.value)
    : `a charge that nobody knows, by a guess ${weightText(guess.value)}`
  return [
    {
      name: 'refrigerant',
      label: isOwn
        ? `${path.goesIn}: refill with its own charge, and a little more for ${weight}`
        : `${path.goesIn}, ${weight} and a little more`,
      why: 'weigh-in',
      quantity: `${cylinders} new cylinder${cylinders === 1 ? '' : 's'}`,
      basis: total ?? guess,
    },
  ]
}

function recoveryParts({ recovery, isEmpty }: ConsumableFacts): Consumable[] {
  if (isEmpty) return []
  const { count, basis } = recovery.cylinder
  return [
    {
      name: 'recovery-cylinder',
      label: `recovery cylinder${recovery.isDedicated ? ', for burnt refrigerant alone' : ''}`,
      why: 'room and test date looked at',
      quantity: `${count}`,
      basis: basisOf(basis, recovery.guess),
    },
  ]
}

const cansText = (cans: number) => `${cans} can${cans === 1 ? '' : 's'} of a quart, unopened`

function oilParts({ oil }: ConsumableFacts): Consumable[] {
  const { goesIn, bring, cans, changes, laterChanges, laterCans, bringBasis, changesBasis, left } = oil
  return [
    ...(bring > 0
      ? [
          {
            name: 'oil',
            label: `${goesIn} oil, ${cansText(cans)}`,
            why: changes > 0 ? `${changes} oil change${changes > 1 ? 's' : ''}` : 'refill for what came out',
            quantity: `${cans}`,
            basis: bringBasis,
          },
        ]
      : []),
    ...(laterChanges > 0
      ? [
          {
            name: 'oil-return',
            label: `${goesIn} oil for the return visit, ${cansText(laterCans)}`,
            why: `${laterChanges} change${laterChanges > 1 ? 's' : ''} after it has run`,
            quantity: `${laterCans}`,
            basis: basisOf(changesBasis, left),
          },
        ]
      : []),
  ]
}

const feet = (cubicMetres: number) => cubicFeet(cubicMetres).toFixed(cubicFeet(cubicMetres) < 10 ? 1 : 0)

function nitrogenParts({ nitrogen }: ConsumableFacts): Consumable[] {
  const { sweep, brazing, test, breaks, total, withRound, cylinder, cylinders } = nitrogen.value
  const shares = [
    ['sweeps', sweep],
    ['brazing', brazing],
    ['test', test],
    ['breaks', breaks],
  ] as const
  const told = shares
    .filter(([, volume]) => volume > 0)
    .map(([name, volume]) => `${name} ${feet(volume)} ft³`)
  return [
    {
      name: 'nitrogen',
      label: 'dry nitrogen and regulator with relief',
      why: `${told.join(', ')}: ${feet(total)} ft³; with one round more ${feet(withRound)} ft³`,
      quantity: `${cylinders > 1 ? `${cylinders} x ` : ''}${cylinder} ft³ or more`,
      basis: nitrogen,
    },
  ]
}

/** [practice] joints that one rod makes. */
const JOINTS_A_ROD = 3
const rods = (joints: number) => Math.ceil(joints / JOINTS_A_ROD)

function rodParts({ joints }: ConsumableFacts): Consumable[] {
  const { copper, steel } = joints.value
  return [
    ...(copper > 0
      ? [
          {
            name: 'rods-copper',
            label: 'phosphor-copper rods',
            why: `${copper} joint${copper === 1 ? '' : 's'} copper to copper`,
            quantity: `${rods(copper)}`,
            basis: joints,
          },
        ]
      : []),
    ...(steel > 0
      ? [
          {
            name: 'rods-silver',
            label: 'high-silver rods and flux',
            why: `${steel} joint${steel === 1 ? '' : 's'} with steel or brass`,
            quantity: `${rods(steel)}`,
            basis: joints,
          },
        ]
      : []),
    ...(copper + steel > 0
      ? [{ name: 'extinguisher', label: 'extinguisher, wet rag, shields', why: 'flame', basis: joints }]
      : []),
  ]
}

const ALWAYS: readonly Consumable[] = [
  { name: 'cores-caps-seals', label: 'valve cores, caps and seals', why: 'cheap, and they leak' },
  { name: 'bubbles', label: 'bubble solution, mirror, detector', why: 'every joint is bubbled' },
  {
    name: 'tags',
    label: 'tags, labels, line insulation, ties',
    why: 'tag inside the panel, insulation back on',
  },
]
const HEAT_BLOCKING: Consumable = {
  name: 'heat-blocking',
  label: 'heat-blocking paste and rags',
  why: 'the reversing valve body stays under 250 F',
}

/** All that an opened circuit uses up. */
export const consumablesOf = (facts: ConsumableFacts): Consumable[] => [
  ...facts.dryers.flatMap(dryerParts),
  ...oilParts(facts),
  ...nitrogenParts(facts),
  ...rodParts(facts),
  ...ALWAYS,
  ...recoveryParts(facts),
  ...refrigerantParts(facts),
  ...(hasReversingValve(facts.unit) ? [HEAT_BLOCKING] : []),
]
