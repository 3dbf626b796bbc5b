import { type Basis, basisOf, guess } from '../../base/known/known'
import { TAN_CLEAN } from './acidEvidence'
import { acidFound } from '../../record/job/acidTests'
import type { CircuitSize } from './circuitSize'
import type { Contamination } from './contamination'
import type { DryerModel } from './dryerModel'
import type { Range } from './exposure'
import type { CleanupRecord } from './record'
import { leftShareOf } from './drained'
import { changesCompressor } from '../../diagnosis/faults/compressorChanged'
import { SIDES } from './waterFound'

/** [memory] acid that is taken where no laboratory told it, mg KOH a gram of oil; handbook 06. */
const ASSUMED: Readonly<Record<'none' | 'mild' | 'strong', Range>> = {
  none: { low: 0, likely: 0, high: 0 },
  mild: { low: 0.06, likely: 0.1, high: 0.15 },
  strong: { low: 0.16, likely: 0.3, high: 0.6 },
}
/** [practice] a laboratory figure is good to a tenth. */
const LAB_ERROR = 0.1
/** [practice] more changes than these are not made on one visit. */
export const MOST_CHANGES = 6

/** Hours after the first start at which the oil is tested again; handbook 06. */
const RETESTS: Readonly<Record<'none' | 'mild' | 'strong', readonly number[]>> = {
  none: [],
  mild: [24],
  strong: [4, 24, 72],
}

/** One step that takes acid out. */
type AcidStep = { readonly label: string; readonly tan: number }

export type AcidLedger = {
  /** total acid number before, mg KOH/g, and whether a laboratory told it */
  readonly before: Range
  readonly isMeasured: boolean
  readonly target: number
  /** likely number, and what the high side would take */
  readonly changes: number
  readonly changesHigh: number
  /** acid number after each change, then after each core, likely */
  readonly after: readonly AcidStep[]
  readonly retestHours: readonly number[]
  /** how what it is calculated from is known */
  readonly basis: Basis
}

/**
 * Oil changes until the acid number is below the target: smallest n with TAN0 x f^n < target.
 * @param before mg KOH/g, zero or more
 * @param left share of old oil after a change, 0 to below 1
 * @returns the number of changes, at most 6
 */
export function oilChangesFor(before: number, target: number, left: number): number {
  let changes = 0
  for (let now = before; now >= target && changes < MOST_CHANGES; now *= left) changes += 1
  return changes
}

function acidBefore(record: CleanupRecord, { contents }: Contamination): Range {
  const lab = acidFound(record).number
  const assumed = ASSUMED[contents.acid]
  return lab === undefined
    ? assumed
    : { low: lab * (1 - LAB_ERROR), likely: lab, high: lab * (1 + LAB_ERROR) }
}

/** Acid that half of a core's rating takes from the oil, mg KOH a gram. */
const coreTakes = (core: DryerModel, size: CircuitSize) => (core.acid * 0.5) / (size.oilMass.value * 1000)

/** The number of a class stands where no laboratory told one. */
const acidBasis = (record: CleanupRecord, { contents }: Contamination): Basis | undefined =>
  acidFound(record).number !== undefined || contents.acid === 'none'
    ? undefined
    : guess(`the acid number usual for ${contents.acid} acid`, 'oilTest')

/** What a step is called: the oil of a new compressor is the first change (handbook 09). */
const stepLabel = (isSwap: boolean, at: number) =>
  isSwap && at === 0 ? 'after the new compressor with its oil' : `after oil change ${isSwap ? at : at + 1}`

/** Acid before, after each oil change and after each core; when it is tested again. */
export function acidLedger(
  record: CleanupRecord,
  contamination: Contamination,
  size: Pick<CircuitSize, 'oil' | 'oilVolume'>,
): AcidLedger {
  const before = acidBefore(record, contamination)
  const left = leftShareOf(record.repair, size)
  const isSwap = changesCompressor(record.faults)
  const changes = oilChangesFor(before.likely, TAN_CLEAN, left.value.likely)
  return {
    before,
    isMeasured: acidFound(record).number !== undefined,
    target: TAN_CLEAN,
    changes,
    changesHigh: Math.max(...SIDES.map((side) => oilChangesFor(before[side], TAN_CLEAN, left.value[side]))),
    after: Array.from({ length: changes }, (_v, i) => ({
      label: stepLabel(isSwap, i),
      tan: before.likely * left.value.likely ** (i + 1),
    })),
    retestHours: RETESTS[contamination.contents.acid],
    basis: basisOf(contamination.basis, acidBasis(record, contamination), changes > 0 ? left : undefined),
  }
}

/** The ledger with what the cores of the chosen dryers take beside the oil changes. */
export function withCores(ledger: AcidLedger, cores: readonly DryerModel[], size: CircuitSize): AcidLedger {
  if (ledger.before.likely === 0) return ledger
  let tan = ledger.after.at(-1)?.tan ?? ledger.before.likely
  const steps = cores.map((core): AcidStep => {
    tan = Math.max(tan - coreTakes(core, size), 0)
    return { label: `after the ${core.place} core, half used`, tan }
  })
  return {
    ...ledger,
    after: [...ledger.after, ...steps],
    basis: basisOf(ledger.basis, ...(steps.length > 0 ? [size.oilMass] : [])),
  }
}
