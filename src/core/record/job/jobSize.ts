import { strToU8 } from 'fflate'
import type { RecordData } from '../records/kinds'
import { partsOf } from './assemble'
import type { JobDocument } from './job'
import { LARGEST_JOB_TEXT } from './readJob'

/** Bytes that a job may grow to: its file is read back up to a little more, which marks of removed records take. */
export const LARGEST_JOB = 0.9 * LARGEST_JOB_TEXT

/** [measured] bytes of a record's envelope in a file, a little over what the longest takes */
const ENVELOPE = 260

const sizes = new WeakMap<object, number>()

/** Bytes of a record in a file; of one that did not change they are not counted again. */
function sizeOf(data: RecordData[keyof RecordData]): number {
  const known = sizes.get(data)
  if (known !== undefined) return known
  // as deep as it stands in the document: each line of it is that much longer
  const size = strToU8(JSON.stringify([[data]], null, 2)).length + ENVELOPE
  sizes.set(data, size)
  return size
}

/** About how many bytes the file of a job has, never less. */
export const jobSize = (job: JobDocument): number =>
  partsOf(job).reduce((sum, { data }) => sum + sizeOf(data), 0)
