import type { Attachment } from '../records/attachment'
import type { Closing } from '../records/closing'
import type { LogHead, LogVerdict } from '../records/log'
import { isByPosition } from '../records/tick'
import { type Edit, edit, put, putAll } from './edit'

/** Ticks something off by its key, or takes the tick away. */
export const tick = (key: string, on: boolean): Edit =>
  edit((job, { now }) => {
    job.ticks = job.ticks.filter((each) => each.key !== key)
    if (on) job.ticks.push({ key, at: now })
  })

/** Forgets ticks of numbered lists, once it was told that they must be set again. */
export const dropOldTicks: Edit = edit((job) => {
  job.ticks = job.ticks.filter((each) => !isByPosition(each))
})

/** Writes what stands in the closing record; undefined takes a field away. */
export const setClosing = (values: { [K in keyof Closing]?: Closing[K] | undefined }): Edit =>
  edit((job) => {
    job.closing ??= {}
    putAll(job.closing, values)
    if (Object.keys(job.closing).length === 0) delete job.closing
  })

/** Passes a point of the closing with a written reason; an empty reason takes it back. */
export const overrideClose = (point: string, reason: string): Edit =>
  edit((job, { now }) => {
    const others = (job.closing?.overrides ?? []).filter((each) => each.point !== point)
    const overrides = reason.trim() === '' ? others : [...others, { point, reason: reason.trim(), at: now }]
    job.closing ??= {}
    putAll(job.closing, { overrides: overrides.length > 0 ? overrides : undefined })
    if (Object.keys(job.closing).length === 0) delete job.closing
  })

/** Names a log of the job; its samples are stored beside. */
export const addLog = (log: LogHead): Edit => edit((job) => void job.logs.push(log))

/** How many samples a log came to hold. */
export const sealLog = (id: string, samples: number): Edit =>
  edit((job) => {
    const log = job.logs.find((each) => each.id === id)
    if (log) log.samples = samples
  })

/** Keeps what the judge says of a log, so that it is not judged again while nothing that it rests on changed. */
export const keepVerdict = (id: string, verdict: LogVerdict): Edit =>
  edit((job) => {
    const log = job.logs.find((each) => each.id === id)
    if (log) log.verdict = verdict
  })

/** Takes a log out of the job. */
export const removeLog = (id: string): Edit =>
  edit((job) => {
    job.logs = job.logs.filter((each) => each.id !== id)
  })

/** Names a photo of the job; its bytes are stored beside. */
export const addAttachment = (photo: Attachment): Edit => edit((job) => void job.attachments.push(photo))

/** What a photo shows. */
export const setCaption = (id: string, caption: string): Edit =>
  edit((job) => {
    const photo = job.attachments.find((each) => each.id === id)
    if (photo) put(photo, 'caption', caption || undefined)
  })

/** Takes a photo out of the job. */
export const removeAttachment = (id: string): Edit =>
  edit((job) => {
    job.attachments = job.attachments.filter((each) => each.id !== id)
  })
