import type { JobDocument } from './job'

/**
 * A document as it may leave or enter a store: what a judge said of its logs stands as what was said, never as a verdict.
 * Whoever reads it judges the samples anew.
 */
export function withoutCaches<J extends Pick<JobDocument, 'logs'>>(job: J): J {
  if (job.logs.every(({ verdict }) => verdict === undefined)) return job
  const logs = job.logs.map(({ verdict, ...log }) =>
    verdict ? { ...log, said: { at: verdict.at, sentence: verdict.sentence } } : log,
  )
  return { ...job, logs }
}
