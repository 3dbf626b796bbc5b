import { attempt } from '../../base/errors/orzoError'
import { meanCondensing, meanEvaporating } from '../../physics/refrigerants/meanTemperature'
import { saturationTemperature } from '../../physics/refrigerants/saturation'
import { relativeHumidity } from '../../physics/air/psychrometrics'
import { pressureDropError, temperatureDropError } from './instrumentError'
import { SATURATION_NAMES } from './saturationNames'
import type { Measured, Snapshot } from './snapshot'
import type { ReadingKey } from './vocabulary'

/** What a derived value is, so that it can be shown in the user's units. */
type DerivedKind = 'temperature' | 'temperatureDifference' | 'pressureDifference' | 'ratio' | 'share'

export type DerivedRow = {
  readonly label: string
  readonly kind: DerivedKind
  /** the arithmetic in the trade's words */
  readonly formula: string
  readonly compute: (at: Snapshot) => Measured | undefined
}

type Curve = (at: Snapshot, pascals: number) => number

const bubble: Curve = (at, pascals) => saturationTemperature(at.refrigerant, 'bubble', pascals)
const dew: Curve = (at, pascals) => saturationTemperature(at.refrigerant, 'dew', pascals)
const evaporatingMean: Curve = (at, pascals) => meanEvaporating(at.refrigerant, pascals)
const condensingMean: Curve = (at, pascals) => meanCondensing(at.refrigerant, pascals)

const SLOPE_STEP = 0.002

/** Saturation temperature of a pressure reading; the gauge's error through the slope of the curve. */
function saturated(at: Snapshot, pressure: Measured | undefined, curve: Curve): Measured | undefined {
  if (!pressure) return undefined
  const result = attempt(() => {
    const value = curve(at, pressure.value)
    const slope = (value - curve(at, pressure.value * (1 - SLOPE_STEP))) / (SLOPE_STEP * pressure.value)
    return { value, error: Math.abs(slope) * pressure.error }
  })
  return result.ok ? result.value : undefined
}

function minus(first: Measured | undefined, second: Measured | undefined): Measured | undefined {
  if (!first || !second) return undefined
  return { value: first.value - second.value, error: Math.hypot(first.error, second.error) }
}

/** Difference of two readings of the same kind; one instrument's repeatability where it read both. */
function drop(
  at: Snapshot,
  from: ReadingKey,
  to: ReadingKey,
  kind: 'temperature' | 'pressure',
): Measured | undefined {
  const [first, second] = [at.values[from], at.values[to]]
  const [rawFirst, rawSecond] = [at.raw[from], at.raw[to]]
  if (!first || !second || !rawFirst || !rawSecond) return undefined
  const error =
    kind === 'temperature'
      ? temperatureDropError(rawFirst, rawSecond)
      : pressureDropError(rawFirst, rawSecond, at.atmosphere)
  return { value: first.value - second.value, error }
}

/** The high side pressure that the condensing temperature is taken from. */
const highSide = (at: Snapshot) => at.values.liquidPressure ?? at.values.dischargePressure

function humidity(at: Snapshot): Measured | undefined {
  const { returnAirHumidity, returnAirTemp, returnAirWetBulb } = at.values
  if (returnAirHumidity) return returnAirHumidity
  if (!returnAirTemp || !returnAirWetBulb) return undefined
  const share = (wet: number) => relativeHumidity(returnAirTemp.value, wet, at.atmosphere)
  const result = attempt(() => share(returnAirWetBulb.value))
  if (!result.ok) return undefined
  const lower = attempt(() => share(returnAirWetBulb.value - returnAirWetBulb.error))
  return { value: result.value, error: lower.ok ? Math.abs(result.value - lower.value) : 0.05 }
}

function ratio(at: Snapshot): Measured | undefined {
  const high = at.values.dischargePressure ?? at.values.liquidPressure
  const low = at.values.suctionPressure
  if (!high || !low) return undefined
  const value = high.value / low.value
  return { value, error: value * Math.hypot(high.error / high.value, low.error / low.value) }
}

const temperature = (label: string, formula: string, compute: DerivedRow['compute']): DerivedRow => ({
  label,
  kind: 'temperature',
  formula,
  compute,
})
const difference = (label: string, formula: string, compute: DerivedRow['compute']): DerivedRow => ({
  label,
  kind: 'temperatureDifference',
  formula,
  compute,
})

/** Derived quantities of handbook 02 [physics], each with the error that it inherits. */
const DERIVED = {
  evaporatingDew: temperature(SATURATION_NAMES.evaporatingDew, 'dew(suction pressure)', (at) =>
    saturated(at, at.values.suctionPressure, dew),
  ),
  evaporatingMean: temperature(
    SATURATION_NAMES.evaporatingMean,
    'bubble + 2/3 glide at suction pressure',
    (at) => saturated(at, at.values.suctionPressure, evaporatingMean),
  ),
  condensingBubble: temperature(SATURATION_NAMES.condensingBubble, 'bubble(liquid pressure)', (at) =>
    saturated(at, highSide(at), bubble),
  ),
  condensingMean: temperature(
    SATURATION_NAMES.condensingMean,
    'mean of bubble and dew at liquid pressure',
    (at) => saturated(at, highSide(at), condensingMean),
  ),
  standingSaturation: temperature('Standing saturation', 'bubble(standing pressure)', (at) =>
    saturated(at, at.values.standingPressure, bubble),
  ),
  superheat: difference('Superheat at the compressor', 'suction line - dew(suction pressure)', (at) =>
    minus(at.values.suctionLineTemp, saturated(at, at.values.suctionPressure, dew)),
  ),
  evaporatorSuperheat: difference(
    'Superheat at the evaporator',
    'evaporator outlet - dew(evaporator or suction pressure)',
    (at) =>
      minus(
        at.values.evaporatorOutletTemp,
        saturated(at, at.values.evaporatorPressure ?? at.values.suctionPressure, dew),
      ),
  ),
  subcooling: difference('Subcooling', 'bubble(liquid pressure) - liquid line', (at) =>
    minus(saturated(at, at.values.liquidPressure, bubble), at.values.liquidLineTemp),
  ),
  condensingOverAmbient: difference('Condensing over ambient', 'condensing mean - outdoor air', (at) =>
    minus(saturated(at, highSide(at), condensingMean), at.values.outdoorAirTemp),
  ),
  condensingOverWater: difference('Condensing over leaving water', 'condensing mean - water out', (at) =>
    minus(saturated(at, highSide(at), condensingMean), at.values.waterOutTemp),
  ),
  evaporatorDifference: difference('Evaporator difference', 'return air - evaporating mean', (at) =>
    minus(at.values.returnAirTemp, saturated(at, at.values.suctionPressure, evaporatingMean)),
  ),
  boxDifference: difference('Box difference', 'box - evaporating mean', (at) =>
    minus(at.values.boxTemp, saturated(at, at.values.suctionPressure, evaporatingMean)),
  ),
  temperatureSplit: difference('Temperature split', 'return air - supply air', (at) =>
    minus(at.values.returnAirTemp, at.values.supplyAirTemp),
  ),
  temperatureRise: difference('Temperature rise', 'supply air - return air', (at) =>
    minus(at.values.supplyAirTemp, at.values.returnAirTemp),
  ),
  liquidApproach: difference('Liquid line over outdoor air', 'liquid line - outdoor air', (at) =>
    minus(at.values.liquidLineTemp, at.values.outdoorAirTemp),
  ),
  waterRise: difference('Water rise', 'water out - water in', (at) =>
    drop(at, 'waterOutTemp', 'waterInTemp', 'temperature'),
  ),
  dischargeSuperheat: difference('Discharge superheat', 'discharge line - dew(discharge pressure)', (at) =>
    minus(
      at.values.dischargeLineTemp,
      saturated(at, at.values.dischargePressure ?? at.values.liquidPressure, dew),
    ),
  ),
  liquidLineDrop: difference('Liquid-line drop', 'liquid line - metering inlet', (at) =>
    drop(at, 'liquidLineTemp', 'meteringInletTemp', 'temperature'),
  ),
  dryerDrop: difference('Dryer drop', 'dryer in - dryer out', (at) =>
    drop(at, 'dryerInTemp', 'dryerOutTemp', 'temperature'),
  ),
  reversingValveRise: difference(
    'Reversing valve suction rise',
    'valve suction out - valve suction in',
    (at) => drop(at, 'rvSuctionOutTemp', 'rvSuctionInTemp', 'temperature'),
  ),
  standingOverAmbient: difference(
    'Standing saturation over ambient',
    'bubble(standing pressure) - outdoor air',
    (at) => minus(saturated(at, at.values.standingPressure, bubble), at.values.outdoorAirTemp),
  ),
  suctionDryerDrop: {
    label: 'Suction dryer drop',
    kind: 'pressureDifference',
    formula: 'suction dryer in - suction dryer out',
    compute: (at) => drop(at, 'suctionDryerInPressure', 'suctionDryerOutPressure', 'pressure'),
  },
  compressionRatio: {
    label: 'Compression ratio',
    kind: 'ratio',
    formula: 'absolute discharge / absolute suction',
    compute: ratio,
  },
  returnHumidity: {
    label: 'Return air humidity',
    kind: 'share',
    formula: 'from dry and wet bulb at local pressure',
    compute: humidity,
  },
} as const satisfies Record<string, DerivedRow>

export type DerivedKey = keyof typeof DERIVED
export const DERIVED_KEYS = Object.keys(DERIVED) as DerivedKey[]

/** The row seen without its literal types. */
export const derivedRow = (key: DerivedKey): DerivedRow => DERIVED[key]
