import type { Basis } from '../../base/known/known'
import { hasWaterCoil } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { isFlammable } from '../../physics/refrigerants/catalogue'
import type { Policy } from '../../record/policy/policy'
import { ACCESS_WAYS, type AccessWay, type Repair } from '../../record/records/repair'
import { faultRow, isSuspect, type SuspectId } from '../../diagnosis/faults/faults'
import type { Contamination } from '../cleanup/contamination'

/** One way to get at the part (handbook 07), whether it fits and why not, what it costs and gives up. */
type Access = {
  readonly way: AccessWay
  readonly label: string
  readonly fits: boolean
  readonly against: readonly string[]
  /** hands-on and waiting, minutes: low, likely, high [practice] */
  readonly minutes: readonly [number, number, number]
  readonly leaves: string
  readonly asks: readonly string[]
}

export type AccessChoice = {
  readonly chosen: AccessWay
  readonly ways: readonly Access[]
  /** the way that was asked for does not fit */
  readonly refused: AccessWay | undefined
  /** how the figures are known by which a way fits or does not */
  readonly basis: Basis
}

type Facts = {
  readonly unit: UnitPlate
  readonly faults: readonly string[]
  readonly contamination: Contamination
  readonly repair: Repair
  /** states that refuse a pump-down */
  readonly lowSideLeaks: boolean
  readonly isEmpty: boolean
  readonly gasInside: boolean
}

/** Parts behind the valve of the receiver. */
const LOW_SIDE_PARTS: readonly string[] = [
  'expansion-valve',
  'fixed-orifice',
  'liquid-dryer',
  'liquid-line',
  'liquid-solenoid',
  'suction-line',
]

const partOf = (fault: string) =>
  isSuspect(fault) && fault !== 'healthy' && fault !== 'unlisted' ? faultRow(fault).part : undefined
const partsOf = ({ faults }: Facts) => faults.flatMap((fault) => partOf(fault) ?? [])
const isCompressor = (at: Facts) => partsOf(at).includes('compressor')

type Against = readonly [holds: (at: Facts) => boolean, sentence: string]

const SHARED: readonly Against[] = [
  [({ isEmpty }) => isEmpty, 'there is nothing in it'],
  [({ gasInside }) => gasInside, 'air or nitrogen is inside: it would be compressed with oil'],
  [({ unit }) => isFlammable(unit.refrigerant), 'flammable: all of it is recovered'],
  [({ repair }) => repair.valvesTight === false, 'the valves let by'],
]

const AGAINST: Readonly<Record<AccessWay, readonly Against[]>> = {
  'recover-all': [],
  'pump-down': [
    ...SHARED,
    [isCompressor, 'the compressor does not do it'],
    [
      (at) => partsOf(at).length === 0 || !partsOf(at).every((part) => LOW_SIDE_PARTS.includes(part)),
      'the part does not lie behind the liquid valve',
    ],
    [({ lowSideLeaks }) => lowSideLeaks, 'the low side leaks or may: air drawn in can burst the compressor'],
    [
      ({ unit }) => unit.receiver !== true,
      'no receiver is written on the plate: the condenser alone seldom holds the charge',
    ],
    [({ contamination }) => contamination.contents.acid !== 'none', 'acid: the charge does not stay in'],
  ],
  isolate: [
    ...SHARED,
    [
      ({ contamination }) => contamination.class !== 'clean',
      'not clean: every section is swept and evacuated',
    ],
    [(at) => !isCompressor(at), 'only for the compressor and its fittings'],
    [
      ({ unit }) => unit.compressor?.type !== 'semi-hermetic' && unit.compressor?.type !== undefined,
      'a hermetic has no service valves of its own',
    ],
  ],
}

const ROWS: Readonly<Record<AccessWay, Pick<Access, 'label' | 'minutes' | 'leaves' | 'asks'>>> = {
  'recover-all': {
    label: 'Recover all',
    minutes: [25, 40, 90],
    leaves: 'Every section can be swept and evacuated.',
    asks: [
      'recovery machine, room in the cylinder',
      'recover, wait for the rise, recover again, sweep, then flame',
    ],
  },
  'pump-down': {
    label: 'Pump down into the receiver',
    minutes: [20, 28, 55],
    leaves:
      'Refrigerant stays in the receiver: vacuum from one side only, a valve that lets by stalls it near 3,000 microns.',
    asks: [
      'liquid valve shut, run to just above 0 psig, watch the head, lock out',
      'the isolated part is still recovered to its depth',
      'no flame at a valve that holds refrigerant',
      'charge fits receiver and condenser at 80 %',
    ],
  },
  isolate: {
    label: 'Isolate the compressor',
    minutes: [15, 21, 45],
    leaves:
      'Small volume, quick vacuum; a stall near 3,000 microns with the detector alarming at the pump outlet is refrigerant seeping past: stop.',
    asks: [
      'both service valves front-seated and tagged',
      'recovered between them',
      'never started until they are open',
    ],
  },
}

const WATER = 'water coil drained or flowing first'

function judge(way: AccessWay, at: Facts): Access {
  const against = AGAINST[way].filter(([holds]) => holds(at)).map(([, sentence]) => sentence)
  const row = ROWS[way]
  return {
    way,
    ...row,
    asks: hasWaterCoil(at.unit) ? [WATER, ...row.asks] : row.asks,
    fits: against.length === 0,
    against,
  }
}

/**
 * The ways that fit, with what each costs and gives up, and why the others do not. A way that was asked for is taken where it
 * fits; else all is recovered unless the policy isolates.
 */
export function accessOf(at: Facts, policy: Policy): AccessChoice {
  const ways = ACCESS_WAYS.map((way) => judge(way, at))
  const fitting = ways.filter(({ fits }) => fits).map(({ way }) => way)
  const asked = at.repair.way
  const byPolicy =
    policy.access === 'isolate' && at.repair.valvesTight === true
      ? fitting.find((way) => way !== 'recover-all')
      : undefined
  const chosen = asked && fitting.includes(asked) ? asked : (byPolicy ?? 'recover-all')
  return {
    chosen,
    ways,
    refused: asked && asked !== chosen ? asked : undefined,
    basis: at.contamination.basis,
  }
}

/** Faults whose part is a suspect's. */
export const isOfCompressor = (faults: readonly SuspectId[]): boolean =>
  faults.some((fault) => partOf(fault) === 'compressor')
