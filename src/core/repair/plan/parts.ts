import { fromSI } from '../../base/units/convert'
import { hasReversingValve, isThreePhase } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { partKey } from '../../record/records/tick'
import type { Charge } from '../charge/charge'
import type { OilBalance } from '../charge/oilBalance'
import type { RefrigerantPath } from '../charge/refrigerantPath'
import type { Contamination } from '../cleanup/contamination'
import type { DryerChoice } from '../cleanup/dryers'
import { dryerName } from './dryerName'
import { RUN_CAPACITOR } from './remedies'

export type PlanPart = {
  /** what it is ticked by: stable while the part is the same */
  readonly id: string
  readonly label: string
  readonly why: string
}

type Consumable = { readonly name: string; readonly label: string; readonly why: string }

const inch = (size: number) => `${Number(size.toFixed(3))} in`

function dryerParts({ place, chosen, ways }: DryerChoice): Consumable[] {
  if (!chosen) return []
  const count = ways && ways.parallel > 1 ? `${ways.parallel} x ` : ''
  return [
    {
      name: `${place}-dryer`,
      label: `${count}${place} dryer, ${dryerName(chosen.dryer)}`,
      why: ways ? `the best that fits; ${ways.sentences[0] ?? ''}` : 'the circuit is opened',
    },
    ...(ways && ways.visits > 1
      ? [
          {
            name: `${place}-dryer-return`,
            label: `${ways.visits - 1} more ${place} dryer for the return visit`,
            why: 'one does not hold the water',
          },
        ]
      : []),
    ...(chosen.reducer
      ? [
          {
            name: `${place}-dryer-reducers`,
            label: `two reducers ${inch(chosen.reducer.from)} to ${inch(chosen.reducer.to)}`,
            why: `line and ${place} dryer differ`,
          },
        ]
      : []),
  ]
}

type PartsInput = {
  readonly unit: UnitPlate
  readonly remedyParts: readonly string[]
  readonly opens: boolean
  readonly dryers: readonly DryerChoice[]
  readonly oil: OilBalance
  readonly charge: Charge | undefined
  readonly path: RefrigerantPath
  readonly contamination: Contamination
}

const pounds = (kg: number) => `${fromSI(kg, 'lb').toFixed(1)} lb (${kg.toFixed(2)} kg)`

/** What goes in again, with its weight; nothing where the equipment may hold nothing that is known. */
function refrigerantParts({ charge, path }: PartsInput): Consumable[] {
  if (!charge || path.goesIn === undefined) return []
  const label =
    path.recovered === 'reuse-in-same-equipment'
      ? `${path.goesIn}: its own charge goes back, and a little more for ${pounds(charge.total)}`
      : `${path.goesIn}, ${pounds(charge.total)} and a little more`
  return [{ name: 'refrigerant', label, why: 'weigh-in' }]
}

function cleanupParts({ contamination, unit, oil }: PartsInput): Consumable[] {
  const { wet, debris, wax, acid } = contamination.contents
  const isDirty = debris || wax || acid === 'strong'
  return [
    ...(wet
      ? [
          {
            name: 'moisture-indicator',
            label: 'moisture indicator of the line size',
            why: 'free water washes its salt out, then it shows nothing',
          },
        ]
      : []),
    ...(isDirty && (unit.metering === 'txv' || unit.metering === 'eev')
      ? [
          {
            name: 'valve-screen',
            label: 'screen and gaskets, or the valve',
            why: 'it catches what the circuit shed',
          },
        ]
      : []),
    ...(isDirty && unit.metering === 'capillary'
      ? [
          {
            name: 'capillary',
            label: 'capillary of the same bore and length',
            why: 'what is in it does not come out again',
          },
        ]
      : []),
    ...(oil.bring > 0
      ? [
          {
            name: 'oil',
            label: `${oil.goesIn} oil, ${oil.cans} can${oil.cans === 1 ? '' : 's'} of a quart, unopened`,
            why:
              oil.changes > 0
                ? `${oil.changes} oil change${oil.changes > 1 ? 's' : ''}`
                : 'what came out goes back',
          },
        ]
      : []),
  ]
}

const CONSUMABLES: readonly Consumable[] = [
  { name: 'nitrogen', label: 'dry nitrogen and regulator with relief', why: 'sweep, brazing, pressure test' },
  { name: 'cores-caps-seals', label: 'valve cores, caps and seals', why: 'cheap, and they leak' },
]
const HEAT_BLOCKING: Consumable = {
  name: 'heat-blocking',
  label: 'heat-blocking paste and rags',
  why: 'the reversing valve body stays under 250 F',
}

/** Parts by what they are, each once: a part keeps its key whatever else comes into the list. */
export function planParts(input: PartsInput): PlanPart[] {
  const { remedyParts, opens, dryers, unit } = input
  const fitting = remedyParts.filter((label) => label !== RUN_CAPACITOR || !isThreePhase(unit))
  const remedy = fitting.map((label): Consumable => ({ name: label, label, why: 'the repair' }))
  const all = [
    ...remedy,
    ...(opens
      ? [
          ...dryers.flatMap(dryerParts),
          ...cleanupParts(input),
          ...CONSUMABLES,
          ...refrigerantParts(input),
          ...(hasReversingValve(unit) ? [HEAT_BLOCKING] : []),
        ]
      : []),
  ]
  const parts = all.map(({ name, label, why }): PlanPart => ({ id: partKey(name), label, why }))
  return parts.filter(
    ({ label, id }, i) => parts.findIndex((each) => each.label === label || each.id === id) === i,
  )
}
