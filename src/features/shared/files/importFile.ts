import type { ArchiveEnd } from '@/core/record/archive/backup'
import type { ArchivedJob, MemberProblem } from '@/core/record/archive/jobArchive'
import { isoNow } from '@/core/base/units/instants'
import { problemSentence } from '@/core/record/job/readJob'
import { summaryOf } from '@/core/record/job/summary'
import { restoreBeside } from '@/data/archive'
import { systemClock } from '@/data/clock'
import { database } from '@/data/shared'
import { importJob, type ImportOutcome } from '@/data/importing'
import { filesClient } from '@/workers/filesClient'
import { titleOf } from '@/core/report/jobText'
import { keepData } from '../storage/keepData'
import { storeSentence } from '../storage/storeSentence'

/** What became of one file, or of one job in it. */
export type ImportMessage = { readonly good: boolean; readonly text: string; readonly id?: string }

const DONE: Readonly<Record<ImportOutcome['outcome'], string>> = {
  added: 'Imported.',
  'already-here': 'This job is already here, the same in every field.',
  completed: 'This job is already here; its samples and photos that were missing were added.',
  'added-beside': 'A different state of this job is already here: the file was imported beside it.',
}

const lines = (problems: readonly MemberProblem[]) => problems.map(problemSentence).join('\n')

/** Stores one job that was read from a file, and says what became of it. */
async function take(
  file: string,
  { path, reading, logs, photos, problems }: ArchivedJob,
): Promise<ImportMessage> {
  const name = path === file ? file : `${file}, ${path}`
  if (!reading.ok)
    return { good: false, text: `${name} was not imported, nothing was changed:\n${lines(reading.problems)}` }
  const stored = await importJob(
    database(),
    reading.job,
    isoNow(systemClock),
    { logs, photos },
    reading.envelopes,
  )
  const title = path === file ? name : `${titleOf(summaryOf(reading.job))} (${file})`
  const damage =
    problems.length === 0 ? '' : `\nThis of it could not be read and is left out:\n${lines(problems)}`
  return { good: problems.length === 0, text: `${title}: ${DONE[stored.outcome]}${damage}`, id: stored.id }
}

const RESTORED = {
  settings: 'settings that were not chosen here',
  aside: 'rows kept aside',
  unread: 'records of a newer Orzo',
  store: 'dryers of the store',
} as const

/** What a backup holds beside its jobs. */
async function takeBeside(name: string, { contents, problems, jobs }: ArchiveEnd): Promise<ImportMessage[]> {
  const told: ImportMessage[] =
    problems.length === 0 ? [] : [{ good: false, text: `${name}:\n${lines(problems)}` }]
  if (!contents) return told
  const restored = await restoreBeside(database(), contents)
  const words = (Object.keys(RESTORED) as (keyof typeof RESTORED)[])
    .filter((kind) => restored[kind] > 0)
    .map((kind) => `${restored[kind]} ${RESTORED[kind]}`)
  const beside = words.length === 0 ? '' : ` Brought back too: ${words.join(', ')}.`
  return [...told, { good: true, text: `${name} is a backup of ${jobs} jobs.${beside}` }]
}

const failed = (name: string, error: Error): ImportMessage => ({
  good: false,
  text: `${name}: ${storeSentence(error)}`,
})

async function importOne(file: File): Promise<ImportMessage[]> {
  const { name } = file
  const told: ImportMessage[] = []
  // one after another, while the worker reads on
  let storing = Promise.resolve()
  const onStep = (job: ArchivedJob) => {
    storing = storing.then(async () => {
      told.push(await take(name, job).catch((error: Error) => failed(`${name}, ${job.path}`, error)))
    })
  }
  try {
    const end = await filesClient().ask('read', { name, file }, { onStep })
    await storing
    told.push(...(await takeBeside(name, end)))
  } catch (error) {
    await storing
    told.push(failed(name, error as Error))
  }
  return told
}

/** Imports chosen files, one after another; a wrong or damaged one is told with the place and changes nothing. */
export async function importFiles(files: readonly File[]): Promise<ImportMessage[]> {
  const told: ImportMessage[] = []
  for (const file of files) told.push(...(await importOne(file)))
  if (told.some(({ id }) => id !== undefined)) keepData()
  return told
}
