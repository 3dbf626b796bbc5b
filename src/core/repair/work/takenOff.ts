import { slugOf } from '../../base/units/slug'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Job } from '../../record/job/job'
import type { TakenOff } from '../../record/records/takenOff'
import type { TaskId } from '../plan/tasks/tasks'

/** What a task takes off; some only on some units. [practice] */
type OffRow = {
  readonly label: string
  readonly by: readonly TaskId[]
  readonly on?: (unit: UnitPlate) => boolean
}

const hasHeater = ({ crankcaseHeater }: UnitPlate) => crankcaseHeater !== undefined
const COMPRESSOR: readonly TaskId[] = ['swapCompressor', 'pistonToScroll', 'changeOil']
const VALVE: readonly TaskId[] = ['swapValve', 'swapValveFlare', 'swapHeader', 'cleanScreen']
const RECOVERY: readonly TaskId[] = [
  'recover',
  'recoverRest',
  'evacuate',
  'evacuatePart',
  'evacuateWet',
  'pressureTest',
]

const OFF_ROWS: readonly OffRow[] = [
  { label: 'Access panels and their screws', by: ['gainAccess'] },
  { label: 'Caps of the service ports', by: RECOVERY },
  { label: 'Valve cores', by: RECOVERY },
  { label: 'Bulb of the expansion valve, its strap and insulation', by: VALVE },
  { label: 'Equaliser of the expansion valve', by: VALVE },
  { label: 'Terminal cover of the compressor', by: [...COMPRESSOR, 'swapPlug'] },
  { label: 'Crankcase heater', by: COMPRESSOR, on: hasHeater },
  { label: 'Sensor on the discharge line', by: COMPRESSOR },
  { label: 'Feet and sound jacket of the compressor', by: ['swapCompressor', 'pistonToScroll'] },
  { label: 'Coil of the reversing valve', by: ['swapReversingValve'] },
  { label: 'Sensors and straps on the lines of the reversing valve', by: ['swapReversingValve'] },
  { label: 'Coil of the solenoid valve', by: ['swapSolenoid'] },
  { label: 'Magnet that holds the solenoid open, or its wire at the electronic valve', by: ['holdOpen'] },
  {
    label: 'Insulation of the lines that were cut',
    by: ['swapLiquidDryer', 'fitSuctionDryer', 'clearLine', 'swapLineValve'],
  },
  { label: 'Line straps and clamps', by: ['swapCapillary', 'repairFeeder', 'repairCoil', 'clearLine'] },
  { label: 'Belt of the fan', by: ['swapFanMotor', 'restoreAirflow'] },
  { label: 'Flue or gas line', by: ['checkFlue'] },
]

/** One line of the taken-off list. */
export type OffLine = TakenOff & { readonly state: 'on' | 'off' | 'back' | 'stays'; readonly isOwn: boolean }

const stateOf = ({ stays, offAt, backAt }: TakenOff): OffLine['state'] =>
  stays ? 'stays' : backAt ? 'back' : offAt ? 'off' : 'on'

/**
 * What comes off by the plan and what was written by hand, each with where it is now. A line of a task that is begun counts as
 * off until it is said otherwise.
 * @param ids tasks of the plan
 */
export function takenOffList(
  job: Pick<Job, 'takenOff' | 'steps'> & { readonly unit: UnitPlate },
  ids: readonly TaskId[],
): OffLine[] {
  const begun = new Map(
    job.steps.filter(({ spans }) => spans.length > 0).map((step) => [step.id, step.spans[0]!.from]),
  )
  const known = new Map(job.takenOff.map((each) => [each.id, each]))
  const planned = OFF_ROWS.filter(
    ({ by, on }) => by.some((id) => ids.includes(id)) && (on?.(job.unit) ?? true),
  ).map(({ label, by }): TakenOff => {
    const id = slugOf(label, 60)
    const offAt = by.filter((each) => ids.includes(each)).flatMap((each) => begun.get(each) ?? [])[0]
    return { id, label, ...(offAt ? { offAt } : {}), ...known.get(id) }
  })
  const own = job.takenOff.filter(({ id }) => !planned.some((each) => each.id === id))
  return [
    ...planned.map((each) => ({ ...each, state: stateOf(each), isOwn: false })),
    ...own.map((each) => ({ ...each, state: stateOf(each), isOwn: true })),
  ]
}

/** Lines that are still off. */
export const stillOff = (lines: readonly OffLine[]): OffLine[] => lines.filter(({ state }) => state === 'off')
