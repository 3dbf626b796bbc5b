import { strToU8 } from 'fflate'
import { type Part, partsOf } from './assemble'
import type { JobDocument } from './job'
import { LARGEST_JOB_TEXT } from './readJob'

/** Bytes that a job may grow to: its file is read back up to a little more, which marks of removed records take. */
export const LARGEST_JOB = 0.9 * LARGEST_JOB_TEXT

/** bytes of a record's envelope in a file beside its id; with a device of 120 signs it comes to 280 */
const ENVELOPE = 300

const sizes = new WeakMap<object, number>()

/** Bytes of a record in a file; of one that did not change they are not counted again. */
function sizeOf({ id, data }: Part): number {
  const known = sizes.get(data)
  if (known !== undefined) return known
  // as deep as it stands in the document: each line of it is that much longer
  const size = strToU8(JSON.stringify([[data]], null, 2)).length + strToU8(id).length + ENVELOPE
  sizes.set(data, size)
  return size
}

/** About how many bytes the file of a job has, never less. */
export const jobSize = (job: JobDocument): number => partsOf(job).reduce((sum, part) => sum + sizeOf(part), 0)
