import type { ObservationKey } from '../readings/observations'
import type { FeatureKey } from './features'

/** Something that can be looked at or measured next. */
export type CheckRow = {
  readonly label: string
  /** typical effort, minutes [practice] */
  readonly minutes: number
  /** how many readings that time covers; one where not given */
  readonly covers?: 2
  readonly caution?: string
  readonly feature?: FeatureKey
  readonly observation?: ObservationKey
}

const LIVE = 'Live parts: only if you are qualified for live checks, with rated gloves.'

export const CHECKS = {
  suctionPressure: { label: 'Read suction pressure', minutes: 3, feature: 'evaporatingMean' },
  liquidPressure: { label: 'Read liquid pressure', minutes: 3, feature: 'condensingMean' },
  superheat: { label: 'Clamp the suction line at the compressor', minutes: 2, feature: 'superheat' },
  evaporatorSuperheat: {
    label: 'Clamp the evaporator outlet at the bulb',
    minutes: 6,
    feature: 'evaporatorSuperheat',
  },
  subcooling: { label: 'Clamp the liquid line at the condenser', minutes: 2, feature: 'subcooling' },
  temperatureSplit: {
    label: 'Take return and supply air',
    minutes: 5,
    covers: 2,
    feature: 'temperatureSplit',
  },
  compressorAmps: { label: 'Clamp the compressor lead', minutes: 4, caution: LIVE, feature: 'ampsShare' },
  dischargeLineTemp: {
    label: 'Clamp the discharge line',
    minutes: 2,
    caution: 'The discharge line burns: gloves.',
    feature: 'dischargeLineTemp',
  },
  liquidLineDrop: {
    label: 'Walk the liquid line: clamp at the metering device',
    minutes: 6,
    feature: 'liquidLineDrop',
  },
  dryerDrop: { label: 'Clamp both sides of the dryer', minutes: 3, covers: 2, feature: 'dryerDrop' },
  reversingValveRise: {
    label: 'Clamp both suction ports of the reversing valve',
    minutes: 4,
    covers: 2,
    feature: 'reversingValveRise',
  },
  standingOverAmbient: {
    label: 'Stop, let it equalise, compare standing pressure with outdoor air',
    minutes: 25,
    covers: 2,
    feature: 'standingOverAmbient',
  },
  waterRise: { label: 'Take water in and out', minutes: 4, covers: 2, feature: 'waterRise' },
  frostPattern: { label: 'See where frost or sweat begins', minutes: 3, observation: 'frostPattern' },
  sightGlass: { label: 'Look into the sight glass', minutes: 1, observation: 'sightGlass' },
  moistureIndicator: { label: 'Read the moisture indicator', minutes: 1, observation: 'moistureIndicator' },
  oilStain: { label: 'Look for oil stains at joints, stems and coils', minutes: 8, observation: 'oilStain' },
  indoorFan: { label: 'See that the indoor fan runs and air moves', minutes: 2, observation: 'indoorFan' },
  outdoorFan: { label: 'See that the outdoor fan runs', minutes: 1, observation: 'outdoorFan' },
  bulbState: { label: 'Feel the bulb: tight, insulated, in place', minutes: 8, observation: 'bulbState' },
  bulbWarmResponse: {
    label: 'Warm the bulb in the hand and watch suction',
    minutes: 10,
    observation: 'bulbWarmResponse',
  },
  warmValveResponse: {
    label: 'Pour hot water over the valve and watch suction',
    minutes: 10,
    caution: 'Keep water off electrical parts; no flame.',
    observation: 'warmValveResponse',
  },
  reliefNoise: { label: 'Listen for a hiss inside the compressor', minutes: 1, observation: 'reliefNoise' },
  reversingValveNoise: {
    label: 'Listen at the reversing valve',
    minutes: 2,
    observation: 'reversingValveNoise',
  },
  pumpDownTest: {
    label: 'Pump-down test with the liquid valve shut',
    minutes: 10,
    caution:
      "Within the maker's minimum suction: a scroll must not be pulled deep; never with a suspected low-side leak.",
    observation: 'pumpDownTest',
  },
} as const satisfies Record<string, CheckRow>

export type CheckId = keyof typeof CHECKS
export const CHECK_IDS = Object.keys(CHECKS) as CheckId[]

/** The row seen without its literal types. */
export const checkRow = (id: CheckId): CheckRow => CHECKS[id]
