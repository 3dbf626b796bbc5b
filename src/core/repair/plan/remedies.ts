import type { SuspectId } from '../../diagnosis/faults/faults'
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

/** One row a suspect. */
export const REMEDIES: Readonly<Record<SuspectId, Remedy>> = {
  healthy: closed([]),
  unlisted: closed(['confirm']),
  'charge-lost': open(
    ['leakSearch', 'repairLeak'],
    ['leak-parts'],
    ['where the oil is', 'tube sizes at the leak', 'plate charge'],
  ),
  undercharge: open(
    ['leakSearch', 'repairLeak'],
    ['leak-parts'],
    ['where the oil is', 'tube sizes at the leak'],
  ),
  overcharge: closed(['removeExcess', 'settle']),
  'non-condensables': open(['leakSearch'], [], ['how air got in']),
  'liquid-line-restriction': open(['clearLine'], ['line-piece'], ['line size at the restriction']),
  'plugged-liquid-dryer': open([], [], ['dryer connections and room on both sides']),
  'txv-underfeeding': open(['swapValve'], VALVE_PARTS, VALVE_PHOTOS),
  'txv-lost-bulb-charge': open(['swapValve'], VALVE_PARTS, VALVE_PHOTOS),
  'txv-inlet-screen-plugged': open(['cleanScreen'], ['screen-kit'], VALVE_PHOTOS),
  'txv-set-too-closed': closed(['setValve']),
  'moisture-freeze-at-valve': open(['leakSearch'], [], ['how water got in']),
  'txv-overfeeding': open(['swapValve'], VALVE_PARTS, VALVE_PHOTOS),
  'txv-bulb-loose': closed(['fixBulb', 'settle'], ['bulb-strap', 'bulb-insulation']),
  'fixed-orifice-plugged': open(['swapOrifice'], ['orifices'], ['feeder tubes counted', 'orifice size']),
  'fixed-orifice-oversized': open(['swapOrifice'], ['orifices'], ['orifice size']),
  'capillary-plugged': open(['swapCapillary'], ['capillary'], ['bore and length of the capillary']),
  'low-evaporator-airflow': closed(['restoreAirflow', 'cleanCoil'], ['filter'], ['filter and belt size']),
  'high-load': closed(['settle']),
  'condenser-fouled': closed(['cleanCoil'], [], ['fan motor and capacitor plate']),
  'condenser-water-low-flow': closed(['restoreWater']),
  'compressor-not-pumping': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'internal-relief-open': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'reversing-valve-leaking-through': open(
    ['swapReversingValve'],
    ['reversing-valve'],
    ['port sizes and pattern', 'coil volts'],
  ),
  'reversing-valve-stuck-mid': open(
    ['swapReversingValve'],
    ['reversing-valve'],
    ['port sizes and pattern', 'coil volts'],
  ),
  'suction-line-restriction': open(['clearLine'], ['line-piece'], ['suction line size']),
  'head-pressure-control-stuck': open(
    ['swapLineValve'],
    ['head-pressure-valve'],
    ['valve setting and connections'],
  ),
  'wrong-or-mixed-refrigerant': open([], [], ['plate refrigerant and charge']),
  'access-fitting-leak': open(
    ['leakSearch', 'repairLeak'],
    ['access-cores', 'core-tool'],
    ['size and kind of the fitting'],
  ),
  'relief-plug-melted': open(
    ['repairLeak'],
    ['fusible-plug'],
    ['thread and temperature of the plug', 'why it grew so hot'],
  ),
  'rv-pilot-tube-leak': open(['leakSearch', 'swapReversingValve'], REVERSING_VALVE_PARTS, [
    'port sizes and pattern',
    'coil volts',
  ]),
  'service-valve-damaged': open(['swapLineValve'], ['service-valve'], ['valve size and connections']),
  'liquid-solenoid-stuck-closed': open(
    ['checkControls', 'swapSolenoid'],
    ['solenoid'],
    ['coil volts', 'valve size and connections'],
  ),
  'liquid-solenoid-leaking': open(
    ['swapSolenoid'],
    ['solenoid'],
    ['coil volts', 'valve size and connections'],
  ),
  'equalizer-broken-or-blocked': open(
    ['repairLeak', 'swapValve'],
    ['equaliser-tube', ...VALVE_PARTS],
    VALVE_PHOTOS,
  ),
  'eev-fault': open(
    ['checkControls', 'swapValve'],
    ['electronic-valve'],
    ['driver and sensor types', ...VALVE_PHOTOS],
  ),
  'evaporator-fan-failed': closed(
    ['restoreAirflow', 'cleanCoil'],
    ['fan-motor'],
    ['motor plate, shaft and rotation'],
  ),
  'defrost-failure': closed(
    ['cleanCoil', 'checkControls', 'swapControl', 'settle'],
    ['defrost-control'],
    ['control type, heater watts and volts'],
  ),
  'check-valve-leaking': open(['swapLineValve'], ['check-valve'], ['size and connections']),
  'head-pressure-control-stuck-closed': open(
    ['swapLineValve'],
    ['head-pressure-valve'],
    ['valve setting and connections'],
  ),
  'phase-reversed': closed(['swapPhases', 'settle']),
  'compressor-grounded': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'compressor-open-winding': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'compressor-shorted-turns': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'compressor-locked-rotor': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'fan-motor-grounded': closed(
    ['swapFanMotor', 'settle'],
    ['fan-motor'],
    ['motor plate, shaft and rotation'],
  ),
  'crankcase-heater-grounded': closed(
    ['swapGroundedHeater', 'settle'],
    ['crankcase-heater'],
    ['heater watts, volts and shape'],
  ),
  'terminal-plug-burnt': open(
    ['swapPlug'],
    ['terminal-kit'],
    ['terminal size and pattern', 'wiring before any lead comes off'],
  ),
  'compressor-overload-open': closed(['coolDown', 'settle'], [], ['what made it hot']),
  'start-gear-failed': closed(
    ['swapStartGear', 'settle'],
    ['run-capacitor', 'start-gear'],
    ['capacitor label', 'wiring before any lead comes off'],
  ),
  'contactor-failed': closed(
    ['swapContactor', 'settle'],
    ['contactor'],
    ['poles, amps and coil volts', 'wiring before any lead comes off'],
  ),
  'supply-fault': closed(['repairSupply', 'settle'], ['fuses'], ['fuse and wire sizes']),
  'control-open': closed(
    ['checkControls', 'swapControl', 'settle'],
    ['control'],
    ['settings of the pressure switches'],
  ),
  'wire-rubbed-to-ground': closed(['repairLead', 'settle'], ['wire'], ['wire gauge and route']),
  'crankcase-heater-open': closed(['swapHeater'], ['crankcase-heater'], ['watts, volts and shell diameter']),
  'rv-coil-failed': closed(
    ['swapValveCoil', 'settle'],
    ['reversing-valve-coil'],
    ['coil volts and stem size', 'which mode energises the valve'],
  ),
  'rv-control-voltage-fault': closed(
    ['checkControls', 'swapControl', 'settle'],
    ['control'],
    ['which mode energises the valve'],
  ),
  'intermittent-start': closed(['checkControls', 'settle'], [], ['volts and amps over several starts']),
}
