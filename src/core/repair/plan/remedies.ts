import { remedyIdOf, type SuspectId } from '../../diagnosis/faults/faults'
import type { RemedyId } from '../../diagnosis/faults/remedyIds'
import type { PartId } from './parts/catalogue'
import type { TaskId } from './tasks/tasks'

/** What repairs a fault: the work, the parts, and whether the circuit is opened for it. */
export type Remedy = {
  readonly work: readonly TaskId[]
  readonly parts: readonly PartId[]
  readonly opens: boolean
  /** what to measure, count or photograph before leaving to order the part */
  readonly beforeLeaving: readonly string[]
}

const closed = (
  work: readonly TaskId[],
  parts: readonly PartId[] = [],
  beforeLeaving: readonly string[] = [],
): Remedy => ({
  work,
  parts,
  opens: false,
  beforeLeaving,
})
const open = (
  work: readonly TaskId[],
  parts: readonly PartId[],
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
const COMPRESSOR_PARTS: readonly PartId[] = ['compressor']
const VALVE_PARTS: readonly PartId[] = ['expansion-valve']
const COMPRESSOR_PHOTOS = ['compressor plate', 'stub sizes and feet', 'wiring before any lead comes off']

const REVERSING_VALVE_PARTS: readonly PartId[] = ['reversing-valve']

/** One row a remedy; faults name theirs. */
export const REMEDIES: Readonly<Record<RemedyId, Remedy>> = {
  none: closed([]),
  'look-again': closed(['confirm']),
  'repair-lost-charge': open(
    ['leakSearch', 'repairLeak'],
    ['leak-parts'],
    ['where the oil is', 'tube sizes at the leak', 'plate charge'],
  ),
  'repair-leak': open(
    ['leakSearch', 'repairLeak'],
    ['leak-parts'],
    ['where the oil is', 'tube sizes at the leak'],
  ),
  'remove-excess': closed(['removeExcess', 'settle']),
  'remove-air': open(['leakSearch'], [], ['how air got in']),
  'clear-liquid-line': open(['clearLine'], ['line-piece'], ['line size at the restriction']),
  'change-dryer': open([], [], ['dryer connections and room on both sides']),
  'swap-valve': open(['swapValve'], VALVE_PARTS, VALVE_PHOTOS),
  'clean-screen': open(['cleanScreen'], ['screen-kit'], VALVE_PHOTOS),
  'set-valve': closed(['setValve']),
  'remove-water': open(['leakSearch'], [], ['how water got in']),
  'fix-bulb': closed(['fixBulb', 'settle'], ['bulb-strap', 'bulb-insulation']),
  'clear-orifice': open(['swapOrifice'], ['orifices'], ['feeder tubes counted', 'orifice size']),
  'swap-orifice': open(['swapOrifice'], ['orifices'], ['orifice size']),
  'swap-capillary': open(['swapCapillary'], ['capillary'], ['bore and length of the capillary']),
  'restore-airflow': closed(['restoreAirflow', 'cleanCoil'], ['filter'], ['filter and belt size']),
  'wait-for-load': closed(['settle']),
  'clean-condenser': closed(['cleanCoil'], [], ['fan motor and capacitor plate']),
  'restore-water': closed(['restoreWater']),
  'swap-compressor': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'swap-reversing-valve': open(
    ['swapReversingValve'],
    ['reversing-valve'],
    ['port sizes and pattern', 'coil volts'],
  ),
  'clear-suction-line': open(['clearLine'], ['line-piece'], ['suction line size']),
  'swap-head-pressure-valve': open(
    ['swapLineValve'],
    ['head-pressure-valve'],
    ['valve setting and connections'],
  ),
  'change-refrigerant': open([], [], ['plate refrigerant and charge']),
  'repair-fitting': open(
    ['confirmLeak', 'repairLeak'],
    ['access-cores', 'core-tool'],
    ['size and kind of the fitting'],
  ),
  'change-plug': open(
    ['changePlug'],
    ['fusible-plug'],
    ['thread and temperature of the plug', 'why it grew so hot'],
  ),
  'repair-pilot-tube': open(['confirmLeak', 'swapReversingValve'], REVERSING_VALVE_PARTS, [
    'port sizes and pattern',
    'coil volts',
  ]),
  'open-service-valves': closed(['openValves', 'settle']),
  'swap-service-valve': open(['swapServiceValve'], ['service-valve'], ['valve size and connections']),
  'free-solenoid': open(
    ['checkControls', 'swapSolenoid'],
    ['solenoid'],
    ['coil volts', 'valve size and connections'],
  ),
  'swap-solenoid': open(['swapSolenoid'], ['solenoid'], ['coil volts', 'valve size and connections']),
  'repair-equaliser': open(['repairLeak', 'swapValve'], ['equaliser-tube', ...VALVE_PARTS], VALVE_PHOTOS),
  'swap-electronic-valve': open(
    ['checkControls', 'swapValve'],
    ['electronic-valve'],
    ['driver and sensor types', ...VALVE_PHOTOS],
  ),
  'repair-evaporator-fan': closed(
    ['restoreAirflow', 'cleanCoil'],
    ['fan-motor'],
    ['motor plate, shaft and rotation'],
  ),
  'repair-defrost': closed(
    ['cleanCoil', 'checkControls', 'swapControl', 'settle'],
    ['defrost-control'],
    ['control type, heater watts and volts'],
  ),
  'swap-check-valve': open(['swapLineValve'], ['check-valve'], ['size and connections']),
  'swap-phases': closed(['swapPhases', 'settle']),
  'swap-fan-motor': closed(['swapFanMotor', 'settle'], ['fan-motor'], ['motor plate, shaft and rotation']),
  'swap-grounded-heater': closed(
    ['swapGroundedHeater', 'settle'],
    ['crankcase-heater'],
    ['heater watts, volts and shape'],
  ),
  'repair-terminals': open(
    ['swapPlug'],
    ['terminal-kit'],
    ['terminal size and pattern', 'wiring before any lead comes off'],
  ),
  'cool-down': closed(['coolDown', 'settle'], [], ['what made it hot']),
  'swap-start-gear': closed(
    ['swapStartGear', 'settle'],
    ['run-capacitor', 'start-gear'],
    ['capacitor label', 'wiring before any lead comes off'],
  ),
  'swap-contactor': closed(
    ['swapContactor', 'settle'],
    ['contactor'],
    ['poles, amps and coil volts', 'wiring before any lead comes off'],
  ),
  'restore-supply': closed(['repairSupply', 'settle'], ['fuses'], ['fuse and wire sizes']),
  'repair-control': closed(
    ['checkControls', 'swapControl', 'settle'],
    ['control'],
    ['settings of the pressure switches'],
  ),
  'repair-lead': closed(['repairLead', 'settle'], ['wire'], ['wire gauge and route']),
  'swap-heater': closed(['swapHeater'], ['crankcase-heater'], ['watts, volts and shell diameter']),
  'swap-valve-coil': closed(
    ['swapValveCoil', 'settle'],
    ['reversing-valve-coil'],
    ['coil volts and stem size', 'which mode energises the valve'],
  ),
  'repair-valve-control': closed(
    ['checkControls', 'swapControl', 'settle'],
    ['control'],
    ['which mode energises the valve'],
  ),
  'watch-starts': closed(['checkControls', 'settle'], [], ['volts and amps over several starts']),
}

/** What repairs a suspect. */
export const remedyOf = (suspect: SuspectId): Remedy => REMEDIES[remedyIdOf(suspect)]
