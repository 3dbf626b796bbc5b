import { tagOf } from '@/core/record/job/idInRound'
import { clockOf, jobTime } from '@/core/record/job/jobTime'
import { addLog } from '@/core/record/edits/listEdits'
import { addLook, endTyped, markLog } from '@/core/record/edits/lookEdits'
import { together } from '@/core/record/edits/workEdits'
import { UNITS } from '@/core/base/units/units'
import { whenTyped } from '@/core/base/units/whenTyped'
import type { LogHead } from '@/core/record/records/log'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { systemClock } from '@/data/clock'
import { removalOf } from '@/data/logs'
import { randomWord } from '@/data/newId'
import { fieldUnit } from '@/core/base/units/system'
import { changesOf } from '../../shared/record/changes'
import { jobNow } from '../useJobTime'
import type { LogAction } from './logActions'
import { weightOfLog } from './weightOfLog'
import type { PurposeProps } from './purposeProps'

/** The head of a log that begins now. */
function headFor(
  { job, purpose, step, system }: Pick<PurposeProps, 'job' | 'purpose' | 'step' | 'system'>,
  isLive: boolean,
): LogHead {
  const channels = LOG_KINDS[purpose].channels
  const title = LOG_KINDS[purpose].name
  return {
    id: randomWord(),
    ...tagOf(job.round),
    name: title,
    startedAt: jobNow(job),
    source: isLive ? 'instruments' : 'hand',
    purpose,
    step,
    channels: channels.map(([key, unit]) => ({ key, unit: isLive ? unit : fieldUnit(system, unit) })),
    ...(isLive ? {} : { looks: [] }),
  }
}

/** Midnight by the clock on the wall, ms. */
const midnight = (at: number) => new Date(at).setHours(0, 0, 0, 0)

/** What "after 12 min" counts from: the last thing that began, else the first look; undefined before there is any. */
function beginOf({ startedAt, marks = [], looks = [] }: LogHead): number | undefined {
  const seconds =
    marks.findLast(({ what }) => what !== 'note' && what !== 'step')?.seconds ?? looks[0]?.seconds
  return seconds === undefined ? undefined : Date.parse(startedAt) + seconds * 1000
}

/** Reads a typed time of a log in the time of its job, ms. @throws OrzoError bad-log with what to type */
export function logWhen(job: PurposeProps['job'], head: LogHead | undefined, text: string): number {
  const now = jobTime(clockOf(job), systemClock.now())
  return whenTyped(text, { now, begin: head && beginOf(head), midnight })
}

/** What can be done with a log: its beginning and end, what hands do, a typed look. Failures are told, not thrown. */
export function logActs(props: PurposeProps) {
  const { job, change, work, log, view } = props
  const { recorder, source } = work
  const { head, isOwn } = log
  const begin = async (isLive: boolean) => {
    // whoever begins the log of a step is at work on it
    const starts = props.starts ? [props.starts] : []
    if (!isLive) return void (await change(together(...starts, addLog(headFor(props, false)))))
    if (starts.length > 0) await change(together(...starts))
    await recorder.connect()
    await recorder.start(headFor(props, true))
  }
  const act = async ({ mark, hands, isStep, label }: LogAction, when: string) => {
    const step = isStep ? view?.nextStep : undefined
    if (source && hands)
      await source.hands(step === undefined ? hands : { ...hands, regulator: step * UNITS.psia.si })
    if (!mark || !head || !(isOwn || log.isTyped)) return
    await change(
      markLog(
        head.id,
        {
          what: mark,
          ...(mark === 'note' ? { text: label } : {}),
          ...(step === undefined ? {} : { value: Math.round(step) }),
        },
        when.trim() === '' ? {} : { at: logWhen(job, head, when) },
      ),
    )
  }
  // the first weight of a repair is written down with the end of its log: nobody is asked for it again
  const weight = weightOfLog(job, props.purpose, view?.moved)
  const written = weight?.isNew ? [weight.edit] : []
  const end = async () => {
    if (log.isTyped && head) return void (await change(together(endTyped(head.id), ...written)))
    await recorder.stop()
    if (written.length > 0) await change(together(...written))
  }
  return {
    begin: (isLive: boolean) => void recorder.told(() => begin(isLive)),
    end: () => void recorder.told(end),
    /** the same, and when it is done */
    ended: () => recorder.told(end),
    /** @returns whether it was done */
    act: async (action: LogAction, when: string) => {
      let isDone = false
      await recorder.told(async () => {
        await act(action, when)
        isDone = true
      })
      return isDone
    },
    /** the whole log goes, Undo has it back */
    remove: () => head && void changesOf(job.id).change(removalOf(head.id)),
    type: (values: readonly (number | null)[], at: number | undefined) =>
      head ? change(addLook(head.id, values, { at })) : Promise.resolve(false),
  }
}
