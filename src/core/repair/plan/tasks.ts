import type { CautionId } from '../../safety/cautions'
import type { Act, VetoId } from '../../safety/vetoes'
import type { Minutes } from '../schedule/schedule'

export type TaskRow = {
  readonly label: string
  /** order of work; a lower number comes first */
  readonly order: number
  readonly handsOn: Minutes
  readonly unattended?: Minutes
  readonly cautions: readonly CautionId[]
  /** the circuit stands open from this step until the vacuum */
  readonly opens?: true
  /** what it does that can hurt in some states; flame where brazing is cautioned */
  readonly acts?: readonly Act[]
  /** states that it ends */
  readonly lifts?: readonly VetoId[]
}

/** Typical times of handbook 01 [practice]; the order of handbook 01, 5. */
export const TASKS = {
  setUp: { label: 'Set up, carry gear', order: 10, handsOn: [15, 30, 90], cautions: ['lifting'] },
  confirm: {
    label: 'Confirm the diagnosis again before anything is opened',
    order: 20,
    handsOn: [10, 20, 40],
    acts: ['energise'],
    cautions: ['live'],
  },
  confirmDead: {
    label: 'Confirm the diagnosis again with the power off: windings, ground, standing pressure',
    order: 20,
    handsOn: [10, 15, 30],
    cautions: ['shock'],
  },
  gainAccess: { label: 'Gain access', order: 30, handsOn: [10, 30, 120], cautions: ['shock'] },
  traceNitrogen: {
    label: 'Nitrogen in steps into the empty circuit, with a trace where a detector is used',
    order: 39,
    handsOn: [10, 15, 30],
    cautions: ['pressure', 'asphyxiation'],
  },
  leakSearch: {
    label: 'Leak search: oil trace, bubbles, detector',
    order: 40,
    handsOn: [15, 40, 120],
    unattended: [0, 15, 60],
    cautions: ['asphyxiation'],
  },
  cleanCoil: {
    label: 'Clean the coil, power off',
    order: 45,
    handsOn: [20, 35, 60],
    cautions: ['shock'],
  },
  restoreAirflow: {
    label: 'Restore airflow: filter, belt, fan, duct',
    order: 46,
    handsOn: [10, 25, 60],
    cautions: ['shock'],
  },
  restoreWater: {
    label: 'Clean the strainer, restore water flow',
    order: 47,
    handsOn: [15, 30, 60],
    lifts: ['water-not-flowing', 'water-standing'],
    cautions: ['shock'],
  },
  setValve: {
    label: 'Adjust the valve by quarter turns, log each, wait 15-20 min',
    order: 48,
    handsOn: [5, 10, 20],
    unattended: [15, 40, 60],
    acts: ['run', 'valve-check'],
    cautions: [],
  },
  coolDown: {
    label: 'Cool the shell down, then measure the windings again',
    order: 32,
    handsOn: [5, 10, 15],
    unattended: [20, 60, 180],
    cautions: ['shock'],
  },
  repairSupply: {
    label: 'Restore the supply: fuse, breaker, connection, supplier',
    order: 33,
    handsOn: [15, 40, 120],
    acts: ['energise'],
    cautions: ['shock', 'live'],
  },
  swapPhases: {
    label: 'Swap two phases at the supply side of the contactor, check rotation',
    order: 34,
    handsOn: [10, 15, 30],
    acts: ['energise'],
    cautions: ['shock', 'live'],
  },
  repairLead: {
    label: 'Replace the rubbed lead, secure and sleeve it',
    order: 35,
    handsOn: [15, 30, 60],
    lifts: ['ground-path', 'terminals-burnt'],
    cautions: ['shock'],
  },
  swapFanMotor: {
    label: 'Replace the grounded fan motor, measure the contactor to ground again before any power',
    order: 35,
    handsOn: [30, 50, 90],
    lifts: ['ground-path'],
    cautions: ['shock', 'lifting'],
  },
  swapGroundedHeater: {
    label: 'Replace the grounded crankcase heater, measure to ground again before any power',
    order: 35,
    handsOn: [15, 25, 45],
    lifts: ['ground-path'],
    cautions: ['shock'],
  },
  swapPlug: {
    label: 'Replace plug, lead ends and terminal repair parts at the compressor, pressure off',
    order: 65,
    handsOn: [15, 30, 60],
    lifts: ['terminals-burnt'],
    cautions: ['shock', 'acidOil'],
  },
  closeCover: {
    label: 'Put the terminal cover back on',
    order: 134,
    handsOn: [2, 3, 5],
    lifts: ['cover-off', 'terminals-under-pressure'],
    cautions: ['shock'],
  },
  openValves: {
    label: 'Open the service valves, take the tags off',
    order: 145,
    handsOn: [3, 5, 10],
    lifts: ['isolated'],
    cautions: [],
  },
  drainWater: {
    label: 'Drain the water coil or bring its water to flow',
    order: 55,
    handsOn: [5, 10, 20],
    lifts: ['water-standing'],
    cautions: ['waterCoil'],
  },
  sweepFlammable: {
    label: 'Sweep with nitrogen, evacuate, sweep again, detector clear: before any flame or spark',
    order: 69,
    handsOn: [10, 15, 30],
    unattended: [15, 30, 60],
    lifts: ['flammable'],
    cautions: ['flammable', 'asphyxiation'],
  },
  proveEmpty: {
    label: 'Nothing to recover, but prove it: pressure, and a search for cold spots',
    order: 60,
    handsOn: [5, 10, 15],
    cautions: ['acidOil'],
  },
  pumpDown: {
    label: 'Pump down to just above 0 psig, liquid valve shut, watch the head, lock out',
    order: 57,
    handsOn: [5, 10, 20],
    acts: ['pump-down', 'run', 'energise'],
    cautions: ['live', 'recovery'],
  },
  isolateCompressor: {
    label: 'Front-seat both service valves of the compressor, tag them',
    order: 57,
    handsOn: [5, 8, 15],
    cautions: ['shock', 'recovery'],
  },
  testOil: {
    label: 'Test the oil for acid as soon as it is out: what is done next branches on it',
    order: 84,
    handsOn: [5, 10, 15],
    cautions: ['acidOil'],
  },
  fitIndicator: {
    label: 'Fit a new moisture indicator: the old one shows nothing any more',
    order: 94,
    handsOn: [10, 15, 30],
    cautions: ['brazing', 'hotWork'],
    opens: true,
  },
  checkMetering: {
    label: 'Check valve, orifice or capillary for the new refrigerant; set the superheat anew',
    order: 152,
    handsOn: [10, 20, 40],
    acts: ['run', 'valve-check'],
    cautions: [],
  },
  labelUnit: {
    label: 'Label the unit: refrigerant, charge, oil, date',
    order: 158,
    handsOn: [3, 5, 10],
    cautions: [],
  },
  swapContactor: { label: 'Replace the contactor', order: 36, handsOn: [15, 25, 40], cautions: ['shock'] },
  swapStartGear: {
    label: 'Replace capacitor and start gear, keep a wiring map',
    order: 37,
    handsOn: [10, 20, 40],
    cautions: ['shock'],
  },
  checkControls: {
    label: 'Follow the control circuit from the load backwards, repair what is open',
    order: 38,
    handsOn: [15, 40, 90],
    acts: ['energise'],
    cautions: ['live'],
  },
  swapValveCoil: {
    label: 'Replace the coil, never energise it off the stem',
    order: 39,
    handsOn: [10, 15, 30],
    cautions: ['shock'],
  },
  checkWiring: {
    label: 'Compare the wiring with the diagram, wire by it, keep a map',
    order: 51,
    handsOn: [10, 20, 45],
    cautions: ['shock'],
  },
  fitLowPressureSwitch: {
    label: 'Fit or restore the low-pressure switch, see that it sees pressure',
    order: 52,
    handsOn: [15, 30, 60],
    cautions: ['shock', 'pressure'],
  },
  stopFloodback: {
    label: 'Find what floods: bulb, valve, airflow, charge; prove superheat after the start',
    order: 53,
    handsOn: [10, 25, 60],
    cautions: [],
  },
  swapHeater: {
    label: 'Replace the crankcase heater, prove it with the contactor out',
    order: 50,
    handsOn: [10, 20, 40],
    acts: ['energise'],
    cautions: ['shock'],
  },
  fixBulb: {
    label: 'Fix the bulb on clean straight pipe, tight and insulated',
    order: 49,
    handsOn: [10, 20, 40],
    cautions: [],
  },
  recover: {
    label: 'Recover and weigh the refrigerant',
    order: 60,
    handsOn: [10, 10, 15],
    unattended: [15, 30, 75],
    acts: ['recover'],
    cautions: ['recovery', 'acidOil'],
  },
  removeExcess: {
    label: 'Take out the excess by weight',
    order: 61,
    handsOn: [10, 15, 25],
    acts: ['recover'],
    cautions: ['recovery', 'acidOil'],
  },
  blowOut: {
    label: 'Blow out each section with nitrogen, against flow too',
    order: 70,
    handsOn: [10, 25, 50],
    cautions: ['pressure', 'asphyxiation'],
    opens: true,
  },
  swapCompressor: {
    label: 'Swap the compressor',
    order: 80,
    handsOn: [45, 90, 180],
    lifts: ['ground-path', 'terminals-burnt'],
    cautions: ['shock', 'brazing', 'oilFire', 'lifting', 'hotWork'],
    opens: true,
  },
  swapValve: {
    label: 'Swap the expansion valve',
    order: 80,
    handsOn: [30, 60, 120],
    cautions: ['brazing', 'hotWork'],
    opens: true,
  },
  cleanScreen: {
    label: 'Clean the valve screen and body, or swap the valve',
    order: 80,
    handsOn: [20, 45, 90],
    cautions: ['brazing'],
    opens: true,
  },
  swapOrifice: {
    label: 'Clear or swap the orifices; check the size against the plate',
    order: 80,
    handsOn: [20, 45, 90],
    cautions: ['brazing'],
    opens: true,
  },
  swapCapillary: {
    label: 'Swap the capillary: same bore and length',
    order: 80,
    handsOn: [30, 60, 90],
    cautions: ['brazing', 'oilFire'],
    opens: true,
  },
  swapReversingValve: {
    label: 'Swap the reversing valve, body wrapped and under 250 F',
    order: 80,
    handsOn: [60, 90, 150],
    cautions: ['brazing', 'oilFire', 'hotWork'],
    opens: true,
  },
  clearLine: {
    label: 'Find and cut out the restriction',
    order: 80,
    handsOn: [20, 45, 90],
    cautions: ['brazing', 'hotWork'],
    opens: true,
  },
  repairLeak: {
    label: 'Repair the leak; re-test the neighbours',
    order: 81,
    handsOn: [10, 60, 180],
    lifts: ['low-side-leak'],
    cautions: ['brazing', 'hotWork'],
    opens: true,
  },
  changeOil: {
    label: 'Change the oil',
    order: 85,
    handsOn: [25, 50, 120],
    cautions: ['acidOil', 'oilFire'],
    opens: true,
  },
  fitSuctionDryer: {
    label: 'Fit the suction dryer',
    order: 90,
    handsOn: [20, 35, 60],
    cautions: ['brazing'],
    opens: true,
  },
  swapLiquidDryer: {
    label: 'Fit the liquid dryer, sealed until the moment it goes in',
    order: 95,
    handsOn: [15, 25, 45],
    cautions: ['brazing', 'hotWork'],
    opens: true,
  },
  pressureTest: {
    label: 'Pressure test with dry nitrogen, in steps',
    order: 110,
    handsOn: [5, 10, 15],
    unattended: [15, 25, 60],
    cautions: ['pressure', 'asphyxiation'],
  },
  evacuate: {
    label: 'Evacuate',
    order: 120,
    handsOn: [5, 10, 15],
    unattended: [15, 35, 90],
    lifts: ['gas-inside', 'standing-vacuum'],
    cautions: ['vacuum'],
  },
  evacuateWet: {
    label: 'Evacuate in three pulls, broken with nitrogen, with warmth',
    order: 120,
    handsOn: [10, 20, 40],
    unattended: [90, 240, 1440],
    lifts: ['gas-inside', 'standing-vacuum'],
    cautions: ['vacuum'],
  },
  decayTest: {
    label: 'Decay test',
    order: 130,
    handsOn: [2, 3, 5],
    unattended: [10, 15, 20],
    cautions: ['vacuum'],
  },
  weighIn: {
    label: 'Weigh in the charge',
    order: 140,
    handsOn: [10, 15, 30],
    acts: ['charge'],
    lifts: ['evacuated', 'below-atmosphere', 'no-liquid', 'low-side-leak'],
    cautions: ['charging', 'acidOil'],
  },
  settle: {
    label: 'Start, settle and trim',
    order: 150,
    handsOn: [10, 15, 25],
    unattended: [10, 20, 40],
    acts: ['start', 'run', 'energise', 'charge-by-readings'],
    cautions: ['live'],
  },
  closeUp: {
    label: 'Close up: tick back the taken-off list, tag, paperwork',
    order: 160,
    handsOn: [20, 35, 75],
    cautions: [],
  },
} as const satisfies Record<string, TaskRow>

export type TaskId = keyof typeof TASKS

/** What a task does: its own acts, and flame where brazing is cautioned. */
export const actsOf = (id: TaskId): readonly Act[] => {
  const { acts = [], cautions } = taskRow(id)
  return cautions.includes('brazing') ? [...acts, 'flame'] : acts
}

/** The row seen without its literal types. */
export const taskRow = (id: TaskId): TaskRow => TASKS[id]
