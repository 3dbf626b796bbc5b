/** Observations are chosen, not typed (handbook 02); their values are words. */
export type ObservationRow = { readonly label: string; readonly values: readonly string[] }

const yesNo = ['yes', 'no'] as const

export const OBSERVATIONS = {
  callForOperation: { label: 'Call for operation', values: yesNo },
  compressorState: { label: 'Compressor', values: ['running', 'off', 'hums-and-trips', 'trips-breaker'] },
  indoorFan: { label: 'Indoor fan', values: ['running', 'off'] },
  outdoorFan: { label: 'Outdoor fan', values: ['running', 'off'] },
  frostPattern: {
    label: 'Frost or sweat begins at',
    values: [
      'none',
      'metering-device',
      'distributor-tubes',
      'after-dryer',
      'whole-coil',
      'suction-to-compressor',
      'accumulator',
    ],
  },
  sightGlass: { label: 'Sight glass', values: ['clear', 'bubbles', 'full-no-flow'] },
  moistureIndicator: { label: 'Moisture indicator', values: ['dry', 'caution', 'wet'] },
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
  equalizerState: { label: 'External equalizer', values: ['ok', 'broken', 'blocked'] },
  refrigerantSmell: { label: 'Burnt refrigerant smell', values: yesNo },
  oilLevel: { label: 'Oil level', values: ['above', 'in-glass', 'below', 'no-glass'] },
  warmValveResponse: { label: 'Hot water on the valve', values: ['flow-returned', 'none'] },
  bulbWarmResponse: { label: 'Bulb warmed in the hand', values: ['opens', 'none'] },
  pumpDownTest: { label: 'Pump-down test', values: ['pulls-down', 'cannot-pull-down'] },
  servicePortState: { label: 'Service valves', values: ['open', 'front-seated', 'back-seated', 'cracked'] },
  openConditions: { label: 'Weather while open', values: ['dry', 'humid', 'rain', 'coastal'] },
  phaseSequence: { label: 'Phase sequence', values: ['correct', 'reversed'] },
} as const satisfies Record<string, ObservationRow>

export type ObservationKey = keyof typeof OBSERVATIONS
export type ObservationValue<K extends ObservationKey = ObservationKey> =
  (typeof OBSERVATIONS)[K]['values'][number]

/** All keys, in the order in which they are asked. */
export const OBSERVATION_KEYS = Object.keys(OBSERVATIONS) as ObservationKey[]

/** The row seen without its literal types. */
export const observationRow = (key: ObservationKey): ObservationRow => OBSERVATIONS[key]
