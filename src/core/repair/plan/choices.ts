import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations } from '../../record/readings/schema'
import type { LEAK_PLACES, Repair } from '../../record/records/repair'
import type { Machine } from './machine'
import type { TaskId } from './tasks/tasks'

type LeakPlace = (typeof LEAK_PLACES)[number]

/** Where oil was seen: what repairs it there. A place that says nothing of the kind is missing. */
const LEAK_BY_STAIN: { readonly [K in NonNullable<Observations['oilStain']>]?: LeakPlace } = {
  'condenser-coil': 'coil',
  'evaporator-coil': 'coil',
  distributor: 'feeder-tube',
  'service-valve': 'stem',
  'valve-stem': 'stem',
  'line-set': 'fitting',
  joint: 'fitting',
  compressor: 'compressor',
}

const LEAK_TASKS: Readonly<Record<LeakPlace, TaskId>> = {
  coil: 'repairCoil',
  'feeder-tube': 'repairFeeder',
  stem: 'repairStem',
  fitting: 'repairFitting',
  compressor: 'repairPort',
}

/** What decides how a part is replaced. */
export type Choosing = {
  readonly unit: UnitPlate
  readonly machine: Machine
  readonly repair: Repair
  readonly observations: Observations
}

/** The new machine of a kind: one with bolted valves is not brazed (handbook 13). */
const SWAPS: Readonly<Record<Machine, TaskId>> = {
  'small-hermetic': 'swapCompressor',
  'single-phase': 'swapCompressor',
  'three-phase': 'swapCompressor',
  'semi-hermetic': 'swapSemiHermetic',
}
const COMPRESSOR_TASKS: Readonly<Record<NonNullable<Repair['compressorWay']>, readonly TaskId[]>> = {
  'like-for-like': ['swapCompressor', 'rewire'],
  'piston-to-scroll': ['swapCompressor', 'pistonToScroll', 'rewire'],
  'condensing-unit': ['swapCondensingUnit', 'rewire'],
}

/** How each general task is done on this unit, where that was chosen or seen. */
const CHOSEN: { readonly [T in TaskId]?: (at: Choosing) => readonly TaskId[] } = {
  swapCompressor: ({ repair: { compressorWay = 'like-for-like' }, machine }) =>
    COMPRESSOR_TASKS[compressorWay].map((id) =>
      id === 'swapCompressor' && compressorWay === 'like-for-like' ? SWAPS[machine] : id,
    ),
  // a known place is confirmed, not searched for an hour (handbook 07)
  leakSearch: ({ repair }) => [repair.leakPlace ? 'confirmLeak' : 'leakSearch'],
  swapValve: ({ repair }) => [repair.valveJoints === 'flare' ? 'swapValveFlare' : 'swapValve'],
  swapOrifice: ({ repair }) => [repair.orificeWay === 'distributor' ? 'swapHeader' : 'swapOrifice'],
  repairLeak: ({ repair, observations }) => {
    const seen = observations.oilStain && LEAK_BY_STAIN[observations.oilStain]
    const place = repair.leakPlace ?? seen
    return [place ? LEAK_TASKS[place] : 'repairLeak']
  },
}

/** The tasks of a repair as they are done on this unit. */
export const chosenTasks = (ids: readonly TaskId[], at: Choosing): TaskId[] => [
  ...new Set(ids.flatMap((id) => CHOSEN[id]?.(at) ?? [id])),
]
