import type { UnitPlate } from '../../record/equipment/unit'
import type { Job } from '../../record/job/job'
import { hasOffPart, isOffId, OFF_IDS, offLabel } from '../../record/state/offParts'
import type { UnitState } from '../../record/state/unit'
import { isTask, taskEffects } from '../plan/tasks/tasks'

/** One line of the taken-off list. */
export type OffLine = {
  /** the part of the table, or the id of what was written by hand */
  readonly what: string
  readonly label: string
  readonly state: 'on' | 'off' | 'back' | 'stays'
  readonly offAt: string | undefined
  readonly backAt: string | undefined
  readonly isOwn: boolean
}

const isoOf = (moment: number | undefined) =>
  moment === undefined || !Number.isFinite(moment) ? undefined : new Date(moment).toISOString()

/** What is asked: what was written by hand or ticked, and how the unit stands. */
export type OffScene = {
  readonly job: Pick<Job, 'takenOff'> & { readonly unit: UnitPlate }
  readonly state: Pick<UnitState, 'off'>
  /** tasks of the plan, and those that were done beside it */
  readonly tasks: readonly string[]
}

function lineOf({ state: { off } }: OffScene, what: string, label: string, isOwn: boolean): OffLine {
  const now = off[what]
  const at = isoOf(now?.at)
  return {
    what,
    label,
    state: now?.state ?? 'on',
    offAt: now?.state === 'off' ? at : undefined,
    backAt: now?.state === 'back' ? at : undefined,
    isOwn,
  }
}

/**
 * What comes off by the plan, what was written by hand, and what an earlier round left off, each with where it is now. What a
 * task takes off counts as off from its beginning, until it is said otherwise.
 */
export function takenOffList(scene: OffScene): OffLine[] {
  const { job, state, tasks } = scene
  const byTask = new Set(tasks.filter(isTask).flatMap((id) => taskEffects(id).takesOff ?? []))
  const rows = new Map(job.takenOff.map((row) => [row.what, row]))
  const isStillOff = (what: string) => state.off[what]?.state === 'off'
  const planned = OFF_IDS.filter(
    (id) => (byTask.has(id) && hasOffPart(id, job.unit)) || isStillOff(id) || rows.has(id),
  )
  const own = job.takenOff.filter(({ what }) => !isOffId(what))
  return [
    ...planned.map((id) => lineOf(scene, id, offLabel(id), false)),
    ...own.map(({ what, label }) => lineOf(scene, what, label, true)),
  ]
}

/** Lines that are still off. */
export const stillOff = (lines: readonly OffLine[]): OffLine[] => lines.filter(({ state }) => state === 'off')
