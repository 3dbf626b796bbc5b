/** A document of some version before it is validated. */
export type RawDocument = Record<string, unknown>

/** One step from version `to - 1` to version `to`; it never sees anything newer. */
export type Migration = { readonly to: number; readonly change: (document: RawDocument) => RawDocument }

/**
 * Steps in order, numbered from 2 (version 1 is the first). Each has a test that holds an old document.
 * Empty while version 1 is the only one.
 */
export const JOB_MIGRATIONS: readonly Migration[] = []

/** Applies every step after the document's own version. The steps must be numbered without gaps. */
export function migrate(
  document: RawDocument,
  from: number,
  steps: readonly Migration[] = JOB_MIGRATIONS,
): RawDocument {
  return steps
    .filter((step) => step.to > from)
    .reduce((current, step) => ({ ...step.change(current), version: step.to }), document)
}
