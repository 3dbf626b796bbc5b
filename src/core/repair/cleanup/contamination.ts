import { askSentence, type Basis, basisOf, isAssumed } from '../../base/known/known'
import { refrigerantRow } from '../../physics/refrigerants/catalogue'
import { acidSigns, type AcidSign, isOilTested } from './acidEvidence'
import { acidChances, waterChance } from './chances'
import type { CircuitSize } from './circuitSize'
import { ACID_LEVELS, type AcidLevel, classesFor, type ContaminationClass, type Contents } from './classes'
import { conflictsOf } from './conflicts'
import { type Exposure, exposureOf } from './exposure'
import { OIL_ROWS } from './oils'
import type { CleanupRecord } from './record'
import { suggestionsOf } from './suggests'
import { waterAsFound } from './waterFound'
import { HOURS_OPEN_TRIPLE, waterSigns } from './waterEvidence'

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
  /** the compressor burnt: refrigerant goes back only after its oil was tested */
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
  if (suggested.some(({ compressor }) => !compressor)) return { value: true, known: true, assumed: [] }
  // what a compressor shed shows in its oil: once that was seen, it decides
  const unseen = oil === undefined ? suggested : []
  return {
    value: unseen.length > 0,
    known: unseen.length === 0,
    assumed: unseen.map(({ sentence }) => sentence),
  }
}

const UNTOLD = 'How long it stood open is not known: a day to a year is assumed, likely a month.'

function waterOf(record: CleanupRecord, size: CircuitSize, exposure: Exposure | undefined): Finding<boolean> {
  const isSeen =
    waterSigns(record).some(({ wet }) => wet) ||
    suggestionsOf(record.faults).some(({ contents }) => contents.wet)
  if (isSeen) return { value: true, known: true, assumed: [] }
  if (!exposure) return { value: false, known: true, assumed: [] }
  const wet = isWetBy(record, size, exposure)
  const basis = ledgerBasis(record, size, exposure)
  const guess = askSentence(basis, 'how wet it is by its ledger is known')
  return {
    value: wet,
    known: !isAssumed(basis),
    assumed: [...(exposure.isTold ? [] : [UNTOLD]), ...(exposure.isTold && guess ? [guess] : [])],
  }
}

/** [memory] a guess at oil or inner volume errs by less than this factor. */
const SIZE_FACTOR = 3
const CORNERS = [1 / SIZE_FACTOR, SIZE_FACTOR]

/** Whether the oil of a circuit holds more water than it may. @param exposure the opening it is judged by */
const isWetBy = (record: CleanupRecord, size: CircuitSize, exposure: Exposure | undefined): boolean =>
  waterAsFound(record, size, 'likely', exposure).ppm > OIL_ROWS[size.oil.value].act

/** Whether another size within its error would change the word. */
const sizeDecides = (record: CleanupRecord, size: CircuitSize, exposure: Exposure): boolean => {
  const scaled = <T extends { readonly value: number }>(figure: T, factor: number): T => ({
    ...figure,
    value: figure.value * factor,
  })
  const words = [1, ...CORNERS].flatMap((oil) =>
    [1, ...CORNERS].map((volume) =>
      isWetBy(
        record,
        { ...size, oilMass: scaled(size.oilMass, oil), volume: scaled(size.volume, volume) },
        exposure,
      ),
    ),
  )
  return new Set(words).size > 1
}

/** Whether another oil that this refrigerant runs with would change the word. */
const oilDecides = (record: CleanupRecord, size: CircuitSize, exposure: Exposure): boolean => {
  const { oils } = refrigerantRow(record.unit.convertedFrom ?? record.unit.refrigerant)
  const words = [size.oil.value, ...oils].map((value) =>
    isWetBy(record, { ...size, oil: { ...size.oil, value } }, exposure),
  )
  return new Set(words).size > 1
}

/** Whether drier or damper air would change the word. */
const weatherDecides = (record: CleanupRecord, size: CircuitSize, exposure: Exposure): boolean => {
  const { low, high } = exposure.humidity
  const words = [low, high].map((likely) =>
    isWetBy(record, size, { ...exposure, humidity: { ...exposure.humidity, likely } }),
  )
  return new Set(words).size > 1
}

/** What the ledger's word on water rests on: what could change it. A sign that was seen outranks it. */
function ledgerBasis(record: CleanupRecord, size: CircuitSize, exposure: Exposure | undefined): Basis {
  const isSeen = waterSigns(record).some(({ wet }) => wet)
  if (!exposure || isSeen) return basisOf(record.repair.oilWater === undefined ? undefined : size.oil)
  return basisOf(
    oilDecides(record, size, exposure) ? size.oil : undefined,
    exposure.time,
    ...(sizeDecides(record, size, exposure) ? [size.oilMass, size.volume] : []),
    weatherDecides(record, size, exposure) ? exposure.weather : undefined,
  )
}

/** Everything that the ledger of an opened circuit is calculated from, whether it could change its word or not. */
const insideOf = (size: CircuitSize, exposure: Exposure | undefined): Basis =>
  exposure ? basisOf(size.oilMass, size.volume, size.oil, exposure.time, exposure.weather) : basisOf()

/** Whether water is shown by more than guesses: nothing is opened for a ledger of an inside that nobody knows. */
const isWaterShown = (record: CleanupRecord, inside: Basis): boolean =>
  waterSigns(record).some(({ wet }) => wet) ||
  suggestionsOf(record.faults).some(({ contents }) => contents.wet) ||
  !isAssumed(inside)

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
      .filter(({ compressor }) => !compressor)
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
    basis: ledgerBasis(record, size, exposure),
    inside,
    exposure,
    triple: water.value || (exposure !== undefined && exposure.hours.likely > HOURS_OPEN_TRIPLE),
    asksToOpen:
      (acid.value !== 'none' && acid.known) ||
      (water.value && isWaterShown(record, inside)) ||
      (debris.value && debris.known) ||
      wax,
    electrical: suggested.some(({ electrical }) => electrical),
    oilTested: isOilTested(record),
  }
}
