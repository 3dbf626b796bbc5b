import { COVER } from '../../../record/state/offParts'
import { AT_COMPRESSOR, AT_VALVE } from './comesOff'
import { defineTasks } from './row'

const OPEN = { stage: 'open', opens: true } as const
const BRAZED = { ...OPEN, machine: 'torch' } as const

/** What is replaced or mended inside the circuit (handbook 07). Times of handbook 01 [practice]. */
export const REPLACE_TASKS = defineTasks({
  swapCompressor: {
    ...BRAZED,
    label: 'Swap the compressor: cut out, clean, fit, braze under nitrogen',
    handsOn: [45, 90, 180],
    effects: {
      takesOff: [...AT_COMPRESSOR, 'feet-and-sound-jacket-of-the-compressor'],
      replaces: ['compressor'],
    },
    cautions: ['shock', 'brazing', 'oilFire', 'lifting', 'hotWork'],
    fails: {
      sentence: 'It does not fit: stubs plugged, nitrogen in, back with the right one.',
      minutes: [60, 120, 300],
    },
  },
  pistonToScroll: {
    ...BRAZED,
    label: 'Piston to scroll: kit, new piping and feet, starting gear checked, wires kept off pipes',
    handsOn: [30, 50, 100],
    effects: { takesOff: [...AT_COMPRESSOR, 'feet-and-sound-jacket-of-the-compressor'] },
    cautions: ['shock', 'brazing', 'hotWork'],
  },
  swapCondensingUnit: {
    ...BRAZED,
    label: 'Change the whole condensing unit',
    handsOn: [90, 150, 300],
    effects: { replaces: ['compressor'] },
    cautions: ['shock', 'brazing', 'oilFire', 'lifting', 'hotWork'],
  },
  swapValve: {
    ...BRAZED,
    label: 'Swap the expansion valve, sweat: body wrapped, bulb and equaliser after it',
    handsOn: [30, 50, 120],
    effects: { takesOff: AT_VALVE, replaces: ['metering-device'] },
    cautions: ['brazing', 'hotWork'],
    fails: { sentence: 'It does not fit: stubs plugged, nitrogen in, back with the right one.' },
  },
  swapValveFlare: {
    ...OPEN,
    label: 'Swap the expansion valve, flare: two wrenches, flares cut new, bulb and equaliser after it',
    handsOn: [30, 45, 90],
    effects: { takesOff: AT_VALVE, replaces: ['metering-device'] },
    cautions: ['acidOil'],
    fails: { sentence: 'A flare weeps: cut it new, it is not pulled tighter.' },
  },
  swapHeader: {
    ...BRAZED,
    label: 'Cut out the header, fit distributor, feeder tubes of equal length and one expansion valve',
    handsOn: [90, 150, 240],
    effects: { takesOff: AT_VALVE, replaces: ['metering-device'] },
    cautions: ['brazing', 'hotWork'],
  },
  cleanScreen: {
    ...OPEN,
    label: 'Clean the valve screen and body, or swap the valve',
    handsOn: [20, 45, 90],
    effects: { takesOff: AT_VALVE },
    cautions: ['acidOil'],
  },
  swapOrifice: {
    ...OPEN,
    label: 'Clear or swap the orifices; check the size against the plate',
    handsOn: [20, 45, 90],
    effects: { replaces: ['metering-device'] },
    cautions: ['acidOil'],
  },
  swapCapillary: {
    ...BRAZED,
    label: 'Swap the capillary: same bore and length, 2-3 in into the evaporator stub',
    handsOn: [30, 60, 90],
    effects: { takesOff: ['line-straps-and-clamps'], replaces: ['metering-device'] },
    cautions: ['brazing', 'oilFire', 'hotWork'],
  },
  swapReversingValve: {
    ...BRAZED,
    label: 'Swap the reversing valve with its coil, body wrapped and under 250 F, one joint at a time',
    handsOn: [60, 90, 150],
    effects: {
      takesOff: ['coil-of-the-reversing-valve', 'sensors-and-straps-on-the-lines-of-the-reversing-valve'],
      replaces: ['reversing-valve'],
    },
    cautions: ['brazing', 'oilFire', 'hotWork'],
  },
  swapSolenoid: {
    ...BRAZED,
    label: 'Replace the solenoid valve or its inner parts and coil',
    handsOn: [20, 40, 75],
    effects: { takesOff: ['coil-of-the-solenoid-valve'] },
    cautions: ['shock', 'brazing', 'hotWork'],
  },
  swapLineValve: {
    ...BRAZED,
    label: 'Replace the valve in the line: stem out, body wrapped',
    handsOn: [25, 45, 90],
    effects: { takesOff: ['insulation-of-the-lines-that-were-cut'] },
    cautions: ['brazing', 'hotWork'],
  },
  clearLine: {
    ...BRAZED,
    label: 'Find and cut out the restriction',
    handsOn: [20, 45, 90],
    effects: { takesOff: ['insulation-of-the-lines-that-were-cut', 'line-straps-and-clamps'] },
    cautions: ['brazing', 'hotWork'],
  },
  swapPlug: {
    ...OPEN,
    label: 'Replace plug, lead ends and terminal repair parts at the compressor, pressure off',
    handsOn: [15, 30, 60],
    effects: { takesOff: [COVER], replaces: ['terminal-plug'] },
    cautions: ['shock', 'acidOil'],
  },
  fitLowPressureSwitch: {
    ...OPEN,
    label: 'Fit or restore the low-pressure switch, see that it sees pressure',
    handsOn: [15, 30, 60],
    cautions: ['shock', 'pressure'],
  },
  repairLeak: {
    ...BRAZED,
    stage: 'mend',
    label: 'Repair the leak; re-test the neighbours',
    handsOn: [10, 60, 180],
    cautions: ['brazing', 'hotWork'],
    overWhen: 'the leak is mended before anything dear is fitted',
  },
  repairCoil: {
    ...BRAZED,
    stage: 'mend',
    label: 'Repair the coil tube or end bend: fins off, plate cut, patch; re-test the neighbours',
    handsOn: [45, 90, 180],
    effects: { takesOff: ['line-straps-and-clamps'] },
    cautions: ['brazing', 'hotWork'],
    overWhen: 'the leak is mended before anything dear is fitted',
  },
  repairFeeder: {
    ...BRAZED,
    stage: 'mend',
    label: 'Sleeve the feeder tube over with the next size; keep the tubes from touching',
    handsOn: [20, 45, 90],
    effects: { takesOff: ['line-straps-and-clamps'] },
    cautions: ['brazing', 'hotWork'],
    overWhen: 'the leak is mended before anything dear is fitted',
  },
  repairStem: {
    ...OPEN,
    stage: 'mend',
    label: 'Repair stem, core or service valve; new cap and seal',
    handsOn: [10, 25, 60],
    cautions: ['acidOil'],
    overWhen: 'the leak is mended before anything dear is fitted',
  },
  repairFitting: {
    ...BRAZED,
    stage: 'mend',
    label: 'Make the leaking joint or fitting anew; re-test the neighbours',
    handsOn: [15, 35, 75],
    cautions: ['brazing', 'hotWork'],
    overWhen: 'the leak is mended before anything dear is fitted',
  },
})
