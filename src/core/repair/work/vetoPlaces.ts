import type { Effects } from '../../record/state/effects'
import type { VetoId } from '../../safety/vetoes'
import type { PlanTask } from '../plan/planTasks'
import { isOwnTask } from '../plan/tasks/own'
import { CHARGES, RECOVERIES, type TaskId, taskEffects, taskRow } from '../plan/tasks/tasks'
import type { GatePlace } from './gatePlaces'

type Tasks = readonly Pick<PlanTask, 'id'>[]
type Place = (tasks: Tasks) => GatePlace

const WORDS: GatePlace = { at: 'stage', stage: 'diagnose' }
const inWords: Place = () => WORDS

/** The step of the sheet that lifts it, else its words on Diagnose: the last one that is of the kind. */
const stepThat =
  (is: (id: TaskId) => boolean): Place =>
  (tasks) => {
    const task = tasks.findLast(({ id }) => is(id))
    return task ? { at: 'step', task: task.id } : WORDS
  }
const doing = (of: (effects: Effects) => boolean) => stepThat((id) => of(taskEffects(id)))

const bleeds = (id: TaskId) => taskRow(id).instruments.includes('bleed')
/** A step of its own where a leak was found, else the test itself. */
const bled: Place = (tasks) =>
  stepThat(
    tasks.some(({ id }) => isOwnTask(id) && bleeds(id)) ? (id) => isOwnTask(id) && bleeds(id) : bleeds,
  )(tasks)

/** Where each state of the table of vetoes is lifted. */
const PLACES: Readonly<Record<VetoId, Place>> = {
  'ground-path': inWords,
  'cover-off': () => ({ at: 'off' }),
  'terminals-burnt': inWords,
  'terminals-under-pressure': stepThat((id) => RECOVERIES.includes(id)),
  'standing-vacuum': stepThat((id) => CHARGES.includes(id)),
  evacuated: stepThat((id) => CHARGES.includes(id)),
  'below-atmosphere': () => ({ at: 'stage', stage: 'measure' }),
  'gas-inside': stepThat((id) => RECOVERIES.includes(id)),
  'under-nitrogen': bled,
  'no-liquid': stepThat((id) => CHARGES.includes(id)),
  'low-side-leak': inWords,
  isolated: doing(({ joins }) => joins === true),
  'water-not-flowing': doing(({ water }) => water === 'flowing'),
  'water-standing': doing(({ water }) => water === 'drained'),
  flammable: doing(({ clears }) => clears === true),
  'rotation-unknown': inWords,
}

/** Where a state that refuses a task is lifted. @param tasks of the sheet */
export const vetoPlace = (veto: VetoId, tasks: Tasks): GatePlace => PLACES[veto](tasks)
