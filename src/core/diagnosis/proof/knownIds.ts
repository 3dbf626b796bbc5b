import type { JobDocument } from '../../record/job/job'
import type { JobProblem, JobReading } from '../../record/job/readJob'
import { isSuspect } from '../faults/faults'
import { isCause } from './causes'
import { UNKNOWN_CAUSE } from '../../record/job/decisions'

const WHAT_TO_DO = 'correct it, or update Orzo if a newer one wrote the file'

/** Faults and causes of decisions that no table of this Orzo holds, each with its place in the document. */
function unknownIds({ decisions }: Pick<JobDocument, 'decisions'>): JobProblem[] {
  return decisions.flatMap(({ fault, causes = [] }, i): JobProblem[] => [
    ...(fault === undefined || isSuspect(fault)
      ? []
      : [{ path: `decisions[${i}].fault`, message: `"${fault}" is no fault of this Orzo: ${WHAT_TO_DO}` }]),
    ...causes.flatMap((cause, j) =>
      cause === UNKNOWN_CAUSE || isCause(cause)
        ? []
        : [
            {
              path: `decisions[${i}].causes[${j}]`,
              message: `"${cause}" is no cause of this Orzo: ${WHAT_TO_DO}`,
            },
          ],
    ),
  ])
}

/** A file as it was read; refused where it names a fault or a cause that would be dropped without a word. */
export function withKnownIds(reading: JobReading): JobReading {
  if (!reading.ok) return reading
  const problems = unknownIds(reading.job)
  return problems.length > 0 ? { ok: false, code: 'invalid', problems } : reading
}
