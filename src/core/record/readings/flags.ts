import { MINUTE } from '../../base/units/time'
import { saturationTemperature } from '../../physics/refrigerants/saturation'
import { attempt } from '../../base/errors/orzoError'
import type { Derived } from './derive'
import type { DerivedKey } from './derivedTable'
import type { Measured, Snapshot } from './snapshot'
import type { Readings } from './schema'
import { isOfAnyMode } from './lasting'
import { READING_KEYS, type ReadingKey, readingRow } from './vocabulary'

/** A reading that looks wrong; nothing is corrected silently (handbook 02). */
export type Flag = { readonly id: string; readonly keys: readonly ReadingKey[]; readonly sentence: string }

type Check = {
  readonly id: string
  readonly keys: readonly ReadingKey[]
  readonly fires: (at: Snapshot, derived: Derived) => boolean
  readonly sentence: string
}

const FAHRENHEIT = 5 / 9
/** [practice] handbook 02: superheat below -2 F is beyond clamp error. */
const SUPERHEAT_FLOOR = -2 * FAHRENHEIT
/** Two values differ plainly when they differ by more than two standard errors. */
const PLAINLY = 2

const plainlyBelow = (first: Measured | undefined, second: Measured | undefined): boolean =>
  first !== undefined &&
  second !== undefined &&
  second.value - first.value > PLAINLY * Math.hypot(first.error, second.error)

const isRunning = (at: Snapshot) =>
  at.mode !== 'off' && (at.observations.compressorState ?? 'running') === 'running'

function notPumping(at: Snapshot): boolean {
  const { suctionPressure: low, liquidPressure: high } = at.values
  return low !== undefined && high !== undefined && isRunning(at) && high.value / low.value < 1.1
}

const CHECKS: readonly Check[] = [
  {
    id: 'negative-superheat',
    keys: ['suctionLineTemp', 'suctionPressure'],
    fires: (_at, d) => d.superheat !== undefined && d.superheat.value < SUPERHEAT_FLOOR,
    sentence:
      'Superheat is negative: wet suction, a poor clamp, or the wrong gauge or refrigerant. Move the clamp to clean, insulated pipe and repeat.',
  },
  {
    id: 'negative-subcooling',
    keys: ['liquidLineTemp', 'liquidPressure'],
    fires: (_at, d) => d.subcooling !== undefined && d.subcooling.value < -PLAINLY * d.subcooling.error,
    sentence:
      'Subcooling is negative: liquid is flashing, or the pressure was taken at another tap. Repeat both at the condenser outlet.',
  },
  {
    id: 'liquid-colder-than-outdoor',
    keys: ['liquidLineTemp', 'outdoorAirTemp'],
    fires: (at) => at.mode === 'cooling' && plainlyBelow(at.values.liquidLineTemp, at.values.outdoorAirTemp),
    sentence:
      'The liquid line is colder than outdoor air: a restriction ahead of the clamp, or a bad clamp. Clamp again nearer the condenser.',
  },
  {
    id: 'supply-colder-than-evaporating',
    keys: ['supplyAirTemp', 'suctionPressure'],
    fires: (at, d) => at.mode === 'cooling' && plainlyBelow(at.values.supplyAirTemp, d.evaporatingMean),
    sentence:
      'Supply air is colder than the evaporating temperature, which cannot be: check the suction gauge and the refrigerant.',
  },
  {
    id: 'discharge-cooler-than-condensing',
    keys: ['dischargeLineTemp'],
    fires: (at, d) => isRunning(at) && plainlyBelow(at.values.dischargeLineTemp, d.condensingMean),
    sentence:
      'The discharge line is cooler than the condensing temperature: liquid reaches the compressor, or the clamp is bad. Repeat it.',
  },
  {
    id: 'pressures-crossed',
    keys: ['suctionPressure', 'liquidPressure'],
    fires: (at) => plainlyBelow(at.values.liquidPressure, at.values.suctionPressure),
    sentence:
      'Suction pressure is above liquid pressure: the hoses are swapped, or the compressor is not pumping.',
  },
  {
    id: 'not-pumping',
    keys: ['suctionPressure', 'liquidPressure'],
    fires: notPumping,
    sentence:
      'Both pressures are nearly equal with the compressor running: it is not pumping, or the set was taken off.',
  },
  {
    id: 'at-ambient',
    keys: ['suctionPressure', 'liquidPressure'],
    fires: atAmbient,
    sentence:
      'Both pressures saturate at outdoor air with the compressor called running: it is not pumping, or it is off. Look at its amps.',
  },
  {
    id: 'wet-bulb-above-dry-bulb',
    keys: ['returnAirWetBulb', 'returnAirTemp'],
    fires: (at) => plainlyBelow(at.values.returnAirTemp, at.values.returnAirWetBulb),
    sentence: 'The wet bulb is above the dry bulb: swap or repeat the two.',
  },
  {
    id: 'standing-sides-differ',
    keys: ['standingSuctionPressure', 'standingLiquidPressure'],
    fires: (at) =>
      plainlyBelow(at.values.standingSuctionPressure, at.values.standingLiquidPressure) ||
      plainlyBelow(at.values.standingLiquidPressure, at.values.standingSuctionPressure),
    sentence:
      'The two sides do not read the same: a shut valve or a pump-down holds them apart, or it stood less than 10 to 30 minutes. Each side speaks for its own section only.',
  },
  {
    id: 'standing-pressure-off',
    keys: ['standingPressure', 'outdoorAirTemp'],
    fires: (_at, d) =>
      d.standingOverAmbient !== undefined &&
      Math.abs(d.standingOverAmbient.value) > Math.max(5 * FAHRENHEIT, 3 * d.standingOverAmbient.error),
    sentence:
      'Standing pressure does not match saturation at outdoor air: wrong or mixed refrigerant, air in it, or no liquid left. Let it stand and equalise, then repeat.',
  },
]

/** Temperatures that no serviced circuit shows; most likely a slip of the unit. [physics, wide] */
const UNLIKELY = {
  coldest: 193,
  hottest: 423,
  roomColdest: 233,
  roomHottest: 333,
} as const

function unitSlip(at: Snapshot, key: ReadingKey): boolean {
  const value = at.values[key]?.value
  if (value === undefined || readingRow(key).kind !== 'temperature') return false
  const { place } = readingRow(key)
  const room = place === 'air' || place === 'water'
  return (
    value < (room ? UNLIKELY.roomColdest : UNLIKELY.coldest) ||
    value > (room ? UNLIKELY.roomHottest : UNLIKELY.hottest)
  )
}

/** Saturation temperatures outside of which no serviced circuit runs, K. [physics, wide] */
const SATURATION_LIMITS: { readonly [K in ReadingKey]?: readonly [lowest: number, highest: number] } = {
  suctionPressure: [213, 308],
  liquidPressure: [255, 358],
  dischargePressure: [255, 358],
}

/** A pressure typed in another unit saturates far from where a circuit runs. */
function pressureSlips(at: Snapshot): Flag[] {
  if (!isRunning(at)) return []
  return READING_KEYS.flatMap((key) => {
    const [limits, value] = [SATURATION_LIMITS[key], at.values[key]?.value]
    if (!limits || value === undefined) return []
    const saturation = attempt(() => saturationTemperature(at.refrigerant, 'bubble', value))
    const inside = !saturation.ok || (saturation.value > limits[0] && saturation.value < limits[1])
    return inside
      ? []
      : [
          {
            id: 'pressure-slip',
            keys: [key],
            sentence: `${readingRow(key).label} saturates where no running circuit does: check the unit (kPa typed as psi?), the gauge and the refrigerant.`,
          },
        ]
  })
}

/** [practice] handbook 02: readings of one set lie within about ten minutes. */
const SET_MINUTES = 10
/** Readings that the weather, the circuit's state or the load move; settings and windings stay. */
const isMoving = (key: ReadingKey) =>
  ['pressures', 'refrigerant', 'valve', 'air', 'water'].includes(readingRow(key).place) && !isOfAnyMode(key)

/** Readings taken so long before the newest that they tell of another state. */
export function staleKeys(readings: Readings, changedAt?: string): ReadingKey[] {
  const taken = READING_KEYS.flatMap((key) => {
    const at = readings[key]?.at
    return at !== undefined && isMoving(key) ? [{ key, time: Date.parse(at) }] : []
  })
  const newest = Math.max(...taken.map(({ time }) => time))
  const changed = changedAt === undefined ? -Infinity : Date.parse(changedAt)
  return taken
    .filter(({ time }) => newest - time > SET_MINUTES * MINUTE || time < changed)
    .map(({ key }) => key)
}

function farApart(at: Snapshot): Flag[] {
  const keys = staleKeys(at.raw)
  return keys.length === 0
    ? []
    : [
        {
          id: 'far-apart',
          keys,
          sentence: `${keys.length === 1 ? 'One reading was' : `${keys.length} readings were`} taken over ${SET_MINUTES} minutes before the newest: the machine may have moved on. Repeat the greyed ones, or begin a new set.`,
        },
      ]
}

/** Saturation within this of outdoor air on both sides, K. */
const AT_AMBIENT = 4

/** Both sides at the saturation of ambient air with the compressor running. */
function atAmbient(at: Snapshot, derived: Derived): boolean {
  const outdoor = at.values.outdoorAirTemp?.value
  const sides = [derived.evaporatingMean?.value, derived.condensingMean?.value]
  return (
    outdoor !== undefined &&
    isRunning(at) &&
    sides.every((side) => side !== undefined && Math.abs(side - outdoor) < AT_AMBIENT)
  )
}

/** What an instrument shows beside what the pressures and temperatures of the same set say. */
const SHOWN_BESIDE = [
  ['superheatShown', 'superheat', ['suctionPressure', 'suctionLineTemp']],
  ['subcoolingShown', 'subcooling', ['liquidPressure', 'liquidLineTemp']],
  ['splitShown', 'temperatureSplit', ['returnAirTemp', 'supplyAirTemp']],
  ['overAmbientShown', 'condensingOverAmbient', ['liquidPressure', 'outdoorAirTemp']],
] as const satisfies readonly (readonly [ReadingKey, DerivedKey, readonly ReadingKey[]])[]

/** A split is written without its sign: what is cooled in summer is warmed in winter. */
const written = (key: ReadingKey, value: number) => (key === 'splitShown' ? Math.abs(value) : value)

/** A figure of the instrument and its own arithmetic that differ by more than both may err. */
const shownFlags = (at: Snapshot, derived: Derived): Flag[] =>
  SHOWN_BESIDE.flatMap(([key, of, from]) => {
    const [shown, computed] = [at.values[key], derived[of]]
    if (!shown || !computed) return []
    const apart = Math.abs(written(key, shown.value) - written(key, computed.value))
    if (apart <= PLAINLY * Math.hypot(shown.error, computed.error)) return []
    const sentence = `${readingRow(key).label} and the one from ${from.map((each) => readingRow(each).short.toLowerCase()).join(' and ')} do not agree: look at the refrigerant set in the instrument, its clamp and the gauge, and repeat.`
    return [{ id: 'shown-disagrees', keys: [key, ...from], sentence }]
  })

const slipFlags = (at: Snapshot): Flag[] =>
  READING_KEYS.filter((key) => unitSlip(at, key)).map((key) => ({
    id: 'unit-slip',
    keys: [key],
    sentence: `${readingRow(key).label} is hardly possible: check the unit (C typed as F?).`,
  }))

/** Pressures for which the refrigerant has no saturation temperature. */
function outsideTable(at: Snapshot): Flag[] {
  const pressures: readonly ReadingKey[] = [
    'suctionPressure',
    'liquidPressure',
    'dischargePressure',
    'standingPressure',
    'standingSuctionPressure',
    'standingLiquidPressure',
  ]
  return pressures.flatMap((key) => {
    const value = at.values[key]
    if (!value) return []
    const result = attempt(() => saturationTemperature(at.refrigerant, 'bubble', value.value))
    return result.ok
      ? []
      : [
          {
            id: 'outside-table',
            keys: [key],
            sentence: `${readingRow(key).label}: ${result.error.message} Check the unit and the refrigerant.`,
          },
        ]
  })
}

/** Sanity checks of handbook 02, each with what to do. */
export function findFlags(at: Snapshot, derived: Derived): Flag[] {
  const refused = at.refused.map(({ key, error }) => ({
    id: error.code,
    keys: [key],
    sentence: error.message,
  }))
  const fired = CHECKS.filter((check) => check.fires(at, derived)).map(({ id, keys, sentence }) => ({
    id,
    keys,
    sentence,
  }))
  return [
    ...refused,
    ...outsideTable(at),
    ...pressureSlips(at),
    ...slipFlags(at),
    ...farApart(at),
    ...fired,
    ...shownFlags(at, derived),
  ]
}
