import type { Basis } from '../../base/known/known'
import { hasWaterCoil, isPipedOnSite } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { isFlammable } from '../../physics/refrigerants/catalogue'
import type { Policy } from '../../record/policy/policy'
import { ACCESS_WAYS, type AccessWay, type Repair } from '../../record/records/repair'
import { faultRow, isSuspect } from '../../diagnosis/faults/faults'
import type { Observations } from '../../record/readings/schema'
import type { RestInside } from './restInside'
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
  /** what speaks against the way that was chosen all the same, after its valves were tried */
  readonly costs: readonly string[]
  /** how the figures are known by which a way fits or does not */
  readonly basis: Basis
}

type Facts = {
  readonly unit: UnitPlate
  readonly faults: readonly string[]
  readonly observations: Observations
  readonly contamination: Contamination
  readonly repair: Repair
  /** plate and lines against the plate, where both are known: what the condenser must hold */
  readonly overPlate: number | undefined
  /** states that refuse a pump-down */
  readonly lowSideLeaks: boolean
  readonly inside: RestInside
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
/** The compressor and what is fitted to it (handbook 07). */
const COMPRESSOR_PARTS: readonly string[] = ['compressor', 'terminal-plug']

const partOf = (fault: string) =>
  isSuspect(fault) && fault !== 'healthy' && fault !== 'unlisted' ? faultRow(fault).part : undefined
const partsOf = ({ faults }: Facts) => faults.flatMap((fault) => partOf(fault) ?? [])
const isCompressor = (at: Facts) => partsOf(at).includes('compressor')
/** A leak at a port, tee, plug or gasket of the compressor is repaired between its valves. */
const leaksAtCompressor = ({ repair, observations }: Facts) =>
  (repair.leakPlace ?? (observations.oilStain === 'compressor' ? 'compressor' : undefined)) === 'compressor'
const isOnCompressor = (at: Facts) =>
  partsOf(at).length > 0 &&
  partsOf(at).every((part) => COMPRESSOR_PARTS.includes(part) || (part === 'charge' && leaksAtCompressor(at)))

/** A valve that shuts the liquid in: a receiver has one, and a split's outdoor unit. */
const hasShutOff = ({ unit }: Facts) => unit.receiver === true || isPipedOnSite(unit)
/** [practice] handbook 07: a tube condenser holds plate and lines up to a third over the plate. */
const MOST_OVER_PLATE = 4 / 3

type Against = readonly [holds: (at: Facts) => boolean, sentence: string]

/** What forbids both ways that leave a charge inside. */
const SHARED: readonly Against[] = [
  [({ inside }) => inside !== 'charge', 'no liquid is left in it'],
  [({ gasInside }) => gasInside, 'air or nitrogen is inside: it would be compressed with oil'],
  [({ unit }) => isFlammable(unit.refrigerant), 'flammable: all of it is recovered'],
  [({ repair }) => repair.valvesTight === false, 'the valves leak through'],
  [({ contamination }) => contamination.contents.acid !== 'none', 'acid: the charge does not stay in'],
]

/** Nobody can take these ways while one of these holds. */
const NEVER: Readonly<Record<AccessWay, readonly Against[]>> = {
  'recover-all': [],
  'pump-down': [
    ...SHARED,
    [isCompressor, 'the compressor does not do it'],
    [({ lowSideLeaks }) => lowSideLeaks, 'the low side leaks or may: air drawn in can burst the compressor'],
    [(at) => !hasShutOff(at), 'it has no liquid valve to shut'],
    [
      (at) => partsOf(at).length === 0 || !partsOf(at).every((part) => LOW_SIDE_PARTS.includes(part)),
      'the part does not lie behind the liquid valve',
    ],
  ],
  isolate: [
    ...SHARED,
    [(at) => !isOnCompressor(at), 'only for the compressor and what is fitted to it'],
    [
      ({ unit }) => unit.compressor?.type !== 'semi-hermetic' && unit.compressor?.type !== undefined,
      'a hermetic has no service valves of its own',
    ],
  ],
}

const WET: Against = [
  ({ contamination }) => contamination.contents.wet,
  'wet: what stays in keeps its water, and it is not used again',
]
/** What speaks against a way; who tried the valves may take it all the same, and it is said what that costs. */
const DOUBTS: Readonly<Record<AccessWay, readonly Against[]>> = {
  'recover-all': [],
  'pump-down': [
    WET,
    [
      ({ unit, overPlate = 1 }) => unit.receiver !== true && overPlate > MOST_OVER_PLATE,
      'plate and lines are more than a third over the plate: the condenser alone does not hold them',
    ],
    [
      ({ unit }) => unit.receiver !== true && unit.condenserCoil === 'microchannel',
      'a microchannel coil holds little beside its own charge',
    ],
    [
      ({ unit, faults }) => unit.receiver !== true && faults.includes('overcharge'),
      'by its fault it holds too much: the condenser may not take it',
    ],
  ],
  isolate: [
    WET,
    [
      ({ contamination: { contents } }) => contents.debris || contents.wax,
      'dirty: the sections behind the valves are not blown out',
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
    label: 'Pump down into receiver or condenser',
    minutes: [16, 25, 48],
    leaves:
      'Refrigerant stays in receiver or condenser: vacuum from one side only, a valve that leaks through stalls it near 3,000 microns.',
    asks: [
      'liquid valve shut, run to just above 0 psig, watch the head, lock out',
      'the isolated part is still recovered to its depth',
      'no flame at a valve that holds refrigerant',
      'a liquid line that stays full is recovered by its own port and reads 0 before it is cut',
    ],
  },
  isolate: {
    label: 'Isolate the compressor',
    minutes: [11, 18, 38],
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
const holding = (rows: readonly Against[], at: Facts): string[] =>
  rows.filter(([holds]) => holds(at)).map(([, sentence]) => sentence)

type Judged = Access & { readonly isRefused: boolean }

function judge(way: AccessWay, at: Facts): Judged {
  const refused = holding(NEVER[way], at)
  const against = [...refused, ...holding(DOUBTS[way], at)]
  const row = ROWS[way]
  return {
    way,
    ...row,
    asks: hasWaterCoil(at.unit) ? [WATER, ...row.asks] : row.asks,
    fits: against.length === 0,
    against,
    isRefused: refused.length > 0,
  }
}

/**
 * The ways that fit, with what each costs and gives up, and why the others do not. A way that was asked for is taken where it
 * fits, and where only doubts stand against it once its valves were tried and hold; else all is recovered unless the policy isolates.
 */
export function accessOf(at: Facts, policy: Policy): AccessChoice {
  const judged = ACCESS_WAYS.map((way) => judge(way, at))
  const fitting = judged.filter(({ fits }) => fits).map(({ way }) => way)
  const isTried = at.repair.valvesTight === true
  const asked = judged.find(({ way }) => way === at.repair.way)
  const byPolicy =
    policy.access === 'isolate' && isTried ? fitting.find((way) => way !== 'recover-all') : undefined
  const isTaken = asked !== undefined && (asked.fits || (isTried && !asked.isRefused))
  const chosen = isTaken ? asked.way : (byPolicy ?? 'recover-all')
  return {
    chosen,
    ways: judged.map(({ isRefused: _refused, ...way }) => way),
    refused: asked && asked.way !== chosen ? asked.way : undefined,
    costs: isTaken ? asked.against : [],
    basis: at.contamination.basis,
  }
}
