import type { TaskId } from '../tasks/tasks'
import type { PartId } from './catalogue'

/** Parts that a task brings along whatever the fault was: a cause of death, a wet class, a chosen way. */
const TASK_PARTS: { readonly [T in TaskId]?: readonly PartId[] } = {
  swapCompressor: ['compressor'],
  pistonToScroll: ['scroll-kit'],
  swapCondensingUnit: ['condensing-unit'],
  swapHeader: ['distributor'],
  swapCapillary: ['capillary'],
  swapOrifice: ['orifices'],
  cleanScreen: ['screen-kit'],
  fitIndicator: ['indicator'],
  fitLowPressureSwitch: ['low-pressure-switch'],
  swapHeater: ['crankcase-heater'],
  swapContactor: ['contactor'],
  swapStartGear: ['run-capacitor', 'start-gear'],
  repairLead: ['wire'],
  swapReversingValve: ['reversing-valve'],
  repairStem: ['access-cores', 'core-tool'],
}

/** Parts that a chosen way makes needless. */
const INSTEAD_OF: { readonly [T in TaskId]?: readonly PartId[] } = {
  swapCondensingUnit: ['compressor', 'run-capacitor', 'feet'],
  swapHeader: ['orifices'],
  swapValveFlare: [],
}

/** Parts of a repair by its faults and by its tasks, without what the chosen way makes needless. */
export function partsOfTasks(ofFaults: readonly PartId[], tasks: readonly TaskId[]): PartId[] {
  const needless = tasks.flatMap((id) => INSTEAD_OF[id] ?? [])
  const isValveOther = ofFaults.includes('electronic-valve')
  const wanted = [...ofFaults, ...tasks.flatMap((id) => TASK_PARTS[id] ?? [])]
  return [...new Set(wanted)].filter(
    (id) => !needless.includes(id) && !(isValveOther && id === 'expansion-valve'),
  )
}

/** Brazed joints of a task, and how many of them join steel or unlike metals. [practice] */
type Joints = { readonly copper: number; readonly steel: number }
const JOINTS: { readonly [T in TaskId]?: Joints } = {
  swapCompressor: { copper: 1, steel: 2 },
  pistonToScroll: { copper: 4, steel: 0 },
  swapCondensingUnit: { copper: 2, steel: 0 },
  swapValve: { copper: 3, steel: 0 },
  swapCapillary: { copper: 2, steel: 0 },
  swapReversingValve: { copper: 4, steel: 0 },
  swapSolenoid: { copper: 2, steel: 0 },
  swapLineValve: { copper: 2, steel: 0 },
  clearLine: { copper: 2, steel: 0 },
  repairLeak: { copper: 2, steel: 0 },
  repairCoil: { copper: 2, steel: 0 },
  repairFeeder: { copper: 2, steel: 0 },
  repairFitting: { copper: 1, steel: 0 },
  fitIndicator: { copper: 2, steel: 0 },
  fitSuctionDryer: { copper: 2, steel: 0 },
  swapLiquidDryer: { copper: 2, steel: 0 },
}

/** Joints of a header that becomes a distributor: each tube, and the line to the valve. */
const headerJoints = (tubes: number): Joints => ({ copper: tubes + 3, steel: 0 })
/** [practice] tubes of a header where nobody counted. */
const USUAL_TUBES = 6

/** Joints of all tasks. @param feederTubes as counted @param isDryerFlared the dryer is screwed in */
export function jointsOf(
  tasks: readonly TaskId[],
  feederTubes: number | undefined,
  isDryerFlared: boolean,
): Joints {
  const all = tasks.map((id): Joints => {
    if (id === 'swapHeader') return headerJoints(feederTubes ?? USUAL_TUBES)
    if (id === 'swapLiquidDryer' && isDryerFlared) return { copper: 0, steel: 0 }
    return JOINTS[id] ?? { copper: 0, steel: 0 }
  })
  return {
    copper: all.reduce((sum, { copper }) => sum + copper, 0),
    steel: all.reduce((sum, { steel }) => sum + steel, 0),
  }
}
