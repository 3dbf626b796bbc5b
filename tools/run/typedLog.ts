import type { LogMark } from '../../src/core/record/records/log'
import type { LogPurpose } from '../../src/core/record/readings/logPurposes'
import { LOG_KINDS } from '../../src/core/repair/logs/kinds'
import type { WorkLog } from '../../src/core/repair/logs/series'

/**
 * A log of the work as it is typed.
 * @param columns values in the units and the order of the kind's channels; a clamp that is left out reads 75 F, all else nothing
 */
export const typedLog = (
  purpose: LogPurpose,
  time: readonly number[],
  columns: readonly (readonly number[])[],
  marks: readonly LogMark[] = [],
): WorkLog => ({
  head: {
    channels: LOG_KINDS[purpose].channels.map(([key, unit]) => ({ key, unit })),
    startedAt: '2026-11-27T08:00:00Z',
    marks: [...marks],
  },
  samples: {
    time: Float64Array.from(time),
    values: LOG_KINDS[purpose].channels.map(([, unit], i) =>
      Float64Array.from(time.map((_s, at) => columns[i]?.[at] ?? (unit === 'F' ? 75 : NaN))),
    ),
  },
})
