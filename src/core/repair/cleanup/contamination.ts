import { askSentence, type Basis, basisOf, isAssumed } from '../../base/known/known'
import { acidSigns, type AcidSign, isOilTested } from './acidEvidence'
import { acidChances, waterChance } from './chances'
import type { CircuitSize } from './circuitSize'
import { ACID_LEVELS, type AcidLevel, classesFor, type ContaminationClass, type Contents } from './classes'
import { conflictsOf } from './conflicts'
import { type Exposure, exposureOf } from './exposure'
import type { CleanupRecord } from './record'
import { suggestionsOf } from './suggests'
import { HOURS_OPEN_TRIPLE, waterSigns } from './waterEvidence'
import { insideOf, isWaterSeen, isWetByLedger, ledgerBasis } from './waterLedgerWord'

export type Contamination = {
  readonly class: ContaminationClass
  /** further classes whose work is added to the plan */
  readonly also: readonly ContaminationClass[]
  readonly contents: Contents
  /** false: not known, the class is what it is planned as */
  readonly known: boolean
  /** chance that nothing graver is inside than what is planned for, 0 to 1 */
  readonly confidence: number
  readonly evidence: readonly string[]
  /** signs that contradict each other; the careful one is followed */
  readonly conflicts: readonly string[]
  /** why it is not known, and what is planned instead */
  readonly assumed: readonly string[]
  /** how the figures are known by which the class was found */
  readonly basis: Basis
  /** how everything is known that the ledger of an opened circuit is calculated from */
  readonly inside: Basis
  readonly exposure: Exposure | undefined
  /** three pulls, broken with nitrogen */
  readonly triple: boolean
  /** something was found, not merely suggested, that opens the circuit even for a repair that would not */
  readonly asksToOpen: boolean
  /** the compressor burnt: refrigerant goes in again only after its oil was tested */
  readonly electrical: boolean
  readonly oilTested: boolean
}

/** What is asked of a part of the inside, and whether it is known. */
type Finding<T> = { readonly value: T; readonly known: boolean; readonly assumed: readonly string[] }

const gravest = (levels: readonly AcidLevel[]): AcidLevel =>
  ACID_LEVELS[Math.max(0, ...levels.map((level) => ACID_LEVELS.indexOf(level)))] ?? 'none'

const oilIsNegative = (signs: readonly AcidSign[]) =>
  signs.some((sign) => sign.ofOil && sign.asks === undefined)

const EARLIER_BURNOUT = 'This circuit had a burnout before, and no test of the oil shows it clean.'
const NEVER_TESTED = 'The oil was not tested: test it as soon as it is out.'

/** A reason to call it clean without a test of the oil (handbook 06). */
function isSoundReason(record: CleanupRecord, signs: readonly AcidSign[], isCompressor: boolean): boolean {
  const strip = signs.some(({ isStrip }) => isStrip)
  const clear = record.observations.oilAppearance === 'clear'
  if (isCompressor) return strip && clear
  return strip || (clear && !record.previousBurnout && exposureOf(record) === undefined)
}

function acidOf(record: CleanupRecord, signs: readonly AcidSign[]): Finding<AcidLevel> {
  const suggested = suggestionsOf(record.faults)
  const isElectrical = suggested.some(({ electrical }) => electrical)
  const isCompressor = suggested.some(({ compressor }) => compressor)
  const asked = signs.flatMap(({ asks }) => asks ?? [])
  if (asked.length > 0) return { value: gravest(asked), known: true, assumed: [] }
  if (oilIsNegative(signs)) return { value: 'none', known: true, assumed: [] }
  if (record.previousBurnout) return { value: 'mild', known: false, assumed: [EARLIER_BURNOUT] }
  const burnt = suggested.filter(({ contents }) => contents.acid)
  if (burnt.length > 0) return { value: 'mild', known: false, assumed: burnt.map(({ sentence }) => sentence) }
  const known = !isElectrical && isSoundReason(record, signs, isCompressor)
  return { value: 'none', known, assumed: known ? [] : [NEVER_TESTED] }
}

function debrisOf({ observations, faults }: CleanupRecord): Finding<boolean> {
  const oil = observations.oilAppearance
  if (oil === 'metal-flakes') return { value: true, known: true, assumed: [] }
  const suggested = suggestionsOf(faults).filter(({ contents }) => contents.debris)
  if (suggested.some(({ compressor, isSeen }) => isSeen || !compressor))
    return { value: true, known: true, assumed: [] }
  // what a compressor shed shows in its oil: once that was seen, it decides
  const unseen = oil === undefined ? suggested : []
  return {
    value: unseen.length > 0,
    known: unseen.length === 0,
    assumed: unseen.map(({ sentence }) => sentence),
  }
}

const UNTOLD = 'How long it was open is not known: a day to a year is assumed, likely a month.'

/** What is known of water, and how the figures are known that it was found by. */
function waterOf(
  record: CleanupRecord,
  size: CircuitSize,
  exposure: Exposure | undefined,
): Finding<boolean> & { readonly basis: Basis } {
  if (isWaterSeen(record) || !exposure)
    return {
      value: isWaterSeen(record),
      known: true,
      assumed: [],
      // a laboratory's water is held against what this oil may hold
      basis: basisOf(record.repair.oilWater === undefined ? undefined : size.oil),
    }
  const basis = ledgerBasis(record, size, exposure)
  const asked = exposure.isTold ? askSentence(basis, 'how wet it is by its ledger is known') : UNTOLD
  return {
    value: isWetByLedger(record, size, exposure),
    known: !isAssumed(basis),
    assumed: asked ? [asked] : [],
    basis,
  }
}

/** All classes whose work applies. */
export const classesOf = ({
  class: first,
  also,
}: Pick<Contamination, 'class' | 'also'>): readonly ContaminationClass[] => [first, ...also]

/** Whether acid is to be dealt with. */
export const isAcid = ({ contents }: Pick<Contamination, 'contents'>): boolean => contents.acid !== 'none'
/** Whether strong acid is to be dealt with. */
export const isBurnout = ({ contents }: Pick<Contamination, 'contents'>): boolean =>
  contents.acid === 'strong'
/** Whether water is to be dealt with. */
export const isWet = ({ contents }: Pick<Contamination, 'contents'>): boolean => contents.wet
/** Whether its vacuum is judged as that of a wet circuit: it is one, or only a guess says that it is not. */
export const isJudgedAsWet = ({ contents, inside }: Pick<Contamination, 'contents' | 'inside'>): boolean =>
  contents.wet || isAssumed(inside)

const METAL = 'There are metal flakes in the oil.'
const BY_LEDGER = 'By the water ledger its oil holds more than it may.'

function evidenceOf(
  record: CleanupRecord,
  signs: readonly AcidSign[],
  exposure: Exposure | undefined,
  wet: boolean,
) {
  const water = waterSigns(record)
  const bySign = water.some((sign) => sign.wet)
  return [
    ...signs.map(({ sentence }) => sentence),
    ...water.map(({ sentence }) => sentence),
    ...(exposure ? [exposure.sentence] : []),
    ...(wet && exposure && !bySign ? [BY_LEDGER] : []),
    ...(record.observations.oilAppearance === 'metal-flakes' ? [METAL] : []),
    ...suggestionsOf(record.faults)
      .filter(({ compressor, isSeen }) => isSeen || !compressor)
      .map(({ sentence }) => sentence),
  ]
}

/**
 * The clean-up class of a circuit from everything on record. Unknown is not clean (handbook 06): without a test of the oil
 * or a sound reason it says so, and is planned as what the fault suggests.
 */
export function classify(record: CleanupRecord, size: CircuitSize): Contamination {
  const signs = acidSigns(record)
  const exposure = exposureOf(record)
  const acid = acidOf(record, signs)
  const debris = debrisOf(record)
  const water = waterOf(record, size, exposure)
  const suggested = suggestionsOf(record.faults)
  const wax = suggested.some(({ contents }) => contents.wax)
  const contents: Contents = { acid: acid.value, wet: water.value, debris: debris.value, wax }
  const [first = 'clean', ...also] = classesFor(contents)
  const inside = insideOf(size, exposure)
  const acidUpTo = acidChances(record)
    .slice(0, ACID_LEVELS.indexOf(acid.value) + 1)
    .reduce((sum, chance) => sum + chance, 0)
  return {
    class: first,
    also,
    contents,
    known: acid.known && debris.known && water.known,
    confidence: acidUpTo * (water.value ? 1 : 1 - waterChance(record)),
    evidence: evidenceOf(record, signs, exposure, water.value),
    conflicts: conflictsOf(record),
    assumed: [...acid.assumed, ...debris.assumed, ...water.assumed],
    basis: water.basis,
    inside,
    exposure,
    triple: water.value || (exposure !== undefined && exposure.hours.likely > HOURS_OPEN_TRIPLE),
    asksToOpen:
      (acid.value !== 'none' && acid.known) ||
      // nothing is opened for a ledger of an inside that nobody knows
      (water.value && (isWaterSeen(record) || !isAssumed(inside))) ||
      (debris.value && debris.known) ||
      wax,
    electrical: suggested.some(({ electrical }) => electrical),
    oilTested: isOilTested(record),
  }
}
