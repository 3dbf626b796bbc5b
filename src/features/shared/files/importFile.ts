import { problemSentence, LARGEST_JOB_TEXT } from '@/core/record/job/readJob'
import { isoNow } from '@/core/base/units/instants'
import { systemClock } from '@/data/clock'
import { database } from '@/data/database'
import { importJobText } from '@/data/jobs'

export type ImportMessage = { readonly good: boolean; readonly text: string; readonly id?: string }

const DONE = {
  added: 'Imported.',
  'already-here': 'This job is already here, the same in every field.',
  'added-beside': 'A different state of this job is already here: the file was imported beside it.',
} as const

/** Imports a chosen file; a wrong or damaged one gets a message that names the place and changes nothing. */
export async function importFile(file: File): Promise<ImportMessage> {
  if (file.size > LARGEST_JOB_TEXT)
    return { good: false, text: `${file.name}: is larger than 10 MB, no job is. Nothing was changed.` }
  try {
    const result = await importJobText(database(), await file.text(), isoNow(systemClock))
    if (result.outcome === 'refused') {
      const lines = result.problems.map(problemSentence).join('\n')
      return { good: false, text: `${file.name} was not imported, nothing was changed:\n${lines}` }
    }
    return { good: true, text: `${file.name}: ${DONE[result.outcome]}`, id: result.id }
  } catch (error) {
    return {
      good: false,
      text: `${file.name} could not be stored: ${(error as Error).message}. Free some space and try again.`,
    }
  }
}
