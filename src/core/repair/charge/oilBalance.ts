import { type Basis, basisOf, computed, isAssumed, type Known, known } from '../../base/known/known'
import { fromSI, toSI } from '../../base/units/convert'
import { entriesText } from '../../base/known/entries'
import { type OilFamily, type RefrigerantName, refrigerantRow } from '../../physics/refrigerants/catalogue'
import type { Policy } from '../../record/policy/policy'
import type { Repair } from '../../record/records/repair'
import type { CircuitSize } from '../cleanup/circuitSize'
import { MOST_CHANGES } from '../cleanup/acid'
import { OIL_ROWS, oilVolumeOf } from '../cleanup/oils'
import { DRAINED, DRAINED_GUESS } from '../cleanup/drained'

/** Oil out and in, m3. */
export type OilBalance = {
  readonly kind: Known<OilFamily>
  /** what goes in at the end: another family after a conversion that asks for it */
  readonly goesIn: OilFamily
  readonly plate: Known<number>
  /** what came out; undefined before it was measured */
  readonly out: number | undefined
  readonly lost: number
  /** what goes back; before it was measured, what is likely to come out */
  readonly refill: Known<number>
  readonly isMeasured: boolean
  /** what stays in the circuit */
  readonly left: Known<number>
  readonly changes: number
  /** what the number of changes, and what is brought, rest on */
  readonly changesBasis: Basis
  readonly bringBasis: Basis
  /** all oil that is brought along, and in cans of a quart */
  readonly bring: number
  readonly cans: number
  /** strokes of an oil pump for one refill, where its stroke is known */
  readonly strokes: number | undefined
  /** share of new oil after one refill, 0 to 1 */
  readonly newShare: number
  /** changes until the share that a conversion asks for */
  readonly conversionChanges: number
  readonly reasons: readonly string[]
}

export type OilInput = {
  readonly size: CircuitSize
  readonly repair: Repair
  readonly changes: number
  readonly changesBasis: Basis
  readonly refrigerant: RefrigerantName
  readonly isConversion: boolean
  readonly isCompressorChanged: boolean
  readonly policy: Policy
}

/** [memory] a quart can, m3. */
const CAN = 0.000946
/** [practice] makers ask for this share of POE after a conversion from mineral oil; handbook 10. */
const CONVERSION_SHARE = 0.95
/** [practice] more than the plate by this share: it was overfilled, or refrigerant is in it. */
const OVER_PLATE = 1.15
/** [practice] a can of a hygroscopic oil is used at once, hours. */
const OPEN_CAN = 1

/** Volume of oil that came out, m3, read as a volume or weighed; undefined where neither is written. */
const oilOut = ({ oilOut: volume, oilOutWeighed: mass }: Repair, oil: OilFamily): number | undefined =>
  volume ? toSI(volume) : mass ? oilVolumeOf(toSI(mass), oil) : undefined

/** Volume of oil that left inside parts, m3. */
const oilLost = ({ oilLost: volume }: Repair): number => (volume ? toSI(volume) : 0)

/** Strokes of a pump for a volume, whole; undefined for no stroke. */
export const strokesFor = (volume: number, stroke: number): number | undefined =>
  stroke > 0 ? Math.ceil(volume / stroke - 1e-9) : undefined

/** Changes until the share of new oil is reached: each leaves a share of the old. @returns at most 6 */
export function changesForShare(share: number, left: number): number {
  let changes = 0
  for (let old = 1; 1 - old < share - 1e-12 && changes < MOST_CHANGES; old *= left) changes += 1
  return changes
}

/** Oil that suits a refrigerant in this circuit: the old one where it may stay. */
export function oilFor(refrigerant: RefrigerantName, old: OilFamily): OilFamily {
  const { oils } = refrigerantRow(refrigerant)
  return oils.includes(old) ? old : (oils[0] ?? old)
}

type Facts = Omit<OilBalance, 'reasons'> &
  Pick<OilInput, 'repair' | 'isCompressorChanged' | 'policy' | 'refrigerant'>

const floz = (cubicMetres: number) => `${fromSI(cubicMetres, 'floz').toFixed(1)} floz`

/** What is said of the oil, where it applies. [practice] */
const SAYS: readonly (readonly [applies: (at: Facts) => boolean, says: (at: Facts) => string])[] = [
  [
    ({ isMeasured, refill }) => !isMeasured && refill.value > 0,
    () =>
      'Measure what comes out, by volume or on a scale: until then three quarters of the plate are assumed.',
  ],
  [
    ({ isMeasured, policy }) => isMeasured && policy.oilRefill === 'level',
    () => 'By policy to the level mark where there is a glass; else what came out.',
  ],
  [
    ({ out, plate }) => out !== undefined && !isAssumed(plate) && out > plate.value * OVER_PLATE,
    ({ out, plate }) =>
      `${floz(out ?? 0)} came out of a plate of ${floz(plate.value)}: it was overfilled, or refrigerant is in it. Let it stand open to a hood, measure again.`,
  ],
  [
    ({ isCompressorChanged, left }) => isCompressorChanged && left.value > 0 && !isAssumed(left),
    ({ left }) =>
      `A new compressor ships full: ${floz(left.value)} stay in the circuit, count them against its own.`,
  ],
  [
    ({ isCompressorChanged, left }) => isCompressorChanged && isAssumed(left),
    ({ left }) =>
      `A new compressor ships full: how much stays in the circuit is not known. Enter ${entriesText(left.asks)}.`,
  ],
  [
    ({ goesIn, kind }) => goesIn !== kind.value,
    ({ goesIn, kind, refrigerant }) =>
      `${refrigerant} does not carry ${kind.value} oil back: ${goesIn} goes in.`,
  ],
  [
    ({ kind, goesIn, conversionChanges }) => kind.value !== goesIn && conversionChanges > 0,
    ({ conversionChanges }) =>
      `${conversionChanges} changes bring the new oil to ${CONVERSION_SHARE * 100} %; a field shortcut of 10-25 % leaves most of the oil immiscible, the risk is the owner's.`,
  ],
  [
    ({ goesIn }) => OIL_ROWS[goesIn].hygroscopic,
    ({ goesIn }) => `${goesIn} takes water from the air: open a can once, use it, no open cups.`,
  ],
  [
    ({ repair, goesIn }) => OIL_ROWS[goesIn].hygroscopic && (repair.oilCanOpen ?? 0) > OPEN_CAN,
    ({ repair }) => `The can has stood open for ${repair.oilCanOpen} h: it does not go in, take a new one.`,
  ],
  [
    () => true,
    () => 'A long or low port traps oil: choose where it enters, wipe it from stubs before any flame.',
  ],
]

/** Oil that goes back, m3: what came out and what was lost, or what is likely to come out until it is measured. */
function refillOf({
  size,
  repair,
  isCompressorChanged,
  changes,
  changesBasis,
  isConversion,
}: OilInput): Known<number> {
  const out = oilOut(repair, size.oil.value)
  const lost = oilLost(repair)
  if (out !== undefined) return known(out + lost, 'measured', 'the oil that came out')
  const isDrained = changes > 0 || isCompressorChanged || isConversion
  return isDrained
    ? computed(size.oilVolume.value * DRAINED.likely + lost, size.oilVolume, DRAINED_GUESS)
    : computed(lost, changesBasis)
}

/** Oil out against the plate, in, what stays, cans and strokes. Volumes m3. */
export function oilBalance(input: OilInput): OilBalance {
  const { size, repair, changes, changesBasis, refrigerant, isConversion } = input
  const old = size.oil.value
  const goesIn = oilFor(refrigerant, old)
  const out = oilOut(repair, old)
  const plate = size.oilVolume
  const refill = refillOf(input)
  const left = computed(Math.max(plate.value - refill.value, 0), plate, refill)
  const conversionChanges =
    isConversion && goesIn !== old ? changesForShare(CONVERSION_SHARE, left.value / plate.value) : 0
  const fills = Math.max(changes, conversionChanges, refill.value > 0 && out !== undefined ? 1 : 0)
  const bring = fills * refill.value
  const facts: Omit<OilBalance, 'reasons'> = {
    kind: size.oil,
    goesIn,
    plate,
    out,
    lost: oilLost(repair),
    refill,
    isMeasured: out !== undefined,
    left,
    changes: Math.max(changes, conversionChanges),
    changesBasis: basisOf(changesBasis, conversionChanges > 0 ? left : undefined),
    bringBasis: basisOf(refill, changesBasis),
    bring,
    cans: Math.ceil(bring / CAN - 1e-9),
    strokes: repair.oilStroke ? strokesFor(refill.value, toSI(repair.oilStroke)) : undefined,
    newShare: refill.value / (refill.value + left.value),
    conversionChanges,
  }
  const at = { ...facts, ...input, changes: facts.changes, changesBasis: facts.changesBasis }
  return { ...facts, reasons: SAYS.filter(([applies]) => applies(at)).map(([, says]) => says(at)) }
}
