import type { JobDocument } from '../job/job'
import { documentOf, viewOf } from '../job/rounds'
import type { Edit, Stamp } from './edit'

/** A change of the whole document. */
export type DocumentEdit = (document: JobDocument, stamp: Stamp) => JobDocument

/** An edit as a change of the document. @param round in which it is made; the last that began where not given */
export const inRound =
  (edit: Edit, round?: string): DocumentEdit =>
  (document, stamp) =>
    documentOf(edit(viewOf(document, round), stamp))
