import type { QuantityKind } from '../../base/units/units'

/** Where on the machine a reading is taken; groups the list of taps. */
type Place = 'pressures' | 'refrigerant' | 'valve' | 'air' | 'water' | 'shown' | 'electrical'

/** How an instrument errs; the figures stand in instrumentError.ts. */
export type InstrumentKind =
  | 'gauge'
  | 'clamp'
  | 'thermometer'
  | 'wet-bulb'
  | 'hygrometer'
  | 'meter'
  | 'ohmmeter'
  | 'flow-hood'
  | 'manifold'

export type ReadingRow = {
  readonly label: string
  readonly short: string
  readonly kind: QuantityKind
  readonly place: Place
  readonly instrument: InstrumentKind
}

const row = (
  label: string,
  short: string,
  kind: QuantityKind,
  place: Place,
  instrument: InstrumentKind,
): ReadingRow => ({ label, short, kind, place, instrument })

const pressure = (label: string, short: string) => row(label, short, 'pressure', 'pressures', 'gauge')
const pipe = (label: string, short: string) => row(label, short, 'temperature', 'refrigerant', 'clamp')
const valvePort = (label: string, short: string) => row(label, short, 'temperature', 'valve', 'clamp')
const air = (label: string, short: string) => row(label, short, 'temperature', 'air', 'thermometer')
const wetBulb = (label: string, short: string) => row(label, short, 'temperature', 'air', 'wet-bulb')
const water = (label: string, short: string) => row(label, short, 'temperature', 'water', 'clamp')
/** A figure that an instrument computed itself. */
const shown = (label: string, short: string) =>
  row(label, short, 'temperatureDifference', 'shown', 'manifold')
const volts = (label: string, short: string) => row(label, short, 'voltage', 'electrical', 'meter')
const amps = (label: string, short: string) => row(label, short, 'current', 'electrical', 'meter')
const ohms = (label: string, short: string) => row(label, short, 'resistance', 'electrical', 'ohmmeter')

/** The handbook's reading keys (02). The order is that of the list of taps. */
const READINGS = {
  suctionPressure: pressure('Suction pressure', 'Suction'),
  liquidPressure: pressure('Liquid pressure', 'Liquid'),
  dischargePressure: pressure('Discharge pressure', 'Discharge'),
  dryerOutPressure: pressure('Pressure after the dryer', 'Dryer out'),
  suctionDryerInPressure: pressure('Suction dryer inlet pressure', 'Suction dryer in'),
  suctionDryerOutPressure: pressure('Suction dryer outlet pressure', 'Suction dryer out'),
  standingPressure: pressure('Standing pressure, off and equalised', 'Standing'),
  standingSuctionPressure: pressure('Standing pressure, low side', 'Standing low'),
  standingLiquidPressure: pressure('Standing pressure, high side', 'Standing high'),
  evaporatorPressure: pressure('Pressure at the evaporator', 'Evaporator'),
  lowCutIn: pressure('Low-pressure control cut-in', 'Cut-in'),
  lowCutOut: pressure('Low-pressure control cut-out', 'Cut-out'),
  suctionLineTemp: pipe('Suction line at the compressor', 'Suction line'),
  evaporatorOutletTemp: pipe('Evaporator outlet, at the bulb', 'Evaporator outlet'),
  liquidLineTemp: pipe('Liquid line leaving the condenser', 'Liquid line'),
  dryerInTemp: pipe('Liquid dryer inlet', 'Dryer in'),
  dryerOutTemp: pipe('Liquid dryer outlet', 'Dryer out'),
  meteringInletTemp: pipe('Metering device inlet', 'Metering inlet'),
  meteringOutletTemp: pipe('Metering device outlet', 'Metering outlet'),
  dischargeLineTemp: pipe('Discharge line, 6 in from the compressor', 'Discharge line'),
  compressorShellTemp: pipe('Compressor shell', 'Shell'),
  rvDischargeTemp: valvePort('Reversing valve, from the compressor', 'Valve discharge'),
  rvHotOutTemp: valvePort('Reversing valve, to the rejecting coil', 'Valve hot out'),
  rvSuctionInTemp: valvePort('Reversing valve, from the absorbing coil', 'Valve suction in'),
  rvSuctionOutTemp: valvePort('Reversing valve, to the compressor', 'Valve suction out'),
  outdoorAirTemp: air('Outdoor air', 'Outdoor'),
  returnAirTemp: air('Return air', 'Return'),
  returnAirWetBulb: wetBulb('Return air wet bulb', 'Return wet bulb'),
  returnAirHumidity: row('Return air humidity', 'Return humidity', 'humidity', 'air', 'hygrometer'),
  supplyAirTemp: air('Supply air', 'Supply'),
  supplyAirWetBulb: wetBulb('Supply air wet bulb', 'Supply wet bulb'),
  boxTemp: air('Box', 'Box'),
  airflow: row('Airflow', 'Airflow', 'flow', 'air', 'flow-hood'),
  waterInTemp: water('Water in', 'Water in'),
  waterOutTemp: water('Water out', 'Water out'),
  superheatShown: shown('Superheat as the instrument shows it', 'Superheat shown'),
  subcoolingShown: shown('Subcooling as the instrument shows it', 'Subcooling shown'),
  splitShown: shown('Temperature split as the instrument shows it', 'Split shown'),
  overAmbientShown: shown('Condensing over ambient as the instrument shows it', 'Over ambient shown'),
  voltageL1L2: volts('Volts L1 to L2', 'L1-L2'),
  voltageL2L3: volts('Volts L2 to L3', 'L2-L3'),
  voltageL3L1: volts('Volts L3 to L1', 'L3-L1'),
  voltageRunning: volts('Volts while running', 'Running volts'),
  ampsL1: amps('Amps L1', 'L1'),
  ampsL2: amps('Amps L2', 'L2'),
  ampsL3: amps('Amps L3', 'L3'),
  compressorAmps: amps('Compressor amps', 'Compressor'),
  outdoorFanAmps: amps('Outdoor fan amps', 'Outdoor fan'),
  indoorFanAmps: amps('Indoor fan amps', 'Indoor fan'),
  inrushAmps: amps('Inrush amps', 'Inrush'),
  ohmsCR: ohms('Ohms common to run', 'C-R'),
  ohmsCS: ohms('Ohms common to start', 'C-S'),
  ohmsRS: ohms('Ohms run to start', 'R-S'),
  ohmsT1T2: ohms('Ohms T1 to T2', 'T1-T2'),
  ohmsT2T3: ohms('Ohms T2 to T3', 'T2-T3'),
  ohmsT3T1: ohms('Ohms T3 to T1', 'T3-T1'),
  ohmsToGround: ohms('Ohms to ground', 'To ground'),
  runCapacitance: row('Run capacitor', 'Run capacitor', 'capacitance', 'electrical', 'meter'),
  startCapacitance: row('Start capacitor', 'Start capacitor', 'capacitance', 'electrical', 'meter'),
  capacitorVolts: volts('Volts across the capacitor', 'Capacitor volts'),
  capacitorAmps: amps('Amps in the capacitor lead', 'Capacitor amps'),
  crankcaseHeaterOhms: ohms('Crankcase heater ohms', 'Heater ohms'),
  crankcaseHeaterAmps: amps('Crankcase heater amps', 'Heater amps'),
  solenoidVolts: volts('Solenoid volts, coil connected', 'Solenoid loaded'),
  solenoidVoltsNoLoad: volts('Solenoid volts, coil off', 'Solenoid unloaded'),
  solenoidOhms: ohms('Solenoid ohms', 'Solenoid ohms'),
  contactorVoltageDrop: volts('Volts across closed contacts', 'Contactor drop'),
} as const satisfies Record<string, ReadingRow>

export type ReadingKey = keyof typeof READINGS

/** All keys, in the order of the list of taps. */
export const READING_KEYS = Object.keys(READINGS) as ReadingKey[]

/** The row seen without its literal types. */
export const readingRow = (key: ReadingKey): ReadingRow => READINGS[key]

/** Whether a word is a reading key. */
export const isReadingKey = (word: string): word is ReadingKey => Object.hasOwn(READINGS, word)
