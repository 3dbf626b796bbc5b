import type { StoredDocument, StoredJob } from '@/core/record/job/job'
import { viewOf } from '@/core/record/job/rounds'
import { withInside } from '@/core/report/inside'

/** A job as one round sees it, with what was inside at each of its sets. @param round the last that began where not given */
export const asView = (document: StoredDocument, round?: string): StoredJob =>
  withInside(viewOf(document, round))
