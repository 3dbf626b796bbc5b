import type { Job } from '../record/job/job'
import { loadCaseBooks } from '../diagnosis/ranking/cases/caseBook'
import type { UnitPlate } from '../record/equipment/unit'
import { loadRefrigerants } from '../physics/refrigerants/tables'
import { propertiesNeeded } from '../repair/plan/propertiesNeeded'

/**
 * Brings into memory what an answer about a unit is computed with.
 * @throws OrzoError not-loaded where a file cannot be fetched
 */
export async function loadFor(
  unit: UnitPlate,
  job: Partial<Pick<Job, 'dryers' | 'repair' | 'others' | 'rounds' | 'readingSets'>> = {},
): Promise<void> {
  await Promise.all([loadRefrigerants(propertiesNeeded(unit, job)), loadCaseBooks(unit)])
}
