import type { SuspectId } from '../diagnose/faults'
import type { TaskId } from './tasks'

/** What repairs a fault: the work, the parts, and whether the circuit is opened for it. */
export type Remedy = {
  readonly work: readonly TaskId[]
  readonly parts: readonly string[]
  readonly opens: boolean
  /** what to measure, count or photograph before leaving to order the part */
  readonly beforeLeaving: readonly string[]
}

const closed = (
  work: readonly TaskId[],
  parts: readonly string[] = [],
  beforeLeaving: readonly string[] = [],
): Remedy => ({
  work,
  parts,
  opens: false,
  beforeLeaving,
})
const open = (
  work: readonly TaskId[],
  parts: readonly string[],
  beforeLeaving: readonly string[] = [],
): Remedy => ({
  work,
  parts,
  opens: true,
  beforeLeaving,
})

const VALVE_PHOTOS = [
  'connections, line sizes and the external equaliser of the valve',
  'tons, refrigerant and charge type on the valve',
  'clearance round valve and distributor',
]
const VALVE_PARTS = [
  'expansion valve matched in refrigerant, tons, charge type, connections, equaliser',
  'bulb strap and insulation',
]
const COMPRESSOR_PARTS = [
  'compressor matched in capacity, volts, phase, refrigerant, oil',
  'run capacitor',
  'contactor',
]
const COMPRESSOR_PHOTOS = ['compressor plate', 'stub sizes and feet', 'wiring before any lead comes off']

/** One row a suspect. */
export const REMEDIES: Readonly<Record<SuspectId, Remedy>> = {
  healthy: closed([]),
  unlisted: closed(['confirm']),
  undercharge: open(
    ['leakSearch', 'repairLeak'],
    ['parts for the leak, when found'],
    ['where the oil is', 'tube sizes at the leak'],
  ),
  overcharge: closed(['removeExcess', 'settle']),
  'non-condensables': open(['leakSearch'], [], ['how air got in']),
  'liquid-line-restriction': open(
    ['clearLine'],
    ['liquid line piece and couplings'],
    ['line size at the restriction'],
  ),
  'plugged-liquid-dryer': open([], [], ['dryer connections and room on both sides']),
  'txv-underfeeding': open(['swapValve'], VALVE_PARTS, VALVE_PHOTOS),
  'txv-lost-bulb-charge': open(['swapValve'], VALVE_PARTS, VALVE_PHOTOS),
  'txv-inlet-screen-plugged': open(['cleanScreen'], ['screen and gaskets, or the valve'], VALVE_PHOTOS),
  'txv-set-too-closed': closed(['setValve']),
  'moisture-freeze-at-valve': open(['leakSearch'], ['fresh oil'], ['how water got in']),
  'txv-overfeeding': open(['swapValve'], VALVE_PARTS, VALVE_PHOTOS),
  'txv-bulb-loose': closed(['fixBulb', 'settle'], ['bulb strap and insulation']),
  'fixed-orifice-plugged': open(
    ['swapOrifice'],
    ['orifices of the plate size, seals'],
    ['feeder tubes counted', 'orifice size'],
  ),
  'fixed-orifice-oversized': open(['swapOrifice'], ['orifice of the plate size, seal'], ['orifice size']),
  'capillary-plugged': open(
    ['swapCapillary'],
    ['capillary of the same bore and length'],
    ['bore and length of the capillary'],
  ),
  'low-evaporator-airflow': closed(['restoreAirflow', 'cleanCoil'], ['filter'], ['filter and belt size']),
  'high-load': closed(['settle']),
  'condenser-fouled': closed(['cleanCoil'], [], ['fan motor and capacitor plate']),
  'condenser-water-low-flow': closed(['restoreWater']),
  'compressor-not-pumping': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'internal-relief-open': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'reversing-valve-leaking-through': open(
    ['swapReversingValve'],
    ['reversing valve of the same tons and pattern, with its coil'],
    ['port sizes and pattern', 'coil volts'],
  ),
  'reversing-valve-stuck-mid': open(
    ['swapReversingValve'],
    ['reversing valve of the same tons and pattern, with its coil'],
    ['port sizes and pattern', 'coil volts'],
  ),
  'suction-line-restriction': open(
    ['clearLine'],
    ['suction dryer core or line piece'],
    ['suction line size'],
  ),
  'head-pressure-control-stuck': open(
    ['clearLine'],
    ['head pressure control valve of the same setting'],
    ['valve setting and connections'],
  ),
  'wrong-or-mixed-refrigerant': open(
    [],
    ['a full charge of the plate refrigerant'],
    ['plate refrigerant and charge'],
  ),
}
