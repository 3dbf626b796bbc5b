import type { PointFacts, PointRows } from './pointRow'

const MAP = 'Wiring map: each lead with its terminal before it comes off, and where it goes; a photo of both.'
const BY_OHMS = 'Unmarked relay or capacitor terminals are named by ohms before they are wired.'

const named = ({ control }: PointFacts): string | undefined =>
  control && `The bench named it: ${control.by}. Only that is replaced.`

/** Content of the electrical work (handbook 05, 13). [practice] */
export const ELECTRICAL_POINTS: PointRows = {
  lockOut: [MAP],
  rewire: [
    MAP,
    ({ machine }) =>
      machine === 'small-hermetic'
        ? 'Current relay upright on its pins, overload in the common leg.'
        : 'Contactor first, then the compressor’s leads by the map; ends crimped new where they were hot.',
    'Leads tied clear of pipes and edges.',
  ],
  swapStartGear: [
    MAP,
    BY_OHMS,
    'New gear drawn beside the old: a start capacitor has something that drops it out.',
  ],
  swapContactor: [MAP, 'Coil volts by what is read on the old coil, poles and amps by the plate.'],
  checkWiring: [MAP, 'The diagram of the unit against what is there, lead by lead.'],
  swapControl: [
    named,
    MAP,
    'Volts by what is read on the coil, not by the unit’s; settings written down before it comes off.',
  ],
  swapValveCoil: [MAP, 'Volts read with the coil connected; it goes on its stem before any volts.'],
  swapHeater: [
    ({ unit }) =>
      unit.crankcaseHeater?.watts === undefined
        ? 'Its watts are not on record: read them on the old one; volts, shape and shell diameter must fit.'
        : `${unit.crankcaseHeater.watts} W, the volts of the circuit that feeds it.`,
    'On bare clean metal under the oil level, tight all round; fed when the contactor is out.',
  ],
  cleanCoil: [
    'Power off, electrical covers on or water kept away; from inside out, low pressure, fins straight.',
    'Acidic cleaner is rinsed off: it keeps eating.',
    'Evaporator: condensate pan and trap cleared, trap filled, drain runs off.',
  ],
  restoreAirflow: [
    'Filter, belt, wheel, dampers in this order.',
    'Condensate pan and trap cleared, trap filled, drain runs off.',
  ],
  fixBulb: [
    'Pipe bright and straight, away from a trap or a fitting.',
    'At 4 or 8 o’clock on lines of 7/8 in and more; two straps; insulated.',
    'Equaliser downstream of it.',
  ],
  repairSupply: [
    ({ unit }) =>
      unit.power?.phase === 3
        ? 'All three pairs of volts and all three amps, running; unbalance over 2 % is found, not lived with. A phase monitor where single phasing killed it.'
        : 'Volts at the load with it running, within a tenth of the plate.',
  ],
}
