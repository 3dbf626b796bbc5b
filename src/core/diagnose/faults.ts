import type { Curve, FaultRow, Signature } from './fault'

const VALVES = ['txv', 'eev'] as const
const FIXED = ['fixed-orifice', 'capillary'] as const

/** Starved circuits run hot; a nearly shut one moves no mass and goes cool (handbook 04, "not only signs but degrees"). */
const HOT_THEN_COOL: Curve = [
  [0, 0],
  [0.6, 2.2],
  [0.85, 1],
  [1, -3],
]
const CONDENSING_DRIFTS_DOWN: Curve = [
  [0, 0],
  [0.6, -0.6],
  [1, -4],
]

/** Something before the evaporator lets too little through: the common column values. */
const STARVED: Signature = {
  evaporatingMean: '--',
  condensingMean: '0/-',
  superheat: '++',
  evaporatorSuperheat: '++',
  subcooling: [
    [0, 0],
    [0.5, 3],
    [1, 8],
  ],
  temperatureSplit: '--',
  ampsShare: '-',
  dischargeLineTemp: '+',
  liquidLineDrop: '0',
  dryerDrop: '0',
  reversingValveRise: '0',
  standingOverAmbient: '0',
  suctionDryerDrop: '0',
}
const NEARLY_SHUT: Signature = {
  ...STARVED,
  condensingMean: CONDENSING_DRIFTS_DOWN,
  dischargeLineTemp: HOT_THEN_COOL,
}

/** Nothing odd on the liquid side, at the reversing valve, standing, or across the suction dryer. */
const ELSEWHERE_SOUND: Signature = {
  liquidLineDrop: '0',
  dryerDrop: '0',
  reversingValveRise: '0',
  standingOverAmbient: '0',
  suctionDryerDrop: '0',
}

const FROST_AT_VALVE = {
  'metering-device': 3,
  'distributor-tubes': 6,
  none: 0.5,
  'suction-to-compressor': 0.1,
} as const
const FROST_BACK = { 'suction-to-compressor': 8, accumulator: 5, 'metering-device': 0.3, none: 0.5 } as const

/**
 * The refrigerant-side faults of handbook 04, columns as in its table.
 * Adding a fault is one entry here and its line in the test.
 */
export const FAULTS = {
  undercharge: {
    label: 'Undercharge',
    part: 'charge',
    prior: 12,
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '-',
      condensingMean: '-',
      superheat: '+',
      evaporatorSuperheat: '+',
      subcooling: '--',
      temperatureSplit: '-',
      ampsShare: '-',
      dischargeLineTemp: '+',
    },
    variant: {
      metering: FIXED,
      signature: {
        ...ELSEWHERE_SOUND,
        evaporatingMean: '--',
        condensingMean: '-',
        superheat: '++',
        subcooling: '-',
        temperatureSplit: '-',
        ampsShare: '-',
        dischargeLineTemp: '+',
      },
    },
    observations: {
      sightGlass: { bubbles: 4, clear: 0.3 },
      frostPattern: { 'metering-device': 1.5, 'distributor-tubes': 1.5, 'suction-to-compressor': 0.2 },
      oilStain: {
        none: 0.3,
        'condenser-coil': 3,
        'evaporator-coil': 3,
        distributor: 3,
        'service-valve': 3,
        'valve-stem': 3,
        'reversing-valve': 3,
        compressor: 2,
        'line-set': 3,
        joint: 3,
      },
    },
    tell: 'oil stain, recovered weight below the plate, bubbles in the sight glass',
  },
  overcharge: {
    label: 'Overcharge',
    part: 'charge',
    prior: 6,
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '0',
      condensingMean: '+',
      superheat: '0',
      evaporatorSuperheat: '0',
      subcooling: '++',
      temperatureSplit: '0',
      ampsShare: '+',
      dischargeLineTemp: '+',
    },
    variant: {
      metering: FIXED,
      signature: {
        ...ELSEWHERE_SOUND,
        evaporatingMean: '+',
        condensingMean: '+',
        superheat: '--',
        subcooling: '+',
        temperatureSplit: '-',
        ampsShare: '+',
        dischargeLineTemp: '-',
      },
    },
    observations: { sightGlass: { bubbles: 0.2 }, frostPattern: { 'distributor-tubes': 0.5 } },
    tell: 'weight above the plate',
  },
  'non-condensables': {
    label: 'Non-condensables (air in the circuit)',
    part: 'charge',
    prior: 3,
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '0/+',
      condensingMean: '++',
      superheat: '0',
      evaporatorSuperheat: '0',
      subcooling: '+',
      temperatureSplit: '-',
      ampsShare: '+',
      dischargeLineTemp: '+',
      standingOverAmbient: '++',
    },
    tell: 'standing pressure above saturation at ambient',
  },
  'liquid-line-restriction': {
    label: 'Liquid line restriction',
    part: 'liquid-line',
    prior: 3,
    signature: {
      ...STARVED,
      condensingMean: '-',
      liquidLineDrop: [
        [0, 0],
        [0.5, 5],
        [1, 12],
      ],
    },
    observations: {
      frostPattern: { 'metering-device': 0.3, 'distributor-tubes': 0.4, 'after-dryer': 2, none: 1 },
      sightGlass: { bubbles: 2 },
    },
    tell: 'temperature drop along the line; frost or sweat begins there',
  },
  'plugged-liquid-dryer': {
    label: 'Plugged liquid dryer',
    part: 'liquid-dryer',
    prior: 5,
    signature: {
      ...STARVED,
      condensingMean: '-',
      liquidLineDrop: [
        [0, 0],
        [0.5, 4],
        [1, 10],
      ],
      dryerDrop: [
        [0, 0.5],
        [0.5, 5],
        [1, 13],
      ],
    },
    observations: {
      frostPattern: { 'after-dryer': 12, 'metering-device': 0.3, 'distributor-tubes': 0.3, none: 0.8 },
      sightGlass: { bubbles: 2 },
    },
    tell: 'dryer drop over 3 F',
  },
  'txv-underfeeding': {
    label: 'Expansion valve underfeeding',
    part: 'expansion-valve',
    prior: 8,
    applies: { metering: VALVES },
    signature: STARVED,
    observations: {
      frostPattern: FROST_AT_VALVE,
      bulbWarmResponse: { none: 4, opens: 0.4 },
      bulbState: { 'lost-charge-feel': 0.3 },
      moistureIndicator: { wet: 0.5 },
      warmValveResponse: { 'flow-returned': 0.2 },
    },
    tell: 'frost at the valve outlet or distributor only; no answer to the bulb warmed in the hand',
  },
  'txv-lost-bulb-charge': {
    label: 'Expansion valve bulb lost its charge',
    part: 'expansion-valve',
    prior: 4,
    applies: { metering: ['txv'] },
    signature: NEARLY_SHUT,
    observations: {
      frostPattern: FROST_AT_VALVE,
      bulbWarmResponse: { none: 8, opens: 0.05 },
      bulbState: { 'lost-charge-feel': 15, 'tight-insulated': 0.7 },
      warmValveResponse: { 'flow-returned': 0.2 },
    },
    tell: 'the bulb seems hollow when handled; no response to warming; may pull into vacuum',
  },
  'txv-inlet-screen-plugged': {
    label: 'Expansion valve inlet screen plugged',
    part: 'expansion-valve',
    prior: 4,
    applies: { metering: VALVES },
    signature: NEARLY_SHUT,
    observations: {
      frostPattern: { ...FROST_AT_VALVE, 'metering-device': 6, 'distributor-tubes': 3 },
      bulbWarmResponse: { opens: 1, none: 1 },
      oilAppearance: { 'metal-flakes': 4, dark: 2 },
      warmValveResponse: { 'flow-returned': 0.3 },
    },
    tell: 'answers a little to the bulb; debris in the history',
  },
  'txv-set-too-closed': {
    label: 'Expansion valve set too far closed',
    part: 'expansion-valve',
    prior: 3,
    applies: { metering: ['txv'] },
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '-',
      condensingMean: '0',
      superheat: '+',
      evaporatorSuperheat: '+',
      subcooling: '0/+',
      temperatureSplit: '-',
      ampsShare: '0',
      dischargeLineTemp: '0',
    },
    observations: {
      bulbWarmResponse: { opens: 3, none: 0.2 },
      frostPattern: { none: 1.3, 'distributor-tubes': 0.7 },
    },
    tell: 'answers to the stem',
  },
  'moisture-freeze-at-valve': {
    label: 'Ice in the expansion valve',
    part: 'expansion-valve',
    prior: 2,
    applies: { metering: VALVES },
    signature: NEARLY_SHUT,
    observations: {
      frostPattern: FROST_AT_VALVE,
      moistureIndicator: { wet: 12, caution: 2, dry: 0.1 },
      warmValveResponse: { 'flow-returned': 20, none: 0.1 },
      bulbWarmResponse: { none: 3 },
    },
    tell: 'comes and goes; hot water on the valve restores flow; indicator wet',
  },
  'txv-overfeeding': {
    label: 'Expansion valve overfeeding (stuck open)',
    part: 'expansion-valve',
    prior: 4,
    applies: { metering: VALVES },
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '+',
      condensingMean: '0/+',
      superheat: '--',
      evaporatorSuperheat: '--',
      subcooling: '0/-',
      temperatureSplit: '0/-',
      ampsShare: '+',
      dischargeLineTemp: '-',
    },
    observations: { frostPattern: FROST_BACK },
    tell: 'frost or sweat back to the compressor',
  },
  'txv-bulb-loose': {
    label: 'Expansion valve bulb loose or bare',
    part: 'expansion-valve',
    prior: 4,
    applies: { metering: ['txv'] },
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '+',
      condensingMean: '0',
      superheat: '-',
      evaporatorSuperheat: '-',
      subcooling: '0',
      temperatureSplit: '0',
      ampsShare: '0',
      dischargeLineTemp: '-',
    },
    observations: {
      bulbState: { loose: 15, uninsulated: 8, 'tight-insulated': 0.1, 'lost-charge-feel': 0.2 },
      frostPattern: FROST_BACK,
    },
    tell: 'bulb not tight or bare, at the bottom of the pipe; superheat hunts',
  },
  'fixed-orifice-plugged': {
    label: 'Fixed orifice plugged',
    part: 'fixed-orifice',
    prior: 5,
    applies: { metering: ['fixed-orifice'] },
    signature: { ...STARVED, condensingMean: '-' },
    observations: {
      frostPattern: { 'metering-device': 10, 'distributor-tubes': 3, none: 0.4, 'after-dryer': 0.3 },
    },
    tell: 'frost at the orifice; several at once in a header with one orifice per tube',
  },
  'fixed-orifice-oversized': {
    label: 'Fixed orifice oversized or unseated',
    part: 'fixed-orifice',
    prior: 2,
    applies: { metering: ['fixed-orifice'] },
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '+',
      condensingMean: '-',
      superheat: '--',
      subcooling: '-',
      temperatureSplit: '-',
      ampsShare: '0',
      dischargeLineTemp: '-',
    },
    observations: { frostPattern: FROST_BACK },
    tell: 'wrong piston after a part swap',
  },
  'capillary-plugged': {
    label: 'Capillary plugged',
    part: 'capillary',
    prior: 6,
    applies: { metering: ['capillary'] },
    signature: STARVED,
    observations: { frostPattern: { 'metering-device': 6, 'distributor-tubes': 2, none: 0.6 } },
    tell: 'wax or flush residue; repeated after a compressor change',
  },
  'low-evaporator-airflow': {
    label: 'Low airflow over the evaporator',
    part: 'airflow',
    prior: 10,
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '-',
      condensingMean: '-',
      // A valve holds its superheat, so discharge stays; the simulated circuit shows the same (docs/simulator.md).
      superheat: '0',
      evaporatorSuperheat: '0',
      subcooling: '0',
      temperatureSplit: '+',
      ampsShare: '-',
      dischargeLineTemp: '0',
    },
    variant: {
      metering: FIXED,
      signature: {
        ...ELSEWHERE_SOUND,
        evaporatingMean: '-',
        condensingMean: '-',
        superheat: '-',
        subcooling: '0',
        temperatureSplit: '+',
        ampsShare: '-',
        dischargeLineTemp: '-',
      },
    },
    observations: {
      frostPattern: { 'whole-coil': 8, none: 0.6, 'metering-device': 0.5, 'suction-to-compressor': 2 },
      indoorFan: { off: 30, running: 0.8 },
    },
    tell: 'dirty filter or coil, belt, fan; the coil ices whole',
  },
  'high-load': {
    label: 'Load still high',
    part: 'nothing',
    prior: 5,
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '+',
      condensingMean: '+',
      superheat: '+',
      evaporatorSuperheat: '+',
      subcooling: '0',
      temperatureSplit: '*',
      ampsShare: '+',
      dischargeLineTemp: '0',
    },
    tell: 'warm box or space; resolves with time',
  },
  'condenser-fouled': {
    label: 'Condenser fouled or its fan off',
    part: 'condenser',
    prior: 10,
    applies: { heatRejection: 'air' },
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '+',
      condensingMean: '++',
      superheat: '0/-',
      evaporatorSuperheat: '0/-',
      subcooling: '0/-',
      temperatureSplit: '-',
      ampsShare: '++',
      dischargeLineTemp: '+',
    },
    observations: { outdoorFan: { off: 40, running: 0.8 } },
    tell: 'dirty coil; condensing far over ambient',
  },
  'condenser-water-low-flow': {
    label: 'Low water flow through the condenser',
    part: 'water-side',
    prior: 8,
    applies: { heatRejection: 'water' },
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '+',
      condensingMean: '++',
      superheat: '0',
      evaporatorSuperheat: '0',
      subcooling: '0',
      temperatureSplit: '-',
      ampsShare: '+',
      dischargeLineTemp: '+',
      waterRise: '++',
    },
    tell: 'water rise high; strainer',
  },
  'compressor-not-pumping': {
    label: 'Compressor not pumping (valves, worn scroll)',
    part: 'compressor',
    prior: 4,
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '++',
      condensingMean: '--',
      superheat: '+',
      evaporatorSuperheat: '+',
      subcooling: '0/-',
      temperatureSplit: '--',
      ampsShare: '--',
      dischargeLineTemp: '*',
    },
    observations: {
      pumpDownTest: { 'cannot-pull-down': 10, 'pulls-down': 0.05 },
      compressorNoise: { rattling: 2, loud: 1.5 },
      frostPattern: { none: 1.3 },
      phaseSequence: { reversed: 0.3 },
    },
    tell: 'ratio well below the expected one; cannot pull down with the liquid valve shut',
  },
  'internal-relief-open': {
    label: 'Internal relief open',
    part: 'compressor',
    prior: 1,
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '++',
      condensingMean: '--',
      superheat: '+',
      evaporatorSuperheat: '+',
      subcooling: '*',
      temperatureSplit: '--',
      ampsShare: '*',
      dischargeLineTemp: '+',
    },
    observations: {
      reliefNoise: { yes: 12, no: 0.3 },
      pumpDownTest: { 'cannot-pull-down': 6, 'pulls-down': 0.2 },
    },
    tell: 'hiss inside, pressures close together, after a high-pressure event',
  },
  'reversing-valve-leaking-through': {
    label: 'Reversing valve leaking through',
    part: 'reversing-valve',
    prior: 5,
    applies: { reversingValve: true },
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '+',
      condensingMean: '-',
      superheat: '+',
      evaporatorSuperheat: '0/+',
      subcooling: '0/-',
      temperatureSplit: '--',
      ampsShare: '-',
      dischargeLineTemp: '+',
      reversingValveRise: [
        [0, 0.5],
        [0.5, 4],
        [1, 9],
      ],
    },
    observations: { reversingValveNoise: { hiss: 6, none: 0.5 }, pumpDownTest: { 'cannot-pull-down': 3 } },
    tell: 'suction picks up more than about 3 F across the valve; body warm',
  },
  'reversing-valve-stuck-mid': {
    label: 'Reversing valve stuck mid-way',
    part: 'reversing-valve',
    prior: 2,
    applies: { reversingValve: true },
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '++',
      condensingMean: '--',
      superheat: '+',
      evaporatorSuperheat: '0/+',
      subcooling: '-',
      temperatureSplit: '--',
      ampsShare: '-',
      dischargeLineTemp: '+',
      reversingValveRise: [
        [0, 2],
        [0.5, 10],
        [1, 20],
      ],
    },
    observations: { reversingValveNoise: { hiss: 8, chatter: 2, none: 0.4 } },
    tell: 'all four pipes close in temperature',
  },
  'suction-line-restriction': {
    label: 'Suction line or suction dryer restricted',
    part: 'suction-line',
    prior: 2,
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '--',
      condensingMean: '-',
      superheat: '+',
      evaporatorSuperheat: '0/-',
      subcooling: '0',
      temperatureSplit: '-',
      ampsShare: '-',
      dischargeLineTemp: '+',
      suctionDryerDrop: '++',
    },
    tell: 'pressure drop across it',
  },
  'head-pressure-control-stuck': {
    label: 'Head pressure control stuck',
    part: 'head-pressure-control',
    prior: 4,
    applies: { headPressureControl: true },
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '-',
      condensingMean: '--',
      superheat: '+',
      evaporatorSuperheat: '+',
      subcooling: '*',
      temperatureSplit: '-',
      ampsShare: '-',
      dischargeLineTemp: '0',
    },
    tell: 'condensing below the floor in cold weather',
  },
  'wrong-or-mixed-refrigerant': {
    label: 'Wrong or mixed refrigerant',
    part: 'charge',
    prior: 1.5,
    signature: {
      ...ELSEWHERE_SOUND,
      evaporatingMean: '*',
      condensingMean: '*',
      superheat: '*',
      evaporatorSuperheat: '*',
      subcooling: '*',
      temperatureSplit: '-',
      ampsShare: '*',
      dischargeLineTemp: '*',
      standingOverAmbient: '*',
    },
    tell: 'standing pressure fits no single refrigerant',
  },
} as const satisfies Record<string, FaultRow>

export type FaultId = keyof typeof FAULTS
/** A fault of the table, a sound circuit, or something that the table does not hold. */
export type SuspectId = FaultId | 'healthy' | 'unlisted'

export const FAULT_IDS = Object.keys(FAULTS) as FaultId[]
export const HEALTHY_PRIOR = 18
export const UNLISTED_PRIOR = 3

/** The row seen without its literal types. */
export const faultRow = (id: FaultId): FaultRow => FAULTS[id]

const OTHER_LABELS = { healthy: 'Nothing wrong with the circuit', unlisted: 'Not in this list' } as const

/** What a suspect is called on a screen. */
export const suspectLabel = (id: SuspectId): string =>
  id === 'healthy' || id === 'unlisted' ? OTHER_LABELS[id] : FAULTS[id].label

/** Whether a word is a suspect of this table. */
export const isSuspect = (id: string): id is SuspectId =>
  id === 'healthy' || id === 'unlisted' || Object.hasOwn(FAULTS, id)
