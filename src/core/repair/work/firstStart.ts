import { hasLiquidValve, hasWaterCoil } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { COVER, type OffId } from '../../record/state/offParts'
import type { Run } from '../../record/records/run'
import type { UnitState } from '../../record/state/unit'
import type { PlanTask } from '../plan/planTasks'
import { isTask, type TaskId, taskEffects, VACUUMS } from '../plan/tasks/tasks'
import { isWarmed } from './heater'

/** What the list is made from: the unit, the tasks of its plan and those done beside it, how it stands. */
export type StartScene = {
  readonly unit: UnitPlate
  readonly tasks: readonly Pick<PlanTask, 'id' | 'opens'>[]
  readonly state: Pick<UnitState, 'off'>
}

/** A point of the first start after a change (handbook 09). */
type StartPoint = {
  readonly id: string
  readonly label: (scene: StartScene) => string
  /** whether this unit and this job have it */
  readonly on: (scene: StartScene) => boolean
  /** it is on while this is back on: the taken-off list tells it, no tick of its own */
  readonly part?: OffId
}

/** A point as it stands. */
export type StartLine = {
  readonly id: string
  readonly label: string
  readonly part: OffId | undefined
}

const always = () => true
const says = (label: string) => () => label
const evacuates = ({ tasks }: StartScene) => tasks.some(({ id }) => VACUUMS.includes(id))
const opens = ({ tasks }: StartScene) => tasks.some((task) => task.opens)
/** One that is on the plate, known watts or not, or that is replaced. */
const hasHeater = ({ unit, tasks }: StartScene) =>
  unit.crankcaseHeater !== undefined ||
  tasks.some(({ id }) => id === 'swapHeater' || id === 'swapGroundedHeater')
const cameOff = (part: OffId) => (scene: StartScene) => scene.state.off[part] !== undefined
const changes = (id: TaskId, part: string) => (taskEffects(id).replaces ?? []).some((each) => each === part)

/** Stop limits by the figures of the plate, where it has them. */
function limitsLabel({ unit: { power, designPressures } }: StartScene): string {
  const amps = power?.rla === undefined ? 'amps over RLA' : `amps over ${power.rla} A`
  const high = designPressures?.high
  const head = high ? `head over ${high.value} ${high.unit}` : 'head over the plate'
  return `Stop limits written: ${amps}, ${head}, suction under 0, oil foaming away, noise`
}

/** The point that the clock of the heater tells, or a hand on the shell. */
export const HEATED = 'warm'

/** [practice] handbook 09, in the order in which they are gone through. */
const FIRST_START: readonly StartPoint[] = [
  {
    id: 'cores',
    label: says('Valve cores back in'),
    on: cameOff('valve-cores'),
    part: 'valve-cores',
  },
  { id: 'cover', label: says('Terminal cover of the compressor on'), on: cameOff(COVER), part: COVER },
  {
    id: HEATED,
    // a charged circuit that stood cold; after an evacuation there is nothing to boil out
    label: says('Crankcase heater on for its 12 to 24 hours, or the shell shown warm'),
    on: (scene) => hasHeater(scene) && !evacuates(scene),
  },
  {
    id: 'heater',
    label: says('Crankcase heater on since the charge, or started within the hour'),
    on: (scene) => hasHeater(scene) && evacuates(scene),
  },
  {
    id: 'rotation',
    label: says('Rotation right: phase sequence read'),
    on: ({ unit }) => unit.power?.phase === 3,
  },
  { id: 'valves', label: says('Every service valve open, tags off'), on: opens },
  {
    id: 'solenoids',
    label: says('Solenoids and electronic valves released'),
    on: (scene) => opens(scene) && (hasLiquidValve(scene.unit) || scene.unit.metering === 'eev'),
  },
  { id: 'water', label: says('Water flows'), on: ({ unit }) => hasWaterCoil(unit) },
  { id: 'gauges', label: says('Gauges on, amps clamp on'), on: always },
  { id: 'disconnect', label: says('One stands at the disconnect'), on: always },
  { id: 'limits', label: limitsLabel, on: always },
  {
    id: 'oil',
    label: says('Oil of a new compressor counted against what is left in the circuit'),
    on: ({ tasks }) => tasks.some(({ id }) => isTask(id) && changes(id, 'compressor')),
  },
]

/** The list of the first start: only what this unit and this job have (handbook 09). */
export const startLines = (scene: StartScene): StartLine[] =>
  FIRST_START.filter(({ on }) => on(scene)).map(({ id, label, part }) => ({ id, label: label(scene), part }))

/** What tells whether a point is through. */
export type StartRecords = {
  readonly run: Pick<Run, 'startList' | 'heater'> | undefined
  readonly state: Pick<UnitState, 'off'>
  /** ms */
  readonly now?: number | undefined
}

/** Whether a point is through: ticked, the part that it is about back on, or the heater on for its hours. */
export const isThrough = ({ id, part }: StartLine, { run, state, now }: StartRecords): boolean =>
  part
    ? state.off[part]?.state !== 'off'
    : run?.startList?.[id] !== undefined || (id === HEATED && isWarmed(run?.heater, now))
