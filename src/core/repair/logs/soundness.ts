import type { Unit } from '../../base/units/units'
import { channelRow, type WorkChannel } from '../../record/readings/channels'
import { soundLooks, type WorkLog } from './series'
import type { Told } from './told'

/** [practice] where more of the looks than this cannot be, the others are not believed either. */
const MOST_IMPOSSIBLE = 0.1

type Channel = readonly [WorkChannel, Unit]

/** What is wrong with the looks of a log: what is told beside its verdict, and what keeps it from passing. */
export type Soundness = { readonly details: readonly string[]; readonly missing: readonly string[] }

const many = (count: number, of: string) => `${count} ${count === 1 ? 'look' : 'looks'} at “${of}”`

function ofChannel(log: WorkLog, key: WorkChannel, atmosphere: number): Soundness {
  const { looks, impossible, doubtful } = soundLooks(log, key, atmosphere)
  const { short } = channelRow(key)
  const isMuch = impossible > MOST_IMPOSSIBLE * (looks.length + impossible)
  return {
    details: [
      ...(impossible > 0 ? [`△ ${many(impossible, short)} cannot be: left out.`] : []),
      ...(doubtful > 0 ? [`△ ${many(doubtful, short)} doubtful: look at gauge and unit.`] : []),
    ],
    missing: isMuch
      ? [
          `looks at “${short}” that can be: ${impossible} of ${looks.length + impossible} cannot, correct them or log it again`,
        ]
      : [],
  }
}

/** Whether the times of a log go back somewhere. */
const goesBack = ({ samples: { time } }: WorkLog): boolean =>
  time.some((seconds, i) => i > 0 && seconds < (time[i - 1] as number))

/** Judges the looks themselves, before anything is judged by them. @param atmosphere Pa */
export function soundnessOf(log: WorkLog, channels: readonly Channel[], atmosphere: number): Soundness {
  const all = channels.map(([key]) => ofChannel(log, key, atmosphere))
  const back = goesBack(log) ? ['times that go forward: in this log they go back'] : []
  return {
    details: all.flatMap(({ details }) => details),
    missing: [...all.flatMap(({ missing }) => missing), ...back],
  }
}

/** What a judge said, with what is wrong with the looks: nothing passes on what is left over of them. */
export const soundly = (told: Told, { details, missing }: Soundness): Told => ({
  ...told,
  limit: missing.length > 0 && told.limit === 'passed' ? 'waiting' : told.limit,
  missing: [...told.missing, ...missing],
  details: [...told.details, ...details],
})
