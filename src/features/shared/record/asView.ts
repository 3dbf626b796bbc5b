import { drawnUnit } from '@/core/record/equipment/asked'
import type { StoredDocument, StoredJob } from '@/core/record/job/job'
import { viewOf } from '@/core/record/job/rounds'
import { withRefrigerants } from '@/core/record/state/refrigerants'
import { effectsOf } from '@/core/repair/plan/tasks/tasks'

/** A view with what was inside at each of its sets. */
export function withInside(view: StoredJob): StoredJob {
  if (view.unit.refrigerant === undefined) return view
  const { readingSets } = withRefrigerants({ ...view, unit: drawnUnit(view.unit) }, effectsOf)
  return readingSets === view.readingSets ? view : { ...view, readingSets }
}

/** A job as one round sees it, with what was inside at each of its sets. @param round the last that began where not given */
export const asView = (document: StoredDocument, round?: string): StoredJob =>
  withInside(viewOf(document, round))
