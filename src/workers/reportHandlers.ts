import { loadFor } from '@/core/answer/load'
import type { Display } from '@/core/base/units/show'
import type { Sheet } from '@/core/base/units/sheets'
import type { UnitSystem } from '@/core/base/units/system'
import { saidIn } from '@/core/base/units/textIn'
import { drawnUnit } from '@/core/record/equipment/asked'
import type { StoredDocument } from '@/core/record/job/job'
import { roundsOf, viewOf } from '@/core/record/job/rounds'
import type { LogSamples } from '@/core/repair/logs/verdicts'
import { type JobReport, jobReport, type ReportQuestion, scenesOf } from '@/core/report/jobReport'
import { withInside } from '@/core/report/inside'
import { paperOf } from '@/core/report/paper/documents'
import type { PaperName } from '@/core/report/paper/paperNames'
import { roundPlots } from '@/core/report/plots'
import { type Faces, writePdf } from './pdfWriter'

/** What a report is asked of. */
export type ReportCall = {
  readonly document: StoredDocument
  readonly samples: LogSamples
  readonly display: Display
  readonly system: UnitSystem
  /** ms */
  readonly now: number
}
export type PaperCall = ReportCall & { readonly paper: PaperName; readonly sheet: Sheet }

/** Every repair as it sees the job, with what was inside at each set. */
const viewsOf = (document: StoredDocument) =>
  roundsOf(document).map(({ id }) => withInside(viewOf(document, id)))

async function questionOf({ document, samples, display, now }: ReportCall): Promise<ReportQuestion> {
  await loadFor(drawnUnit(document.unit), viewOf(document))
  return { views: viewsOf(document), samples, display, now }
}

/** What the worker of reports can be asked. @param faces fetched when the first paper is asked for */
export function reportHandlers(faces: () => Promise<Faces>) {
  return {
    /** The record of a job, said in the chosen units. */
    async *report(call: ReportCall): AsyncGenerator<never, JobReport> {
      return saidIn(jobReport(await questionOf(call)), call.system)
    },
    /** A paper as the bytes of a PDF. */
    async *pdf(call: PaperCall): AsyncGenerator<never, { bytes: Uint8Array; title: string }> {
      const question = await questionOf(call)
      const scenes = scenesOf(question)
      const report = saidIn(jobReport(question, scenes), call.system)
      const plots =
        call.paper === 'technical'
          ? saidIn(
              scenes.map((scene) => roundPlots(scene, call.system)),
              call.system,
            )
          : []
      const { display, sheet } = call
      return {
        bytes: await writePdf(paperOf(call.paper, report, plots, { display, sheet }), faces),
        title: report.title,
      }
    },
  }
}
