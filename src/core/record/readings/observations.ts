/** Observations are chosen, not typed (handbook 02); their values are words. */
export type ObservationRow = {
  readonly label: string
  readonly values: readonly string[]
  /** how a word is written where its hyphens alone do not say it */
  readonly said?: Readonly<Record<string, string>>
}

const yesNo = ['yes', 'no'] as const

export const OBSERVATIONS = {
  shortCycling: { label: 'Short cycling', values: ['no', 'yes'] },
  wiring: { label: 'Wiring against the diagram', values: ['as-drawn', 'wrong'] },
  comesAndGoes: { label: 'The complaint comes and goes', values: ['no', 'yes'] },
  callForOperation: { label: 'Call for operation', values: yesNo },
  compressorState: { label: 'Compressor', values: ['running', 'off', 'hums-and-trips', 'trips-breaker'] },
  indoorFan: { label: 'Indoor fan', values: ['running', 'off', 'belt-off'] },
  outdoorFan: { label: 'Outdoor fan', values: ['running', 'off'] },
  frostPattern: {
    label: 'Frost or sweat begins at',
    values: [
      'none',
      'metering-device',
      'distributor-tubes',
      'after-dryer',
      'service-valve',
      'whole-coil',
      'suction-to-compressor',
      'accumulator',
    ],
  },
  sightGlass: { label: 'Sight glass', values: ['clear', 'bubbles', 'full-no-flow'] },
  moistureIndicator: { label: 'Moisture indicator', values: ['dry', 'caution', 'wet', 'unreadable'] },
  oilStain: {
    label: 'Oil stain',
    values: [
      'none',
      'condenser-coil',
      'evaporator-coil',
      'distributor',
      'service-valve',
      'valve-stem',
      'reversing-valve',
      'compressor',
      'line-set',
      'joint',
    ],
  },
  compressorNoise: { label: 'Compressor noise', values: ['normal', 'loud', 'rattling'] },
  reliefNoise: { label: 'Hiss inside the compressor', values: yesNo },
  reversingValveNoise: { label: 'Reversing valve noise', values: ['none', 'chatter', 'hiss'] },
  oilAppearance: {
    label: 'Oil',
    values: ['clear', 'amber', 'dark', 'burnt-smell', 'metal-flakes', 'milky'],
  },
  copperPlating: { label: 'Copper plating', values: yesNo },
  acidTest: { label: 'Acid test', values: ['negative', 'weak', 'strong'] },
  acidTestKind: { label: 'Acid test made with', values: ['refrigerant-strip', 'oil-kit', 'lab-tan'] },
  bulbState: { label: 'Bulb', values: ['tight-insulated', 'loose', 'uninsulated', 'lost-charge-feel'] },
  inletScreen: { label: 'Valve inlet screen', values: ['clean', 'plugged', 'none-fitted'] },
  equalizerState: { label: 'External equalizer', values: ['ok', 'broken', 'blocked'] },
  refrigerantSmell: { label: 'Burnt refrigerant smell', values: yesNo },
  oilLevel: { label: 'Oil level', values: ['above', 'in-glass', 'below', 'no-glass'] },
  warmValveResponse: { label: 'Hot water on the valve', values: ['flow-returned', 'none'] },
  bulbWarmResponse: { label: 'Bulb warmed in the hand', values: ['opens', 'none'] },
  stemResponse: { label: 'Superheat after the stem was turned', values: ['answers', 'none'] },
  condenserCoil: { label: 'Condenser coil', values: ['clean', 'dirty'] },
  evaporatorCoil: { label: 'Evaporator coil and filter', values: ['clean', 'dirty', 'iced'] },
  waterStrainer: { label: 'Water strainer and valves', values: ['clean-open', 'plugged-or-shut'] },
  weighedCharge: {
    label: 'Recovered weight against the plate',
    values: ['at-plate', 'below-plate', 'above-plate'],
  },
  solenoidPull: { label: 'Liquid solenoid with a call', values: ['pulls', 'none'] },
  reliefPlug: { label: 'Fusible plug', values: ['sound', 'melted'] },
  orificeSize: { label: 'Orifice against the plate', values: ['right-seated', 'wrong-or-unseated'] },
  pumpDownTest: { label: 'Pump-down test', values: ['pulls-down', 'cannot-pull-down'] },
  servicePortState: { label: 'Service valves', values: ['open', 'front-seated', 'back-seated', 'cracked'] },
  openConditions: { label: 'Weather while open', values: ['dry', 'humid', 'rain', 'coastal'] },
  linesPlugged: { label: 'Line ends while open', values: ['plugged', 'unplugged'] },
  waterFound: { label: 'Water found in the circuit', values: ['none', 'drops', 'runs-out'] },
  frostLeft: {
    label: 'After recovery, frost on accumulator or crankcase',
    values: ['none', 'frosted'],
  },
  compressorShell: { label: 'Compressor shell', values: ['cold', 'hot'] },
  breaker: { label: 'Breaker', values: ['holds', 'trips'] },
  leadState: {
    label: 'Compressor leads along their way',
    values: ['sound', 'rubbed', 'rubbed-through'],
    said: { rubbed: 'rubbed, not through' },
  },
  groundMeasuredAt: { label: 'Ground measured at', values: ['contactor', 'terminals'] },
  windingsMeasuredAt: { label: 'Windings measured at', values: ['contactor', 'terminals'] },
  groundInstrument: { label: 'Ground measured with', values: ['ohmmeter', 'insulation-tester'] },
  contactorPoints: { label: 'Contactor', values: ['clean', 'pitted', 'not-pulled-in'] },
  loadVolts: { label: 'Volts on the load side of the contactor', values: ['live', 'dead'] },
  controlVolts: { label: 'Volts at the contactor coil', values: ['live', 'dead'] },
  lowPressureSwitch: { label: 'Low-pressure switch', values: ['closed', 'open'] },
  hardStart: { label: 'One attempt with a hard-start kit', values: ['starts', 'none'] },
  startGear: { label: 'Capacitors and relay', values: ['proven', 'failed'] },
  jumpAtUnit: { label: 'Supply and call joined at the unit', values: ['holds', 'does-not-hold'] },
  jumpAtThermostat: { label: 'Supply and call joined at the thermostat', values: ['holds', 'does-not-hold'] },
  magnetPull: { label: 'Magnet pull at the coil', values: ['pulls', 'none'] },
  phaseSequence: { label: 'Phase sequence', values: ['correct', 'reversed'] },
  terminalCover: { label: 'Terminal cover of the compressor', values: ['on', 'off'] },
  terminalLook: { label: 'Terminals, plug and leads at the compressor', values: ['sound', 'burnt'] },
  pressureOff: {
    label: 'Pressure off the compressor, vented to 0 psig with nitrogen',
    values: ['no', 'yes'],
  },
  groundPath: {
    label: 'Ground, each taken off the contactor and measured alone, is in',
    values: ['compressor-side', 'fan-motor', 'crankcase-heater'],
  },
  groundMended: {
    label: 'Replaced since the ground was found',
    values: ['nothing', 'lead', 'fan-motor', 'crankcase-heater', 'compressor'],
  },
  gasInside: { label: 'Air or nitrogen in the circuit', values: ['none', 'nitrogen', 'air'] },
  lowSide: { label: 'Low side', values: ['closed', 'open', 'leak-suspected'] },
  circuitWork: {
    label: 'Done on the circuit since it lost its charge',
    values: ['nothing', 'leak-mended', 'evacuated', 'charged'],
  },
  waterCoil: { label: 'Water coil', values: ['flowing', 'standing', 'drained'] },
  flammableClear: {
    label: 'Flammable refrigerant recovered, swept, evacuated, swept again, detector clear',
    values: ['no', 'yes'],
  },
  reliefAfterRestart: {
    label: 'Relief, 10 min after equalising and a restart',
    values: ['stays-open', 'reseated'],
  },
  bulbIceResponse: { label: 'Bulb in ice water', values: ['closes', 'stays-open'] },
  handValveTest: {
    label: 'Compressor against a shut hand valve',
    values: ['pulls-down', 'cannot-pull-down'],
  },
  superheatShownAt: { label: 'Superheat was shown at', values: ['coil-outlet', 'compressor'] },
  subcoolingShownAt: {
    label: 'Subcooling was shown at',
    values: ['condenser', 'receiver-outlet', 'valve-inlet'],
  },
  overheatedValve: {
    label: 'Valve overheated at a brazed joint',
    values: ['none', 'service-valve', 'expansion-valve', 'reversing-valve'],
  },
  compressorInside: { label: 'Compressor seen open', values: ['sound', 'broken'] },
  shaftTurns: {
    label: 'Compressor shaft, by hand or felt at a start',
    values: ['turns', 'stuck'],
  },
} as const satisfies Record<string, ObservationRow>

export type ObservationKey = keyof typeof OBSERVATIONS

/** What may be at several places at once. */
export const SEVERAL_PLACES = ['frostPattern', 'oilStain'] as const satisfies readonly ObservationKey[]
export type PlacedKey = (typeof SEVERAL_PLACES)[number]
export type ObservationValue<K extends ObservationKey = ObservationKey> =
  (typeof OBSERVATIONS)[K]['values'][number]

/** All keys, in the order in which they are asked. */
export const OBSERVATION_KEYS = Object.keys(OBSERVATIONS) as ObservationKey[]

/** The row seen without its literal types. */
export const observationRow = (key: ObservationKey): ObservationRow => OBSERVATIONS[key]

/** A word of an observation as it is written: "metering device"; "rubbed, not through". */
export const wordText = (key: ObservationKey, word: string): string =>
  observationRow(key).said?.[word] ?? word.replace(/-/g, ' ')

/** What is asked of every unit and what the electrical bench asks: understood whatever the kind and the metering device. */
const OF_ANY_UNIT: ReadonlySet<string> = new Set<ObservationKey>([
  'shortCycling',
  'wiring',
  'comesAndGoes',
  'callForOperation',
  'compressorState',
  'indoorFan',
  'outdoorFan',
  'compressorShell',
  'breaker',
  'leadState',
  'groundMeasuredAt',
  'windingsMeasuredAt',
  'groundInstrument',
  'contactorPoints',
  'loadVolts',
  'controlVolts',
  'lowPressureSwitch',
  'hardStart',
  'startGear',
  'jumpAtUnit',
  'jumpAtThermostat',
  'magnetPull',
  'phaseSequence',
  'terminalCover',
  'terminalLook',
  'pressureOff',
  'groundPath',
  'groundMended',
  'compressorInside',
  'shaftTurns',
])

/** Whether an observation speaks of the refrigerant circuit. */
export const isCircuitWord = (key: string): boolean => !OF_ANY_UNIT.has(key)
