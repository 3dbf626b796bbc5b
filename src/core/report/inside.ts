import { drawnUnit } from '../record/equipment/asked'
import type { StoredJob } from '../record/job/job'
import { withRefrigerants } from '../record/state/refrigerants'
import { effectsOf } from '../repair/plan/tasks/tasks'

/** A view with what was inside at each of its sets. */
export function withInside(view: StoredJob): StoredJob {
  if (view.unit.refrigerant === undefined) return view
  const { readingSets } = withRefrigerants({ ...view, unit: drawnUnit(view.unit) }, effectsOf)
  return readingSets === view.readingSets ? view : { ...view, readingSets }
}
