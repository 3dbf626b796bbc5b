import { expose } from 'comlink'
import { loadCaseBooks } from '@/core/diagnose/cases/caseBook'
import { type Context, type Diagnosis, diagnose } from '@/core/diagnose/diagnose'
import type { UnitPlate } from '@/core/job/unit'
import type { ReadingSet } from '@/core/readings/schema'
import { loadRefrigerants } from '@/core/refrigerants/tables'
import type { Display } from '@/core/units/show'

/** A thin door to the diagnosis, away from the screen's thread. Tables and books are fetched once. */
const door = {
  async diagnose(unit: UnitPlate, set: ReadingSet, display: Display, context: Context): Promise<Diagnosis> {
    await Promise.all([loadRefrigerants([unit.refrigerant]), loadCaseBooks(unit)])
    return diagnose(unit, set, display, context)
  },
}
export type DiagnosisDoor = typeof door

expose(door)
