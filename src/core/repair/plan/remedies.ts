import type { SuspectId } from '../../diagnosis/faults/faults'
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
/** Only single-phase compressors have one: the plan leaves it out of the others. */
export const RUN_CAPACITOR = 'run capacitor'
const COMPRESSOR_PARTS = [
  'compressor matched in capacity, volts, phase, refrigerant, oil',
  RUN_CAPACITOR,
  'contactor',
]
const COMPRESSOR_PHOTOS = ['compressor plate', 'stub sizes and feet', 'wiring before any lead comes off']

const REVERSING_VALVE_PARTS = ['reversing valve of the same tons and pattern, with its coil']

/** One row a suspect. */
export const REMEDIES: Readonly<Record<SuspectId, Remedy>> = {
  healthy: closed([]),
  unlisted: closed(['confirm']),
  'charge-lost': open(
    ['leakSearch', 'repairLeak'],
    ['parts for the leak, when found'],
    ['where the oil is', 'tube sizes at the leak', 'plate charge'],
  ),
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
  'access-fitting-leak': open(
    ['leakSearch', 'repairLeak'],
    ['valve cores, caps and seals', 'core tool'],
    ['size and kind of the fitting'],
  ),
  'relief-plug-melted': open(
    ['repairLeak'],
    ['fusible plug of the same temperature and thread'],
    ['thread and temperature of the plug', 'why it grew so hot'],
  ),
  'rv-pilot-tube-leak': open(['leakSearch', 'swapReversingValve'], REVERSING_VALVE_PARTS, [
    'port sizes and pattern',
    'coil volts',
  ]),
  'service-valve-damaged': open(
    ['clearLine'],
    ['service valve of the same size'],
    ['valve size and connections'],
  ),
  'liquid-solenoid-stuck-closed': open(
    ['checkControls', 'clearLine'],
    ['liquid solenoid valve with coil, or its coil'],
    ['coil volts', 'valve size and connections'],
  ),
  'liquid-solenoid-leaking': open(
    ['clearLine'],
    ['liquid solenoid valve or its kit'],
    ['coil volts', 'valve size and connections'],
  ),
  'equalizer-broken-or-blocked': open(
    ['repairLeak', 'swapValve'],
    ['equaliser tube and nuts', ...VALVE_PARTS],
    VALVE_PHOTOS,
  ),
  'eev-fault': open(
    ['checkControls', 'swapValve'],
    ['electronic expansion valve or its motor, driver and sensors by what fails'],
    ['driver and sensor types', ...VALVE_PHOTOS],
  ),
  'evaporator-fan-failed': closed(
    ['restoreAirflow', 'cleanCoil'],
    ['fan motor, blade and capacitor by the plate'],
    ['motor plate, shaft and rotation'],
  ),
  'defrost-failure': closed(
    ['cleanCoil', 'checkControls'],
    ['defrost control, termination sensor or heater by what fails'],
    ['control type, heater watts and volts'],
  ),
  'check-valve-leaking': open(
    ['swapValve'],
    ['check valve, or the metering device that holds it'],
    ['size and connections'],
  ),
  'head-pressure-control-stuck-closed': open(
    ['clearLine'],
    ['head pressure control valve of the same setting'],
    ['valve setting and connections'],
  ),
  'phase-reversed': closed(['swapPhases', 'settle']),
  'compressor-grounded': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'compressor-open-winding': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'compressor-shorted-turns': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'compressor-locked-rotor': open(['swapCompressor'], COMPRESSOR_PARTS, COMPRESSOR_PHOTOS),
  'fan-motor-grounded': closed(
    ['swapFanMotor', 'settle'],
    ['fan motor, blade and capacitor by the plate'],
    ['motor plate, shaft and rotation'],
  ),
  'crankcase-heater-grounded': closed(
    ['swapGroundedHeater', 'settle'],
    ['crankcase heater of the same watts and volts'],
    ['heater watts, volts and shape'],
  ),
  'terminal-plug-burnt': open(
    ['swapPlug'],
    ['plug, lead ends and terminal repair parts', 'terminal cover and its gasket'],
    ['terminal size and pattern', 'wiring before any lead comes off'],
  ),
  'compressor-overload-open': closed(['coolDown', 'settle'], [], ['what made it hot']),
  'start-gear-failed': closed(
    ['swapStartGear', 'settle'],
    ['run capacitor of the label value', 'start gear by the plate'],
    ['capacitor label', 'wiring before any lead comes off'],
  ),
  'contactor-failed': closed(
    ['swapContactor', 'settle'],
    ['contactor of the same poles, amps and coil volts'],
    ['poles, amps and coil volts', 'wiring before any lead comes off'],
  ),
  'supply-fault': closed(
    ['repairSupply', 'settle'],
    ['fuses or wire by what fails'],
    ['fuse and wire sizes'],
  ),
  'control-open': closed(
    ['checkControls', 'settle'],
    ['switch, thermostat or wire by what is open'],
    ['settings of the pressure switches'],
  ),
  'wire-rubbed-to-ground': closed(
    ['repairLead', 'settle'],
    ['wire of the same gauge and temperature rating, ties, sleeve'],
    ['wire gauge and route'],
  ),
  'crankcase-heater-open': closed(
    ['swapHeater'],
    ['crankcase heater of the same watts and volts'],
    ['watts, volts and shell diameter'],
  ),
  'rv-coil-failed': closed(
    ['swapValveCoil', 'settle'],
    ['reversing valve coil of the same volts'],
    ['coil volts and stem size', 'which mode energises the valve'],
  ),
  'rv-control-voltage-fault': closed(
    ['checkControls', 'settle'],
    ['thermostat, board or wire by what fails'],
    ['which mode energises the valve'],
  ),
  'intermittent-start': closed(['checkControls', 'settle'], [], ['volts and amps over several starts']),
}
