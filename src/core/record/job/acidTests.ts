import type { Observations } from '../readings/schema'
import type { AcidResult, AcidTest, AcidTestKind, Repair } from '../records/repair'

/** What tests for acid say: the gas by a strip, the oil by a kit or a laboratory's word, and its acid number. */
export type AcidFound = {
  readonly strip: AcidResult | undefined
  readonly oil: AcidResult | undefined
  /** mg KOH a gram of oil */
  readonly number: number | undefined
}

type Records = { readonly observations: Observations; readonly repair: Repair }

/** What the latest test of some kinds tells; one without that figure is passed over. */
const latestOf = <T>(
  { acidTests = [] }: Repair,
  kinds: readonly AcidTestKind[],
  figureOf: (test: AcidTest) => T | undefined,
): T | undefined =>
  acidTests
    .filter(({ kind }) => kinds.includes(kind))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
    .map(figureOf)
    .findLast((figure) => figure !== undefined)

/** What was said of an acid test with a set of readings: of the oil where it is said that it was made so. */
const saidOf = ({ acidTest, acidTestKind }: Observations) => {
  const isOfOil = acidTestKind === 'oil-kit' || acidTestKind === 'lab-tan'
  return { strip: isOfOil ? undefined : acidTest, oil: isOfOil ? acidTest : undefined }
}

/** What all tests for acid say: of each kind the latest record, else the word of a set, else the figure of the laboratory sheet. */
export function acidFound({ observations, repair }: Records): AcidFound {
  const said = saidOf(observations)
  const result = (kinds: readonly AcidTestKind[]) => latestOf(repair, kinds, ({ result: each }) => each)
  return {
    strip: result(['strip']) ?? said.strip,
    oil: result(['oil-kit', 'lab']) ?? said.oil,
    number: latestOf(repair, ['lab'], ({ acidNumber }) => acidNumber) ?? repair.acidNumber,
  }
}

const KIND_NAMES: Readonly<Record<AcidTestKind, string>> = {
  strip: 'strip in the gas',
  'oil-kit': 'kit, of the oil',
  lab: 'laboratory, of the oil',
}

/** "kit, of the oil: weak", "laboratory, of the oil: 0.12 mg KOH/g". */
export function acidTestText({ kind, result, acidNumber }: AcidTest): string {
  const figure = acidNumber === undefined ? undefined : `${acidNumber} mg KOH/g`
  return `${KIND_NAMES[kind]}: ${[result, figure].filter(Boolean).join(', ')}`
}
