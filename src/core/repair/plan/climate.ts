import { fromKelvin, toKelvin } from '../../base/units/convert'
import type { WorkPlace } from '../../record/records/head'
import type { CautionId } from '../../safety/cautions'
import { type TaskId, taskRow } from './tasks/tasks'

/** Where one works and how warm the air outside is, K; undefined where it was not read. */
export type WorkClimate = { readonly place: WorkPlace | undefined; readonly outdoor: number | undefined }

/** [practice] handbook 12: heat from about 95 F; the cold in which gloves must still feel from freezing on. K */
const HOT = toKelvin({ value: 95, unit: 'F' })
const COLD = toKelvin({ value: 32, unit: 'F' })
/** [practice] how much hotter than the outdoor air a place is in the sun, K; a place inside has air of its own. */
const SUN: Readonly<Record<WorkPlace, number | undefined>> = {
  outdoors: 0,
  roof: 15 / 1.8,
  attic: 30 / 1.8,
  indoors: undefined,
  'crawl-space': undefined,
}
/** [practice] minutes at a stretch from which heat and cold count. */
const LONG = 20

/** Air where one works, K; undefined inside, and where nothing was read. */
function airAtWork({ place = 'outdoors', outdoor }: WorkClimate): number | undefined {
  const sun = SUN[place]
  if (outdoor === undefined || sun === undefined) return undefined
  // a night or a winter day has no sun to add
  return outdoor > COLD ? outdoor + sun : outdoor
}

/** Whether a task keeps somebody where the unit stands for long, or carries the gear there. */
export const isLongOutside = (id: TaskId): boolean => id === 'setUp' || taskRow(id).handsOn[1] >= LONG

/** What the air can do to who works in it. */
export function climateHazard(climate: WorkClimate): CautionId | undefined {
  const air = airAtWork(climate)
  if (air === undefined) return undefined
  return air >= HOT ? 'heat' : air <= COLD ? 'cold' : undefined
}

/** How hot or cold it is there, in words; nothing where it is neither. */
export function heatWords(climate: WorkClimate): string[] {
  if (climateHazard(climate) === undefined) return []
  const { place = 'outdoors', outdoor } = climate
  const shown = Math.round(fromKelvin(outdoor!, 'F'))
  const about = SUN[place]
    ? `, about ${Math.round(fromKelvin(airAtWork(climate)!, 'F'))} F on the ${place}`
    : ''
  return [`Outdoor air ${shown} F${about}.`]
}
