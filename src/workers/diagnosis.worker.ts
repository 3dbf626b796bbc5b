import { expose } from 'comlink'
import { loadCaseBooks } from '@/core/diagnosis/ranking/cases/caseBook'
import { type Context, type Diagnosis, diagnose } from '@/core/answer/diagnose'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { ReadingSet } from '@/core/record/readings/schema'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import type { Display } from '@/core/base/units/show'

/** A thin door to the diagnosis, away from the screen's thread. Tables and books are fetched once. */
const door = {
  async diagnose(unit: UnitPlate, set: ReadingSet, display: Display, context: Context): Promise<Diagnosis> {
    await Promise.all([loadRefrigerants([unit.refrigerant]), loadCaseBooks(unit)])
    return diagnose(unit, set, display, context)
  },
}
export type DiagnosisDoor = typeof door

expose(door)
