import { percent } from '../../base/units/percent'
import { attempt } from '../../base/errors/orzoError'
import { toKelvin } from '../../base/units/convert'
import {
  isFlammable,
  type OilFamily,
  type RefrigerantName,
  refrigerantRow,
  type SafetyClass,
} from '../../physics/refrigerants/catalogue'
import { type Cycle, type CyclePoint, idealCycle } from '../../physics/refrigerants/cycle'
import { bubbleAtMeanCondensing, dewAtMeanEvaporating } from '../../physics/refrigerants/meanTemperature'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import { warmingPotential } from '../../physics/refrigerants/warming'

/** Whether a refrigerant may stand in for the original, and why not. */
type Suitability = {
  readonly verdict: 'original' | 'possible' | 'refused'
  /** reasons for a refusal, or what must be done, in sentences */
  readonly reasons: readonly string[]
}

export type ComparisonRow = {
  readonly name: RefrigerantName
  readonly cycle: Cycle
  /** against the original, 1 = the same */
  readonly relativeCapacity: number
  readonly relativeMassFlow: number
  readonly relativeCharge: number
  readonly safety: SafetyClass
  readonly oils: readonly OilFamily[]
  readonly warming: number
  readonly suitability: Suitability
}

export type Comparison = {
  readonly rows: readonly ComparisonRow[]
  /** refrigerants whose table does not hold these temperatures, with the reason */
  readonly missing: readonly { readonly name: RefrigerantName; readonly reason: string }[]
}

/** [practice] a high side so far above the original's is outside what the equipment was built for. */
const MOST_PRESSURE = 1.1
/** [practice] beyond this the compressor and the valve no longer fit the load. */
const MOST_CAPACITY = 1.2
const LEAST_CAPACITY = 0.8
/** [practice] a glide that must be thought of, K. */
const NOTICEABLE_GLIDE = 2

/** How far a ratio is from one. */
const apart = (ratio: number) => percent(Math.abs(ratio - 1))

/** What a unit's own plate says of a refrigerant. */
export type PlateLimits = {
  /** why the equipment may not hold it; undefined where it may */
  readonly refusal?: (name: RefrigerantName) => string | undefined
  /** design pressure of the high side, Pa absolute */
  readonly highSide?: number | undefined
}

type Rule = {
  readonly refuses: boolean
  readonly says: (original: ComparisonRow, other: ComparisonRow, plate: PlateLimits) => string | undefined
}

/** [practice] condensing in hot weather, at which a design pressure must not be passed. */
const HOT_CONDENSING = toKelvin({ value: 130, unit: 'F' })

/** Above the plate where the plate is known, else far above the original. */
function pressureRefusal(
  original: ComparisonRow,
  other: ComparisonRow,
  { highSide }: PlateLimits,
): string | undefined {
  const ratio = other.cycle.dischargePressure / original.cycle.dischargePressure
  if (refrigerantRow(other.name).highPressureClass && !refrigerantRow(original.name).highPressureClass)
    return `High side ${apart(ratio)} above the original: beyond what the equipment was built for.`
  if (highSide === undefined)
    return ratio > MOST_PRESSURE
      ? `High side ${apart(ratio)} above the original: beyond what the equipment was built for.`
      : undefined
  const hot = attempt(() => saturationPressure(other.name, 'bubble', HOT_CONDENSING))
  return hot.ok && hot.value > highSide
    ? `Condensing at 130 F it passes the design pressure of the plate by ${apart(hot.value / highSide)}.`
    : undefined
}

/** Handbook 10 as rules; the first kind refuses, the second says what must be done. */
const RULES: readonly Rule[] = [
  {
    refuses: true,
    says: (original, other, { refusal }) =>
      refusal
        ? refusal(other.name)
        : isFlammable(other.name) && original.safety !== other.safety
          ? `Burns (${other.safety}): only in equipment listed for it.`
          : undefined,
  },
  { refuses: true, says: pressureRefusal },
  {
    refuses: true,
    says: (_original, { relativeCapacity }) =>
      relativeCapacity < LEAST_CAPACITY || relativeCapacity > MOST_CAPACITY
        ? `Capacity ${apart(relativeCapacity)} ${relativeCapacity < 1 ? 'less' : 'more'}: compressor and valve no longer fit.`
        : undefined,
  },
  {
    refuses: false,
    says: (original, other) => {
      const usual = refrigerantRow(original.name).oils
      return other.oils.some((oil) => usual[0] === oil)
        ? undefined
        : `Needs ${other.oils[0]}: oil must be changed.`
    },
  },
  {
    refuses: false,
    says: (original, other) =>
      other.cycle.evaporatingGlide > original.cycle.evaporatingGlide + NOTICEABLE_GLIDE
        ? 'Glides: dew for superheat, bubble for subcooling, charge as liquid.'
        : undefined,
  },
  {
    refuses: false,
    says: (original, other) =>
      other.cycle.dischargeTemperature > original.cycle.dischargeTemperature + 8
        ? 'Discharges hotter: watch the discharge line.'
        : undefined,
  },
]

function judge(original: ComparisonRow, other: ComparisonRow, plate: PlateLimits): Suitability {
  if (other.name === original.name) return { verdict: 'original', reasons: [] }
  const told = RULES.map((rule) => ({
    refuses: rule.refuses,
    text: rule.says(original, other, plate),
  })).filter((each): each is { refuses: boolean; text: string } => each.text !== undefined)
  const refused = told.some((each) => each.refuses)
  const reasons = told.filter((each) => each.refuses === refused).map((each) => each.text)
  return { verdict: refused ? 'refused' : 'possible', reasons }
}

const NOT_YET: Suitability = { verdict: 'possible', reasons: [] }

function rowOf(name: RefrigerantName, cycle: Cycle, original: Cycle): ComparisonRow {
  const { safety, oils } = refrigerantRow(name)
  return {
    name,
    cycle,
    relativeCapacity: cycle.volumetricCapacity / original.volumetricCapacity,
    relativeMassFlow: cycle.massFlowPerWatt / original.massFlowPerWatt,
    relativeCharge: cycle.liquidDensity / original.liquidDensity,
    safety,
    oils,
    warming: warmingPotential(name),
    suitability: NOT_YET,
  }
}

/** The cycle whose means are the given temperatures: a blend's lines lie on both sides of them. */
const cycleAtMeans = (name: RefrigerantName, at: CyclePoint): Cycle =>
  idealCycle(name, {
    ...at,
    evaporating: dewAtMeanEvaporating(name, at.evaporating),
    condensing: bubbleAtMeanCondensing(name, at.condensing),
  })

/**
 * Refrigerants side by side at one mean evaporating and one mean condensing temperature: what the same coils see.
 * @param at mean temperatures, K, with superheat, subcooling and efficiency
 * @param original what the equipment holds by its plate; ratios are against it
 * @param plate what the equipment's own plate says; without it the original's pressures and class are the limit
 * @throws OrzoError out-of-range where the original itself has no data there
 */
export function compareRefrigerants(
  original: RefrigerantName,
  names: readonly RefrigerantName[],
  at: CyclePoint,
  plate: PlateLimits = {},
): Comparison {
  const own = cycleAtMeans(original, at)
  const originalRow = rowOf(original, own, own)
  const rows: ComparisonRow[] = []
  const missing: { name: RefrigerantName; reason: string }[] = []
  for (const name of names) {
    const cycle = attempt(() => cycleAtMeans(name, at))
    if (!cycle.ok) {
      missing.push({ name, reason: cycle.error.message })
      continue
    }
    const row = rowOf(name, cycle.value, own)
    rows.push({ ...row, suitability: judge(originalRow, row, plate) })
  }
  return { rows, missing }
}
