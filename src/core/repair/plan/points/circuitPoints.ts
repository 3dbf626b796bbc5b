import type { Metering } from '../../../record/equipment/unit'
import type { Machine } from '../machine'
import type { Point, PointFacts, PointRows } from './pointRow'
import {
  compressorOut,
  deviceKept,
  equaliserJoint,
  feederAlloy,
  flush,
  heatProtection,
  leakHunt,
  tightness,
  valveSetting,
} from './schools'

const counted = ({ repair: { feederTubes } }: PointFacts): string =>
  feederTubes === undefined
    ? 'Count the tubes and measure their bore before anything is cut: not counted yet.'
    : `Count the tubes and measure their bore before anything is cut: ${feederTubes} by the survey.`

const BULB =
  'Bulb on clean straight pipe, at 4 or 8 o’clock on lines of 7/8 in and more, on top of smaller ones; tight, insulated.'
const BEHIND_BULB = 'Equaliser downstream of the bulb.'
const MIRROR = 'Look under every joint with a mirror.'
const TUBES_APART = 'Tie the tubes so that none touches another: rubbed tubes are why they leaked.'

/** What a scroll asks of the metering device that the piston machine had. */
const SUITS: Readonly<Record<Metering, string>> = {
  txv: 'Metering: the valve stays where its tons and refrigerant fit the new one; superheat is read after the start.',
  eev: 'Metering: the electronic valve stays; its driver is set to the new one’s limits.',
  'fixed-orifice':
    'Metering: the orifice by the tons of the new one, changed where they differ by over a tenth.',
  capillary:
    'Metering: a capillary was matched to the old one: compare capacity at this evaporating temperature, a longer or a second one where they differ.',
}
const scrollStart = ({ unit }: PointFacts): string =>
  unit.power?.phase === 3
    ? 'Starting gear: none; phase sequence read before the start, a scroll that runs backwards does not pump.'
    : 'Starting gear: the run capacitor of the new plate; the old start capacitor and relay come out of the circuit. A hard-start kit only where the supply is weak.'

/** What a compressor of each kind asks for when it is changed (handbook 13). */
const SWAPPED: Readonly<Record<Machine, readonly string[]>> = {
  'small-hermetic': [
    'Kit: current relay or PTC by the new one’s label, overload, start capacitor if the old one had one; no contactor.',
    'Current relay upright as marked: upside down it reads closed.',
    'Process stub: pinched in two places, then brazed; the pinch-off tool stays on until the alloy has set.',
  ],
  'single-phase': [
    'Kit: run capacitor, contactor; a hard-start kit only where the supply is weak or the sheet asks for one.',
    'Bleed the capacitors through a resistor before a hand goes near them.',
  ],
  'three-phase': [
    'Kit: contactor; no run capacitor: the one on the unit is the fan’s.',
    'Phase sequence read before the first start.',
  ],
  'semi-hermetic': [],
}
const swapped =
  (index: number): Point =>
  ({ machine }) =>
    SWAPPED[machine][index]

const STUBS =
  'Stubs stay plugged until the moment they are joined; check feet, stubs and plate against the old one.'
const CRACKED =
  'Service valve that feeds a switch or gauge port: left cracked off its back seat, tagged “left cracked”: back-seated, the port sees no pressure.'

/** Content of the work on the circuit (handbook 05, 06, 07, 13). [practice] */
export const CIRCUIT_POINTS: PointRows = {
  swapHeader: [
    counted,
    'Nitrogen way: in at the liquid line, out at the suction port with its core out; it flows through each tube while that tube is joined.',
    'Cut the header off square, tubes deburred facing down, each sleeved with the next size; feeder tubes of equal length.',
    feederAlloy,
    'Order of joints: the tubes one by one from the far end, then the distributor, the expansion valve last, wrapped.',
    equaliserJoint,
    BEHIND_BULB,
    BULB,
    TUBES_APART,
    MIRROR,
  ],
  pistonToScroll: [
    'Kit laid out against the old one before anything is cut: piping, feet, wire ends.',
    'Feet: the new grommets, level; a scroll stands on softer ones.',
    'Pipes made new and supported: discharge and suction sit elsewhere; no pipe touches a wire or the cabinet.',
    scrollStart,
    ({ unit }) => SUITS[unit.metering],
    'Dryer to where it can be reached; buried capacitors brought out.',
    'Every lead on the wiring map, before and after.',
  ],
  swapCompressor: [
    compressorOut,
    swapped(0),
    swapped(1),
    swapped(2),
    STUBS,
    'Steel to copper: high-silver alloy and flux; copper to copper: phosphor-copper.',
    heatProtection,
    'Keep wires and pipes from touching; caps back on the old one, its oil is measured.',
  ],
  swapSemiHermetic: [
    'No brazing at the body: suction and discharge service valves are unbolted and moved over.',
    'New gaskets at the valves, head and oil pump; faces clean and dry, oiled.',
    'Bolts crosswise, by the torque of the compressor maker’s sheet.',
    'Oil level in the middle of the glass before and after the start; a new one may ship empty: read the box.',
    CRACKED,
  ],
  swapCondensingUnit: [
    compressorOut,
    'Lines cut where they reach the new valves; the new dryer outside, reachable.',
    'Compare before it is lifted: volts, phases, hertz, refrigerant, connections, pressure class against the evaporator.',
    'The evaporator’s valve must suit refrigerant and tons: read its sheet.',
    heatProtection,
  ],
  swapValve: [
    'Compare: refrigerant, tons, charge of the bulb, connections, external equaliser; flow arrow with the flow.',
    'Stem and inner parts out where they come out; heat the fitting, not the pipe.',
    heatProtection,
    equaliserJoint,
    BEHIND_BULB,
    BULB,
    valveSetting,
  ],
  swapValveFlare: [
    'Compare: refrigerant, tons, charge of the bulb, connections, external equaliser; flow arrow with the flow.',
    'Two wrenches; flares cut new or annealed, a drop of oil on the cone, not on the thread.',
    equaliserJoint,
    BEHIND_BULB,
    BULB,
    valveSetting,
  ],
  cleanScreen: [
    deviceKept,
    'Screen out, washed, blown from the inside; a torn one is replaced.',
    'New gasket; bulb and equaliser stay on the pipe.',
  ],
  swapOrifice: [
    'Read the size on the old one and on the plate; the cone faces the flow, new seal.',
    'Blow the tube behind it out; debris came from somewhere.',
  ],
  swapCapillary: [
    ({ repair }) => boreAndLength(repair),
    'Cut with a capillary cutter, or score and snap: a crushed end is a restriction. Measure flow with nitrogen against the old one.',
    'Insert 2-3 in into the evaporator stub and 1 in into the dryer, not against its screen; stub crimped round it before the flame.',
    'Filler stays off its bore: flux none, little rod, heat on the stub.',
    'Strap it to the suction line along the old length, or round the accumulator where the maker did; two wrenches on flares: a twisted capillary breaks.',
  ],
  swapReversingValve: [
    'Compare tons and pattern of the ports; coil with it, the volts read on the old one.',
    heatProtection,
    'Body under 250 F by a temperature stick; torch pointed away; one joint, then cool, then the next: a cooked slider leaks through.',
    'Coil on before any volts; it shifts only with discharge pressure.',
    MIRROR,
  ],
  swapSolenoid: [
    'Arrow with the flow; inner parts out before heat.',
    heatProtection,
    'Coil never energised off its stem.',
  ],
  swapLineValve: [
    'Arrow with the flow; stem out before heat.',
    heatProtection,
    'Setting written down before it goes.',
  ],
  swapServiceValve: [
    'Both seats, stem packing and ports compared with the old one; a missing port needs a tee.',
    'Stem in the middle position and packing out before heat.',
    heatProtection,
    'Packing nut snug, cap with its seal on: the cap is the seal.',
    CRACKED,
  ],
  changePlug: [
    'No refrigerant behind it: section at 0 psig, read.',
    'Thread and melting temperature by the stamp; sealant on the male thread, two turns back from the end; two wrenches.',
    'A loose cap over it shows later whether it let go.',
    'Why it grew so hot is found: fire, a fan that stood, a flooded receiver.',
  ],
  repairPort: [
    'Plug, port, tee or gasket: sealant on the male thread, two wrenches, bolts by torque.',
    CRACKED,
    'Gasket faces scraped and dry; no brazing at the body.',
  ],
  repairStem: [
    'Core: a core tool under pressure, or recovered; the new one snug, not tight.',
    'Stem: packing nut a quarter turn first; packing changed only back-seated or recovered.',
    'Cap with its seal back on, finger-tight and a quarter: the cap is the seal.',
    'Bubbles on stem, core and cap.',
  ],
  repairCoil: [
    'Fins off on both sides, plate cut away; the tube cleaned bright.',
    'Sleeve or patch of copper; no rod into a pinhole alone.',
    'The neighbours are tested again: heat cracks the next one.',
  ],
  repairFeeder: [
    'Sleeve over with the next size; never solder a pinhole: filler plugs the bore.',
    feederAlloy,
    TUBES_APART,
    'The neighbours are tested again: moving thin tubes cracks the next one.',
  ],
  repairFitting: [
    'Flare cut new, or the joint cleaned bright and made again; oil wiped off before the flame.',
    MIRROR,
  ],
  repairLeak: ['Oil wiped off before the flame; cleaned bright.', 'The neighbours are tested again.', MIRROR],
  confirmLeak: [
    'Bubbles at the known place; its neighbours looked at.',
    'No hour of searching: the pressure test goes over all the rest.',
  ],
  leakSearch: [leakHunt, 'Stems, cores and caps too; start where oil is.'],
  traceNitrogen: [leakHunt],
  fitLowPressureSwitch: [
    'On a port that always sees the low side; a tee where there is none.',
    CRACKED,
    'Seen to cut out and in before the start.',
  ],
  blowOut: [
    flush,
    'Valve, dryers and compressor apart from it; each section for itself, against the flow too.',
  ],
  pressureTest: [tightness],
  bubbleJoints: [tightness],
  drainWater: ['Pump off, valves shut, drain at the lowest point, air let in at the highest.'],
  waterOn: ['Drain shut, valves open, air bled off; flow read before the compressor is called.'],
  restoreWater: [
    'Pump off, valves shut on both sides; strainer out, washed, back with its seal.',
    'Valves open, air bled off; pressure drop or flow read across the coil.',
    'In and out temperature after the start: a drop near the plate’s says the flow is there.',
  ],
  settle: [
    valveSetting,
    ({ unit }) => (unit.kind === 'pool-heat-pump' ? undefined : 'Condensate trap filled, drain runs off.'),
  ],
}

/** What is known of the capillary. */
function boreAndLength({ capillary }: PointFacts['repair']): string {
  const known = [
    capillary?.bore && `bore ${capillary.bore.value} ${capillary.bore.unit}`,
    capillary?.length && `length ${capillary.length.value} ${capillary.length.unit}`,
  ].filter(Boolean)
  return known.length === 2
    ? `Same bore and length: ${known.join(', ')}.`
    : `Same bore and length: measure both with a wire gauge and a tape before it is cut${known.length === 1 ? ` (${known[0]})` : ''}.`
}
