// One line of a case for a learner that knows nothing of refrigeration: the same evidence as the ranking gets.
import { assess, itemsOf } from '@/core/diagnosis/evidence/assess'
import { wordsOf, WORD_KEYS } from '@/core/diagnosis/evidence/commonWords'
import { FEATURE_KEYS } from '@/core/diagnosis/evidence/features'
import { UNIT_CLASSES } from '@/core/diagnosis/ranking/cases/unitClass'
import type { ReadingSet } from '@/core/record/readings/schema'
import type { Case } from './draw'
import { CLASS_UNITS } from '../../simulate/fleet'

export const COLUMNS: readonly string[] = [
  'class',
  'unit',
  'three phase',
  'outdoor',
  ...FEATURE_KEYS,
  ...FEATURE_KEYS.map((key) => `${key} tolerance`),
  ...WORD_KEYS.map((key) => `word ${key}`),
]

const rounded = (value: number) => Number(value.toPrecision(5))

/** Numbers in the order of COLUMNS; null where nothing was taken. */
export function evidenceLine({ unit, unitClass }: Case, set: ReadingSet): (number | null)[] {
  const assessment = assess(unit, set)
  const items = itemsOf(assessment)
  const feature = (key: string) => items.find((item) => item.type === 'feature' && item.key === key)
  const values = FEATURE_KEYS.map((key) => {
    const item = feature(key)
    return item?.type === 'feature' ? rounded(item.deviation * item.tolerance) : null
  })
  const tolerances = FEATURE_KEYS.map((key) => {
    const item = feature(key)
    return item?.type === 'feature' ? rounded(item.tolerance) : null
  })
  const words = WORD_KEYS.map((key) => {
    const item = items.find((each) => each.type === 'word' && each.key === key)
    return item?.type === 'word' ? wordsOf(key).indexOf(item.word) : null
  })
  const outdoor = assessment.snapshot.values.outdoorAirTemp
  return [
    UNIT_CLASSES.indexOf(unitClass),
    CLASS_UNITS[unitClass].units.findIndex(
      (each) => each.refrigerant === unit.refrigerant && each.kind === unit.kind,
    ),
    unit.power?.phase === 3 ? 1 : 0,
    outdoor ? rounded(outdoor.value) : null,
    ...values,
    ...tolerances,
    ...words,
  ]
}
