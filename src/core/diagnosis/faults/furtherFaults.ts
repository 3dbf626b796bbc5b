import type { FaultRow } from './fault'

/** A leak empties the circuit when nobody comes: what the standing pressure then says. */
const LEAKED_OUT = { 'vapour-only': 60, empty: 120, vacuum: 60 } as const

/**
 * More suspects of handbook 04, without a row in its table: what they do to the readings comes from the simulated circuit
 * (case books), what tells them apart from the words seen.
 */
export const FURTHER_FAULTS = {
  'charge-lost': {
    label: 'Charge lost: no liquid left',
    part: 'charge',
    prior: 6,
    observations: {
      standing: { 'vapour-only': 250, empty: 600, vacuum: 400, liquid: 0.005, over: 0.02 },
      compressorState: { off: 14, running: 0.002, 'hums-and-trips': 0.1, 'trips-breaker': 0.1 },
      callForOperation: { yes: 1.1 },
      // The switch did its job: that it is open is a consequence of the lost charge.
      lowPressureSwitch: { open: 20, closed: 0.4 },
      contactorPoints: { 'not-pulled-in': 12, clean: 0.7, pitted: 0.5 },
      controlVolts: { dead: 15, live: 0.3 },
      loadVolts: { dead: 10, live: 0.3 },
      startAttempt: { 'no-current': 10, starts: 0.1 },
      legAmps: { none: 6, good: 0.05 },
      oilStain: {
        none: 0.4,
        'condenser-coil': 3,
        'evaporator-coil': 3,
        distributor: 3,
        'service-valve': 3,
        'valve-stem': 3,
        'reversing-valve': 2,
        'line-set': 3,
        joint: 3,
      },
      // a melted plug has a name of its own
      reliefPlug: { melted: 0.2 },
      weighedCharge: { 'below-plate': 20, 'at-plate': 0.02, 'above-plate': 0.02 },
    },
    distinguishingSign:
      'standing pressure below saturation at the coldest place; oil stain, hiss, a melted plug or its lost cap',
  },
  'access-fitting-leak': {
    label: 'Leak at an access fitting, stem, cap or core',
    showsAs: 'undercharge',
    part: 'charge',
    prior: 4,
    observations: {
      oilStain: { 'service-valve': 25, 'valve-stem': 15, none: 0.3, joint: 0.3, 'condenser-coil': 0.3 },
      sightGlass: { bubbles: 4, clear: 0.3 },
      weighedCharge: { 'below-plate': 20, 'at-plate': 0.2 },
      standing: LEAKED_OUT,
    },
    distinguishingSign: 'oil at the core, stem or quick-connect; a core or cap that bubbles under soap',
  },
  'relief-plug-melted': {
    label: 'Fusible relief plug melted',
    part: 'charge',
    prior: 0.7,
    observations: {
      oilStain: { 'condenser-coil': 8, none: 0.4 },
      sightGlass: { bubbles: 6, 'full-no-flow': 2 },
      reliefPlug: { melted: 60, sound: 0.05 },
      compressorState: { off: 4 },
      weighedCharge: { 'below-plate': 20, 'at-plate': 0.2 },
      standing: { 'vapour-only': 100, empty: 600, vacuum: 40, liquid: 0.05 },
    },
    distinguishingSign: 'charge gone at once; look at the plug before hunting other leaks',
  },
  'rv-pilot-tube-leak': {
    label: 'Reversing valve pilot tube leaks',
    showsAs: 'undercharge',
    part: 'charge',
    prior: 0.8,
    applies: { reversingValve: true },
    observations: {
      oilStain: { 'reversing-valve': 40, none: 0.3 },
      weighedCharge: { 'below-plate': 20, 'at-plate': 0.2 },
      standing: LEAKED_OUT,
    },
    distinguishingSign: 'oil on the pilot tubes of the reversing valve',
  },
  'service-valve-damaged': {
    label: 'Service valve damaged or melted shut',
    showsAs: 'liquid-line-restriction',
    part: 'service-valve',
    prior: 1,
    applies: { split: true },
    observations: {
      oilStain: { 'service-valve': 8 },
      frostPattern: { 'metering-device': 0.3, 'after-dryer': 0.3, 'service-valve': 15 },
    },
    distinguishingSign: 'cold or frosted just after the valve; overheated at brazing, an overtightened cap',
  },
  'liquid-solenoid-stuck-closed': {
    label: 'Liquid solenoid stuck closed',
    showsAs: 'liquid-line-restriction',
    part: 'liquid-solenoid',
    prior: 2,
    applies: { kinds: ['walk-in-cooler', 'walk-in-freezer'] },
    observations: { solenoidPull: { none: 25, pulls: 0.2 } },
    distinguishingSign: 'no click and no magnet pull with a call; low side pumps down at once',
  },
  'liquid-solenoid-leaking': {
    label: 'Liquid solenoid leaks through',
    showsAs: 'healthy',
    part: 'liquid-solenoid',
    prior: 2.5,
    applies: { kinds: ['walk-in-cooler', 'walk-in-freezer'] },
    observations: {
      pumpDownTest: { 'cannot-pull-down': 40, 'pulls-down': 0.02 },
      handValveTest: { 'pulls-down': 1.2, 'cannot-pull-down': 0.05 },
    },
    distinguishingSign: 'will not pump down, while the compressor holds against a shut hand valve',
  },
  'equalizer-broken-or-blocked': {
    label: 'External equaliser broken or blocked',
    part: 'expansion-valve',
    prior: 1.5,
    applies: { metering: ['txv'] },
    observations: {
      equalizerState: { blocked: 40, broken: 40, ok: 0.05 },
      bulbWarmResponse: { none: 2 },
    },
    distinguishingSign:
      'kinked, capped or oily equaliser line; broken it leaks first, then the valve misfeeds',
  },
  'eev-fault': {
    label: 'Electronic expansion valve stuck or its driver failed',
    part: 'expansion-valve',
    prior: 8,
    applies: { metering: ['eev'] },
    observations: {
      frostPattern: { 'metering-device': 3, 'distributor-tubes': 6, none: 0.5 },
      stemResponse: { none: 6, answers: 0.3 },
    },
    distinguishingSign: 'steps commanded and superheat does not answer; check driver, coil, sensor',
  },
  'evaporator-fan-failed': {
    label: 'Evaporator fan failed',
    part: 'airflow',
    prior: 3,
    applies: { mode: 'cooling' },
    observations: {
      indoorFan: { off: 60, running: 0.03 },
      frostPattern: { 'whole-coil': 8, 'suction-to-compressor': 3, none: 0.5 },
      evaporatorCoil: { iced: 5 },
    },
    distinguishingSign: 'the fan stands still; the coil ices whole',
  },
  'defrost-failure': {
    label: 'Defrost failed',
    part: 'airflow',
    prior: 4,
    applies: { frosts: true },
    observations: {
      frostPattern: { 'whole-coil': 25, none: 0.15 },
      evaporatorCoil: { iced: 40, clean: 0.05, dirty: 0.2 },
      indoorFan: { running: 1.2 },
    },
    distinguishingSign: 'the coil is a block of ice that returns after a manual defrost',
  },
  'check-valve-leaking': {
    label: 'Check valve leaks through',
    part: 'check-valve',
    prior: 1,
    applies: { reversingValve: true },
    observations: { frostPattern: { 'suction-to-compressor': 4 }, bulbWarmResponse: { none: 2 } },
    distinguishingSign:
      'the metering device that should be in use is bypassed: its two sides are equally warm',
  },
  'head-pressure-control-stuck-closed': {
    label: 'Head pressure control stuck: condenser flooded',
    part: 'head-pressure-control',
    prior: 2,
    applies: { headPressureControl: true },
    observations: { condenserCoil: { clean: 1.5, dirty: 0.5 } },
    distinguishingSign: 'head high, receiver low, the bottom of the condenser cool',
  },
  'phase-reversed': {
    label: 'Phases reversed: the scroll runs backwards',
    part: 'supply',
    prior: 2,
    applies: { threePhase: true },
    // looks like not pumping, all the way: no pressure difference at all
    signature: {
      evaporatingMean: '++',
      condensingMean: '--',
      superheat: '+',
      evaporatorSuperheat: '+',
      subcooling: '-',
      temperatureSplit: '--',
      ampsShare: '-',
      dischargeLineTemp: '-',
      liquidLineDrop: '0',
      dryerDrop: '0',
      reversingValveRise: '0',
      standingOverAmbient: '0',
    },
    observations: {
      phaseSequence: { reversed: 60, correct: 0.01 },
      compressorNoise: { loud: 12, normal: 0.1 },
      pumpDownTest: { 'cannot-pull-down': 8, 'pulls-down': 0.1 },
    },
    distinguishingSign: 'noisy, low amps, no pressure difference: check phase sequence before the compressor',
  },
} as const satisfies Record<string, FaultRow>
